/** A pause that never comes is not waited for longer, ms. */
const PATIENCE_MS = 150;

/**
 * Does something when the page has nothing more urgent to do, one thing a pause, so that scrolling and
 * typing go on. Returns how to call it off.
 */
export function whenIdle(act: () => void): () => void {
	// missing in some browsers
	if (!('requestIdleCallback' in globalThis)) {
		const timer = setTimeout(act);
		return () => clearTimeout(timer);
	}
	const ticket = requestIdleCallback(act, { timeout: PATIENCE_MS });
	return () => cancelIdleCallback(ticket);
}

/**
 * Keeps the screen awake where the browser allows it, until told otherwise. The browser lets go when
 * the page is hidden; it is asked again when it is seen. Returns how to stop.
 *
 * @param tell whether the screen is kept awake now
 */
export function keepAwake(tell: (isAwake: boolean) => void): () => void {
	let lock: WakeLockSentinel | null = null;
	let isStopped = false;

	async function ask() {
		if (isStopped || document.hidden || !('wakeLock' in navigator)) return;
		try {
			lock = await navigator.wakeLock.request('screen');
			lock.addEventListener('release', () => tell(false));
			if (isStopped) await lock.release();
			else tell(true);
		} catch {
			// not allowed, or the battery is low
			tell(false);
		}
	}
	const onseen = () => void ask();
	document.addEventListener('visibilitychange', onseen);
	void ask();
	return () => {
		isStopped = true;
		document.removeEventListener('visibilitychange', onseen);
		void lock?.release();
	};
}

/** Why the browser does not keep the work. */
export type Trouble = 'full' | 'refused';

/** Tells a full store from one the browser refuses to open. */
export function troubleOf(error: unknown): Trouble {
	const names = [error, (error as { inner?: unknown } | null)?.inner].map(
		(one) => (one as { name?: string } | null)?.name
	);
	return names.includes('QuotaExceededError') ? 'full' : 'refused';
}

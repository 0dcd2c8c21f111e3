/** Why the browser does not keep the work: full; not allowed; a newer Focalis was here; it does not answer. */
export type Trouble = 'full' | 'refused' | 'newer' | 'silent';

/** The database belongs to a newer Focalis: it is left as it is. */
export class NewerDatabase extends Error {}

/** Tells a full store, and one of a newer Focalis, from one the browser refuses to open. */
export function troubleOf(error: unknown): Trouble {
	if (error instanceof NewerDatabase) return 'newer';
	const names = [error, (error as { inner?: unknown } | null)?.inner].map(
		(one) => (one as { name?: string } | null)?.name
	);
	return names.includes('QuotaExceededError') ? 'full' : 'refused';
}

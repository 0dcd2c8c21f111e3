import { backupPieces } from '$core/format/openedFile';
import { backupOf } from '$data/jobFile';
import { dateOf } from '$data/newDay';
import type { Library } from './library.svelte';

/** Everything of this device as it is now, as the text of a backup, a job a piece. */
export async function backupNow(library: Library): Promise<Iterable<string>> {
	// what cannot be read must not keep everything else from being saved
	const { exercises: log, frames } = library.shelves;
	const exercises = await log.all().catch(() => []);
	const said = await frames.allSaid().catch(() => undefined);
	const shotsOf = (jobId: string) => library.shotsOf(jobId);
	return backupPieces(backupOf(library.jobs, shotsOf, library.kit, exercises, said));
}

/** @param mark of the device, where several write into one folder */
export const backupName = (mark = ''): string =>
	`${[dateOf(Date.now()), mark].filter(Boolean).join('-')}.focalis-backup.json`;

import { expect, vi } from 'vitest';
import type { JobFile } from '$core/format/job';
import { compareJobs, type ImportDecision, type Item, type JobComparison } from '$data/comparison';
import { Store } from '$data/store/store';
import { Kit } from '../../src/ui/kit/kit.svelte';
import { Session } from '../../src/ui/keeping/session.svelte';

/** What a device does with a file that is opened on it. */

/** A device on which nothing was done yet. */
export async function emptyDevice(): Promise<{ session: Session; kit: Kit }> {
	const session = new Session(new Store(crypto.randomUUID()));
	const kit = new Kit(session.library);
	session.start(null);
	await vi.waitFor(() => expect(session.isReady).toBe(true));
	return { session, kit };
}

/** What a day of a file would bring. */
export async function comparedWith(session: Session, file: JobFile): Promise<JobComparison> {
	const { jobs, shots } = session.library;
	const [comparison] = await compareJobs([file], jobs, shots, async () => {});
	if (!comparison) throw new Error('nothing was compared');
	return comparison;
}

/** What is done unless somebody chooses otherwise. */
export const firstWay = ({ ways }: Item): ImportDecision => ways[0] ?? 'skip';

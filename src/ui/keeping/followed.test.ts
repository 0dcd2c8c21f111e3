import { describe, expect, it } from 'vitest';
import { contentsOf, emptyRows } from '$data/store/contents';
import { sampleDay } from '$data/sample/sampleDay';
import { mergedWithStore } from './followed';

const { job, shots } = sampleDay(0);
const first = shots[0];
if (!first) throw new Error('no shot');
const known = { jobs: [job], shots, bodies: [], lenses: [] };
const saidBy = (said: { job?: typeof job; shot?: typeof first }) =>
	contentsOf({
		...emptyRows(),
		jobs: said.job ? [said.job] : [],
		shots: said.shot ? [said.shot] : []
	});

describe('what the store says', () => {
	const nothingOurs = () => false;

	it('stands where it is newer', () => {
		const contents = saidBy({
			job: { ...job, title: 'theirs', revision: 1 },
			shot: { ...first, slot: { ...first.slot, status: 'taken', revision: 1 } }
		});
		const { jobs, shots: all } = mergedWithStore(known, contents, nothingOurs, false);
		expect(jobs[0]?.title).toBe('theirs');
		expect(all.find(({ id }) => id === first.id)?.slot.status).toBe('taken');
	});

	it('does not where it was read before something was saved here', () => {
		const mine = {
			...known,
			jobs: [{ ...job, title: 'mine', revision: 2 }],
			shots: [{ ...first, slot: { ...first.slot, status: 'skipped' as const, revision: 2 } }]
		};
		const contents = saidBy({
			job: { ...job, title: 'before', revision: 1 },
			shot: { ...first, slot: { ...first.slot, status: 'taken', revision: 1 } }
		});
		const { jobs, shots: all } = mergedWithStore(mine, contents, nothingOurs, false);
		expect([jobs[0]?.title, all[0]?.slot.status]).toEqual(['mine', 'skipped']);
	});

	it('does not where something is on its way', () => {
		const contents = saidBy({ job: { ...job, title: 'theirs', revision: 5 } });
		expect(mergedWithStore(known, contents, (kind) => kind === 'jobs', false).jobs[0]?.title).toBe(
			job.title
		);
	});
});

import { beforeEach, describe, expect, it } from 'vitest';
import type { ExerciseRecord } from '$core/format/exerciseLog';
import type { JobFile } from '$core/format/job';
import { backupPieces, readFileText, type Backup } from '$core/format/openedFile';
import { UNJUDGED } from '$core/format/review';
import { compareLog, compareSaid } from '$data/comparison';
import { NO_JOB } from '$data/store/frameShelf';
import { backupOf } from '$data/jobFile';
import { sampleDay } from '$data/sample/sampleDay';
import { Kit } from '../../kit/kit.svelte';
import { Session } from '../../keeping/session.svelte';
import { comparedWith, emptyDevice, firstWay } from '$tests/support/importing';
import { takeJob, takeKit, takeSaid } from './importing';

let session: Session;
let kit: Kit;
beforeEach(async () => {
	({ session, kit } = await emptyDevice());
});

const compare = (file: JobFile) => comparedWith(session, file);

const written = (backup: Backup): string => [...backupPieces(backup)].join('');

describe('a backup of everything', () => {
	it('brings everything to an empty device', async () => {
		const { job, shots } = sampleDay(0);
		const other = { ...sampleDay(0).job, title: 'Another day' };
		const shotsOf = (id: string) => (id === job.id ? shots : []);
		const text = written(backupOf([job, other], shotsOf, kit.contents));
		const reading = readFileText(text);
		if (!reading.ok || reading.opened.kind !== 'jobs') throw new Error('not a backup');
		for (const file of reading.opened.jobs) await takeJob(session, await compare(file), firstWay);
		expect(session.library.jobs.map(({ title }) => title)).toEqual([job.title, 'Another day']);
		expect(session.library.shots).toHaveLength(shots.length);
	});

	it('brings the log of exercises, once', async () => {
		const log = session.library.shelves.exercises;
		const entry: ExerciseRecord = {
			id: 'a',
			exercise: 'three-objects',
			doneAt: 1,
			isPractice: true,
			frames: 6,
			score: { good: 3, of: 3 },
			lensName: 'a lens'
		};
		const reading = readFileText(written(backupOf([], () => [], kit.contents, [entry])));
		if (!reading.ok || reading.opened.kind !== 'jobs') throw new Error('not a backup');
		const items = compareLog(reading.opened.exercises, await log.all());
		expect(items.map(({ title }) => title)).toEqual(['the log of exercises: 1 entry']);
		await takeKit(kit, log, items, firstWay);
		expect(await log.all()).toEqual([entry]);
		expect(compareLog(reading.opened.exercises, await log.all())).toEqual([]);
	});

	it('brings the marks of frames, once, to their days and to none', async () => {
		const { frames } = session.library.shelves;
		const { job, shots } = sampleDay(0);
		const other = { ...sampleDay(0).job, title: 'Another day' };
		const marked = (file: string) => ({ file, ...UNJUDGED, mark: 'keep' as const });
		const said = new Map([
			[other.id, [marked('a.jpg|1|7')]],
			[NO_JOB, [marked('b.jpg|1|7')]],
			['of a day that is not there', [marked('c.jpg|1|7')]]
		]);
		const shotsOf = (id: string) => (id === job.id ? shots : []);
		const text = written(backupOf([job, other], shotsOf, kit.contents, [], said));
		const reading = readFileText(text);
		if (!reading.ok || reading.opened.kind !== 'jobs') throw new Error('not a backup');
		const ids: (string | null)[] = [];
		for (const file of reading.opened.jobs) {
			ids.push(await takeJob(session, await compare(file), firstWay));
		}
		const items = compareSaid(reading.opened.said, [null, null], []);
		expect(items.map(({ title }) => title)).toEqual(['marks and notes of 2 frames']);
		await takeSaid(frames, ids, items, () => 'skip');
		expect(await frames.allSaid()).toEqual(new Map());
		await takeSaid(frames, ids, items, firstWay);
		const here = session.library.jobs.find(({ title }) => title === 'Another day')?.id ?? '';
		expect([...(await frames.saidOf(here)).keys()]).toEqual([`${here}|a.jpg|1|7`]);
		const known = await frames.idsSaid([here, NO_JOB]);
		expect(compareSaid(reading.opened.said, ids, known)).toEqual([]);
	});

	it('with a long log of exercises can be opened again', () => {
		const entry = (i: number): ExerciseRecord => ({
			...{ id: `${i}`, exercise: 'four-edges', doneAt: i, isPractice: true, frames: 6 },
			...{ score: { good: 3, of: 3 }, lensName: '' }
		});
		const log = Array.from({ length: 1500 }, (_, i) => entry(i));
		expect(readFileText(written(backupOf([], () => [], kit.contents, log))).ok).toBe(true);
	});

	it('of more shots than a file may have comes back as one day', async () => {
		const { job, shots } = sampleDay(0);
		const [one] = shots;
		if (!one) throw new Error('no shot');
		const many = Array.from({ length: 1205 }, (_, i) => ({
			...one,
			id: `shot-${i}`,
			shot: { ...one.shot, title: `Shot ${i}` }
		}));
		const text = written(backupOf([job], () => many, kit.contents));
		const reading = readFileText(text);
		if (!reading.ok || reading.opened.kind !== 'jobs') throw new Error('not a backup');
		expect(reading.opened.jobs.map((one) => one.shots.length)).toEqual([603, 602]);
		for (const file of reading.opened.jobs) await takeJob(session, await compare(file), firstWay);
		expect(session.library.jobs).toHaveLength(1);
		expect(session.library.shots).toHaveLength(many.length);
	});
});

import { beforeEach, describe, expect, it } from 'vitest';
import type { JobFile } from '$core/format/job';
import { readFileText, writeJobText } from '$core/format/openedFile';
import { ASSUMED } from '$core/tables/spreads';
import { compareJobs, compareKit } from '$data/comparison';
import { jobFileOf, kitOfFile } from '$data/jobFile';
import { sampleDay } from '$data/sample/sampleDay';
import { readShotList } from '$files/in/shotList';
import { writeShotList } from '$files/out/shotList';
import { Kit } from '../../kit/kit.svelte';
import { Session } from '../../keeping/session.svelte';
import { comparedWith, emptyDevice, firstWay } from '$tests/support/importing';
import { takeJob, takeKit } from './importing';
import { jobOfRows } from '../../keeping/listedShots';

let session: Session;
let kit: Kit;
beforeEach(async () => {
	({ session, kit } = await emptyDevice());
});

/** The sample day as somebody else's file: it went through text. */
function dayFile() {
	const { job, shots } = sampleDay(0);
	const reading = readFileText(writeJobText(jobFileOf(job, shots, kitOfFile(kit.contents))));
	if (!reading.ok || reading.opened.kind !== 'jobs') throw new Error('not a job');
	const [file] = reading.opened.jobs;
	if (!file) throw new Error('no job');
	return file;
}
const compare = (file: JobFile) => comparedWith(session, file);
const titles = () => session.jobShots.map(({ shot }) => shot.title);

describe('a day from a file', () => {
	it('comes in whole, and a second time brings nothing', async () => {
		const file = dayFile();
		await takeJob(session, await compare(file), firstWay);
		expect(session.job).toMatchObject({ title: file.title, date: file.date, people: file.people });
		expect(titles()).toEqual(file.shots.map(({ shot }) => shot.title));

		const again = await compare(file);
		expect([again.items, again.same]).toEqual([[], file.shots.length]);
		await takeJob(session, again, firstWay);
		expect(session.library.jobs).toHaveLength(1);
		expect(session.jobShots).toHaveLength(file.shots.length);
	});

	it('tells how far the comparison is, and stops when it is given up', async () => {
		const file = dayFile();
		const { jobs, shots } = session.library;
		const shares: number[] = [];
		const note = (share: number) => Promise.resolve(void shares.push(share));
		await compareJobs([file, file], jobs, shots, note);
		expect(shares).toEqual(shares.toSorted((a, b) => a - b));
		expect([shares.length, shares.at(-1)]).toEqual([2 * file.shots.length, 1]);

		let looked = 0;
		const giveUp = () =>
			++looked === 3 ? Promise.reject(new Error('given up')) : Promise.resolve();
		await expect(compareJobs([file], jobs, shots, giveUp)).rejects.toThrow('given up');
		expect(looked).toBe(3);
	});

	it('goes out as it came in, locked times too', async () => {
		const given = dayFile();
		const shots = given.shots.map((one, i) => (i === 2 ? { ...one, isLocked: true } : one));
		const file = { ...given, shots };
		await takeJob(session, await compare(file), firstWay);
		const { job } = session;
		expect(job && jobFileOf(job, session.jobShots, file.kit)).toEqual(file);
	});

	describe('with a shot that was changed since', () => {
		const changed = async () => {
			const file = dayFile();
			await takeJob(session, await compare(file), firstWay);
			const { shot, shotId } = session;
			if (!shot || !shotId) throw new Error('no shot');
			session.change({ ...shot, title: 'Mine', notes: 'my own' });
			await session.flush();
			return { file, shotId };
		};

		it('says what differs, and keeps both unless told otherwise', async () => {
			const { file } = await changed();
			const comparison = await compare(file);
			expect(comparison.items.map(({ differs, ways }) => [differs, ways[0]])).toEqual([
				['title, notes', 'both']
			]);
			await takeJob(session, comparison, firstWay);
			expect(titles()).toContain('Mine');
			expect(titles()).toContain(file.shots[0]?.shot.title);
			// both are here now: a third time brings nothing
			expect((await compare(file)).items).toEqual([]);
		});

		it('is replaced in one step that can be undone', async () => {
			const { file, shotId } = await changed();
			await takeJob(session, await compare(file), () => 'replace');
			const title = () => session.library.shots.find(({ id }) => id === shotId)?.shot.title;
			expect(title()).toBe(file.shots[0]?.shot.title);
			session.day.undo();
			expect(title()).toBe('Mine');
		});

		it('is left alone when skipped', async () => {
			const { file } = await changed();
			await takeJob(session, await compare(file), () => 'skip');
			expect(titles()).toContain('Mine');
			expect(session.jobShots).toHaveLength(file.shots.length);
		});
	});

	it('brings back a shot that was taken out, when asked', async () => {
		const file = dayFile();
		await takeJob(session, await compare(file), firstWay);
		const [one] = session.jobShots;
		if (!one) throw new Error('no shot');
		const slots = [{ shotId: one.id, change: { isRemoved: true } }];
		session.day.change('taking out', one.slot.jobId, { slots });
		expect((await compare(file)).items[0]?.differs).toBe('taken out here');
		await takeJob(session, await compare(file), () => 'replace');
		expect(session.jobShots).toHaveLength(file.shots.length);
	});

	it('whose people differ offers theirs', async () => {
		const file = dayFile();
		await takeJob(session, await compare(file), firstWay);
		const other = { ...file, people: file.people.slice(1), notes: 'Rain.' };
		const [item] = (await compare(other)).items;
		expect([item?.differs, item?.ways]).toEqual(['notes, people', ['skip', 'replace']]);
		await takeJob(session, await compare(other), () => 'replace');
		expect(session.job).toMatchObject({ people: other.people, notes: 'Rain.' });
	});
});

describe('a shot list from a spreadsheet', () => {
	it('changes what it says, adds what is new, and a second time brings nothing', async () => {
		await takeJob(session, await compare(dayFile()), firstWay);
		const { job } = session;
		if (!job) throw new Error('no job');
		const table =
			writeShotList(jobFileOf(job, session.jobShots, kitOfFile(kit.contents))).replace(
				'The couple under the arcade',
				'The couple at the gate'
			) + ',2026-09-26 19:00,5,Last dance,hall,planned,Ilinca; Somebody new,\r\n';
		const rows = async () => {
			const reading = readShotList(table);
			if (!reading.ok) throw new Error(reading.message);
			return compare(jobOfRows(reading.rows, job, session.jobShots));
		};
		expect((await rows()).items.map(({ title, differs }) => [title, differs])).toEqual([
			['The couple at the gate', 'title'],
			['Last dance', '']
		]);
		await takeJob(session, await rows(), ({ ways }) =>
			ways.includes('replace') ? 'replace' : 'take'
		);
		expect(titles()).toContain('The couple at the gate');
		const dance = session.jobShots.find(({ shot }) => shot.title === 'Last dance');
		expect(dance?.slot).toMatchObject({ startsAt: '2026-09-26T19:00', minutes: 5, place: 'hall' });
		expect(dance?.shot.people.map(({ name }) => name)).toEqual(['Ilinca', 'Somebody new']);
		expect((await rows()).items).toEqual([]);
	});
});

describe('a kit from a file', () => {
	it('that is the same brings nothing; what is new or different is offered', async () => {
		const mine = kit.contents;
		expect(compareKit(kitOfFile(mine), ASSUMED, mine)).toEqual([]);
		const [body] = kitOfFile(mine).bodies;
		const [lens] = kitOfFile(mine).lenses;
		if (!body || !lens) throw new Error('no kit');
		const file = {
			bodies: [{ ...body, id: 'other', name: 'A second body' }],
			lenses: [{ ...lens, closestFocusM: 0.31 }]
		};
		const items = compareKit(file, { ...ASSUMED, handheldMm: 40 }, mine);
		expect(items.map(({ title, ways }) => [title, ways[0]])).toEqual([
			['A second body', 'take'],
			[lens.name, 'both'],
			['my hands and my focusing', 'skip']
		]);
		await takeKit(kit, session.library.shelves.exercises, items, firstWay);
		expect(kit.contents.bodies.map(({ body: one }) => one.name)).toContain('A second body');
		expect(kit.contents.lenses.filter(({ lens: one }) => one.name === lens.name)).toHaveLength(2);
		expect(kit.contents.spreads).toEqual(ASSUMED);
		expect(compareKit(file, null, kit.contents)).toEqual([]);
	});
});

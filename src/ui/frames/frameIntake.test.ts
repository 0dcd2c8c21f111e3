import { describe, expect, it, vi } from 'vitest';
import { UNJUDGED } from '$core/format/review';
import { Store } from '$data/store/store';
import { chosenFile } from '$tests/support/chosen';
import { measuredFrame } from '$tests/support/frames';
import { there } from '$tests/support/there';
import { FrameIntake } from './frameIntake.svelte';
import { isPicture, sorted } from './pictureFiles';

const file = (name: string) => chosenFile(name);
const idOf = (name: string) => ['job', name, 1, 7].join('|');

let number = 0;
async function shelfWith(names: readonly string[]) {
	const store = new Store(`homecoming ${number++}`);
	const judgement = { ...UNJUDGED, mark: 'keep' as const };
	const records = names.map((name) => ({
		id: idOf(name),
		jobId: 'job',
		measured: measuredFrame(name),
		judgement
	}));
	await store.frames.add(records);
	return { shelf: store.frames, records };
}

describe('frames of which a backup tells', () => {
	it('are marked when they come, before or after the store answers', async () => {
		const { shelf } = await shelfWith([]);
		const said = ['a.jpg', 'b.jpg'].map((name) => ({
			...{ file: `${name}|1|7`, ...UNJUDGED, mark: 'keep' as const }
		}));
		await shelf.takeSaid('job', said);
		// copied to this device later
		await shelf.renameSaid('job|b.jpg|1|7', 'job|b.jpg|1|8');
		const home = new FrameIntake(shelf, 'job');
		await home.open([file('a.jpg'), file('c.jpg')]);
		home.pause();
		await home.begin();
		await home.open([file('b.jpg')]);
		home.pause();
		expect(home.files.map(({ name, judgement }) => [name, judgement.mark])).toEqual([
			['a.jpg', 'keep'],
			['b.jpg', 'keep'],
			['c.jpg', null]
		]);
		await vi.waitFor(async () =>
			expect([...(await shelf.saidOf('job')).keys()]).toEqual([idOf('a.jpg'), idOf('b.jpg')])
		);
	});
});

describe('frames that were measured before', () => {
	it('are known again although they are opened before the store answers', async () => {
		const { shelf } = await shelfWith(['a.jpg']);
		const home = new FrameIntake(shelf, 'job');
		home.pause();
		await home.open([file('a.jpg')]);
		home.pause();
		await home.begin();
		expect(
			home.files.map(({ judgement, file, measured }) => [
				judgement.mark,
				file?.name,
				measured?.name
			])
		).toEqual([['keep', 'a.jpg', 'a.jpg']]);
		expect(home.waiting).toEqual([]);
	});

	it('keep what another window said of them when they are measured here, too', async () => {
		const { shelf, records } = await shelfWith(['a.jpg']);
		const [record] = records;
		await shelf.add([{ ...there(record), judgement: UNJUDGED }]);
		expect((await shelf.of('job'))[0]?.judgement.mark).toBe('keep');
		await shelf.put([{ ...there(record), judgement: { ...UNJUDGED, mark: 'drop' } }]);
		expect((await shelf.of('job'))[0]?.judgement.mark).toBe('drop');
		expect(await shelf.of('another job')).toEqual([]);
	});

	it('are judged at once, and that is kept', async () => {
		const { shelf } = await shelfWith(['a.jpg', 'b.jpg']);
		const home = new FrameIntake(shelf, 'job');
		await home.begin();
		home.judge([idOf('b.jpg')], { mark: 'maybe', note: 'the light' });
		await vi.waitFor(async () => {
			const kept = await shelf.of('job');
			expect(kept.map(({ judgement }) => [judgement.mark, judgement.note])).toEqual([
				['keep', ''],
				['maybe', 'the light']
			]);
		});
		home.forget([idOf('a.jpg')]);
		await vi.waitFor(async () => expect(await shelf.of('job')).toHaveLength(1));
	});

	it('that are spoilt in the store are left out', async () => {
		const { shelf, records } = await shelfWith(['a.jpg']);
		const spoilt = { ...records[0], id: 'b', measured: { name: 'b' } };
		await expect(shelf.put([spoilt as never])).rejects.toThrow();
		expect(await shelf.of('job')).toHaveLength(1);
	});
});

describe('of what was chosen', () => {
	const named = (...names: readonly string[]) => {
		const found = sorted(names.map(file));
		const of = (files: readonly File[]) => files.map(({ name }) => name).join(' ');
		return [of(found.pictures), of(found.besideJpegs), of(found.others)];
	};

	it('raw files beside a JPEG are the same frame, whatever their ending', () => {
		expect(named('A.JPG', 'a.dng', 'a.r0w', 'b.dng', 'a.xmp')).toEqual([
			'A.JPG b.dng',
			'a.dng a.r0w',
			''
		]);
	});

	it('what somebody exported beside a JPEG is another picture', () => {
		expect(named('a.jpg', 'a.tif', 'a.png')).toEqual(['a.jpg a.tif a.png', '', '']);
	});

	it('files of two folders are no pair', () => {
		expect(named('one/a.jpg', 'two/a.dng')).toEqual(['a.jpg a.dng', '', '']);
	});

	it('raw files are known by how they begin, and what is no picture is left alone', async () => {
		const { shelf } = await shelfWith([]);
		const home = new FrameIntake(shelf, 'job');
		const raw = chosenFile('a.r0w', 'II*\0and so on');
		const opening = home.open([raw, file('b.txt'), file('c.jpg'), file('c.r0w')]);
		home.pause();
		expect(await opening).toEqual({ noPictures: 1, besideJpegs: 1, marks: 0 });
		expect(home.files.map(({ name }) => name)).toEqual(['a.r0w', 'c.jpg']);
	});
});

it.each([
	['a.jpg', true],
	['a.DNG', true],
	['._a.jpg', false],
	['a.svg', false],
	['a.txt', false]
])('%s is a picture: %s', (name, is) => expect(isPicture(file(name))).toBe(is));

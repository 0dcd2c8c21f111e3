import { describe, expect, it, vi } from 'vitest';
import { UNJUDGED } from '$core/format/review';
import { Store } from '$data/store';
import { measuredFrame } from '$tests/support/frames';
import { there } from '$tests/support/there';
import { Homecoming } from './homecoming.svelte';
import { isPicture } from './pictureFiles';

const file = (name: string) => new File(['x'], name, { lastModified: 7 });
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

describe('frames that were measured before', () => {
	it('are known again although they are opened before the store answers', async () => {
		const { shelf } = await shelfWith(['a.jpg']);
		const home = new Homecoming(shelf, 'job');
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
		const home = new Homecoming(shelf, 'job');
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

it.each([
	['a.jpg', true],
	['a.DNG', true],
	['._a.jpg', false],
	['a.svg', false],
	['a.txt', false]
])('%s is a picture: %s', (name, is) => expect(isPicture(file(name))).toBe(is));

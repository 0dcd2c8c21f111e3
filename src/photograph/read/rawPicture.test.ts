import { describe, expect, it } from 'vitest';
import { rawPicture } from './rawPicture';

/** Raw files as TIFF 6.0 and its technical note 1 lay them out, made here by hand. */

type Entry = readonly [tag: number, type: 3 | 4, values: readonly number[]];

const JPEG = Uint8Array.from({ length: 30_000 }, (_, i) => ([0xff, 0xd8, 0xff][i] ?? i) & 0xff);
const SMALL = JPEG.slice(0, 25_000);

/** A directory at a place; values that do not fit lie right behind it. */
function directory(at: number, entries: readonly Entry[], isLittle: boolean, next = 0): Uint8Array {
	const size = 2 + entries.length * 12 + 4;
	const spill = entries.filter(([, type, { length }]) => length * (type === 3 ? 2 : 4) > 4);
	const bytes = new Uint8Array(size + spill.reduce((sum, [, , { length }]) => sum + length * 4, 0));
	const view = new DataView(bytes.buffer);
	view.setUint16(0, entries.length, isLittle);
	let free = size;
	entries.forEach(([tag, type, values], i) => {
		const entry = 2 + i * 12;
		view.setUint16(entry, tag, isLittle);
		view.setUint16(entry + 2, type, isLittle);
		view.setUint32(entry + 4, values.length, isLittle);
		const width = type === 3 ? 2 : 4;
		const isHere = values.length * width <= 4;
		const from = isHere ? entry + 8 : free;
		if (!isHere) {
			view.setUint32(entry + 8, at + free, isLittle);
			free += values.length * 4;
		}
		values.forEach((value, k) => {
			if (width === 2) view.setUint16(from + 2 * k, value, isLittle);
			else view.setUint32(from + 4 * k, value, isLittle);
		});
	});
	view.setUint32(2 + entries.length * 12, next, isLittle);
	return bytes;
}

function rawFile(isLittle: boolean, parts: ReadonlyMap<number, Uint8Array>, first = 8): Blob {
	const end = Math.max(...[...parts].map(([at, part]) => at + part.length));
	const bytes = new Uint8Array(end);
	bytes.set(isLittle ? [0x49, 0x49, 42, 0] : [0x4d, 0x4d, 0, 42]);
	new DataView(bytes.buffer).setUint32(4, first, isLittle);
	for (const [at, part] of parts) bytes.set(part, at);
	return new Blob([bytes]);
}

describe.each([true, false])('a raw file, little-endian: %s', (isLittle) => {
	it('gives the largest picture of its directories within, and how it lies', async () => {
		const file = rawFile(
			isLittle,
			new Map([
				[
					8,
					directory(
						8,
						[
							[0x0112, 3, [8]],
							[0x014a, 4, [300, 400]]
						],
						isLittle
					)
				],
				[
					300,
					directory(
						300,
						[
							[0x0201, 4, [1000]],
							[0x0202, 4, [SMALL.length]]
						],
						isLittle
					)
				],
				[
					400,
					directory(
						400,
						[
							[0x0103, 3, [7]],
							[0x0111, 4, [40_000]],
							[0x0117, 4, [JPEG.length]]
						],
						isLittle
					)
				],
				[1000, SMALL],
				[40_000, JPEG]
			])
		);
		const found = await rawPicture(file);
		expect(found?.orientation).toBe(8);
		expect(found?.jpeg.size).toBe(JPEG.length);
	});
});

describe('a file that is no raw file', () => {
	const entries: Entry[] = [
		[0x0201, 4, [1000]],
		[0x0202, 4, [SMALL.length]]
	];

	it('points in circles, and comes to an end', async () => {
		const parts = new Map([
			[8, directory(8, entries, true, 200)],
			[200, directory(200, [[0x014a, 4, [8]]], true, 8)],
			[1000, SMALL]
		]);
		expect((await rawPicture(rawFile(true, parts)))?.jpeg.size).toBe(SMALL.length);
	});

	it('points beyond its end, at nothing, or at what is no picture', async () => {
		expect(await rawPicture(rawFile(true, new Map([[8, new Uint8Array(6)]]), 9e8))).toBeNull();
		expect(await rawPicture(rawFile(true, new Map([[8, directory(8, entries, true)]])))).toBeNull();
		const noise = new Map([
			[8, directory(8, entries, true)],
			[1000, new Uint8Array(SMALL.length)]
		]);
		expect(await rawPicture(rawFile(true, noise))).toBeNull();
		expect(await rawPicture(new Blob(['II*']))).toBeNull();
	});

	it('is cut in the middle of a directory', async () => {
		const whole = rawFile(true, new Map([[8, directory(8, entries, true)]]));
		expect(await rawPicture(whole.slice(0, 20))).toBeNull();
	});
});

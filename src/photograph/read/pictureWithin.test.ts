import { describe, expect, it } from 'vitest';
import { readFacts } from './facts';
import { pictureWithin } from './pictureWithin';

/** Raw files of no known layout, made here by hand; JPEG as ITU-T T.81, annex B, lays it down. */

const big = (value: number) => [value >> 8, value & 255];
const segment = (marker: number, ...bytes: number[]) => [
	0xff,
	marker,
	...big(bytes.length + 2),
	...bytes
];
/** A JPEG by its segments; its scan holds a stuffed byte and a restart, which end nothing. */
const jpeg = (width: number, height: number, { frame = 0xc0, before = [] as number[] } = {}) => [
	...[0xff, 0xd8],
	...before,
	...segment(frame, 8, ...big(height), ...big(width), 1, 1, 0x11, 0),
	...segment(0xda, 1, 1, 0, 0, 63, 0),
	...[1, 2, 0xff, 0x00, 3, 0xff, 0xd0, 4],
	...[0xff, 0xd9]
];
const noise = (length: number) => Array.from({ length }, (_, i) => (i * 89) & 0xff);
const fileOf = (...parts: number[][]) => new Blob(parts.map((part) => Uint8Array.from(part)));
const contents = async (found: { jpeg: Blob } | null) =>
	found && [...new Uint8Array(await found.jpeg.arrayBuffer())];

describe('the picture within a raw file', () => {
	it('is the largest of several, whole, and none that no browser opens', async () => {
		const [small, large] = [jpeg(160, 120), jpeg(1600, 1080)];
		const sensor = jpeg(8000, 6000, { frame: 0xc3 });
		const file = fileOf(noise(500), small, noise(70), large, noise(900), sensor, noise(50));
		expect(await contents(await pictureWithin(file))).toEqual(large);
	});

	it('is not the small one that lies in its own head', async () => {
		const large = jpeg(1600, 1080, { before: segment(0xe1, ...jpeg(1000, 700)) });
		expect(await contents(await pictureWithin(fileOf(noise(30), large)))).toEqual(large);
	});

	it('is not looked for without end in a file that was made for that', async () => {
		// every beginning leads into the same long run of segments, or to the same scan without an end
		const empty = Array.from({ length: 100_000 }, () => [0xff, 0xe0, 0, 2]).flat();
		const begun = Array.from({ length: 100_000 }, () => [0xff, 0xd8]).flat();
		const large = jpeg(1600, 1080);
		expect(await contents(await pictureWithin(fileOf(large, begun, empty)))).toEqual(large);
		const scans = Array.from({ length: 20_000 }, () => large.slice(0, -2)).flat();
		expect(await pictureWithin(fileOf(scans))).toBeNull();
	});

	it('is none where all are small, cut off, or not there', async () => {
		expect(await pictureWithin(fileOf(noise(30), jpeg(160, 120)))).toBeNull();
		expect(await pictureWithin(fileOf(noise(30), jpeg(1600, 1080).slice(0, -2)))).toBeNull();
		expect(await pictureWithin(fileOf(noise(3000)))).toBeNull();
		expect(await pictureWithin(new Blob([]))).toBeNull();
	});
});

it('what directories of tags say that lie apart is put together', async () => {
	/** A little-endian TIFF of entries whose values lie beside their tags. */
	const directory = (entries: readonly (readonly [tag: number, short: number])[]) => {
		const little = (value: number) => [value & 255, value >> 8];
		return [
			...[0x49, 0x49, 0x2a, 0, 8, 0, 0, 0],
			...little(entries.length),
			...entries.flatMap(([tag, short]) => [
				...[...little(tag), ...little(3), 1, 0, 0, 0],
				...[...little(short), 0, 0]
			]),
			...[0, 0, 0, 0]
		];
	};
	const ORIENTATION = 0x0112;
	const ISO = 0x8827;
	const EQUIVALENT = 0xa405;
	const file = fileOf(
		noise(40),
		directory([[ORIENTATION, 8]]),
		noise(20),
		directory([
			[ISO, 800],
			[EQUIVALENT, 85]
		]),
		directory([[ISO, 100]]),
		noise(40)
	);
	expect(await readFacts(file, 'wrapped')).toMatchObject({
		orientation: 8,
		iso: 800,
		focal35Mm: 85
	});
});

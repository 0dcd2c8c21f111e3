import { describe, expect, it } from 'vitest';
import { Random } from '../numeric/random';
import { inFrame, type GreyPicture } from './aroundCamera';
import { checkSet, type SetFrame } from './checkSet';
import { placeFrames } from './placeFrames';
import { directionAt, laid, PROJECTIONS } from './projection';
import { layoutOf, RoughPicture, type TurnedFrame } from './roughPicture';

/** A set whose truth is known: a world of soft spots around the camera, seen through a pinhole. */

const WIDTH_PX = 180;
const HEIGHT_PX = 120;
/** 85 mm on full frame. */
const FOCAL_PX = (85 / 36) * WIDTH_PX;
const ACROSS_DEG = 23.9;
const DOWN_DEG = 16.1;

interface Spot {
	readonly turnDeg: number;
	readonly tiltDeg: number;
	readonly sizeDeg: number;
	readonly light: number;
}

const random = new Random(7);
const between = (low: number, high: number) => low + (high - low) * random.uniform();
const WORLD: readonly Spot[] = Array.from({ length: 900 }, () => ({
	turnDeg: between(-70, 70),
	tiltDeg: between(-35, 35),
	sizeDeg: between(0.4, 2.5),
	light: between(-0.5, 0.5)
}));

/** What the camera sees when it looks there. */
function seen(turnDeg: number, tiltDeg: number): GreyPicture {
	const light = new Float32Array(WIDTH_PX * HEIGHT_PX).fill(0.5);
	for (const spot of WORLD) {
		const middle = inFrame(spot.turnDeg - turnDeg, spot.tiltDeg, tiltDeg, FOCAL_PX);
		if (!middle) continue;
		// its rays are compared with that to its middle, so that it is round from everywhere
		const [u, v] = [middle.x / FOCAL_PX, middle.y / FOCAL_PX];
		const reach = (4 * FOCAL_PX * spot.sizeDeg * Math.PI) / 180;
		const [x, y] = [middle.x + (WIDTH_PX - 1) / 2, middle.y + (HEIGHT_PX - 1) / 2];
		const from = (value: number) => Math.max(0, Math.ceil(value - reach));
		for (let row = from(y); row <= Math.min(HEIGHT_PX - 1, y + reach); row++) {
			const down = (row - (HEIGHT_PX - 1) / 2) / FOCAL_PX;
			for (let column = from(x); column <= Math.min(WIDTH_PX - 1, x + reach); column++) {
				const right = (column - (WIDTH_PX - 1) / 2) / FOCAL_PX;
				const cos = (1 + u * right + v * down) / Math.hypot(1, u, v) / Math.hypot(1, right, down);
				const off = (Math.acos(Math.min(1, cos)) * 180) / Math.PI / spot.sizeDeg;
				const at = row * WIDTH_PX + column;
				light[at] = (light[at] as number) + spot.light * Math.exp((-off * off) / 2);
			}
		}
	}
	// as a sensor has it
	return {
		widthPx: WIDTH_PX,
		heightPx: HEIGHT_PX,
		focalPx: FOCAL_PX,
		light: light.map((value) => value + 0.01 * random.normal())
	};
}

const noRest = () => Promise.resolve();
const SETTINGS = { fNumber: 1.4, shutterS: 1 / 500, iso: 100, focalMm: 85, subjectM: 3 };
const frame: SetFrame = {
	widthPx: WIDTH_PX,
	heightPx: HEIGHT_PX,
	focalPx: FOCAL_PX,
	settings: SETTINGS
};

async function checked(looks: readonly (readonly [number, number])[], tiltDeg = 0) {
	const pictures = looks.map(([turn, tilt]) => seen(turn, tilt));
	const placed = await placeFrames(pictures, tiltDeg, noRest);
	return {
		placed,
		check: checkSet(
			pictures.map(() => frame),
			placed
		)
	};
}

/** Rows of frames with a share in common, as a hand turns: a little off. */
const grid = (columns: number, rows: number, overlap: number, tiltDeg = 0) =>
	Array.from({ length: rows }, (_, row) =>
		Array.from({ length: columns }, (_one, column): readonly [number, number] => [
			(column - (columns - 1) / 2) * (1 - overlap) * ACROSS_DEG + between(-0.4, 0.4),
			tiltDeg + ((rows - 1) / 2 - row) * (1 - overlap) * DOWN_DEG + between(-0.4, 0.4)
		])
	).flat();

describe('where the frames of a set looked', () => {
	it.each([
		['a row of three', grid(3, 1, 1 / 3), 0],
		['five by four', grid(5, 4, 1 / 3), 0],
		['three by three, from below', grid(3, 3, 1 / 3, 18), 18]
	])('%s: to a quarter of a degree', async (_, looks, tiltDeg) => {
		const { placed, check } = await checked(looks, tiltDeg);
		const [first] = looks;
		placed.places.forEach((place, i) => {
			const [turn, tilt] = looks[i] as readonly [number, number];
			expect(Math.abs((place?.turnDeg ?? NaN) - turn + (first?.[0] ?? 0))).toBeLessThan(0.25);
			expect(Math.abs((place?.tiltDeg ?? NaN) - tilt)).toBeLessThan(0.5);
		});
		expect(check.problems).toEqual([]);
		expect(check.leastOverlap).toBeGreaterThan(0.28);
		expect(check.leastOverlap).toBeLessThan(0.36);
	});
});

describe('what a set lacks', () => {
	it('names the place that no frame shows, and the frame beside it', async () => {
		const looks = grid(3, 3, 0.3);
		const { check } = await checked(looks.filter((_, i) => i !== 2));
		expect(check.problems.filter(({ code }) => code === 'hole')).toEqual([
			{
				code: 'hole',
				beside: 1,
				way: { across: 1, up: 0 },
				turnDeg: expect.closeTo(33.4, 0) as number,
				tiltDeg: expect.closeTo(11, 0) as number
			}
		]);
	});

	it('names neighbours that share too little', async () => {
		const { check } = await checked([
			[0, 0],
			[16, 0],
			[16 + 0.86 * ACROSS_DEG, 0]
		]);
		expect(check.problems).toEqual([
			{ code: 'thin', frames: [1, 2], overlap: expect.closeTo(0.14, 1) as number }
		]);
	});

	it('tells a frame that shows nothing of the others', async () => {
		const { check } = await checked([
			[-40, 0],
			[-24, 0],
			[30, 10]
		]);
		expect(check.problems).toEqual([{ code: 'alone', frame: 2 }]);
	});

	it('tells that none shows anything of another', async () => {
		const { check } = await checked([
			[-40, 0],
			[30, 10]
		]);
		expect(check.problems).toEqual([
			{ code: 'alone', frame: 0 },
			{ code: 'alone', frame: 1 }
		]);
		expect([check.acrossDeg, check.leastOverlap]).toEqual([0, null]);
	});

	it('tells what was not locked after the first frame', () => {
		const places = [0, 16, 32].map((turnDeg) => ({ turnDeg, tiltDeg: 0 }));
		const again: SetFrame = { ...frame, settings: { ...SETTINGS, shutterS: 1 / 640, subjectM: 8 } };
		const check = checkSet([frame, frame, again], { places, links: [] });
		expect(check.problems).toEqual([
			{ code: 'not-locked', frame: 2, setting: 'shutterS', was: 1 / 500, is: 1 / 640 },
			{ code: 'not-locked', frame: 2, setting: 'subjectM', was: 3, is: 8 }
		]);
		expect(check.tellsFocus).toBe(true);
		const silent = { ...frame, settings: { fNumber: 1.4 } };
		expect(checkSet([silent, silent], { places: places.slice(1), links: [] }).tellsFocus).toBe(
			false
		);
	});
});

describe('directions on a flat picture', () => {
	// Snyder, Map projections, 1987: gnomonic 22-4 and 22-5, perspective cylinder, plate carrée (from memory)
	it.each([
		['flat', 45, 0, 1, 0],
		['flat', 60, 45, Math.sqrt(3), 2],
		['cylinder', 45, 45, Math.PI / 4, 1],
		['sphere', 90, 30, Math.PI / 2, Math.PI / 6]
	] as const)('%s: %d right, %d up', (projection, turnDeg, tiltDeg, x, y) => {
		const place = laid({ turnDeg, tiltDeg }, projection);
		expect(place.x).toBeCloseTo(x, 9);
		expect(place.y).toBeCloseTo(y, 9);
	});

	it.each(PROJECTIONS)('%s: there and back', (projection) => {
		const direction = { turnDeg: -37, tiltDeg: 21 };
		const back = directionAt(laid(direction, projection), projection);
		expect(back.turnDeg).toBeCloseTo(direction.turnDeg, 9);
		expect(back.tiltDeg).toBeCloseTo(direction.tiltDeg, 9);
	});
});

describe('a rough picture', () => {
	const turned = (turnDeg: number, tiltDeg: number): TurnedFrame => ({
		...frame,
		turnDeg,
		tiltDeg
	});

	it.each(PROJECTIONS)('%s: every spot is where its direction is laid', (projection) => {
		const looks = grid(3, 2, 1 / 3, 8).map(([turn, tilt]) => turned(turn, tilt));
		const layout = layoutOf(looks, projection, 500);
		if (!layout) throw new Error('it is not that wide');
		const picture = new RoughPicture(layout);
		// each frame is as bright as it lies far to the right
		for (const one of looks) {
			const pixels = new Uint8ClampedArray(4 * WIDTH_PX * HEIGHT_PX);
			for (let row = 0; row < HEIGHT_PX; row++) {
				for (let column = 0; column < WIDTH_PX; column++) {
					const x = (column - (WIDTH_PX - 1) / 2) / FOCAL_PX;
					const y = ((HEIGHT_PX - 1) / 2 - row) / FOCAL_PX;
					const tilt = (one.tiltDeg * Math.PI) / 180;
					const ahead = Math.cos(tilt) - y * Math.sin(tilt);
					const turn = one.turnDeg + (Math.atan2(x, ahead) * 180) / Math.PI;
					pixels[4 * (row * WIDTH_PX + column)] = 128 + 3 * turn;
				}
			}
			picture.add(one, pixels);
		}
		const pixels = picture.pixels();
		let looked = 0;
		for (let row = 10; row < layout.heightPx; row += 20) {
			for (let column = 10; column < layout.widthPx; column += 20) {
				const to = 4 * (row * layout.widthPx + column);
				if (pixels[to + 3] === 0) continue;
				const x = layout.left + (column + 0.5) / layout.focalPx;
				// along the level that the picture looks at, turns are as laid
				const y = layout.top - (row + 0.5) / layout.focalPx;
				if (projection === 'flat' && Math.abs(y) > 0.05) continue;
				const { turnDeg } = directionAt({ x, y }, projection);
				const level = projection === 'flat' ? Math.cos((layout.tiltDeg * Math.PI) / 180) : 1;
				const turn = (Math.atan(Math.tan((turnDeg * Math.PI) / 180) / level) * 180) / Math.PI;
				expect(Math.abs((pixels[to] as number) - 128 - 3 * (turn + layout.turnDeg))).toBeLessThan(
					3
				);
				looked++;
			}
		}
		expect(looked).toBeGreaterThan(10);
	});

	it('a set too wide for a flat picture has none, and has one around', () => {
		const looks = [-60, -40, -20, 0, 20, 40, 60].map((turn) => turned(turn, 0));
		expect(layoutOf(looks, 'flat', 900)).toBeNull();
		expect(layoutOf(looks, 'cylinder', 900)).not.toBeNull();
	});
});

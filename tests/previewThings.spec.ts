import { PLACE_KINDS } from '$core/format/shot';
import { readShot } from '$core/format/shotFile';
import { imageDistanceMm } from '$core/geometry/thinLens';
import { focusAt } from '$core/optics/focus';
import { framePoint, seenFrom } from '$core/geometry/camera';
import { lookAt } from '$core/study/scene';
import { LENSES } from '$data/kit';
import { expect, test } from './support/lab';
import { person, shotInput, thing, type Sketch } from './support/shots';

/** Things in the preview: whom they hide, and how fine their patterns are. */

const PX = { widthPx: 600, heightPx: 400 };
const PX_PER_MM = 600 / 36;

test('who is hidden in the picture is who the core says is hidden', async ({ lab }) => {
	test.setTimeout(90_000);
	const behind = person('behind', [0, 1.6, 4]);
	const covers: readonly (readonly [string, Pick<Sketch, 'people' | 'things'>])[] = [
		['a head in front', { people: [person('front', [0.01, 1.6, 2.5])] }],
		['a head beside', { people: [person('front', [0.28, 1.6, 2.5])] }],
		['a wall', { things: [thing('w', [0, 1.6, 3], { look: 'wall' })] }],
		['a wall beside', { things: [thing('w', [0.8, 1.6, 3], { look: 'wall' })] }],
		[
			'an object',
			{ things: [thing('o', [0.02, 1.6, 2], { look: 'object', widthM: 0.25, heightM: 0.25 })] }
		],
		['a crowd', { things: [thing('c', [0, 1.6, 3], { look: 'crowd', detailMm: 80 })] }],
		['bars, which can be seen through', { things: [thing('b', [0, 1.6, 3], { look: 'bars' })] }],
		[
			'leaves, which can be seen through',
			{ things: [thing('f', [0, 1.6, 3], { look: 'foliage' })] }
		]
	];
	for (const [name, { people = [], things = [] }] of covers) {
		const sketch = { lens: LENSES.portrait85, focalMm: 85, choices: { fNumberExact: 8 } };
		const whole = shotInput({ ...sketch, people: [...people, behind], things });
		const reading = readShot(whole);
		if (!reading.ok) throw new Error(reading.message);
		const { pose, sightings } = lookAt(reading.shot);
		const eyes = sightings.find(({ person }) => person.id === 'behind')?.eyes ?? [];
		const { imageDistanceMm } = focusAt({ focalMm: 85, fieldCurvature: 0 }, 4);
		const places = eyes.map(({ seen }) => {
			const at = framePoint(pose, seen, imageDistanceMm);
			return { x: at.x * PX.widthPx, y: at.y * PX.heightPx, reachPx: 1 };
		});
		// both eyes lie near the middle
		const part = { left: 240, top: 160, widthPx: 120, heightPx: 80 };
		for (const { x, y } of places) {
			expect(Math.max(Math.abs(x - 300) / 60, Math.abs(y - 200) / 40)).toBeLessThan(0.9);
		}
		const drawing = { ...PX, part, planeM: 4, fNumber: 8, samples: 16 };
		const seen = await lab.call('lightAt', whole, drawing, places);
		const alone = await lab.call(
			'lightAt',
			shotInput({ ...sketch, people: [behind] }),
			drawing,
			places
		);
		const cover = await lab.call(
			'lightAt',
			shotInput({ ...sketch, people, things }),
			drawing,
			places
		);
		const apart = (a: readonly number[] = [], b: readonly number[] = []) =>
			Math.hypot(...a.map((value, i) => value - (b[i] ?? 0)));
		const words = (isHidden: boolean) => `${name}: ${isHidden ? 'hidden' : 'seen'}`;
		eyes.forEach(({ lost }, i) => {
			// something of the eye shows unless the picture is that of the cover alone
			const isHidden = apart(seen[i], cover[i]) < 0.05 * apart(alone[i], cover[i]);
			expect(words(isHidden)).toBe(words(lost?.why === 'hidden'));
		});
	}
});

test('as much of a sign is covered in the picture as the core says', async ({ lab }) => {
	const sign = thing('sign', [0, 1.2, 6], { look: 'wall', widthM: 1.6, heightM: 1 });
	const groups: readonly (readonly [string, Pick<Sketch, 'people'>])[] = [
		['three abreast', { people: [-0.5, 0, 0.5].map((x, i) => person(`p${i}`, [x, 1.6, 4])) }],
		['one beside it', { people: [person('a', [0.4, 1.6, 4], { turnDeg: 60 })] }],
		['somebody sitting', { people: [person('s', [0, 1.2, 4])] }],
		[
			'a child and a dog',
			{
				people: [
					person('c', [-0.3, 1.1, 4], { build: 'child' }),
					person('d', [0.3, 0.5, 4], { build: 'dog' })
				]
			}
		],
		['on a step', { people: [person('u', [0, 2, 4])] }]
	];
	const sketch = { choices: { fNumberExact: 16 } };
	const drawing = { ...PX, planeM: 6, fNumber: 16, samples: 1 };
	for (const [name, { people = [] }] of groups) {
		const whole = shotInput({ ...sketch, people, things: [sign] });
		const reading = readShot(whole);
		if (!reading.ok) throw new Error(reading.message);
		const { pose, things } = lookAt(reading.shot);
		const { imageDistanceMm } = focusAt({ focalMm: 50, fieldCurvature: 0 }, 6);
		const places = Array.from({ length: 16 * 10 }, (_, i) => {
			const x = -0.8 + (1.6 * ((i % 16) + 0.5)) / 16;
			const y = 0.7 + (Math.floor(i / 16) + 0.5) / 10;
			const at = framePoint(pose, seenFrom(pose, { x, y, z: 6 }), imageDistanceMm);
			return { x: at.x * PX.widthPx, y: at.y * PX.heightPx, reachPx: 0 };
		});
		const bare = await lab.call(
			'lightAt',
			shotInput({ ...sketch, things: [sign] }),
			drawing,
			places
		);
		const seen = await lab.call('lightAt', whole, drawing, places);
		const covered = places.filter((_, i) =>
			(seen[i] ?? []).some((value, channel) => Math.abs(value - (bare[i]?.[channel] ?? 0)) > 0.01)
		);
		const shares = [covered.length / places.length, things[0]?.hiddenShare() ?? NaN];
		expect(
			Math.abs((shares[0] ?? 0) - (shares[1] ?? 0)),
			`${name}: ${shares.join(', ')}`
		).toBeLessThan(0.06);
	}
});

test.describe('the pattern of a thing is as fine as its detail', () => {
	/** All across the picture, and no higher than it takes. */
	const BELT = { part: { left: 0, top: 184, widthPx: PX.widthPx, heightPx: 32 } };

	/** Lengths of the runs of dark and of light along the middle row, px, without the first and last. */
	function runs(row: readonly number[]): number[] {
		const middle = (Math.min(...row) + Math.max(...row)) / 2;
		const edges = row.flatMap((value, i) => {
			const next = row[i + 1];
			if (next === undefined || value < middle === next < middle) return [];
			return [i + (middle - value) / (next - value)];
		});
		return edges.slice(1).map((edge, i) => edge - (edges[i] as number));
	}

	test('bars', async ({ lab }) => {
		const input = shotInput({
			lens: LENSES.portrait85,
			focalMm: 85,
			things: [thing('t', [0, 1.6, 3], { detailMm: 20, widthM: 3, heightM: 2 })]
		});
		const row = await lab.call('middleRow', input, { ...PX, ...BELT, planeM: 3, fNumber: 16 });
		const { imageDistanceMm } = focusAt({ focalMm: 85, fieldCurvature: 0 }, 3);
		const barPx = ((0.02 * imageDistanceMm) / 3) * PX_PER_MM;
		const found = runs(row);
		expect(found.length).toBeGreaterThan(30);
		for (const run of found) expect(Math.abs(run - barPx)).toBeLessThan(0.5);
	});

	test('the joints of bricks', async ({ lab }) => {
		const input = shotInput({
			lens: LENSES.portrait85,
			focalMm: 85,
			// a row through the middle of a course
			things: [
				thing('black wall', [0, 1.66, 3], { look: 'wall', detailMm: 20, widthM: 3, heightM: 2 })
			]
		});
		const row = await lab.call('middleRow', input, { ...PX, ...BELT, planeM: 3, fNumber: 16 });
		const { imageDistanceMm } = focusAt({ focalMm: 85, fieldCurvature: 0 }, 3);
		const jointPx = ((0.02 * imageDistanceMm) / 3) * PX_PER_MM;
		const [short, long] = [Math.min(...runs(row)), Math.max(...runs(row))];
		expect(Math.abs(short - jointPx)).toBeLessThan(0.7);
		expect(Math.abs(long - 13 * jointPx)).toBeLessThan(1.5);
	});
});

test('what surrounds them lies behind everything, as blurred as it is far', async ({ lab }) => {
	test.setTimeout(90_000);
	for (const kind of PLACE_KINDS) {
		const sketch = {
			lens: LENSES.portrait85,
			focalMm: 85,
			people: [person('she', [0, 1.6, 3])],
			things: [thing('red cloth', [0.45, 1.9, 6], { look: 'wall', widthM: 0.4, heightM: 0.6 })]
		};
		const plain = shotInput(sketch);
		const there = { ...plain, place: { kind } };
		// a row across the upper part, where nothing but the place is
		const row = Array.from({ length: 100 }, (_, i) => ({ x: 20 + 2 * i, y: 60, reachPx: 0 }));
		const cloth = framePlace([0.45, 1.9, 6]);
		const green = async (shot: typeof there, fNumber: number) => {
			const drawing = { ...PX, planeM: 3, fNumber, samples: 48 };
			return (await lab.call('lightAt', shot, drawing, row)).map(([, light]) => light);
		};
		const roughness = (values: readonly number[]) =>
			Math.max(...values.slice(1).map((value, i) => Math.abs(value - (values[i] as number))));
		const clear = roughness(await green(there, 16));
		expect(clear, `${kind} is drawn`).toBeGreaterThan(0.02);
		expect(roughness(await green(there, 1.4)), `${kind} melts away`).toBeLessThan(clear / 2);
		const drawing = { ...PX, planeM: 6, fNumber: 8, samples: 16 };
		const [seen] = await lab.call('lightAt', there, drawing, [cloth]);
		const [red, , blue] = seen ?? [0, 0, 0];
		expect(red / blue, `the cloth hangs before the ${kind}`).toBeGreaterThan(1.7);
	}
});

/** Where a point is in the picture of that test. */
function framePlace([x, y, z]: readonly [number, number, number]) {
	const mm = imageDistanceMm(85, 6);
	return {
		x: PX.widthPx / 2 + (x / z) * mm * PX_PER_MM,
		y: PX.heightPx / 2 - ((y - 1.6) / z) * mm * PX_PER_MM,
		reachPx: 1
	};
}

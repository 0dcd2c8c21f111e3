import type { ShotInput } from '$core/format/shot';
import { Random } from '$core/numeric/random';
import { BODIES, LENSES } from '$data/kit';

/** Groups of grown-ups in rows on steps, as nobody planned them. */

/** What is true of somebody, whatever size of head they were drawn with. */
export interface Stood {
	readonly id: string;
	/** So many times larger than usual: such a head, so much farther away, is seen the same. */
	readonly size: number;
	readonly row: number;
}

/** Eyes of adults differ by 3.6 of 63 mm (Dodgson, 2004, from memory). */
const SIZES = 3.6 / 63;

/**
 * A group. Heads that differ in size are drawn where heads of the usual size look the same: nearer or farther.
 * @param sizes whether heads differ in size
 */
export function randomGroup(seed: number, sizes = true): { shot: ShotInput; stood: Stood[] } {
	const random = new Random(seed * 7919 + 13);
	const between = (low: number, high: number) => low + (high - low) * random.uniform();
	const rows = 1 + Math.floor(4 * random.uniform());
	const gapM = between(0.6, 1.1);
	const stepM = between(0.28, 0.4);
	const spacingM = between(0.55, 0.75);
	const counts = Array.from({ length: rows }, () => 2 + Math.floor(6 * random.uniform()));
	const widthM = Math.max(...counts) * spacingM + 0.4;
	const tiltDeg = between(-12, 6);
	const lens = random.uniform() < 0.5 ? LENSES.normal50 : LENSES.wide35;
	const [focalMm] = lens.focalMm;
	const firstM = Math.max(2, (widthM * 1.1 * focalMm) / 36) + between(0, 1);
	const cameraM = between(1.4, 2);
	const people: NonNullable<ShotInput['people']> = [];
	const stood: Stood[] = [];
	counts.forEach((count, row) => {
		const shifted = row % 2 === 1 ? spacingM / 2 : 0;
		for (let i = 0; i < count; i++) {
			const size = sizes ? 1 + SIZES * random.normal() : 1;
			const x = (i - (count - 1) / 2) * spacingM + shifted + 0.04 * random.normal();
			const y = 1.6 + row * stepM + 0.09 * random.normal();
			const z = firstM + row * gapM + 0.07 * random.normal();
			const id = `p${row}-${i}`;
			people.push({
				id,
				name: id,
				eyeMidpoint: { x: x / size, y: cameraM + (y - cameraM) / size, z: z / size },
				turnDeg: between(-45, 45) * (random.uniform() < 0.5 ? 0.3 : 1),
				nodDeg: 6 * random.normal(),
				leanDeg: 5 * random.normal(),
				row: row + 1
			});
			stood.push({ id, size, row: row + 1 });
		}
	});
	const shot: ShotInput = {
		format: 'focalis-shot',
		version: 1,
		title: `Group ${seed}`,
		body: BODIES.fullFrame24,
		lens,
		camera: { position: { x: 0, y: cameraM, z: 0 }, focalMm, tiltDeg },
		people,
		light: { mode: 'ambient', ev100: between(9, 14) },
		choices: { pickBy: 'odds', shutterRule: 'computed' }
	};
	return { shot, stood };
}

const LOOKS = ['bars', 'lights', 'foliage', 'wall', 'window', 'object'] as const;

/** Things at all distances and nobody between them. */
export function emptyScene(seed: number): ShotInput {
	const random = new Random(seed * 104_729 + 7);
	const between = (low: number, high: number) => low + (high - low) * random.uniform();
	const things = Array.from({ length: 3 + Math.floor(5 * random.uniform()) }, (_, i) => {
		const z = between(2, 14);
		// one of them is looked at, so that there is something to focus on
		const isAhead = i === 0;
		return {
			id: `thing-${i}`,
			label: `thing ${i}`,
			position: isAhead
				? { x: 0, y: 1.6, z }
				: { x: between(-0.4, 0.4) * z, y: between(0.3, 2.6), z },
			widthM: between(0.2, 3),
			heightM: between(0.2, 2.5),
			detailMm: between(5, 300),
			look: LOOKS[Math.floor(LOOKS.length * random.uniform())] ?? 'wall',
			intent: isAhead ? ('sharp' as const) : ('any' as const)
		};
	});
	return {
		format: 'focalis-shot',
		version: 1,
		title: `Nobody ${seed}`,
		body: BODIES.fullFrame24,
		lens: LENSES.wide35,
		camera: { position: { x: 0, y: 1.6, z: 0 }, focalMm: 35, tiltDeg: between(-10, 8) },
		things,
		light: { mode: 'ambient', ev100: between(6, 14) },
		choices: { fNumberExact: 2 ** (between(2, 12) / 6) }
	};
}

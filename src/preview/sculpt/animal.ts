import { ANIMAL_EYE_MM } from '$core/anatomy/body';
import type { HeadMeasures } from '$core/tables/heads';
import { addGlobe } from './globe';
import type { Clay, Tint } from './clay';
import { addEyes, type EyeMake } from './eye';
import { onFace, type Detail } from './face';
import {
	ball,
	ellipsoidShape,
	lump,
	lumps,
	mirrored,
	pressed,
	rod,
	type Lump,
	type Point,
	type Shape
} from './shape';

/** A cat and a terrier, sitting. */

export type Animal = 'cat' | 'dog';

function headLumps(animal: Animal, head: HeadMeasures): Lump[] {
	const skull = lump(ellipsoidShape(head.skullCentre, head.skullHalfAxes), 1);
	if (animal === 'cat') {
		return [
			skull,
			lumps(ellipsoidShape([24, -20, -30], [22, 17, 22]), 14),
			{ shape: mirrored(ball([18, 0, -10], 12)), seam: 5, digs: true },
			lump(rod([0, 14, -8], [0, -14, 12], 8, 8), 12),
			lumps(ellipsoidShape([8.5, -27, 14], [10, 9, 11]), 6),
			lump(ellipsoidShape([0, -36, 8], [11, 7, 10]), 6),
			lumps(rod([31, 26, -40], [37, 58, -35], 17, 3), 9)
		];
	}
	return [
		skull,
		lumps(ellipsoidShape([34, -26, -36], [30, 30, 32]), 18),
		lumps(ellipsoidShape([25, 16, -8], [18, 9, 13]), 10),
		{ shape: mirrored(ball([26, 0, -13], 14)), seam: 6, digs: true },
		lump(rod([0, -16, -10], [0, -30, 62], 24, 17), 20),
		lumps(ellipsoidShape([11, -40, 54], [13, 14, 24]), 10),
		lump(ellipsoidShape([0, -56, 38], [14, 11, 22]), 10),
		lumps(rod([50, 46, -60], [66, 4, -48], 14, 9), 6)
	];
}

const EYES: Readonly<Record<Animal, Omit<EyeMake, 'eye' | 'skin' | 'isShut'>>> = {
	cat: {
		ballMm: 10,
		irisMm: 8,
		pupilMm: [2.2, 5.5],
		open: [40, 34, 56],
		lid: 'hair',
		socket: { above: 13, below: 13, toNose: 12, toTemple: 15 }
	},
	dog: {
		ballMm: 11,
		irisMm: 7.4,
		pupilMm: [3.4, 3.4],
		open: [28, 26, 52],
		lid: 'hair',
		socket: { above: 15, below: 15, toNose: 16, toTemple: 18 }
	}
};

const NET: Readonly<Record<Detail, readonly [rows: number, columns: number]>> = {
	fine: [110, 130],
	near: [50, 58],
	middle: [34, 40],
	coarse: [22, 28],
	far: [15, 19]
};

/** Adds the head of an animal with its eyes, nose and whiskers. */
export function addAnimalHead(
	clay: Clay,
	animal: Animal,
	head: HeadMeasures,
	detail: Detail
): void {
	const smooth = pressed(headLumps(animal, head));
	const fur: Shape = (x, y, z) => smooth(x, y, z) + ruffle(x, y, z, animal === 'dog' ? 1.1 : 0.5);
	const [rows, columns] = NET[detail];
	const [, noseUp, noseOut] = head['nose-tip'];
	addGlobe(clay, {
		shape: detail === 'fine' ? fur : smooth,
		middle: animal === 'cat' ? [0, 2, -42] : [0, -8, -40],
		pole: animal === 'cat' ? [-0.33, 0.944] : [-0.17, 0.9854],
		reach: 200,
		rows,
		columns,
		crowding: 1.2,
		tint: (point) => coat(animal, point)
	});
	addEyes(
		clay,
		{
			...EYES[animal],
			eye: head['left-eye'],
			isShut: false,
			skin: (point) => coat(animal, point)
		},
		smooth,
		detail
	);
	const isFine = detail === 'fine' || detail === 'near';
	const size: Point = animal === 'cat' ? [5.5, 4, 5] : [12, 9, 10];
	addGlobe(clay, {
		shape: ellipsoidShape([0, noseUp, noseOut - size[2]], size),
		middle: [0, noseUp, noseOut - size[2]],
		pole: [0, 1],
		reach: 30,
		rows: isFine ? 14 : 6,
		columns: isFine ? 18 : 8,
		tint: () => ({ matter: 'dark', other: 'lip', share: animal === 'cat' ? 0.7 : 0.12, gloss: 0.7 })
	});
	if (detail === 'fine') addWhiskers(clay, animal, smooth);
}

function ruffle(x: number, y: number, z: number, height: number): number {
	return (
		height *
		Math.sin(0.55 * x + 0.9 * y) *
		Math.sin(0.8 * z - 0.35 * y + 1) *
		Math.cos(0.3 * x - 0.5 * z)
	);
}

/** The coat, lighter around muzzle and breast, with a few markings. */
function coat(animal: Animal, [x, y, z]: Point): Tint {
	const stripe = animal === 'cat' ? Math.max(0, Math.sin(0.42 * x + 3)) * (y > 12 ? 0.7 : 0.1) : 0;
	const muzzle = animal === 'cat' ? (y < -16 && z > -4 ? 0.75 : 0) : y < -8 && z > 8 ? 0.6 : 0;
	if (muzzle > 0) return { matter: 'hair', other: 'shirt', share: muzzle, gloss: 0.03 };
	const ear = animal === 'dog' && Math.abs(x) > 46 ? 0.6 : 0;
	const grain = 0.12 * (0.5 + 0.5 * Math.sin(1.7 * x + 2.3 * y + 1.1 * z));
	return { matter: 'hair', other: 'marking', share: Math.max(stripe, ear, grain), gloss: 0.04 };
}

/** Whiskers, and a terrier's beard and brows, as single hairs. */
function addWhiskers(clay: Clay, animal: Animal, shape: Shape): void {
	const count = animal === 'cat' ? 8 : 44;
	for (const side of [1, -1]) {
		for (let i = 0; i < count; i++) {
			const t = (i + 0.5) / count;
			const isBrow = animal === 'dog' && i % 3 === 0;
			const [x, y] =
				animal === 'cat'
					? [9 + 5 * t, -23 - 8 * t]
					: isBrow
						? [12 + 26 * t, 14 + 5 * Math.sin(9 * t)]
						: [4 + 14 * t, -44 - 8 * Math.sin(7 * t)];
			const root = onFace(shape, side * x, y, -0.5);
			const length = animal === 'cat' ? 46 : isBrow ? 13 : 17;
			const [out, drop] =
				animal === 'cat' ? [0.9, -0.25 + 0.5 * (0.5 - t)] : isBrow ? [0.5, -0.1] : [0.35, -0.9];
			const width = animal === 'cat' ? 0.22 : 0.5;
			clay.blade(4, (row, isRight) => {
				const s = row / 3;
				return [
					[
						root[0] + side * length * out * s,
						root[1] +
							length * drop * s * (0.5 + 0.5 * s) +
							(isRight ? width : -width) * (1 - 0.8 * s),
						root[2] + length * 0.45 * s
					],
					[side * 0.3, 0.4, 1],
					{
						matter: animal === 'cat' ? 'white' : 'hair',
						other: 'shirt',
						share: isBrow ? 0.15 : 0.4
					}
				];
			});
		}
	}
}

/** Adds the sitting body, measured from the eyes. */
export function addAnimalBody(clay: Clay, animal: Animal, detail: Detail): void {
	const floor = ANIMAL_EYE_MM[animal];
	const k = animal === 'cat' ? 1 : 1.5;
	const paw = (x: number, z: number) =>
		rod([x * k, -80 * k, z * k], [x * k, -floor + 16, (z + 12) * k], 17 * k, 13 * k);
	const shape = pressed([
		lump(rod([0, -25 * k, -70 * k], [0, -90 * k, -90 * k], 36 * k, 46 * k), 1),
		lump(ellipsoidShape([0, -floor * 0.56, -110 * k], [56 * k, 96 * k, 66 * k]), 30 * k),
		lumps(ellipsoidShape([42 * k, -floor + 46 * k, -112 * k], [30 * k, 46 * k, 62 * k]), 16 * k),
		lumps(paw(24, -52), 12 * k),
		lumps(ellipsoidShape([26 * k, -floor + 12 * k, -28 * k], [15 * k, 12 * k, 24 * k]), 8 * k),
		lump(
			rod([30 * k, -floor + 16 * k, -170 * k], [92 * k, -floor + 16 * k, -110 * k], 13 * k, 10 * k),
			12 * k
		)
	]);
	const [rows, columns] = NET[detail];
	addGlobe(clay, {
		shape,
		middle: [0, -floor * 0.62, -95 * k],
		pole: [-0.2, 0.98],
		reach: 420 * k,
		rows,
		columns,
		tint: ([x, y, z]) => ({
			matter: 'hair',
			other: z > -70 * k && Math.abs(x) < 34 * k ? 'shirt' : 'marking',
			share: z > -70 * k && Math.abs(x) < 34 * k ? 0.55 : 0.25 * (0.5 + 0.5 * Math.sin(0.09 * y))
		})
	});
}

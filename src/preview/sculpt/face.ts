import type { HeadMeasures } from '$core/tables/heads';
import { addGlobe } from './globe';
import type { Clay, Tint } from './clay';
import {
	ball,
	ellipsoidShape,
	lump,
	lumps,
	meets,
	mirrored,
	pressed,
	rod,
	type Lump,
	type Point,
	type Shape
} from './shape';

/** A human face in clay, for the measures of an adult; younger heads are the same, smaller. */

/** How fine a figure is made, by how large it stands in the picture. */
export type Detail = 'fine' | 'near' | 'middle' | 'coarse' | 'far';

/** Whether only the broad forms of it are seen. */
export const isCoarse = (detail: Detail): boolean => detail === 'coarse' || detail === 'far';

export const EYEBALL_MM = 13;

/** Middle of an eyeball whose cornea lies at the model's place. */
export const eyeballCentre = (eye: Point, radius = EYEBALL_MM): Point => [
	eye[0],
	eye[1],
	eye[2] - radius
];

function facial(head: HeadMeasures): Lump[] {
	return [
		lump(ellipsoidShape(head.skullCentre, head.skullHalfAxes), 1),
		lump(ellipsoidShape([0, 34, -48], [60, 52, 46]), 30),
		lump(ellipsoidShape([0, -36, -54], [60, 74, 50]), 26),
		lump(ellipsoidShape([0, -78, -44], [47, 34, 47]), 22),
		lumps(ellipsoidShape([33, -46, -26], [25, 24, 22]), 20),
		lumps(ellipsoidShape([46, -16, -34], [19, 13, 20]), 16),
		lumps(ellipsoidShape([26, 19, -13], [27, 8, 13]), 14),
		lump(ball([0, -96, -8], 15), 18),
		{ shape: mirrored(ball(eyeballCentre(head['left-eye']), 15)), seam: 6, digs: true },
		lump(rod([0, 12, -5], [0, -31, 15], 7.5, 9), 15),
		lump(ball([0, -36.5, 18.2], 11.6), 7),
		lumps(ellipsoidShape([11, -41, 9], [7, 6.5, 9]), 6),
		lump(ellipsoidShape([0, -64, -7], [27, 17, 19]), 16),
		lump(ellipsoidShape([0, -62.2, 7], [19, 4.4, 7]), 4),
		lump(ellipsoidShape([0, -71, 6.2], [16, 5.2, 7.4]), 3.5),
		lump(rod([0, -49, 10], [0, -57, 9.5], 2.6, 3), 6)
	];
}

export const faceShape = (head: HeadMeasures): Shape => pressed(facial(head));

/** Where the skin lies straight behind a point of the face as seen from the front. */
export function onFace(shape: Shape, x: number, y: number, lift = 0): Point {
	const depth = meets(shape, [x, y, 60], [0, 0, -1], 220) ?? 60;
	return [x, y, 60 - depth + lift];
}

/** Moves the skin so that it passes through the model's landmarks exactly, the more the nearer. */
function throughLandmarks(head: HeadMeasures, shape: Shape): (point: Point) => Point {
	const moves = [
		{ at: head['nose-tip'], reach: 9 },
		{ at: head.chin, reach: 16 },
		{ at: head.hairline, reach: 26 }
	].map(({ at, reach }) => {
		const [, , found] = onFace(shape, at[0], at[1]);
		return { at, reach, out: at[2] - found };
	});
	return ([x, y, z]) => {
		let moved = z;
		for (const { at, reach, out } of moves) {
			const off2 = ((x - at[0]) ** 2 + (y - at[1]) ** 2) / reach ** 2;
			if (z > -60) moved += out * Math.exp(-off2);
		}
		return [x, y, moved];
	};
}

/** Skin, redder at the lips and, a little, on cheeks and nose. */
export function complexion([x, y, z]: Point): Tint {
	const lips = Math.max(
		patch(x / 20, (y + 62.4 - 0.004 * x * x) / 4.6),
		patch(x / 17, (y + 71 - 0.012 * x * x) / 5)
	);
	if (z > -8 && lips > 0) return { matter: 'skin', other: 'lip', share: lips, gloss: 0.12 * lips };
	const flush = Math.max(
		bump(Math.abs(x) - 38, y + 36, 22),
		bump(x, y + 38, 14) * 0.7,
		bump(x, y + 98, 18) * 0.3
	);
	return { matter: 'skin', other: 'blush', share: z > -60 ? 0.55 * flush : 0, gloss: 0.05 };
}

const patch = (a: number, b: number) => Math.min(1, Math.max(0, 3.5 * (1 - Math.hypot(a, b))));
const bump = (x: number, y: number, reach: number) => Math.exp(-(x * x + y * y) / reach ** 2);

const NET: Readonly<Record<Detail, readonly [rows: number, columns: number]>> = {
	fine: [92, 110],
	near: [50, 60],
	middle: [40, 48],
	coarse: [14, 17],
	far: [10, 13]
};

/** Adds head and face without eyes, hair and ears. */
export function addFace(clay: Clay, head: HeadMeasures, detail: Detail): void {
	const shape = faceShape(head);
	const [rows, columns] = NET[detail];
	addGlobe(clay, {
		shape,
		middle: [0, -20, -70],
		// towards the tip of the nose, where the net is finest
		pole: [-0.18, 0.9837],
		reach: 220,
		rows,
		columns,
		crowding: 1.35,
		tint: complexion,
		adjust: throughLandmarks(head, shape)
	});
	if (!isCoarse(detail)) addMouth(clay, shape);
}

/** The line between the lips, a little up at its ends, and the nostrils. */
function addMouth(clay: Clay, shape: Shape): void {
	const columns = 21;
	clay.sheet(2, columns, (row, column) => {
		const t = (2 * column) / (columns - 1) - 1;
		const half = 0.95 * (1 - t * t) + 0.15;
		const x = 21 * t;
		const y = -66.8 + 1.6 * t * t + (row ? half : -half);
		return [onFace(shape, x, y, 0.9), { matter: 'lip', other: 'dark', share: 0.7, open: 0.7 }];
	});
	for (const side of [-1, 1]) {
		clay.net(5, 8, (row, column) => {
			const angle = (2 * Math.PI * column) / 7;
			const radius = 3.1 * (1 - row / 4);
			const x = side * 7.2 + radius * 1.25 * Math.cos(angle);
			const y = -45.4 + radius * 0.75 * Math.sin(angle);
			return [
				onFace(shape, x, y, 0.7),
				[0, -0.6, 1],
				{ matter: 'dark', other: 'skin', share: 0.35 }
			];
		});
	}
}

import type { Pose } from '$core/anatomy/body';
import type { Matter, Outfit } from '../looks';
import type { Clay, Tint } from './clay';
import { isCoarse, type Detail } from './face';
import { addTube, type Knot } from './tube';
import type { Point } from './shape';

/**
 * Bodies under human heads: turned on a lathe of ovals, mm, measured down from the eyes of an adult
 * and back from the corneas. Plain clothes, quiet poses.
 */

/** Half the thickness of the body, so how far its middle lies behind the corneas. */
const BACK_MM = -95;

interface Oval {
	readonly down: number;
	readonly across: number;
	readonly deep: number;
	readonly back?: number;
	readonly aside?: number;
	readonly matter: Matter;
}

function addLathe(clay: Clay, ovals: readonly Oval[], columns: number): void {
	const rows = ovals.length;
	clay.sheet(rows, columns, (row, column) => {
		// from the lowest oval upwards
		const { down, across, deep, back = BACK_MM, aside = 0, matter } = ovals[rows - 1 - row] as Oval;
		// from the middle of the back around by the person's right side
		const angle = (2 * Math.PI * column) / (columns - 1);
		const point: Point = [aside - across * Math.sin(angle), -down, back - deep * Math.cos(angle)];
		return [point, { matter, open: 0.7 - 0.3 * Math.cos(angle) }];
	});
}

const oval = (
	matter: Matter,
	down: number,
	across: number,
	deep: number,
	back = BACK_MM,
	aside = 0
): Oval => ({ matter, down, across, deep, back, aside });

const NECK: readonly Oval[] = [
	oval('skin', 60, 50, 52, -98),
	oval('skin', 110, 51, 53, -100),
	oval('skin', 150, 53, 54, -104),
	oval('skin', 176, 64, 58, -106)
];

const SHOULDERS = (matter: Matter): Oval[] => [
	oval(matter, 158, 60, 60, -106),
	oval(matter, 172, 84, 66, -104),
	oval(matter, 190, 132, 76, -100),
	oval(matter, 212, 176, 86),
	oval(matter, 250, 196, 98),
	oval(matter, 320, 186, 112),
	oval(matter, 400, 172, 114)
];

const TRUNK: Readonly<Record<Outfit, (matter: Matter) => Oval[]>> = {
	jacket: (m) => [
		...SHOULDERS(m),
		oval(m, 520, 160, 106),
		oval(m, 640, 172, 116),
		oval(m, 780, 184, 122),
		oval(m, 782, 150, 95)
	],
	shirt: (m) => [
		...SHOULDERS(m),
		oval(m, 520, 154, 100),
		oval(m, 660, 166, 110),
		oval('lower', 665, 168, 112),
		oval('lower', 760, 172, 114)
	],
	coat: (m) => [
		...SHOULDERS(m),
		oval(m, 500, 150, 102),
		oval(m, 620, 172, 116),
		oval(m, 820, 200, 136),
		oval(m, 1060, 222, 156),
		oval(m, 1300, 240, 172)
	]
};

const both = (add: (side: 1 | -1) => void) => ([1, -1] as const).forEach(add);

/** Adds a body of an adult. `floorMm` is how far below the eyes its feet stand. */
export function addBody(
	clay: Clay,
	outfit: Outfit,
	pose: Pose,
	floorMm: number,
	detail: Detail
): void {
	const around = { fine: 24, near: 24, middle: 18, coarse: 8, far: 7 }[detail];
	const aroundLimb = { fine: 14, near: 14, middle: 10, coarse: 6, far: 5 }[detail];
	const rings = { fine: 5, near: 5, middle: 3, coarse: 1, far: 1 }[detail];
	const limb: AddLimb = (...knots) => addTube(clay, knots, aroundLimb, rings);
	addLathe(clay, NECK, around + 1);
	const trunk = TRUNK[outfit]('cloth');
	const isLong = outfit === 'coat' && pose === 'standing';
	addLathe(clay, isLong || outfit !== 'coat' ? trunk : trunk.slice(0, -2), around + 1);
	if (outfit !== 'coat') addShirtFront(clay, outfit === 'jacket' ? 300 : 205, isCoarse(detail));
	both((side) => addArm(limb, side, pose));
	if (pose === 'standing') {
		both((side) => addStandingLeg(limb, side, floorMm, isLong ? 1260 : 720));
	} else if (pose === 'sitting') {
		both((side) => addSittingLeg(limb, side, floorMm));
		addSeat(clay, floorMm);
	}
}

type AddLimb = (...knots: Knot[]) => void;

const knot = (matter: Matter, radius: number, ...at: Point): Knot => ({ at, radius, matter });

/** A sleeve from the shoulder to the wrist, and a quiet hand. */
function addArm(limb: AddLimb, side: 1 | -1, pose: Pose): void {
	const isHanging = pose === 'standing';
	const wrist: Point = isHanging ? [side * 214, -745, BACK_MM + 44] : [side * 118, -640, 120];
	limb(
		knot('cloth', 42, side * 146, -226, BACK_MM),
		knot('cloth', 53, side * 184, -276, BACK_MM),
		knot('cloth', 49, side * 212, -400, BACK_MM - 8),
		knot('cloth', 45, side * 224, isHanging ? -530 : -520, isHanging ? BACK_MM - 10 : BACK_MM + 16),
		...(isHanging ? [knot('cloth', 41, side * 221, -640, BACK_MM + 14)] : []),
		knot('cloth', 35, ...wrist)
	);
	const tip: Point = isHanging
		? [wrist[0] - side * 4, wrist[1] - 122, wrist[2] + 22]
		: [wrist[0] - side * 84, wrist[1] - 8, wrist[2] + 62];
	const middle = [0, 1, 2].map((i) => ((wrist[i] as number) + (tip[i] as number)) / 2);
	limb(
		knot('skin', 24, ...wrist),
		knot('skin', 36, ...(middle as unknown as Point)),
		knot('skin', 20, ...tip)
	);
}

function addStandingLeg(limb: AddLimb, side: 1 | -1, floorMm: number, fromDown: number): void {
	const x = side * 84;
	const ankle = floorMm - 60;
	limb(
		knot('lower', 90, x, -fromDown, BACK_MM),
		knot('lower', 72, x, -(fromDown + ankle) / 2, BACK_MM + 6),
		knot('lower', 52, x, -ankle, BACK_MM)
	);
	addShoe(limb, [x, -(floorMm - 34), BACK_MM]);
}

function addSittingLeg(limb: AddLimb, side: 1 | -1, floorMm: number): void {
	const x = side * 100;
	limb(
		knot('lower', 90, side * 92, -745, BACK_MM - 30),
		knot('lower', 84, x, -748, 120),
		knot('lower', 72, x, -765, 315)
	);
	limb(
		knot('lower', 70, x, -742, 318),
		knot('lower', 60, x, -(745 + floorMm) / 2, 318),
		knot('lower', 50, x, -(floorMm - 60), 308)
	);
	addShoe(limb, [x, -(floorMm - 34), 318]);
}

function addShoe(limb: AddLimb, [x, y, z]: Point): void {
	limb(
		knot('shoe', 40, x, y, z - 60),
		knot('shoe', 44, x, y, z + 30),
		knot('shoe', 34, x, y - 6, z + 150)
	);
}

/** What shows of a shirt in the opening of a jacket, or the placket of a shirt worn alone. */
function addShirtFront(clay: Clay, downTo: number, isPlain: boolean): void {
	const rows = isPlain ? 4 : 9;
	const columns = isPlain ? 3 : 7;
	clay.sheet(rows, columns, (row, column) => {
		const t = row / (rows - 1);
		const down = downTo + (176 - downTo) * t;
		const half = 46 * t + 4;
		const x = half * ((2 * column) / (columns - 1) - 1);
		const { across, deep, back } = ovalAt(down);
		const z = back + deep * Math.sqrt(Math.max(0, 1 - (x / across) ** 2)) + 2.5;
		return [[x, -down, z], { matter: 'shirt', open: 0.95 }];
	});
}

function ovalAt(down: number): { across: number; deep: number; back: number } {
	const ovals = SHOULDERS('cloth');
	const i = Math.max(
		1,
		ovals.findIndex((o) => o.down >= down)
	);
	const [a, b] = [ovals[i - 1] as Oval, ovals[i] as Oval];
	const t = (down - a.down) / (b.down - a.down);
	const between = (p: number, q: number) => p + (q - p) * t;
	return {
		across: between(a.across, b.across),
		deep: between(a.deep, b.deep),
		back: between(a.back ?? BACK_MM, b.back ?? BACK_MM)
	};
}

/** A plain block to sit on. */
function addSeat(clay: Clay, floorMm: number): void {
	addBlock(clay, [-240, -floorMm, -330], [240, -820, 120]);
}

/** A box of stone between two corners. */
export function addBlock(clay: Clay, low: Point, high: Point): void {
	const tint: Tint = { matter: 'stone' };
	const face = (corner: Point, across: Point, up: Point, normal: Point) =>
		clay.net(2, 2, (row, column) => [
			[
				corner[0] + across[0] * column + up[0] * row,
				corner[1] + across[1] * column + up[1] * row,
				corner[2] + across[2] * column + up[2] * row
			],
			normal,
			tint
		]);
	const [w, h, d] = [high[0] - low[0], high[1] - low[1], high[2] - low[2]];
	face([low[0], low[1], high[2]], [w, 0, 0], [0, h, 0], [0, 0, 1]);
	face([high[0], low[1], low[2]], [-w, 0, 0], [0, h, 0], [0, 0, -1]);
	face([high[0], low[1], high[2]], [0, 0, -d], [0, h, 0], [1, 0, 0]);
	face([low[0], low[1], low[2]], [0, 0, d], [0, h, 0], [-1, 0, 0]);
	face([low[0], high[1], high[2]], [w, 0, 0], [0, 0, -d], [0, 1, 0]);
}

import type { HeadMeasures } from '$core/tables/heads';
import type { HairStyle } from '../looks';
import { addGlobe } from './globe';
import type { Clay } from './clay';
import type { Detail } from './face';
import {
	ball,
	ellipsoidShape,
	lump,
	mirrored,
	pressed,
	rod,
	type Lump,
	type Point,
	type Shape
} from './shape';

/** Hair as lumps over the skull. It begins at the model's hairline and ends in the neck. */

interface Cut {
	/** How far it stands off the skull at the top, the sides and the back, mm. */
	readonly top: number;
	readonly side: number;
	readonly back: number;
	/** How much lower than the model's hairline it begins over the brow, mm. */
	readonly fringe: number;
	/** How far down it reaches at the ears and in the neck, mm below the eyes. */
	readonly ear: number;
	readonly nape: number;
	/** Height of its waves, mm, and how many there are around the head. */
	readonly wave: number;
	readonly waves: number;
	readonly more: readonly Lump[];
}

const CUTS: Readonly<Record<HairStyle, Cut>> = {
	cropped: cut({ top: 8, side: 4, back: 6, ear: 18, nape: 62, wave: 0.6, waves: 70 }),
	parted: cut({
		top: 17,
		side: 8,
		back: 10,
		fringe: 6,
		ear: 24,
		nape: 78,
		wave: 1.2,
		waves: 46,
		more: [lump(ellipsoidShape([-14, 92, -38], [52, 24, 40]), 22)]
	}),
	bun: cut({
		top: 10,
		side: 7,
		back: 9,
		ear: 12,
		nape: 66,
		wave: 0.9,
		waves: 54,
		more: [lump(ball([0, 96, -168], 40), 10)]
	}),
	long: cut({
		top: 14,
		side: 13,
		back: 14,
		fringe: 3,
		ear: 60,
		nape: 90,
		wave: 1.3,
		waves: 44,
		more: [
			lump(mirrored(rod([74, 20, -92], [80, -150, -72], 17, 20)), 24),
			lump(ellipsoidShape([0, -90, -140], [80, 110, 42]), 30)
		]
	}),
	curls: cut({ top: 34, side: 26, back: 30, fringe: 4, ear: 40, nape: 84, wave: 3.6, waves: 26 }),
	shaven: cut({ top: 2, side: 1.5, back: 1.5, ear: 14, nape: 58, wave: 0, waves: 80 }),
	downy: cut({ top: 4, side: 2, back: 2, fringe: -12, ear: 6, nape: 50, wave: 0.4, waves: 40 })
};

function cut(given: Partial<Cut>): Cut {
	return {
		top: 10,
		side: 6,
		back: 8,
		fringe: 0,
		ear: 20,
		nape: 70,
		wave: 1,
		waves: 50,
		more: [],
		...given
	};
}

/** How far down hair reaches, by how far behind the eyes a point lies. */
function lowerEdge({ fringe, ear, nape }: Cut, hairlineUp: number, z: number): number {
	const stops: readonly (readonly [number, number])[] = [
		[0, hairlineUp - fringe],
		[-32, hairlineUp - 8 - fringe * 0.6],
		[-58, 22 - ear * 0.4],
		[-78, -ear],
		[-112, -ear * 0.75 - 14],
		[-168, -nape]
	];
	for (let i = 1; i < stops.length; i++) {
		const [z0, y0] = stops[i - 1] as readonly [number, number];
		const [z1, y1] = stops[i] as readonly [number, number];
		if (z >= z1) {
			const t = Math.min(1, Math.max(0, (z0 - z) / (z0 - z1)));
			return y0 + (y1 - y0) * t * t * (3 - 2 * t);
		}
	}
	return -nape;
}

function hairShape(head: HeadMeasures, cut: Cut): Shape {
	const [cx, cy, cz] = head.skullCentre;
	const [rx, ry, rz] = head.skullHalfAxes;
	const skull = ellipsoidShape(head.skullCentre, head.skullHalfAxes);
	const cap: Shape = (x, y, z) => {
		const [a, b, c] = [(x - cx) / rx, (y - cy) / ry, (z - cz) / rz];
		const length = Math.hypot(a, b, c) || 1;
		const up = Math.max(0, b / length);
		const behind = Math.max(0, -c / length);
		const thick = cut.side + (cut.top - cut.side) * up ** 1.5 + (cut.back - cut.side) * behind ** 2;
		const above = y - lowerEdge(cut, head.hairline[1], z);
		const shown = Math.min(1, Math.max(0, above / 14 + 0.5));
		// forwards the skull alone stands behind the model's forehead
		const ahead = c > 0 ? 14 * (c / length) ** 2 * Math.min(1, Math.max(0, (y - 40) / 30)) : 0;
		return (
			skull(x, y, z) -
			(thick + ahead + 10) * shown +
			10 +
			waves(cut, a / length, b / length, c / length)
		);
	};
	return pressed([lump(cap, 1), ...cut.more]);
}

function waves({ wave, waves }: Cut, a: number, b: number, c: number): number {
	const round = Math.atan2(a, b + 0.4);
	if (waves > 30) return -wave * Math.sin(waves * round + 3 * Math.sin(4 * c));
	return -wave * (Math.sin(waves * a) + Math.sin(waves * b + 1) + Math.sin(waves * c + 2));
}

const NET: Readonly<Record<Detail, readonly [rows: number, columns: number]>> = {
	fine: [64, 120],
	near: [36, 58],
	middle: [30, 48],
	coarse: [9, 16],
	far: [7, 11]
};

/** Adds hair of a style. */
export function addHair(clay: Clay, head: HeadMeasures, style: HairStyle, detail: Detail): void {
	const cut = CUTS[style];
	const [rows, columns] = NET[detail];
	addGlobe(clay, {
		shape: hairShape(head, cut),
		middle: [0, 0, -95],
		pole: [0.94, 0.3412],
		reach: 330,
		rows,
		columns,
		tint: ([x, y, z]) => ({
			matter: 'hair',
			other: 'brow',
			share: 0.35 * strand(x, y, z, cut.waves),
			gloss: 0.16
		})
	});
}

const strand = (x: number, y: number, z: number, count: number) =>
	0.5 + 0.5 * Math.sin(count * Math.atan2(x, y + 60) * 1.7 + z * 0.05);

/** Human ears: a shell with a hollow, its middle at the model's place. */
export function addEars(clay: Clay, head: HeadMeasures, detail: Detail): void {
	const [rows, columns] = {
		fine: [26, 30],
		near: [15, 19],
		middle: [12, 16],
		coarse: [4, 5],
		far: [3, 5]
	}[detail] as [number, number];
	const [aside, up, out] = head['left-ear'];
	for (const side of [1, -1]) {
		const at = (x: number, y: number, z: number): Point => [side * (aside + x), up + y, out + z];
		addGlobe(clay, {
			shape: pressed([
				lump(ellipsoidShape(at(9, 4, -4), [9, 31, 17]), 1),
				{ shape: ellipsoidShape(at(20, 4, 3), [10, 18, 8]), seam: 6, digs: true },
				lump(ellipsoidShape(at(6, -22, 2), [7, 10, 8]), 6)
			]),
			middle: at(7, 0, -3),
			pole: [0, 1],
			reach: 60,
			rows,
			columns,
			tint: () => ({ matter: 'skin', other: 'blush', share: 0.4, gloss: 0.05 })
		});
	}
}

/** Round spectacles: two rims, a bridge and temples. */
export function addGlasses(clay: Clay, eye: Point, ear: Point, detail: Detail): void {
	const around = detail === 'fine' ? 33 : 17;
	const radius = 23;
	const front = 7;
	for (const side of [1, -1]) {
		clay.net(7, around, (row, column) => {
			const angle = (2 * Math.PI * column) / (around - 1);
			const section = (2 * Math.PI * row) / 6;
			const r = radius + 1.3 * Math.cos(section);
			const normal: Point = [
				Math.cos(angle) * Math.cos(section),
				Math.sin(angle) * Math.cos(section),
				Math.sin(section)
			];
			return [
				[
					side * (eye[0] + 1) + r * Math.cos(angle),
					eye[1] - 3 + 0.88 * r * Math.sin(angle),
					front + 1.3 * Math.sin(section)
				],
				normal,
				{ matter: 'frame', gloss: 0.6 }
			];
		});
		addTube(
			clay,
			[side * (eye[0] + radius + 1), eye[1] + 2, front],
			[side * (ear[0] + 8), ear[1] + 22, ear[2] + 8]
		);
	}
	addTube(
		clay,
		[-(eye[0] - radius + 1), eye[1] + 1, front + 1],
		[eye[0] - radius + 1, eye[1] + 1, front + 1]
	);
}

/** A thin straight rod of metal. */
function addTube(clay: Clay, from: Point, to: Point): void {
	clay.net(2, 7, (row, column) => {
		const angle = (2 * Math.PI * column) / 6;
		const [x, y, z] = row ? to : from;
		const isAcross = Math.abs(to[0] - from[0]) > Math.abs(to[2] - from[2]);
		const [a, b] = [1.3 * Math.cos(angle), 1.3 * Math.sin(angle)];
		return [
			isAcross ? [x, y + a, z + b] : [x + a, y + b, z],
			isAcross ? [0, a, b] : [a, b, 0],
			{ matter: 'frame', gloss: 0.6 }
		];
	});
}

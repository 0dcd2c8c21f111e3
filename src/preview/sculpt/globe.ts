import { openness, slopeOf, type Clay, type Tint } from './clay';
import { meets, unit, type Point, type Shape } from './shape';

/** Nets rays around a middle onto a shape: for anything that can be seen whole from within. */

export interface Globe {
	readonly shape: Shape;
	readonly middle: Point;
	/** The net is finest around this direction, given as a unit vector in the plane x = 0. */
	readonly pole: readonly [y: number, z: number];
	/** Greater than the distance of the farthest part from the middle, mm. */
	readonly reach: number;
	readonly rows: number;
	readonly columns: number;
	/** 1 spreads the rows evenly, more crowds them around the pole. */
	readonly crowding?: number;
	readonly tint: (point: Point) => Tint;
	/** Moves a point of the surface, so that it passes where it must. */
	readonly adjust?: (point: Point) => Point;
}

/** Adds the surface of a shape to the clay. */
export function addGlobe(clay: Clay, globe: Globe): void {
	const { shape, middle, pole, reach, rows, columns, crowding = 1, tint } = globe;
	const [poleY, poleZ] = pole;
	clay.net(rows, columns, (row, column) => {
		// from the far end to the pole, so that rows rise towards whoever looks along the pole
		const away = Math.PI * (1 - row / (rows - 1)) ** crowding;
		const round = (2 * Math.PI * column) / (columns - 1);
		const aside = Math.sin(away) * Math.cos(round);
		const over = Math.sin(away) * Math.sin(round);
		const along = Math.cos(away);
		// the frame around the pole: x, then the way that makes a right-handed three with it
		const direction: Point = [aside, along * poleY + over * poleZ, along * poleZ - over * poleY];
		const start: Point = [
			middle[0] + direction[0] * reach,
			middle[1] + direction[1] * reach,
			middle[2] + direction[2] * reach
		];
		const inwards: Point = [-direction[0], -direction[1], -direction[2]];
		const distance = meets(shape, start, inwards, reach) ?? reach;
		const met: Point = [
			start[0] + inwards[0] * distance,
			start[1] + inwards[1] * distance,
			start[2] + inwards[2] * distance
		];
		const normal = unit(slopeOf(shape, met));
		const open = openness(shape, met, normal);
		const look = tint(met);
		const point = globe.adjust?.(met) ?? met;
		return [point, normal, { ...look, open: (look.open ?? 1) * open }];
	});
}

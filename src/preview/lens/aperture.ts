/** The opening of the lens: its shape, and points spread evenly over it. */

/** A point of the opening in half diameters of `f / N`: x to the right of the picture, y up. */
export interface PupilPoint {
	readonly x: number;
	readonly y: number;
}

/**
 * Half the diameter of the circle around an opening of straight blades that lets through as much
 * light as a round one of half diameter 1: its area is pi. Source: area of a regular polygon.
 */
export function cornerRadius(blades: number): number {
	const angle = (2 * Math.PI) / blades;
	return Math.sqrt((2 * Math.PI) / (blades * Math.sin(angle)));
}

/** Distance of the straight edges from the middle, in the same measure. */
export function edgeRadius(blades: number): number {
	return cornerRadius(blades) * Math.cos(Math.PI / blades);
}

/** 1 / the plastic number, whose powers spread points evenly over a square: Roberts' R2 sequence. */
const PLASTIC_NUMBER_INVERSE = 1.324717957244746;

/** The i-th point of a sequence that fills the unit square evenly, however many are taken. */
export function evenPoint(i: number): readonly [u: number, v: number] {
	return [
		(0.5 + (i + 1) / PLASTIC_NUMBER_INVERSE) % 1,
		(0.5 + (i + 1) / PLASTIC_NUMBER_INVERSE ** 2) % 1
	];
}

/** Square to disc, areas kept. Source: Shirley and Chiu, "A low distortion map", 1997. */
function onDisc(u: number, v: number): PupilPoint {
	const a = 2 * u - 1;
	const b = 2 * v - 1;
	if (a === 0 && b === 0) return { x: 0, y: 0 };
	const isWide = Math.abs(a) > Math.abs(b);
	const radius = isWide ? a : b;
	const angle = isWide ? (Math.PI / 4) * (b / a) : Math.PI / 2 - (Math.PI / 4) * (a / b);
	return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
}

/** Disc to polygon along the radius: each direction reaches as far as the polygon's edge does. */
function onBlades({ x, y }: PupilPoint, blades: number): PupilPoint {
	const sector = (2 * Math.PI) / blades;
	const fromEdge = Math.atan2(y, x) + Math.PI / 2;
	const within = fromEdge - sector * Math.round(fromEdge / sector);
	const reach = edgeRadius(blades) / Math.cos(within);
	return { x: x * reach, y: y * reach };
}

/**
 * Points spread evenly over the opening, every beginning of the list too, their middle at its middle.
 *
 * @param blades 0 for a round opening
 */
export function pupilPoints(count: number, blades: number): PupilPoint[] {
	const points = Array.from({ length: count }, (_, i) => {
		const point = onDisc(...evenPoint(i));
		return blades < 3 ? point : onBlades(point, blades);
	});
	const middle = {
		x: points.reduce((sum, { x }) => sum + x, 0) / count,
		y: points.reduce((sum, { y }) => sum + y, 0) / count
	};
	return points.map(({ x, y }) => ({ x: x - middle.x, y: y - middle.y }));
}

/** The most samples a picture takes: the cells of the map are counted in a byte. */
export const MOST_SAMPLES = 256;
/** Sides of the map of cells, and the half diameters of the opening it covers each way. */
export const CELLS_ACROSS = 96;
export const CELLS_REACH = 1.6;

/** For each place of the opening, rows from below: which of the first points is nearest. */
export function cellMap(count: number, blades: number): Uint8Array<ArrayBuffer> {
	const points = pupilPoints(MOST_SAMPLES, blades).slice(0, count);
	const cells = new Uint8Array(CELLS_ACROSS * CELLS_ACROSS);
	const place = (i: number) => CELLS_REACH * ((2 * (i + 0.5)) / CELLS_ACROSS - 1);
	for (let row = 0; row < CELLS_ACROSS; row++) {
		for (let column = 0; column < CELLS_ACROSS; column++) {
			const [x, y] = [place(column), place(row)];
			let nearest = 0;
			let least = Infinity;
			points.forEach((point, i) => {
				const away = (point.x - x) ** 2 + (point.y - y) ** 2;
				if (away < least) [least, nearest] = [away, i];
			});
			cells[row * CELLS_ACROSS + column] = nearest;
		}
	}
	return cells;
}

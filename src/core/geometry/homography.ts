import { linearFit } from '../numeric/linearFit';

/** How a flat thing is seen: places on it, and where they are in a picture. */

export interface FlatPoint {
	readonly x: number;
	readonly y: number;
}

/** Rows of a matrix by which (x, y, 1) becomes (u w, v w, w). */
export type Homography = readonly (readonly [number, number, number])[];

/**
 * The homography that takes places to where they are seen, by the normalised direct linear transformation: four or more
 * pairs, no three in a line; null where they do not decide. Source: Hartley, "In defence of the eight-point algorithm",
 * 1997; Hartley and Zisserman, "Multiple View Geometry", algorithm 4.2 (from memory), with the last number set to 1.
 */
export function homographyOf(
	from: readonly FlatPoint[],
	to: readonly FlatPoint[]
): Homography | null {
	const [a, b] = [normalised(from), normalised(to)];
	const equations = a.points.flatMap(({ x, y }, i) => {
		const { x: u, y: v } = b.points[i] as FlatPoint;
		return [
			{ terms: [x, y, 1, 0, 0, 0, -u * x, -u * y], value: u, weight: 1 },
			{ terms: [0, 0, 0, x, y, 1, -v * x, -v * y], value: v, weight: 1 }
		];
	});
	const h = linearFit(equations);
	if (!h?.every(Number.isFinite)) return null;
	const inner = [h.slice(0, 3), h.slice(3, 6), [...h.slice(6), 1]];
	// back: to where they are seen, and from where they are
	const back = [
		[1 / b.scale, 0, b.middle.x],
		[0, 1 / b.scale, b.middle.y],
		[0, 0, 1]
	];
	const there = [
		[a.scale, 0, -a.scale * a.middle.x],
		[0, a.scale, -a.scale * a.middle.y],
		[0, 0, 1]
	];
	return product(product(back, inner), there) as unknown as Homography;
}

/** Where a place is seen. */
export function seenAt(homography: Homography, { x, y }: FlatPoint): FlatPoint {
	const [u, v, w] = homography.map(([a, b, c]) => a * x + b * y + c) as [number, number, number];
	return { x: u / w, y: v / w };
}

/** Points moved to around 0, so that they lie the square root of 2 away in the mean. */
function normalised(points: readonly FlatPoint[]) {
	const mean = (of: (point: FlatPoint) => number) =>
		points.reduce((sum, point) => sum + of(point), 0) / points.length;
	const middle = { x: mean(({ x }) => x), y: mean(({ y }) => y) };
	const scale = Math.SQRT2 / mean(({ x, y }) => Math.hypot(x - middle.x, y - middle.y));
	return {
		middle,
		scale,
		points: points.map(({ x, y }) => ({ x: scale * (x - middle.x), y: scale * (y - middle.y) }))
	};
}

const product = (a: readonly (readonly number[])[], b: readonly (readonly number[])[]) =>
	a.map((row) =>
		(b[0] as readonly number[]).map((_, k) =>
			row.reduce((sum, one, i) => sum + one * ((b[i] as readonly number[])[k] as number), 0)
		)
	);

/** How a flat thing stands before the camera: its middle and its own two directions, in the camera's, the same length unit. */
export interface FlatPose {
	readonly right: readonly [number, number, number];
	readonly up: readonly [number, number, number];
	readonly middle: readonly [number, number, number];
}

/**
 * The pose of a flat thing whose homography into a picture is known, by how long the lens is in pixels; pixels from the
 * middle of the picture, to the right and up. Source: Zhang, "A flexible new technique for camera calibration", 2000.
 */
export function poseOf(homography: Homography, focalPx: number): FlatPose {
	const [u, v, w] = homography as [Row, Row, Row];
	const column = (i: 0 | 1 | 2): Row => [u[i] / focalPx, v[i] / focalPx, w[i]];
	const [right, up, middle] = [column(0), column(1), column(2)];
	const length = Math.sqrt(Math.hypot(...right) * Math.hypot(...up));
	const scale = Math.sign(middle[2]) / length;
	const scaled = (row: Row): Row => [row[0] * scale, row[1] * scale, row[2] * scale];
	return { right: scaled(right), up: scaled(up), middle: scaled(middle) };
}

type Row = readonly [number, number, number];

/** How far along the optical axis a place of it is. */
export const depthAt = ({ right, up, middle }: FlatPose, { x, y }: FlatPoint): number =>
	right[2] * x + up[2] * y + middle[2];

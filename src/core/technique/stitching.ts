import { degrees, radians } from '../geometry/angle';
import { byOrder } from '../numeric/order';
import { RULES } from '../tables/rules';

/**
 * A view wider than the lens, from many frames: columns and rows, the way through them, and which lens and f-number
 * the whole equals (section 9 of the model).
 */

/** What is wanted of the whole. */
export interface WideView {
	/** Angles of the whole, degrees. */
	readonly acrossDeg: number;
	readonly downDeg: number;
	/** Overlap: the share of each frame that its neighbour shows too. */
	readonly overlap: number;
	/** More frames than that are not bearable. */
	readonly mostFrames: number;
}

/** The single frame, as the camera is held. */
export interface SingleFrame {
	readonly widthMm: number;
	readonly heightMm: number;
	/** Long side of the sensor, however it is held: of the whole that the single frame is compared with. */
	readonly sensorWidthMm: number;
	readonly focalMm: number;
	readonly fNumber: number;
	/** Pixels to a millimetre. */
	readonly pxPerMm: number;
	/** Where the face is, degrees right of the middle of the whole and up. */
	readonly faceRightDeg: number;
	readonly faceUpDeg: number;
	/** How far the camera is tilted up in the middle of the whole, degrees. */
	readonly tiltDeg: number;
}

/** A frame of the whole, by how far the camera is turned from the middle of it, degrees to the right and up. */
export interface StitchFrame {
	/** From the left, and from the top. */
	readonly column: number;
	readonly row: number;
	readonly panDeg: number;
	readonly tiltDeg: number;
}

export interface Stitch {
	readonly columns: number;
	readonly rows: number;
	/** In the order in which they are taken: on the face first, then round it. */
	readonly frames: readonly StitchFrame[];
	/** From frame to frame where the camera is level; from row to row. */
	readonly panStepDeg: number;
	readonly tiltStepDeg: number;
	/** The lens and f-number that the whole equals on the same sensor, flat. */
	readonly focalMm: number;
	readonly fNumber: number;
	readonly widthPx: number;
	readonly heightPx: number;
}

export type StitchProblem =
	/** A flat picture ends before half of all directions; and nobody turns past straight up. */
	| { readonly why: 'too-wide' }
	/** One frame holds it. */
	| { readonly why: 'one-frame' }
	| {
			readonly why: 'too-many';
			readonly frames: number;
			readonly columns: number;
			readonly rows: number;
	  };

export type Stitching =
	{ readonly ok: true; readonly stitch: Stitch } | ({ readonly ok: false } & StitchProblem);

/** The angle that a length on the sensor sees, degrees. */
export const angleDeg = (mm: number, focalMm: number): number =>
	degrees(2 * Math.atan(mm / (2 * focalMm)));

/** How many frames cover a view: ceil((W - o) / (w - o)), o the overlap, all as angles. */
function framesAcross(viewDeg: number, frameDeg: number, overlap: number): number {
	const overlapDeg = overlap * frameDeg;
	// a hair of slack: what fits exactly takes no frame more
	return Math.max(1, Math.ceil((viewDeg - overlapDeg) / (frameDeg - overlapDeg) - 1e-9));
}

/**
 * The frames of a stitched view, and the lens that would take it in at once (docs/model.md, section 9): columns by
 * ceil((W - o) / (w - o)), focal length W / (2 tan(W/2)), f-number that focal length over the entrance pupil.
 *
 * @param view what is wanted of the whole; angles in degrees, the overlap as a share of a frame
 * @param single the frame, as the camera is held; lengths in mm
 * @returns the frames in the order they are taken, the face first; or why there are none
 */
export function stitchOf(view: WideView, single: SingleFrame): Stitching {
	const { acrossDeg, downDeg, overlap, mostFrames } = view;
	const { focalMm, fNumber, sensorWidthMm } = single;
	if (acrossDeg >= RULES.flatPictureDeg || downDeg >= RULES.flatPictureDeg)
		return { ok: false, why: 'too-wide' };
	const frameAcross = angleDeg(single.widthMm, focalMm);
	const frameDown = angleDeg(single.heightMm, focalMm);
	const columns = framesAcross(acrossDeg, frameAcross, overlap);
	const rows = framesAcross(downDeg, frameDown, overlap);
	if (columns * rows === 1) return { ok: false, why: 'one-frame' };
	if (columns * rows > mostFrames)
		return { ok: false, why: 'too-many', frames: columns * rows, columns, rows };
	const panStepDeg = (1 - overlap) * frameAcross;
	const tiltStepDeg = (1 - overlap) * frameDown;
	const asideDeg = shiftDeg(acrossDeg, frameAcross, columns, panStepDeg, single.faceRightDeg);
	const aboveDeg = shiftDeg(downDeg, frameDown, rows, tiltStepDeg, single.faceUpDeg);
	const grid = Array.from({ length: rows }, (_, row) =>
		Array.from({ length: columns }, (_, column): StitchFrame => {
			const tiltDeg = aboveDeg + ((rows - 1) / 2 - row) * tiltStepDeg;
			// meridians run together above and below: a turn moves the picture less
			const narrower = Math.cos(radians(single.tiltDeg + tiltDeg));
			const panDeg = (asideDeg + (column - (columns - 1) / 2) * panStepDeg) / narrower;
			return { column, row, panDeg, tiltDeg };
		})
	).flat();
	const steepest = Math.max(...grid.map(({ tiltDeg }) => Math.abs(single.tiltDeg + tiltDeg)));
	if (steepest > RULES.steepestDeg) return { ok: false, why: 'too-wide' };
	const half = (deg: number) => Math.tan(radians(deg / 2));
	const wholeMm = sensorWidthMm / (2 * half(acrossDeg));
	const opening = focalMm / fNumber;
	return {
		ok: true,
		stitch: {
			columns,
			rows,
			frames: outwards(grid, single),
			panStepDeg,
			tiltStepDeg,
			focalMm: wholeMm,
			fNumber: wholeMm / opening,
			widthPx: 2 * half(acrossDeg) * focalMm * single.pxPerMm,
			heightPx: 2 * half(downDeg) * focalMm * single.pxPerMm
		}
	};
}

/**
 * How far all frames are moved, so that one of them has the face in its middle, as far as they reach beyond what is
 * wanted, degrees.
 */
function shiftDeg(
	viewDeg: number,
	frameDeg: number,
	frames: number,
	stepDeg: number,
	faceDeg: number
): number {
	const spareDeg = Math.max(0, (frameDeg + (frames - 1) * stepDeg - viewDeg) / 2);
	const middles = Array.from({ length: frames }, (_, i) => (i - (frames - 1) / 2) * stepDeg);
	const [missed = 0] = middles
		.map((middle) => faceDeg - middle)
		.toSorted((a, b) => Math.abs(a) - Math.abs(b));
	return Math.max(-spareDeg, Math.min(spareDeg, missed));
}

/** From the frame that has the face nearest to its middle outwards, ring by ring, each from where the last one ended. */
function outwards(
	grid: readonly StitchFrame[],
	{ faceRightDeg, faceUpDeg }: SingleFrame
): StitchFrame[] {
	const missed = ({ panDeg, tiltDeg }: StitchFrame) =>
		Math.hypot(panDeg - faceRightDeg, tiltDeg - faceUpDeg);
	const [first, ...others] = grid.toSorted((a, b) => missed(a) - missed(b));
	if (!first) return [];
	const path = [first];
	const left = new Set(others);
	while (left.size > 0) {
		const at = path.at(-1) as StitchFrame;
		const order = (one: StitchFrame) => [
			Math.max(Math.abs(one.column - first.column), Math.abs(one.row - first.row)),
			Math.hypot(one.column - at.column, one.row - at.row),
			// clockwise, from the right
			-one.column,
			one.row
		];
		const [next] = [...left].toSorted((a, b) => byOrder(order(a), order(b)));
		if (!next) break;
		path.push(next);
		left.delete(next);
	}
	return path;
}

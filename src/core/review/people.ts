import type { MeasuredFace, MeasuredFrame } from '../format/review';

/** Who is who in the frames of a shot: each face of a frame belongs to one of the people of the set. */

/** A face farther than this from where somebody is looked for is somebody else, in face widths. */
const MOST_AWAY = 1.6;
/** A face so much smaller or larger is somebody else's. */
const MOST_TIMES = 1.5;

/** From ear to ear, m. */
export const EARS_M = 0.14;

/** How far somebody is whose face is so wide, m. */
export const awayBy = (widthPx: number, focalPx: number): number => (EARS_M * focalPx) / widthPx;

export interface FacePlace {
	readonly x: number;
	readonly y: number;
	readonly widthPx: number;
}

export const middleOf = ({ left, right, widthPx }: MeasuredFace): FacePlace => ({
	x: (left.x + right.x) / 2,
	y: (left.y + right.y) / 2,
	widthPx
});

/**
 * For each frame which of the people each of its faces is, numbered from the left of the frame that shows most;
 * null for a face that is nobody's of that frame.
 */
export function peopleIn(frames: readonly Pick<MeasuredFrame, 'faces'>[]): {
	readonly count: number;
	readonly whose: readonly (readonly (number | null)[])[];
} {
	const most = Math.max(0, ...frames.map(({ faces }) => faces.length));
	const first = frames.find(({ faces }) => faces.length === most);
	if (!first || most === 0) return { count: 0, whose: frames.map(() => []) };
	const known = first.faces.map(middleOf).toSorted((a, b) => a.x - b.x);
	return {
		count: most,
		whose: frames.map(({ faces }) => matched(known, faces.map(middleOf)))
	};
}

/** Which of the known places each one is: nearest first, after the whole was moved as it moved between the frames. */
export function matched(
	known: readonly FacePlace[],
	seen: readonly FacePlace[]
): (number | null)[] {
	const moved = bestMove(known, seen);
	const pairs = seen.flatMap((one, i) =>
		known.map((other, k) => ({ i, k, away: away(other, one, moved.x, moved.y) }))
	);
	const whose: (number | null)[] = seen.map(() => null);
	for (const { i, k, away } of pairs.toSorted((a, b) => a.away - b.away)) {
		if (away > MOST_AWAY) break;
		if (whose[i] === null && !whose.includes(k)) whose[i] = k;
	}
	return whose;
}

/** How far a seen place is from a known one after it was moved back, in widths of a face; endless where their sizes differ too much. */
function away(known: FacePlace, seen: FacePlace, movedX: number, movedY: number): number {
	const larger = Math.max(known.widthPx, seen.widthPx);
	if (larger > MOST_TIMES * Math.min(known.widthPx, seen.widthPx)) return Infinity;
	const x = known.x - (seen.x - movedX);
	const y = known.y - (seen.y - movedY);
	return Math.sqrt(x * x + y * y) / larger;
}

/** How far all of them moved together: of the moves that bring one onto another the one that suits most. */
function bestMove(
	known: readonly FacePlace[],
	seen: readonly FacePlace[]
): { x: number; y: number } {
	let best = { x: 0, y: 0, cost: Infinity };
	for (const other of known) {
		for (const one of seen) {
			const [x, y] = [one.x - other.x, one.y - other.y];
			// of two that suit alike the shorter one
			const ofLength = Math.hypot(x, y) / other.widthPx / 100;
			const cost = ofLength + costOf(known, seen, x, y, best.cost - ofLength);
			if (cost < best.cost) best = { x, y, cost };
		}
	}
	return best;
}

/** How badly a move suits everybody together; once that is more than `most`, nobody else is looked at. */
function costOf(
	known: readonly FacePlace[],
	seen: readonly FacePlace[],
	x: number,
	y: number,
	most: number
): number {
	let cost = 0;
	for (const face of seen) {
		let nearest = MOST_AWAY;
		for (const place of known) nearest = Math.min(nearest, away(place, face, x, y));
		cost += nearest;
		if (cost > most) break;
	}
	return cost;
}

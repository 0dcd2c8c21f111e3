import type { MeasuredFrame } from '../format/review';
import type { Body } from '../format/shot';
import { reviewSet, type ReviewedFrame } from '../review/reviewSet';
import type { Score } from './exercise';

/** Focus locked on an eye in the middle, then the camera turned until the eye is at each edge; then upright. */
export interface FourEdges {
	readonly exercise: 'four-edges';
	/** One for each frame. */
	readonly frames: readonly EdgeFrame[];
	/** Edges at which no frame has the eye. */
	readonly missing: readonly EdgePlace[];
	/** Edges with a frame whose eye is sharp. */
	readonly score: Score;
	/** The sharp ones, one for each edge. */
	readonly best: readonly number[];
}

const EDGE_PLACES = ['left', 'right', 'top', 'bottom', 'upright'] as const;
export type EdgePlace = (typeof EDGE_PLACES)[number];

export interface EdgeFrame {
	/** Where the eye is; null where no face was found. */
	readonly place: EdgePlace | 'middle' | null;
	/**
	 * What became of it: sharp, or nearly; focused again on what is behind; soft otherwise, as when the body moved; or
	 * nothing can be told.
	 */
	readonly outcome: 'sharp' | 'nearly' | 'focused-behind' | 'soft' | 'cannot-tell';
	/** How far behind the eye the focus fell, m; only of those focused behind; Infinity: far away. */
	readonly behindM: number | null;
}

/** Closer to the middle than that the eye is at no edge: a share of half the frame. */
const EDGE_FROM = 0.35;
/** Nobody moves so far by accident that the focus falls so far behind: a share of the distance. */
const BEHIND_SHARE = 0.25;

export function fourEdges(frames: readonly MeasuredFrame[], bodies: readonly Body[]): FourEdges {
	const seen = reviewSet(frames, null, bodies).frames.map(edgeFrame);
	const isAt = (place: EdgePlace) => (frame: EdgeFrame) => frame.place === place;
	const best = EDGE_PLACES.flatMap((place) => {
		const found = seen.findIndex((frame) => isAt(place)(frame) && frame.outcome === 'sharp');
		return found < 0 ? [] : [found];
	});
	return {
		exercise: 'four-edges',
		frames: seen,
		missing: EDGE_PLACES.filter((place) => !seen.some(isAt(place))),
		score: { good: best.length, of: EDGE_PLACES.length },
		best
	};
}

function edgeFrame({ faces, fell, depthsM, frame }: ReviewedFrame): EdgeFrame {
	const who = faces.findIndex((face) => face !== null);
	const face = faces[who];
	if (!face) return { place: null, outcome: 'cannot-tell', behindM: null };
	const { widthPx, heightPx } = frame;
	const eye = face.face[face.near];
	const right = (2 * eye.x) / widthPx - 1;
	const up = 1 - (2 * eye.y) / heightPx;
	const place = heightPx > widthPx ? 'upright' : placeOf(right, up);
	if (face.state === null) return { place, outcome: 'cannot-tell', behindM: null };
	if (face.state === 'sharp') return { place, outcome: 'sharp', behindM: null };
	const behindM = focusedBehindM(frame.facts.subjectM, fell, depthsM[who] ?? null);
	if (behindM !== null) return { place, outcome: 'focused-behind', behindM };
	return { place, outcome: face.state === 'marginal' ? 'nearly' : 'soft', behindM };
}

/** @param right of half the frame, from its middle; `up` alike */
function placeOf(right: number, up: number): EdgePlace | 'middle' {
	if (Math.max(Math.abs(right), Math.abs(up)) < EDGE_FROM) return 'middle';
	if (Math.abs(right) >= Math.abs(up)) return right < 0 ? 'left' : 'right';
	return up > 0 ? 'top' : 'bottom';
}

/** How far behind the eye the focus is, by what the file says or else by what was measured, m; null where it is not. */
function focusedBehindM(
	subjectM: number | undefined,
	fell: ReviewedFrame['fell'],
	headM: number | null
): number | null {
	if (headM === null) return null;
	const isFar = (metres: number) => metres > headM * (1 + BEHIND_SHARE);
	if (subjectM !== undefined) return isFar(subjectM) ? subjectM - headM : null;
	return fell && fell.otherwiseM === null && isFar(fell.nearM) ? fell.planeM - headM : null;
}

import type { MeasuredFace, MeasuredFrame, PointedSpot } from '../format/review';
import type { Body, Shot } from '../format/shot';
import type { AskedPerson } from './asked';
import { matched, middleOf, peopleIn } from './people';
import { takenWith } from './scale';

/** Who is in a set: the people of the plan, or faces by number; and what was pointed at. */

/** Somebody of the set. */
export interface SetPerson {
	/** Of the plan, or of what was pointed at; null for a face without a plan. */
	readonly id: string | null;
	readonly name: string;
	readonly counts: boolean;
	/** Something that was pointed at, not a face that was found. */
	readonly isPointed: boolean;
}

/** What was pointed at in a set, in the order in which it was. */
export function pointedIn(frames: readonly MeasuredFrame[]) {
	const ids = frames.flatMap((frame) => frame.pointed.map(({ id }) => id));
	return [...new Set(ids)].map((id, i) => ({
		id,
		person: { id, name: `point ${i + 1}`, counts: true, isPointed: true, asked: null }
	}));
}

/** Half of what is looked at of an eye, over the distance between the eyes. */
const REACH_OVER_EYES = 0.55;

/** Something that was pointed at, as a face with one eye. */
export function asFace({
	id: _id,
	reachPx,
	likeness: _likeness,
	...spot
}: PointedSpot): MeasuredFace {
	const nothing = { x: spot.x, y: spot.y, edges: null, spectrum: null };
	const eye = { ...spot, openness: 1 };
	return {
		eyesPx: reachPx / REACH_OVER_EYES,
		irisPx: 0,
		widthPx: 2 * reachPx,
		landmarks: [],
		left: eye,
		right: eye,
		nose: nothing,
		hair: nothing,
		clipped: 0
	};
}

/** Somebody of the set, with what the plan asks of them. */
export type AskedSetPerson = SetPerson & { readonly asked: AskedPerson | null };

/** The people of a set: those of the plan where it has them, and others by number from the left. */
export function whoIsWho(
	frames: readonly MeasuredFrame[],
	asked: readonly AskedPerson[],
	shot: Shot | null,
	bodies: readonly Body[]
): {
	readonly people: readonly AskedSetPerson[];
	readonly whose: readonly (readonly (number | null)[])[];
} {
	const known = asked.map((one) => ({
		id: one.id,
		name: one.name,
		counts: one.counts,
		isPointed: false,
		asked: one
	}));
	const { count, whose } = peopleIn(frames);
	if (known.length === 0) {
		const people = Array.from({ length: count }, (_, i) => ({
			id: null,
			name: `face ${i + 1}`,
			counts: true,
			isPointed: false,
			asked: null
		}));
		return { people, whose };
	}
	return {
		people: known,
		whose: frames.map((frame) => {
			const lens = takenWith(frame, shot, bodies);
			if (!lens) return frame.faces.map(() => null);
			const places = asked.map(({ aside, above, depthM }) => ({
				x: frame.widthPx / 2 + aside * lens.focalPx,
				y: frame.heightPx / 2 - above * lens.focalPx,
				widthPx: (EARS_M * lens.focalPx) / depthM
			}));
			return matched(places, frame.faces.map(middleOf));
		})
	};
}

/** From ear to ear, m. */
const EARS_M = 0.14;

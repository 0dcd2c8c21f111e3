import type { MeasuredFrame } from '../format/review';
import { nearerAsked, type AskedPerson } from './asked';
import { isHuman } from '../tables/heads';
import { median } from '../numeric/median';
import { EARS_M, awayBy, matched, middleOf, peopleIn, type FacePlace } from './people';
import { isAnyEyePointedAt } from './pointed';
import type { FrameLens } from './scale';

/** Who is in a set: the people of the plan, or faces by number. */

/** Somebody of the set. */
export interface SetPerson {
	/** Id of the person in the plan, or of what was pointed at; null for a face without a plan. */
	readonly id: string | null;
	readonly name: string;
	readonly counts: boolean;
	/** No face, but a thing that was pointed at. */
	readonly isThing: boolean;
	/** An animal of the plan: the models know the faces of people alone, and take some of it for one. */
	readonly isAnimal: boolean;
	/** The eye that is planned to be nearer to the camera; null without a plan. */
	readonly near: 'left' | 'right' | null;
}

/** Somebody of the set, with what the plan asks of them. */
export type AskedSetPerson = SetPerson & { readonly asked: AskedPerson | null };

/** For each face of each frame, which person it is; null for nobody. */
type Whose = readonly (readonly (number | null)[])[];

interface WhoIsWho {
	readonly people: readonly AskedSetPerson[];
	readonly whose: Whose;
}

/**
 * The people of a set: those of the plan, and beside them, by number, whoever else stands there and counts for nothing.
 * Where there is no plan, or nobody of it is in sight but somebody else is, everybody by number.
 */
export function whoIsWho(
	frames: readonly MeasuredFrame[],
	asked: readonly AskedPerson[],
	lenses: readonly (FrameLens | null)[]
): WhoIsWho {
	const whose = frames.map((frame, i) => plannedIn(frame, asked, lenses[i] ?? null));
	const isFound =
		whose.some((faces) => faces.some((person) => person !== null)) ||
		isAnyEyePointedAt(frames, asked);
	const isNobody = !isFound && frames.some(({ faces }) => faces.length > 0);
	if (asked.length === 0 || isNobody) {
		const { count, whose } = peopleIn(frames);
		return { people: numbered(count, true), whose };
	}
	const planned = asked.map((one) => ({
		id: one.id,
		name: one.name,
		counts: one.counts,
		isThing: false,
		isAnimal: !isHuman(one.build),
		near: nearerAsked(one),
		asked: one
	}));
	const others = othersIn(frames, whose, planned.length);
	return { people: [...planned, ...numbered(others.count, false)], whose: others.whose };
}

const numbered = (count: number, counts: boolean): AskedSetPerson[] =>
	Array.from({ length: count }, (_, i) => ({
		id: null,
		name: `face ${i + 1}`,
		counts,
		isThing: false,
		isAnimal: false,
		near: null,
		asked: null
	}));

/** Whether somebody stands there who is not of the plan. */
export const isStranger = ({ id, counts }: SetPerson): boolean => id === null && !counts;

/** A face so much smaller than those of the plan passes by far behind them. */
const LEAST_OF_PLANNED = 0.5;

/** Faces that are nobody's of a plan, numbered after its people. */
function othersIn(frames: readonly MeasuredFrame[], planned: Whose, count: number) {
	const isPlanned = (frame: number, face: number) => planned[frame]?.[face] !== null;
	const sizes = frames.flatMap(({ faces }, i) =>
		faces.flatMap(({ widthPx }, k) => (isPlanned(i, k) ? [widthPx] : []))
	);
	const leastPx = sizes.length === 0 ? 0 : LEAST_OF_PLANNED * median(sizes);
	/** Places of those that are nobody's among the faces of each frame. */
	const places = frames.map(({ faces }, i) =>
		faces.flatMap(({ widthPx }, k) => (!isPlanned(i, k) && widthPx >= leastPx ? [k] : []))
	);
	const others = peopleIn(
		frames.map(({ faces }, i) => ({ faces: faces.filter((_, k) => places[i]?.includes(k)) }))
	);
	const whose = planned.map((faces, i) =>
		faces.map((person, k) => {
			const other = others.whose[i]?.[places[i]?.indexOf(k) ?? -1] ?? null;
			return other === null ? person : count + other;
		})
	);
	return { count: others.count, whose };
}

/** Which of the people of a plan each face of a frame is, from nearer or from farther than planned, too. */
function plannedIn(
	frame: MeasuredFrame,
	asked: readonly AskedPerson[],
	lens: FrameLens | null
): (number | null)[] {
	if (!lens || asked.length === 0 || frame.faces.length === 0) return frame.faces.map(() => null);
	const { focalPx } = lens;
	const seen = frame.faces.map(middleOf);
	const from = (fartherM: number) =>
		asked.map(({ aside, above, depthM }): FacePlace => {
			const pxPerM = focalPx / Math.max(NEAREST_M, depthM + fartherM);
			return {
				x: frame.widthPx / 2 + aside * depthM * pxPerM,
				y: frame.heightPx / 2 - above * depthM * pxPerM,
				widthPx: EARS_M * pxPerM
			};
		});
	const asPlanned = matched(from(0), seen);
	if (countOf(asPlanned) === Math.min(asked.length, seen.length)) return asPlanned;
	const seenM = median(seen.map(({ widthPx }) => awayBy(widthPx, focalPx)));
	const plannedM = median(asked.map(({ depthM }) => depthM));
	const fromThere = matched(from(seenM - plannedM), seen);
	return countOf(fromThere) > countOf(asPlanned) ? fromThere : asPlanned;
}

/** No lens that takes people focuses nearer, m. */
const NEAREST_M = 0.2;

const countOf = (whose: readonly (number | null)[]): number =>
	whose.filter((one) => one !== null).length;

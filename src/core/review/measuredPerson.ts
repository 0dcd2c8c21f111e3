import type { MeasuredFace, MeasuredSpot } from '../format/review';
import {
	blurInSet,
	blursTogether,
	spreadsInSet,
	withoutStreak,
	type BlurInSet,
	type SpreadInSet
} from '../measure/inSet';
import { nearerAsked, type AskedPerson } from './asked';
import { seenHead, type SeenHead } from './heads';
import type { FrameLens } from './scale';
import { areShut, areUnlike, opennessOf } from './shutEyes';
import { PLANNED_VANTAGE, HEAD_SHARE, type Vantage } from './vantage';
import { discBy, type BlurAt, type FocusFell, type TakenWith } from './whereFocusFell';

/** What was measured of one person in the frames of a set. */

/** Parts of a face that are measured. */
export const FACE_PARTS = ['left', 'right', 'nose', 'hair'] as const;
export type FacePart = (typeof FACE_PARTS)[number];

/** With a face turned less than this, neither eye counts as the nearer one, degrees. */
const STRAIGHT_DEG = 6;
/** An eye that tells nothing itself is taken to be as blurred as the rest of the frame says, to so much, px. */
const UNSURE_PX = 1;
/** An eye that was pointed at is alone: of a face whose eyes are nearer to each other it shows streaks by chance, px. */
const SMALL_PX = 100;
/** How far people move from where they were planned, and a camera that stands where it was: a few fingers' breadth, m. */
const MOVED_M = 0.03;

/** How blurred each part is; null where noise, or being too small or too plain, hides it. */
export type PartBlurs = Readonly<Record<FacePart, BlurInSet | null>>;

/** What was measured of somebody in a frame, before the frame says where its focus fell. */
export interface MeasuredPerson {
	readonly face: MeasuredFace;
	readonly blurs: PartBlurs;
	readonly near: 'left' | 'right';
	readonly isShut: boolean;
	readonly isPointed: boolean;
	/** Depth of the eyes, m, and how far off it may be; null where the file does not say its lens. */
	readonly headM: number | null;
	readonly sigmaM: number;
	readonly head: Pick<SeenHead, 'depthOf'> | null;
}

/** A face of a frame. */
export interface LookedAt {
	readonly face: MeasuredFace;
	/** It was pointed at, not found. */
	readonly isPointed: boolean;
	/** How like an open one an eye is that was pointed at elsewhere; null where that is not known. */
	readonly openLikeness: number | null;
}

/** Lids have no edges to speak of: shut eyes say nothing of their blur. */
const shutSpot = (spot: MeasuredSpot): MeasuredSpot => ({ ...spot, edges: null, spectrum: null });

/** With which lens a frame was taken, null where that is not known, and from where. */
export interface FrameCamera {
	readonly lens: FrameLens | null;
	readonly vantage: Vantage;
}

const UNKNOWN: FrameCamera = { lens: null, vantage: PLANNED_VANTAGE };

/**
 * One person in each frame of a set; null where they were not found.
 * @param taken what each frame was taken with, and from where
 */
export function measuredPerson(
	faces: readonly (LookedAt | null)[],
	taken: readonly FrameCamera[],
	asked: AskedPerson | null
): (MeasuredPerson | null)[] {
	const present = faces.flatMap((one, i) => (one ? [{ ...one, i }] : []));
	const shutLids = areShut(
		present.map(({ face, isPointed }) => (isPointed ? null : opennessOf(face)))
	);
	const unlike = areUnlike(present.map(({ openLikeness }) => openLikeness));
	const shut = present.map((_, k) => (shutLids[k] ?? false) || (unlike[k] ?? false));
	const spreadsOf = (part: FacePart) =>
		spreadsInSet(
			present.map(({ face }, k): MeasuredSpot =>
				shut[k] && part !== 'nose' && part !== 'hair' ? shutSpot(face[part]) : face[part]
			)
		);
	const spreads = Object.fromEntries(FACE_PARTS.map((part) => [part, spreadsOf(part)] as const));
	const measured: (MeasuredPerson | null)[] = faces.map(() => null);
	present.forEach((one, k) => {
		const blurs = blursOf(one, (part) => spreads[part]?.[k] ?? null);
		measured[one.i] = {
			face: one.face,
			blurs,
			isShut: shut[k] ?? false,
			isPointed: one.isPointed,
			...standingOf(one, blurs, taken[one.i] ?? UNKNOWN, asked)
		};
	});
	return measured;
}

/** How blurred each part is. Of small eyes that were pointed at a streak is left out. */
function blursOf(
	{ face, isPointed }: LookedAt,
	spreadOf: (part: FacePart) => SpreadInSet | null
): PartBlurs {
	const eyeOf = (side: 'left' | 'right') => {
		const eye = spreadOf(side);
		return eye && isPointed && face.eyesPx < SMALL_PX ? withoutStreak(eye) : eye;
	};
	const [left = null, right = null] = blursTogether([eyeOf('left'), eyeOf('right')], face.eyesPx);
	const blurOf = (part: FacePart) => {
		const spread = spreadOf(part);
		return spread && blurInSet(spread, face.eyesPx);
	};
	return { left, right, nose: blurOf('nose'), hair: blurOf('hair') };
}

/** How deep somebody stood and how their head was turned: as its points say where it was found, else as it was planned. */
function standingOf(
	{ face, isPointed }: LookedAt,
	blurs: PartBlurs,
	{ lens, vantage }: FrameCamera,
	asked: AskedPerson | null
): Pick<MeasuredPerson, 'near' | 'headM' | 'sigmaM' | 'head'> {
	const seen = lens && !isPointed ? seenHead(face, lens.focalPx, asked?.build ?? 'adult') : null;
	const planned = isPointed ? asked : null;
	const turnDeg = seen?.turnDeg ?? face.turn?.deg ?? 0;
	const headM = asked ? asked.depthM + vantage.fartherM : (seen?.depthM ?? null);
	return {
		near: planned ? nearerAsked(planned) : nearEye(turnDeg, blurs),
		headM,
		sigmaM: asked ? Math.hypot(MOVED_M, asked.sigmaM, vantage.sigmaM) : HEAD_SHARE * (headM ?? 0),
		head: planned ? plannedHead(planned) : seen
	};
}

/** A head that was not found is turned as it was planned. */
const plannedHead = ({ behindM }: AskedPerson): MeasuredPerson['head'] => ({
	depthOf: (landmark, headM) => headM + behindM[landmark]
});

/** Eyes whose depth is known. */
export const pointsOf = (people: readonly (MeasuredPerson | null)[]): BlurAt[] =>
	people.flatMap((one) =>
		one
			? EYES.flatMap((side) => {
					const blur = one.blurs[side];
					const depthM = depthOfEye(one, side);
					if (!blur || depthM === null) return [];
					// both eyes of a head are off together: two of them must not seem twice as sure
					const sigmaM = Math.SQRT2 * one.sigmaM;
					return [{ depthM, sigmaM, discPx: blur.discPx, sigmaPx: blur.sigmaPx }];
				})
			: []
	);

const EYES = ['left', 'right'] as const;

const depthOfEye = ({ head, headM }: MeasuredPerson, side: 'left' | 'right'): number | null =>
	head && headM !== null ? head.depthOf(`${side}-eye`, headM) : null;

/** The same with the blur of the eyes as the whole frame has it: by their own, and by where its focus fell. */
export function withFocus(one: MeasuredPerson, fell: FocusFell, lens: TakenWith): MeasuredPerson {
	const settled = EYES.map((side) => {
		const blur = one.blurs[side];
		const depthM = depthOfEye(one, side);
		if (depthM === null || fell.otherwiseM !== null) return [side, blur] as const;
		const by = discBy(fell, lens, depthM, one.sigmaM);
		if (!blur) {
			const isSure = by.sigmaPx < UNSURE_PX;
			return [
				side,
				isSure ? { ...by, streakPx: 0, angle: 0, order: by.discPx ** 2 } : null
			] as const;
		}
		const [own, others] = [1 / blur.sigmaPx ** 2, 1 / by.sigmaPx ** 2];
		const discPx = (blur.discPx * own + by.discPx * others) / (own + others);
		return [side, { ...blur, discPx, sigmaPx: 1 / Math.sqrt(own + others) }] as const;
	});
	return {
		...one,
		blurs: { ...one.blurs, ...(Object.fromEntries(settled) as Pick<PartBlurs, 'left' | 'right'>) }
	};
}

/** The person's right eye is the nearer where the face turns to the right of the frame. */
function nearEye(turnDeg: number, { left, right }: PartBlurs): 'left' | 'right' {
	if (Math.abs(turnDeg) > STRAIGHT_DEG) return turnDeg > 0 ? 'right' : 'left';
	if (left && right) return left.order <= right.order ? 'left' : 'right';
	return left ? 'left' : 'right';
}

import type { MeasuredFace, MeasuredFrame, PointedSpot } from '../format/review';
import type { Body, Shot } from '../format/shot';
import { HEADS, isHuman } from '../tables/heads';
import { askedOf, nearerAsked, type AskedPerson } from './asked';
import { takenWith } from './scale';
import { SHUT_LIKENESS } from './shutEyes';
import type { LookedAt } from './measuredPerson';
import type { Vantage } from './vantage';

/** What was pointed at in the frames of a set: things, and eyes of people whose faces are not found. */

/** Half of what is looked at of an eye, over the distance between the eyes. */
export const REACH_OVER_EYES = 0.55;

/** Half of what is looked at around anything else: a share of the picture, and px. */
const REACH_SHARE = 0.015;
const LEAST_REACH_PX = 24;

/** Half of what is looked at of a thing in a frame, px. */
export const reachOfThingPx = ({ widthPx, heightPx }: MeasuredFrame): number =>
	Math.max(LEAST_REACH_PX, REACH_SHARE * Math.max(widthPx, heightPx));

/** Half of what is looked at of somebody's eye in a frame, px: by how large it is from there, where the lens is known. */
export function reachOfEyePx(
	frame: MeasuredFrame,
	personId: string,
	shot: Shot,
	bodies: readonly Body[],
	{ fartherM }: Vantage
): number {
	const lens = takenWith(frame, shot, bodies);
	const asked = askedOf(shot).find(({ id }) => id === personId);
	if (!lens || !asked) return reachOfThingPx(frame);
	const eyesMm = 2 * HEADS[asked.build]['left-eye'][0];
	const eyesPx = ((eyesMm / 1000) * lens.focalPx) / (asked.depthM + fartherM);
	return Math.max(LEAST_REACH_PX, REACH_OVER_EYES * eyesPx);
}

/** Things that were pointed at in a set, in the order in which they were; the eyes of its people are theirs. */
export function thingsPointedAt(frames: readonly MeasuredFrame[], asked: readonly AskedPerson[]) {
	const ids = frames.flatMap((frame) =>
		frame.pointed.flatMap((spot) => (isOfSomebody(spot, asked) ? [] : [spot.id]))
	);
	return [...new Set(ids)].map((id, i) => ({
		id,
		person: {
			...{ id, name: `point ${i + 1}`, counts: true, isThing: true },
			...{ isAnimal: false, near: null, asked: null }
		}
	}));
}

const isOfSomebody = ({ personId }: PointedSpot, asked: readonly AskedPerson[]): boolean =>
	asked.some(({ id }) => id === personId);

/** Whether the eye of somebody of a plan was pointed at. */
export const isAnyEyePointedAt = (
	frames: readonly MeasuredFrame[],
	asked: readonly AskedPerson[]
): boolean => frames.some(({ pointed }) => pointed.some((spot) => isOfSomebody(spot, asked)));

/** A thing that was pointed at, as a face; null where it is not in a frame. */
export function thingIn(frame: MeasuredFrame, spotId: string): LookedAt | null {
	const spot = frame.pointed.find(({ id }) => id === spotId);
	return spot ? asFace(spot, ['left', 'right']) : null;
}

/** Somebody's nearer eye that was pointed at, the last time, as a face with that eye; null where it is not in a frame. */
export function eyeIn(frame: MeasuredFrame, asked: AskedPerson): LookedAt | null {
	const spot = frame.pointed.findLast(({ personId }) => personId === asked.id);
	if (!spot) return null;
	const looked = asFace(spot, [nearerAsked(asked)]);
	// nobody asks whether animals blink
	return isHuman(asked.build) ? looked : { ...looked, openLikeness: null };
}

type Side = 'left' | 'right';

/** Blurred by more than that, over half of what is looked at, an open eye looks like a shut one. */
const MOST_BLURRED = 0.15;

function asFace(spot: PointedSpot, sides: readonly Side[]): LookedAt {
	const { x, y, edges, reachPx } = spot;
	const blurPx = edges ? Math.sqrt((edges.xx + edges.yy) / 2) : 0;
	const openLikeness = blurPx < MOST_BLURRED * reachPx ? (spot.openLikeness ?? null) : null;
	// what looks otherwise cannot be compared: without its spark of light even a sharp eye seems blurred
	const isAlike = (spot.openLikeness ?? 1) >= SHUT_LIKENESS;
	const spectrum = isAlike || !edges ? spot.spectrum : null;
	const nothing = { x, y, edges: null, spectrum: null };
	const eye = (side: Side) => ({
		...(sides.includes(side) ? { x, y, edges, spectrum } : nothing),
		openness: 1
	});
	const face: MeasuredFace = {
		eyesPx: reachPx / REACH_OVER_EYES,
		irisPx: 0,
		widthPx: 2 * reachPx,
		landmarks: [],
		left: eye('left'),
		right: eye('right'),
		nose: nothing,
		hair: nothing,
		clipped: 0
	};
	return { face, isPointed: true, openLikeness };
}

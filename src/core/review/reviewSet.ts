import type { MeasuredFace, MeasuredFrame } from '../format/review';
import type { State } from '../format/plan';
import type { Body, Shot } from '../format/shot';
import { blurPx } from '../measure/spread';
import { stateOf } from '../sharpness/state';
import { askedOf, type AskedPerson } from './asked';
import { fewestFrames } from './fewestFrames';
import {
	measuredPerson,
	pointsOf,
	withFocus,
	type PartBlurs,
	type LookedAt,
	type MeasuredPerson,
	type FacePart,
	type FrameCamera
} from './measuredPerson';
import { takenWith, tolerancePx } from './scale';
import { eyeIn, thingIn, thingsPointedAt } from './pointed';
import { isStranger, whoIsWho, type AskedSetPerson, type SetPerson } from './setPeople';
import { PLANNED_VANTAGE, vantageOf, type Vantage } from './vantage';
import { whereFocusFell, type FocusFell } from './whereFocusFell';

/** The frames of one shot, judged together. */

/** A face in one frame. */
export interface ReviewedFace {
	readonly face: MeasuredFace;
	readonly blurs: PartBlurs;
	/** The eye nearer to the camera. */
	readonly near: 'left' | 'right';
	readonly isShut: boolean;
	/** It was pointed at, not found. */
	readonly isPointed: boolean;
	/** Blur of the eyes that count over what is allowed, the worst of them; null: cannot tell. */
	readonly ratio: number | null;
	readonly state: State | null;
	readonly isGood: boolean;
}

export interface ReviewedFrame {
	readonly frame: MeasuredFrame;
	/** In the order of the people; null for who was not found in it. */
	readonly faces: readonly (ReviewedFace | null)[];
	readonly tolerancePx: number;
	/** Whether all who count are sharp; and have their eyes open. */
	readonly isSharp: boolean;
	readonly isGood: boolean;
	/** Whether anybody who counts was found in it. */
	readonly isTold: boolean;
	/** Of all who count; null where nobody's blur is known. */
	readonly worst: State | null;
	readonly fell: FocusFell | null;
	/** Who is sharpest, and which part of them; null where nothing is known. */
	readonly inFocus: { readonly person: number; readonly part: FacePart } | null;
	/** Mean depth of each person, m; null where it is not known. */
	readonly depthsM: readonly (number | null)[];
	/** From how far it was taken. */
	readonly vantage: Vantage;
}

export interface ReviewedSet {
	readonly people: readonly SetPerson[];
	readonly frames: readonly ReviewedFrame[];
	/** Who was found in any of the frames: indices. */
	readonly found: readonly number[];
	/** The fewest frames that hold everybody, the best first: indices. */
	readonly fewest: readonly number[];
}

/** Judges the frames of a shot; without a plan everybody counts, by the nearer eye. */
export function reviewSet(
	frames: readonly MeasuredFrame[],
	shot: Shot | null,
	bodies: readonly Body[]
): ReviewedSet {
	const asked = shot ? askedOf(shot) : [];
	const lenses = frames.map((frame) => takenWith(frame, shot, bodies));
	const { people: faced, whose } = whoIsWho(frames, asked, lenses);
	const things = thingsPointedAt(frames, asked);
	const people: AskedSetPerson[] = [...faced, ...things.map(({ person }) => person)];
	const foundFace = (person: number, i: number): MeasuredFace | null =>
		frames[i]?.faces[whose[i]?.indexOf(person) ?? -1] ?? null;
	const pointedFace = (person: number, frame: MeasuredFrame): LookedAt | null => {
		const thing = things[person - faced.length];
		if (thing) return thingIn(frame, thing.id);
		const asked = people[person]?.asked;
		return asked ? eyeIn(frame, asked) : null;
	};
	const taken = lenses.map((lens, i): FrameCamera => {
		const planned = people.flatMap(({ asked }, person) => {
			const face = foundFace(person, i);
			return asked && face ? [{ asked, face }] : [];
		});
		return { lens, vantage: lens ? vantageOf(planned, lens.focalPx) : PLANNED_VANTAGE };
	});
	const judged = people.map((one, person) => {
		const faces = frames.map((frame, i): LookedAt | null => {
			const face = foundFace(person, i);
			const found = face && { face, isPointed: false, openLikeness: null };
			const pointed = pointedFace(person, frame);
			return one.isAnimal ? (pointed ?? found) : (found ?? pointed);
		});
		return measuredPerson(faces, taken, one.asked);
	});
	const found = people.flatMap((_, i) => (judged[i]?.some((face) => face) ? [i] : []));
	const reviewed = frames.map((frame, i): ReviewedFrame => {
		const measured = judged.map((one) => one[i] ?? null);
		const { lens, vantage } = taken[i] as FrameCamera;
		// how large the heads of strangers are nobody knows: a child among them would pull the focus away
		const known = measured.filter((_, person) => !isStranger(people[person] as SetPerson));
		const fell = lens && whereFocusFell(pointsOf(known), lens);
		const allowedPx = tolerancePx(frame, shot);
		const faces = measured.map((one, person) => {
			const settled = one && lens && fell ? withFocus(one, fell, lens) : one;
			return settled && judgedFace(settled, people[person]?.asked ?? null, allowedPx);
		});
		const counted = faces.filter((_, person) => people[person]?.counts);
		const ratios = counted.flatMap((face) => face?.ratio ?? []);
		// who is planned and in none of the frames is nobody's fault
		const seen = found.flatMap((person) => (people[person]?.counts ? [faces[person] ?? null] : []));
		return {
			frame,
			faces,
			tolerancePx: allowedPx,
			isSharp: seen.length > 0 && seen.every((face) => face?.state === 'sharp'),
			isGood: seen.length > 0 && seen.every((face) => face?.isGood),
			isTold: counted.some((face) => face !== null),
			worst: ratios.length > 0 ? stateOf(Math.max(...ratios)) : null,
			fell,
			inFocus: inFocusOf(faces),
			depthsM: measured.map((one) => one?.headM ?? null),
			vantage
		};
	});
	const good = reviewed.map(({ faces }) =>
		faces.map((face, person) => (people[person]?.counts && face?.isGood) ?? false)
	);
	return { people, frames: reviewed, found, fewest: fewestFrames(good) };
}

function judgedFace(
	{ face, blurs, near, isShut, isPointed }: MeasuredPerson,
	asked: AskedPerson | null,
	tolerancePx: number
): ReviewedFace {
	const factors = asked ?? { left: near === 'left' ? 1 : null, right: near === 'right' ? 1 : null };
	const ratios = ratiosOf(blurs, factors, tolerancePx);
	// of an eye that was pointed at the other one may be out of sight
	const told = isPointed ? ratios.filter((one) => one !== null) : ratios;
	const ratio = told.length === 0 || told.includes(null) ? null : Math.max(...(told as number[]));
	const state = ratio === null ? null : stateOf(ratio);
	const isGood = state === 'sharp' && !isShut;
	return { face, blurs, near, isShut, isPointed, ratio, state, isGood };
}

/** Of the eyes of which something is asked; null for one of which nothing is known. */
function ratiosOf(
	blurs: PartBlurs,
	factors: { readonly left: number | null; readonly right: number | null },
	tolerancePx: number
): (number | null)[] {
	return (['left', 'right'] as const).flatMap((side) => {
		const factor = factors[side];
		const blur = blurs[side];
		if (factor === null) return [];
		return blur ? [blurPx(blur) / (factor * tolerancePx)] : [null];
	});
}

/** What is sharpest; an eye, unless a nose or hair is sharper by more than either may be off. */
function inFocusOf(faces: readonly (ReviewedFace | null)[]): ReviewedFrame['inFocus'] {
	const sharpestOf = (parts: readonly FacePart[]) =>
		faces
			.flatMap((face, person) =>
				parts.flatMap((part) => {
					const blur = face?.blurs[part];
					return blur ? [{ person, part, px: blurPx(blur), sigmaPx: blur.sigmaPx }] : [];
				})
			)
			.reduce<{ person: number; part: FacePart; px: number; sigmaPx: number } | null>(
				(a, b) => (a && a.px <= b.px ? a : b),
				null
			);
	const [eye, other] = [sharpestOf(['left', 'right']), sharpestOf(['nose', 'hair'])];
	const isOther = other && (!eye || other.px + Math.hypot(other.sigmaPx, eye.sigmaPx) < eye.px);
	const found = isOther ? other : eye;
	return found && { person: found.person, part: found.part };
}

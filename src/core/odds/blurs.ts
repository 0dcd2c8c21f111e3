import { bendFactor, vergenceOfImage } from '../optics/focus';
import type { Conditions } from './conditions';
import { awayIn, type Movement } from './movement';
import { WorstPoints, type Seen } from './worstPoints';

/** What becomes of targets in frames: section 8 of the model, each as a square over what is allowed. */

/** What chance did in every frame. */
export interface Happened {
	/** Where the lens is focused, mm behind it; camera forward, m; how many times as much shake. */
	readonly imageMm: Float64Array;
	readonly cameraM: Float64Array;
	readonly shake: Float64Array;
	readonly people: readonly Movement[];
	/** Of targets that are nobody's. */
	readonly still: Movement;
}

/** Of every target of every frame, frame by frame. */
export interface Blurs {
	/** The defocus at f/1. */
	readonly disc: Float64Array;
	/** What motion and shake add in a second. */
	readonly streak: Float64Array;
}

/** Of all targets. */
export function blursOf(conditions: Conditions, happened: Happened): Blurs {
	const frames = happened.imageMm.length;
	const { length: targets } = conditions.targets;
	const disc = new Float64Array(frames * targets);
	const streak = new Float64Array(frames * targets);
	lookAtAll(
		lookingAt(conditions, happened),
		frames,
		targets,
		({ discs, streaks }, target, first, count) => {
			for (let i = 0; i < count; i++) {
				const at = (first + i) * targets + target;
				disc[at] = discs[i] as number;
				streak[at] = streaks[i] as number;
			}
		}
	);
	return { disc, streak };
}

/** Of those that mostly decide: the others are not kept, but looked at again where they may. */
export function worstPointsOf(conditions: Conditions, happened: Happened): WorstPoints {
	const frames = happened.imageMm.length;
	const targets = worstFirst(conditions);
	const look = lookingAt({ ...conditions, targets }, happened);
	const again = targets.map(() => roomFor(1));
	const worst = new WorstPoints(frames, (frame) => {
		again.forEach((room, target) => look(target, frame, 1, room));
		return again;
	});
	lookAtAll(look, frames, targets.length, (seen, _, first, count) => worst.add(seen, first, count));
	return worst;
}

/** Targets by how far from the plane they are: the others seldom are the worst after those. */
function worstFirst({ targets, planeM }: Conditions): Conditions['targets'] {
	const off = ({ depthM, allowedMm }: Conditions['targets'][number]) =>
		Math.abs(1 / depthM - 1 / planeM) / allowedMm;
	return targets.toSorted((a, b) => off(b) - off(a));
}

/** Where what is seen of a target is put, with how far it moved, away from the camera, m. */
interface Room extends Seen {
	readonly awayM: Float64Array;
}
/** Looks at a target in some frames. */
type Look = (target: number, first: number, count: number, room: Room) => void;

const roomFor = (frames: number): Room => ({
	awayM: new Float64Array(frames),
	discs: new Float64Array(frames),
	streaks: new Float64Array(frames)
});

/** So many frames at a time, so that what all targets share stays in the processor's nearest memory. */
const FRAMES_AT_ONCE = 128;

/**
 * Looks at all targets in a few frames, then in the next ones.
 *
 * @param take is given what is seen of each; the next one overwrites it
 */
function lookAtAll(
	look: Look,
	frames: number,
	targets: number,
	take: (seen: Seen, target: number, first: number, count: number) => void
): void {
	const room = roomFor(FRAMES_AT_ONCE);
	for (let first = 0; first < frames; first += FRAMES_AT_ONCE) {
		const count = Math.min(FRAMES_AT_ONCE, frames - first);
		for (let target = 0; target < targets; target++) {
			look(target, first, count, room);
			take(room, target, first, count);
		}
	}
}

/** The camera in every frame. */
interface Camera {
	readonly focalMm: number;
	readonly fieldBend: number;
	/** Image distance, m, and what is in focus there on the axis, per m. */
	readonly imageM: Float64Array;
	readonly planePerM: Float64Array;
	/** Forward, m. */
	readonly forwardM: Float64Array;
	/** The square of the shake, (mm/s)². */
	readonly shake2: Float64Array;
}

function lookingAt(
	conditions: Conditions,
	{ imageMm, cameraM, shake, people, still }: Happened
): Look {
	const { focalMm, fieldBend, shakeMmPerS, targets } = conditions;
	const camera: Camera = {
		focalMm,
		fieldBend,
		imageM: imageMm.map((one) => one / 1000),
		planePerM: imageMm.map((one) => vergenceOfImage(focalMm, one)),
		forwardM: cameraM,
		shake2: shake.map((one) => (shakeMmPerS * one) ** 2)
	};
	return (place, first, count, room) => {
		const target = targets[place] as Conditions['targets'][number];
		lookAt(camera, target, people[target.owner] ?? still, first, count, room);
	};
}

function lookAt(
	{ focalMm, fieldBend, imageM, planePerM, forwardM, shake2 }: Camera,
	{ depthM, asideM, allowedMm }: Conditions['targets'][number],
	movement: Movement,
	first: number,
	count: number,
	{ awayM, discs, streaks }: Room
): void {
	const { speedMmPerS, times } = movement;
	awayIn(movement, first, count, awayM);
	const perAllowed = 1 / (allowedMm * allowedMm);
	for (let i = 0; i < count; i++) {
		const frame = first + i;
		const behindM = imageM[frame] as number;
		const perM = 1 / (depthM + (awayM[i] as number) - (forwardM[frame] as number));
		const flatPerM = planePerM[frame] as number;
		const surfacePerM =
			fieldBend === 0
				? flatPerM
				: flatPerM / bendFactor(fieldBend, 1 / Math.hypot(1, asideM * perM));
		const width = focalMm * behindM * (perM - surfacePerM);
		const run = speedMmPerS * (times[frame] as number) * behindM * perM;
		discs[i] = width * width * perAllowed;
		streaks[i] = ((shake2[frame] as number) + run * run) * perAllowed;
	}
}

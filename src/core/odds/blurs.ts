import { fieldCurvatureFactor, vergenceOfImage } from '../optics/focus';
import type { Conditions } from './conditions';
import { WorstPoints } from './worstPoints';

/** What becomes of targets in frames: section 8 of the model, each as a square over what is allowed. */

/** What chance did in every frame. */
export interface Happened {
	/** Where the lens is focused, mm behind it; camera forward, m; how many times as much shake. */
	readonly imageMm: Float64Array;
	readonly cameraM: Float64Array;
	readonly shake: Float64Array;
	/** For each person: how far they are from where the plan has them, m, and how much faster they move, as a factor. */
	readonly personM: Float64Array[];
	readonly times: Float64Array[];
}

/** The blurs of every target, frame by frame. */
export interface FrameBlurs {
	/** The defocus at f/1. */
	readonly disc: Float64Array;
	/** What motion and shake add in a second. */
	readonly streak: Float64Array;
}

/** The blurs of all targets. */
export function blursOf(conditions: Conditions, happened: Happened): FrameBlurs {
	const { length: count } = conditions.targets;
	const frames = happened.imageMm.length;
	const disc = new Float64Array(frames * count);
	const streak = new Float64Array(frames * count);
	const look = lookingAt(conditions, happened, conditions.targets);
	for (let frame = 0; frame < frames; frame++) {
		const [from, to] = [frame * count, (frame + 1) * count];
		look(frame, disc.subarray(from, to), streak.subarray(from, to));
	}
	return { disc, streak };
}

/** The blurs of the targets that may decide, without keeping the others. */
export function worstPointsOf(conditions: Conditions, happened: Happened): WorstPoints {
	const frames = happened.imageMm.length;
	const order = worstFirst(conditions);
	const worst = new WorstPoints(frames, order.length);
	const disc = new Float64Array(order.length);
	const streak = new Float64Array(order.length);
	const look = lookingAt(conditions, happened, order);
	for (let frame = 0; frame < frames; frame++) {
		look(frame, disc, streak);
		worst.keep(frame, disc, streak);
	}
	return worst;
}

/** Targets by how far from the plane they are: the others are passed over soonest after those. */
function worstFirst({ targets, planeM }: Conditions): Conditions['targets'] {
	const off = ({ depthM, allowedMm }: Conditions['targets'][number]) =>
		Math.abs(1 / depthM - 1 / planeM) / allowedMm;
	return targets.toSorted((a, b) => off(b) - off(a));
}

/** What is called to look at targets in a frame, and puts down their defocus at f/1 and their streak in a second. */
function lookingAt(
	{ people, focalMm, fieldCurvature, shakeMmPerS }: Conditions,
	{ imageMm: images, cameraM: forward, shake, personM, times }: Happened,
	targets: Conditions['targets']
): (frame: number, disc: Float64Array, streak: Float64Array) => void {
	const still = new Float64Array(images.length);
	const all = targets.map(({ depthM, asideM, allowedMm, owner }) => ({
		depthM,
		asideM,
		perAllowed: 1 / (allowedMm * allowedMm),
		away: personM[owner] ?? still,
		times: times[owner] ?? still,
		speed: people[owner]?.speedMmPerS ?? 0
	}));
	return (frame, disc, streak) => {
		const imageM = (images[frame] as number) / 1000;
		const planePerM = vergenceOfImage(focalMm, images[frame] as number);
		const cameraM = forward[frame] as number;
		const shaken = (shakeMmPerS * (shake[frame] as number)) ** 2;
		for (let i = 0; i < all.length; i++) {
			const one = all[i] as (typeof all)[number];
			const perM = 1 / (one.depthM + (one.away[frame] as number) - cameraM);
			const surfacePerM =
				fieldCurvature === 0
					? planePerM
					: planePerM / fieldCurvatureFactor(fieldCurvature, 1 / Math.hypot(1, one.asideM * perM));
			const width = focalMm * imageM * (perM - surfacePerM);
			const run = one.speed * (one.times[frame] as number) * imageM * perM;
			disc[i] = width * width * one.perAllowed;
			streak[i] = (shaken + run * run) * one.perAllowed;
		}
	};
}

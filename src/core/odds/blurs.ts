import { bendFactor, vergenceOfImage } from '../optics/focus';
import type { Conditions } from './conditions';
import { WorstPoints } from './worstPoints';

/** What becomes of targets in frames: section 8 of the model, each as a square over what is allowed. */

/** What chance did in every frame. */
export interface Happened {
	/** Where the lens is focused, mm behind it; camera forward, m; how many times as much shake. */
	readonly imageMm: Float64Array;
	readonly cameraM: Float64Array;
	readonly shake: Float64Array;
	/** Of each person: how far away from where the plan has them, m, and how many times as fast. */
	readonly personM: Float64Array[];
	readonly times: Float64Array[];
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
	const { length: count } = conditions.targets;
	const frames = happened.imageMm.length;
	const disc = new Float64Array(frames * count);
	const streak = new Float64Array(frames * count);
	const all = conditions.targets.map((_, i) => i);
	eachBlur(conditions, happened, all, (frame, target, ownDisc, ownStreak) => {
		disc[frame * count + target] = ownDisc;
		streak[frame * count + target] = ownStreak;
	});
	return { disc, streak };
}

/** Of the targets that decide, without keeping the others. */
export function worstPointsOf(conditions: Conditions, happened: Happened): WorstPoints {
	const worst = new WorstPoints(happened.imageMm.length);
	const order = worstFirst(conditions);
	const last = order.at(-1);
	eachBlur(conditions, happened, order, (_frame, target, disc, streak) => {
		worst.add(disc, streak);
		if (target === last) worst.close();
	});
	return worst;
}

/** Targets by how far from the plane they are: the others are passed over soonest after those. */
function worstFirst({ targets, planeM }: Conditions): readonly number[] {
	const off = targets.map(({ depthM, allowedMm }) => Math.abs(1 / depthM - 1 / planeM) / allowedMm);
	return targets.map((_, i) => i).sort((a, b) => (off[b] as number) - (off[a] as number));
}

/** Looks at targets in an order, frame by frame. */
function eachBlur(
	{ targets, people, focalMm, fieldBend, shakeMmPerS }: Conditions,
	{ imageMm: images, cameraM: forward, shake, personM, times }: Happened,
	order: readonly number[],
	look: (frame: number, target: number, disc: number, streak: number) => void
): void {
	const still = new Float64Array(images.length);
	const all = order.map((index) => {
		const { depthM, asideM, allowedMm, owner } = targets[index] as (typeof targets)[number];
		return {
			index,
			depthM,
			asideM,
			perAllowed: 1 / (allowedMm * allowedMm),
			away: personM[owner] ?? still,
			times: times[owner] ?? still,
			speed: people[owner]?.speedMmPerS ?? 0
		};
	});
	for (let frame = 0; frame < images.length; frame++) {
		const imageMm = images[frame] as number;
		const planePerM = vergenceOfImage(focalMm, imageMm);
		const cameraM = forward[frame] as number;
		const shaken = (shakeMmPerS * (shake[frame] as number)) ** 2;
		for (const one of all) {
			const perM = 1 / (one.depthM + (one.away[frame] as number) - cameraM);
			const bend =
				fieldBend === 0 ? 1 : bendFactor(fieldBend, 1 / Math.hypot(1, one.asideM * perM));
			const width = (focalMm * imageMm * (perM - planePerM / bend)) / 1000;
			const run = (one.speed * (one.times[frame] as number) * imageMm * perM) / 1000;
			look(frame, one.index, width * width * one.perAllowed, (shaken + run * run) * one.perAllowed);
		}
	}
}

import type { Slack } from '../format/plan';
import { defocusMm, vergenceErrorOf } from '../optics/blur';
import { vergenceError } from '../optics/focus';
import { depthOfVergence, vergence } from '../optics/vergence';
import type { Pair } from './candidates';
import type { Scene, Target } from './scene';

/** How far a target may move along the axis and stay sharp, m; Infinity without limit. */
interface Reach {
	/** Towards the camera. */
	readonly nearerM: number;
	readonly fartherM: number;
}

/**
 * How far the camera, and each person, may move along the axis, focus kept and the rest still,
 * before the first target passes ratio 1. 0 if one already does, null if none ever does.
 */
export function slackOf(scene: Scene, pair: Pair): Slack {
	const reaches = scene.targets.map((target) => reachOf(scene, pair, target));
	const shortest = (side: keyof Reach, of: (target: Target) => boolean): number | null => {
		const least = Math.min(
			...reaches.filter((_, i) => of(scene.targets[i] as Target)).map((reach) => reach[side])
		);
		return Number.isFinite(least) ? least : null;
	};
	const anyone = () => true;
	const people = new Set(scene.targets.flatMap(({ personId }) => personId ?? []));
	return {
		cameraForwardM: shortest('nearerM', anyone),
		cameraBackM: shortest('fartherM', anyone),
		people: [...people].map((personId) => ({
			personId,
			forwardM: shortest('nearerM', (target) => target.personId === personId),
			backM: shortest('fartherM', (target) => target.personId === personId)
		}))
	};
}

function reachOf(scene: Scene, pair: Pair, target: Target): Reach {
	const { focus } = pair.candidate;
	const allowedMm = target.factor * scene.toleranceMm;
	const { depthM, rightM, upM } = target.seen;
	const asideM = Math.hypot(rightM, upM);
	const isSharpAt = (d: number) =>
		defocusMm(focus, pair.fNumber, vergenceError(focus, d, d / Math.hypot(d, asideM))) <= allowedMm;
	if (!isSharpAt(depthM)) return { nearerM: 0, fartherM: 0 };

	if (focus.fieldBend === 0) {
		const half = vergenceErrorOf(focus, pair.fNumber, allowedMm);
		const middle = vergence(focus.planeM);
		return {
			nearerM: Math.max(0, depthM - depthOfVergence(middle + half)),
			fartherM: Math.max(0, depthOfVergence(middle - half) - depthM)
		};
	}
	return {
		nearerM: depthM - lastSharp(isSharpAt, depthM, 1 / STEP),
		fartherM: lastSharp(isSharpAt, depthM, STEP) - depthM
	};
}

/** A bent surface is met nowhere in closed form: step out by twentieths, then halve. */
const STEP = 1.05;
const FARTHEST_M = 10_000;
const NEAREST_M = 0.002;

function lastSharp(isSharpAt: (depthM: number) => boolean, fromM: number, step: number): number {
	let sharp = fromM;
	let next = fromM * step;
	while (isSharpAt(next)) {
		if (next > FARTHEST_M) return Infinity;
		if (next < NEAREST_M) return 0;
		sharp = next;
		next *= step;
	}
	for (let i = 0; i < 50; i++) {
		const middle = (sharp + next) / 2;
		if (isSharpAt(middle)) sharp = middle;
		else next = middle;
	}
	return sharp;
}

import type { Take } from './candidate';
import type { Slack } from '../format/plan';
import { lastHolding } from '../numeric/bisect';
import { defocusAt } from '../optics/blur';
import { depthOfField } from '../optics/depthOfField';
import type { Target } from './scene';

/** How far a target may move along the axis and stay sharp, m; Infinity without limit. */
interface Reach {
	readonly target: Target;
	/** Towards the camera. */
	readonly nearerM: number;
	readonly fartherM: number;
}

/**
 * How far the camera, and each person, may move along the axis, focus kept and the rest still,
 * before the first target passes ratio 1. 0 if one already does, null if none ever does.
 */
export function slackOf(take: Take): Slack {
	const { targets } = take.scene;
	const reaches = targets.map((target) => reachOf(take, target));
	const shortest = (side: 'nearerM' | 'fartherM', those: readonly Reach[]): number | null => {
		const least = Math.min(...those.map((reach) => reach[side]));
		return Number.isFinite(least) ? least : null;
	};
	const people = new Set(targets.flatMap(({ personId }) => personId ?? []));
	return {
		cameraForwardM: shortest('nearerM', reaches),
		cameraBackM: shortest('fartherM', reaches),
		people: [...people].map((personId) => {
			const own = reaches.filter(({ target }) => target.personId === personId);
			return {
				personId,
				forwardM: shortest('nearerM', own),
				backM: shortest('fartherM', own)
			};
		})
	};
}

function reachOf({ scene, candidate: { focus }, fNumber }: Take, target: Target): Reach {
	const allowedMm = target.factor * scene.toleranceMm;
	const { depthM, rightM, upM } = target.seen;
	const asideM = Math.hypot(rightM, upM);
	const isSharpAt = (d: number) =>
		defocusAt(focus, fNumber, { depthM: d, cosOffAxis: d / Math.hypot(d, asideM) }) <= allowedMm;
	if (!isSharpAt(depthM)) return { target, nearerM: 0, fartherM: 0 };

	if (focus.fieldCurvature === 0) {
		const { nearM, farM } = depthOfField(focus, fNumber, allowedMm);
		return {
			target,
			nearerM: Math.max(0, depthM - nearM),
			fartherM: Math.max(0, farM - depthM)
		};
	}
	return {
		target,
		nearerM: depthM - lastSharp(isSharpAt, depthM, 1 / STEP_RATIO),
		fartherM: lastSharp(isSharpAt, depthM, STEP_RATIO) - depthM
	};
}

/** A bent surface is met nowhere in closed form: step out by twentieths, then halve. */
const STEP_RATIO = 1.05;
const FARTHEST_M = 10_000;
const NEAREST_M = 0.002;
const WITHIN_M = 1e-9;

function lastSharp(isSharpAt: (depthM: number) => boolean, fromM: number, step: number): number {
	let sharp = fromM;
	let next = fromM * step;
	while (isSharpAt(next)) {
		if (next > FARTHEST_M) return Infinity;
		if (next < NEAREST_M) return 0;
		sharp = next;
		next *= step;
	}
	return lastHolding(isSharpAt, sharp, next, WITHIN_M);
}

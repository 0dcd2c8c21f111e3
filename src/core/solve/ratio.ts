import { defocusMm } from '../optics/blur';
import { vergenceError, type FocusedOptic } from '../optics/focus';
import { widestFNumber } from '../optics/fNumber';
import type { Scene, Target } from './scene';

/**
 * Defocus of a target over what it allows, at f/1. Blur is linear in 1/N, so the ratio at f/N is
 * this over N, and this is also the f-number at which the target is just sharp.
 */
export function ratioWideOpen(scene: Scene, focus: FocusedOptic, target: Target): number {
	const { depthM, cosOffAxis } = target.seen;
	const defocus = defocusMm(focus, 1, vergenceError(focus, depthM, cosOffAxis));
	return defocus / (target.factor * scene.toleranceMm);
}

/** The worst ratio of all targets at f/1 for a focus: the f-number that makes them all sharp. */
export function worstWideOpen(scene: Scene, focus: FocusedOptic): number {
	return scene.targets.reduce(
		(worst, target) => Math.max(worst, ratioWideOpen(scene, focus, target)),
		0
	);
}

/**
 * The f-number needed, continuous: never below the lens's widest, null above its smallest.
 *
 * @param worstAtF1 worst ratio at f/1
 */
export function fNumberNeeded(scene: Scene, worstAtF1: number): number | null {
	const { lens, camera } = scene.shot;
	if (worstAtF1 > lens.smallestFNumber) return null;
	return Math.max(worstAtF1, widestFNumber(lens, camera.focalMm));
}

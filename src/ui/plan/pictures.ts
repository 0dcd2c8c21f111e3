import type { Shot } from '$core/format/shot';
import { focusAt } from '$core/optics/focus';
import { ladderOf } from '$core/optics/fNumber';
import type { Scene } from '$core/solve/scene';
import type { Solution } from '$core/solve/solve';
import { previewOf, type LensSetting, type PreviewScene, type Window } from '../../preview/scene';
import type { Wish } from '../shared/preview.svelte';

/** A solution, or a scene that asks for nothing and has none. */
export interface Outcome {
	readonly scene: Scene;
	readonly plan: Solution['plan'] | null;
	readonly pair: Solution['pair'];
}

/** Where the lens is focused while there is nothing to focus on, m. */
const ANYWHERE_M = 5;

/** The lens as the plan sets it; wide open on the nearest face while there is no plan. */
export function settingOf({ scene, pair }: Outcome): LensSetting {
	const { lens, camera } = scene.shot;
	const { blades } = lens;
	if (pair) return { focus: pair.candidate.focus, fNumber: pair.fNumber, blades };
	const depths = scene.sightings.flatMap(({ nearEye }) => nearEye?.seen.depthM ?? []);
	const nearest = Math.max(lens.closestFocusM, Math.min(...depths, ANYWHERE_M));
	const [widest = 4] = ladderOf(lens, camera.focalMm);
	return { focus: focusAt(scene.optic, nearest), fNumber: widest, blades };
}

/** Image distance of the picture as it is set, mm. */
export const imageMmOf = (outcome: Outcome): number => settingOf(outcome).focus.imageDistanceMm;

/** The scene of each shot, made once: all views of a shot share it. */
const scenes = new WeakMap<Shot, PreviewScene>();

function sceneOf(shot: Shot): PreviewScene {
	const scene = scenes.get(shot) ?? previewOf(shot);
	scenes.set(shot, scene);
	return scene;
}

/** The picture of an outcome: of the whole frame, or of a window of the sensor. */
export function wishOf(
	outcome: Outcome,
	window: Window,
	widthPx: number,
	heightPx: number,
	showsDiffraction = false
): Wish {
	return {
		scene: sceneOf(outcome.scene.shot),
		setting: settingOf(outcome),
		window,
		widthPx,
		heightPx,
		showsDiffraction
	};
}

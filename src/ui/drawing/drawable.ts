import type { Take } from '$core/study/candidate';
import type { Shot } from '$core/format/shot';
import { focusAt } from '$core/optics/focus';
import { ladderOf } from '$core/optics/fNumber';
import type { Scene } from '$core/study/scene';
import type { Plan } from '$core/format/plan';
import type { Solution } from '$core/study/plan';
import { previewOf, type LensSetting, type PreviewScene, type Window } from '../../preview/scene';
import type { Wish } from '../picture/preview.svelte';

/** What is drawn of a shot: the take that is shown, or a scene that asks for nothing and has none. */
export interface Drawable {
	readonly scene: Scene;
	readonly take: Take | null;
	readonly plan: Plan | null;
}

export const drawableOf = ({ study, take, plan }: Solution): Drawable => ({
	scene: study.scene,
	take,
	plan
});

/** Where the lens is focused while there is nothing to focus on, m. */
const ANYWHERE_M = 5;

/** The lens as the plan sets it; wide open on the nearest face while there is no plan. */
export function settingOf({ scene, take }: Drawable): LensSetting {
	const { lens, camera } = scene.shot;
	const { blades } = lens;
	if (take) return { focus: take.candidate.focus, fNumber: take.fNumber, blades };
	const depths = scene.sightings.flatMap(({ nearEye }) => nearEye?.seen.depthM ?? []);
	const nearest = Math.max(lens.closestFocusM, Math.min(...depths, ANYWHERE_M));
	const [widest = 4] = ladderOf(lens, camera.focalMm);
	return { focus: focusAt(scene.optic, nearest), fNumber: widest, blades };
}

/** Image distance of the picture as it is set, mm. */
export const imageMmOf = (drawable: Drawable): number => settingOf(drawable).focus.imageDistanceMm;

/** The scene of each shot, made once: all views of a shot share it. */
const scenes = new WeakMap<Shot, PreviewScene>();

function previewSceneOf(shot: Shot): PreviewScene {
	const scene = scenes.get(shot) ?? previewOf(shot);
	scenes.set(shot, scene);
	return scene;
}

/** The picture of a shot: of the whole frame, or of a window of the sensor. */
export function wishOf(
	drawable: Drawable,
	window: Window,
	widthPx: number,
	heightPx: number,
	showsDiffraction = false
): Wish {
	return {
		scene: previewSceneOf(drawable.scene.shot),
		setting: settingOf(drawable),
		window,
		widthPx,
		heightPx,
		showsDiffraction
	};
}

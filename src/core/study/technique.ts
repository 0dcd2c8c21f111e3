import type { Candidate, Take } from './candidate';
import type { Focus, FreePlane } from '../format/plan';
import { defocusAt } from '../optics/blur';
import { focusAt } from '../optics/focus';
import { framePoint } from '../geometry/camera';
import { boxOf, isSensitive, pointFor, type FocusPoint } from '../technique/focusPoints';
import { reframeErrorM, SWING_M } from '../technique/reframing';
import { worstWideOpen } from './candidates';
import type { Scene } from './scene';
import { worstRatio } from './take';
import { RULES } from '../tables/rules';

/** How to get the focus where it belongs, and what each way leaves. */

export type FocusWay = 'move-point' | 'reframe-wrists' | 'reframe-body' | 'lean' | 'manual';

interface WayToFocus {
	readonly way: FocusWay;
	/** How far the plane of focus misses the spot: behind it positive, m. */
	readonly errorM: number;
	/** Defocus at the spot over the tolerance. */
	readonly ratio: number;
	/** The worst ratio of all targets with the plane there. */
	readonly worstRatio: number;
	/** Whether everything that was sharp stays so. */
	readonly holds: boolean;
}

/** How a focus is reached, as far as frames depend on it. */
export interface Handling {
	readonly isSensitive: boolean;
	readonly technique: Focus['technique'];
	/** What reframing by the wrists would leave, m. */
	readonly reframeErrorM: number;
	/** Continuous focusing where the point stays on the eye and anyone moves, else single. */
	readonly mode: 'single' | 'continuous';
}

export interface FocusTechnique extends Handling {
	/** Null when no focus point reaches, or there is no spot to put one on. */
	readonly point: FocusPoint | null;
	readonly ways: readonly WayToFocus[];
	/** Width of a focus box at the spot's depth, mm in the scene. */
	readonly boxMm: number;
}

/** Works out how a take is focused. Without the free plane leaning onto it is no way. */
export function techniqueOf(take: Take, free: FreePlane | null): FocusTechnique {
	const { scene, candidate } = take;
	const { focusGrid } = scene.shot.body;
	const point = pointOf(take);
	const frameMm =
		(scene.pose.widthMm * candidate.seen.depthM * 1000) / candidate.focus.imageDistanceMm;
	const box = boxOf(focusGrid, scene.shot.camera.orientation, point ?? { column: 0, row: 0 });
	return {
		...handledFrom(take, point),
		point,
		ways: waysToFocus(take, free, point),
		boxMm: box.width * frameMm
	};
}

/** The way that is taken, without what the others would leave: asked for at every f-number. */
export const handlingOf = (take: Take): Handling => handledFrom(take, pointOf(take));

function handledFrom(take: Take, point: FocusPoint | null): Handling {
	const { scene, candidate } = take;
	const { shot } = scene;
	const technique = chosen(take, point);
	return {
		isSensitive: point !== null && isSensitive(shot.body.focusGrid, point),
		technique,
		reframeErrorM: hasSpot(candidate) ? reframeErrorM(candidate.seen, SWING_M.wrists) : 0,
		mode: technique === 'move-point' && anyoneMoves(scene) ? 'continuous' : 'single'
	};
}

function pointOf({ scene, candidate }: Take): FocusPoint | null {
	if (!hasSpot(candidate)) return null;
	const { body, camera } = scene.shot;
	const place = framePoint(scene.pose, candidate.seen, candidate.focus.imageDistanceMm);
	return pointFor(body.focusGrid, camera.orientation, place);
}

/** Whether there is something to put a focus point on. */
const hasSpot = ({ kind, personId, thingId }: Candidate): boolean =>
	kind === 'plane' ? personId !== null || thingId !== null : kind !== 'depth';

/**
 * The way taken: the one the user prefers if it holds, else the point, else reframing, else by hand.
 * A depth in empty air can only be reached by hand.
 */
function chosen(take: Take, point: FocusPoint | null): Focus['technique'] {
	const { choices } = take.scene.shot;
	const { kind, leanM } = take.candidate;
	const canReframe = () => kind !== 'depth' && reframed(take, 'reframe-wrists').holds;
	const preferred = choices.technique;
	const isByHand = choices.focusBy === 'hand-magnified' || choices.focusBy === 'hand-finder';
	if (isByHand || preferred === 'manual') return 'manual';
	if (kind === 'plane')
		return leanM !== null && Math.abs(leanM) <= RULES.longestLeanM ? 'lean' : 'manual';
	if (preferred === 'reframe' && canReframe()) return 'reframe';
	if (point) return 'move-point';
	return canReframe() ? 'reframe' : 'manual';
}

function waysToFocus(take: Take, free: FreePlane | null, point: FocusPoint | null): WayToFocus[] {
	const own = worstRatio(take);
	const exactly = (way: FocusWay): WayToFocus => ({
		way,
		errorM: 0,
		ratio: 0,
		worstRatio: own,
		holds: true
	});
	const { kind } = take.candidate;
	if (kind === 'depth') return [exactly('manual')];
	if (kind === 'plane') return [exactly('lean'), exactly('manual')];
	return [
		...(point ? [exactly('move-point')] : []),
		reframed(take, 'reframe-wrists'),
		reframed(take, 'reframe-body'),
		...(free ? [withPlaneAt(take, 'lean', free.depthM, free.leanM)] : []),
		exactly('manual')
	];
}

/** Locked with the middle point, then turned. */
function reframed(take: Take, way: 'reframe-wrists' | 'reframe-body'): WayToFocus {
	const { seen } = take.candidate;
	const errorM = reframeErrorM(seen, way === 'reframe-wrists' ? SWING_M.wrists : SWING_M.body);
	return withPlaneAt(take, way, seen.depthM + errorM, errorM);
}

function withPlaneAt(take: Take, way: FocusWay, planeM: number, errorM: number): WayToFocus {
	const { scene, candidate, fNumber } = take;
	const focus = focusAt(scene.optic, planeM);
	const worst = worstWideOpen(scene, focus) / fNumber;
	return {
		way,
		errorM,
		ratio: defocusAt(focus, fNumber, candidate.seen) / scene.toleranceMm,
		worstRatio: worst,
		holds: worst <= Math.max(1, worstRatio(take)) * (1 + 1e-9)
	};
}

/** Whether anyone moves of whom something must be sharp. */
const anyoneMoves = ({ sightings, targets }: Scene): boolean =>
	sightings.some(
		({ person: { id, motion } }) =>
			motion !== 'still' && targets.some(({ personId }) => personId === id)
	);

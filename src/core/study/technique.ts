import type { Candidate, Take } from './candidate';
import type { Focus, FreePlane } from '../format/plan';
import type { Shot } from '../format/shot';
import { defocusAt } from '../optics/blur';
import { focusAt } from '../optics/focus';
import { framePoint } from '../geometry/camera';
import { boxOf, isSensitive, pointFor, type FocusPoint } from '../technique/focusPoints';
import { reframeErrorM, SWING_M } from '../technique/reframing';
import { worstWideOpen } from './candidates';
import type { Scene } from './scene';
import { worstRatio } from './take';

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

export interface FocusTechnique {
	/** Null when no focus point reaches, or there is no spot to put one on. */
	readonly point: FocusPoint | null;
	readonly isSensitive: boolean;
	readonly technique: Focus['technique'];
	/** What reframing by the wrists would leave, m. */
	readonly reframeErrorM: number;
	readonly ways: readonly WayToFocus[];
	/** Width of a focus box at the spot's depth, mm in the scene. */
	readonly boxMm: number;
	/** Continuous focusing where the point stays on the eye and anyone moves, else single. */
	readonly mode: 'single' | 'continuous';
}

/** Works out how a take is focused. Without the free plane leaning onto it is no way. */
export function techniqueOf(take: Take, free: FreePlane | null): FocusTechnique {
	const { scene, candidate } = take;
	const { shot } = scene;
	const { focusGrid } = shot.body;
	const { orientation } = shot.camera;
	const { imageDistanceMm } = candidate.focus;
	const isSpot = hasSpot(candidate);
	const place = framePoint(scene.pose, candidate.seen, imageDistanceMm);
	const point = isSpot ? pointFor(focusGrid, orientation, place) : null;
	const ways = waysToFocus(take, free, point);
	const frameMm = (scene.pose.widthMm * candidate.seen.depthM * 1000) / imageDistanceMm;
	const box = boxOf(focusGrid, orientation, point ?? { column: 0, row: 0 });
	const technique = chosen(shot, candidate, ways, point);
	return {
		point,
		isSensitive: point !== null && isSensitive(focusGrid, point),
		technique,
		reframeErrorM: isSpot ? reframeErrorM(candidate.seen, SWING_M.wrists) : 0,
		ways,
		boxMm: box.width * frameMm,
		mode: technique === 'move-point' && anyoneMoves(scene) ? 'continuous' : 'single'
	};
}

/** Nobody leans farther and stands, m. */
const MOST_LEAN_M = 0.3;

/** Whether there is something to put a focus point on. */
const hasSpot = ({ kind, personId, thingId }: Candidate): boolean =>
	kind === 'plane' ? personId !== null || thingId !== null : kind !== 'depth';

/**
 * The way taken: the one the user prefers if it holds, else the point, else reframing, else by hand.
 * A depth in empty air can only be reached by hand.
 */
function chosen(
	{ choices }: Shot,
	{ kind, leanM }: Candidate,
	ways: readonly WayToFocus[],
	point: FocusPoint | null
): Focus['technique'] {
	const canReframe = ways.some(({ way, holds }) => way === 'reframe-wrists' && holds);
	const preferred = choices.technique;
	const isByHand = choices.focusBy === 'hand-magnified' || choices.focusBy === 'hand-finder';
	if (isByHand || preferred === 'manual') return 'manual';
	if (kind === 'plane') return leanM !== null && Math.abs(leanM) <= MOST_LEAN_M ? 'lean' : 'manual';
	if (preferred === 'reframe' && canReframe) return 'reframe';
	if (point) return 'move-point';
	return canReframe ? 'reframe' : 'manual';
}

function waysToFocus(take: Take, free: FreePlane | null, point: FocusPoint | null): WayToFocus[] {
	const { scene, candidate, fNumber } = take;
	const { seen } = candidate;
	const own = worstRatio(take);
	const limit = Math.max(1, own) * (1 + 1e-9);
	const exactly = (way: FocusWay): WayToFocus => ({
		way,
		errorM: 0,
		ratio: 0,
		worstRatio: own,
		holds: true
	});
	const at = (way: FocusWay, wayPlaneM: number, errorM: number): WayToFocus => {
		const focus = focusAt(scene.optic, wayPlaneM);
		const worst = worstWideOpen(scene, focus) / fNumber;
		return {
			way,
			errorM,
			ratio: defocusAt(focus, fNumber, seen) / scene.toleranceMm,
			worstRatio: worst,
			holds: worst <= limit
		};
	};
	const reframed = (way: FocusWay, swingM: number) => {
		const errorM = reframeErrorM(seen, swingM);
		return at(way, seen.depthM + errorM, errorM);
	};
	if (candidate.kind === 'depth') return [exactly('manual')];
	if (candidate.kind === 'plane') return [exactly('lean'), exactly('manual')];
	return [
		...(point ? [exactly('move-point')] : []),
		reframed('reframe-wrists', SWING_M.wrists),
		reframed('reframe-body', SWING_M.body),
		...(free ? [at('lean', free.depthM, free.leanM)] : []),
		exactly('manual')
	];
}

/** Whether anyone moves of whom something must be sharp. */
const anyoneMoves = ({ sightings, targets }: Scene): boolean =>
	sightings.some(
		({ person: { id, motion } }) =>
			motion !== 'still' && targets.some(({ personId }) => personId === id)
	);

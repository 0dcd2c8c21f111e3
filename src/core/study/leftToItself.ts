import { framePoint, type CameraPoint } from '../geometry/camera';
import { defocusAt } from '../optics/blur';
import { focusAt, planeThrough } from '../optics/focus';
import { reachOf } from '../technique/focusPoints';
import type { Take } from './candidate';

/**
 * What a camera takes that is left to choose: the nearest thing with contrast under its area. Common
 * practice, no source.
 */

export type Left = 'area' | 'whole-frame';

export interface TakenByCamera {
	readonly personId: string | null;
	readonly thingId: string | null;
	readonly depthM: number;
	/** Who would not be sharp then, in the order of the shot. */
	readonly softIds: readonly string[];
}

/** Sides of an area around what is meant, as shares of the frame. */
const AREA_SHARE = 1 / 3;
/** Too plain to be focused on. */
const PLAIN: ReadonlySet<string> = new Set(['wall', 'window']);

/** @returns null where it would take what is meant, or nothing at all */
export function takenByCamera(take: Take, left: Left): TakenByCamera | null {
	const { scene, candidate, fNumber } = take;
	const { shot, pose, sightings, things, targets, optic, toleranceMm } = scene;
	const { imageDistanceMm } = candidate.focus;
	const placeOf = (seen: CameraPoint) => framePoint(pose, seen, imageDistanceMm);
	const meant = placeOf(candidate.seen);
	const reach = reachOf(shot.body.focusGrid, shot.camera.orientation);
	const [middle, width, height] =
		left === 'area'
			? ([meant, AREA_SHARE, AREA_SHARE] as const)
			: ([{ x: 0.5, y: 0.5 }, reach.width, reach.height] as const);
	const isUnder = (seen: CameraPoint) => {
		const { x, y } = placeOf(seen);
		return Math.abs(x - middle.x) <= width / 2 && Math.abs(y - middle.y) <= height / 2;
	};
	const found = [
		...sightings.flatMap(({ person: { id }, nearEye }) =>
			nearEye ? [{ personId: id, thingId: null, seen: nearEye.seen }] : []
		),
		...things.flatMap(({ thing: { id, look }, seen, inFrame }) =>
			inFrame && !PLAIN.has(look) ? [{ personId: null, thingId: id, seen }] : []
		)
	].filter(({ seen }) => isUnder(seen) && seen.depthM >= shot.lens.closestFocusM);
	const nearest = found.toSorted((a, b) => a.seen.distanceM - b.seen.distanceM)[0];
	if (!nearest) return null;
	const { personId, thingId, seen } = nearest;
	if (personId === candidate.personId && thingId === candidate.thingId) return null;
	const focus = focusAt(optic, planeThrough(optic, seen.depthM, seen.cosOffAxis));
	const soft = new Set(
		targets.flatMap((target) =>
			target.personId !== null &&
			defocusAt(focus, fNumber, target.seen) > target.factor * toleranceMm
				? [target.personId]
				: []
		)
	);
	return { personId, thingId, depthM: seen.depthM, softIds: [...soft] };
}

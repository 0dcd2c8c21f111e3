import type { FocusSpot } from './candidate';
import { focusAt, planeThrough } from '../optics/focus';
import type { CameraPoint } from '../geometry/camera';
import type { Landmark } from '../tables/landmarks';
import { fNumberNeeded, worstWideOpen } from './candidates';
import { freePlaneM } from './freePlane';
import { isMeantSharp, type Scene } from './scene';

/**
 * The plane between: where no eye and no thing holds the others, the free plane may. Nothing is there
 * to focus on, so one locks on what is nearest to it in depth and leans, or focuses by hand.
 *
 * @returns null when that plane is too close, or needs more than the lens's smallest f-number
 */
export function betweenSpot(scene: Scene): FocusSpot | null {
	const planeM = freePlaneM(scene);
	if (planeM === null || planeM < scene.shot.lens.closestFocusM) return null;
	const worst = worstWideOpen(scene, focusAt(scene.optic, planeM));
	if (fNumberNeeded(scene, worst) === null) return null;
	const lock = lockOn(scene, planeM);
	const onAxis: CameraPoint = {
		depthM: planeM,
		rightM: 0,
		upM: 0,
		distanceM: planeM,
		cosOffAxis: 1
	};
	return {
		kind: 'plane',
		personId: lock?.personId ?? null,
		thingId: lock?.thingId ?? null,
		landmark: lock?.landmark ?? null,
		seen: lock?.seen ?? onAxis,
		planeM,
		isKey: false,
		leanM: lock && planeM - lock.planeM
	};
}

interface Lock {
	readonly personId: string | null;
	readonly thingId: string | null;
	readonly landmark: Landmark | null;
	readonly seen: CameraPoint;
	readonly planeM: number;
}

/** The near eye or sharp thing that is nearest to a plane in depth, of those the lens can focus on. */
function lockOn(scene: Scene, planeM: number): Lock | null {
	const planeOf = ({ depthM, cosOffAxis }: CameraPoint) =>
		planeThrough(scene.optic, depthM, cosOffAxis);
	const isTarget = (id: string) => scene.targets.some(({ personId }) => personId === id);
	const eyes = scene.sightings.flatMap(({ person: { id }, nearEye }): Lock[] => {
		if (!nearEye || !isTarget(id)) return [];
		const { landmark, seen } = nearEye;
		return [{ personId: id, thingId: null, landmark, seen, planeM: planeOf(seen) }];
	});
	const things = scene.things.filter(isMeantSharp).map(({ thing, seen }): Lock => ({
		personId: null,
		thingId: thing.id,
		landmark: null,
		seen,
		planeM: planeOf(seen)
	}));
	const within = [...eyes, ...things].filter(
		({ seen }) => seen.depthM >= scene.shot.lens.closestFocusM
	);
	const away = ({ seen }: Lock) => Math.abs(seen.depthM - planeM);
	return within.reduce<Lock | null>(
		(nearest, one) => (nearest && away(nearest) <= away(one) ? nearest : one),
		null
	);
}

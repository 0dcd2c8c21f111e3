import type { Shot } from '../format/shot';
import {
	ambientExposure,
	BLACK_STOPS,
	flashExposure,
	isRuledOut,
	type Exposure
} from '../light/exposure';
import {
	bindingFloor,
	handsFloor,
	peopleFloors,
	type Floor,
	type Mover
} from '../light/shutterFloor';
import type { FocusedOptic } from '../optics/focus';
import type { Pair } from './candidates';
import type { Scene } from './scene';

/** The light on a scene, as far as the solver needs it. */

/** Everybody who counts and may move: those with something to keep sharp. */
function moversOf({ targets, sightings, toleranceMm }: Scene): Mover[] {
	return sightings.flatMap(({ person, nearEye }) => {
		const own = targets.filter(({ personId }) => personId === person.id);
		if (!nearEye || own.length === 0) return [];
		const factor = Math.min(...own.map((target) => target.factor));
		const { depthM } = nearEye.seen;
		return [
			{ personId: person.id, motion: person.motion, depthM, allowedMm: factor * toleranceMm }
		];
	});
}

/** What limits the shutter of a shot, for a focus. */
export interface Floors {
	readonly hands: Floor | null;
	readonly people: Floor | null;
}

export function floorsOf(scene: Scene, focus: FocusedOptic): Floors {
	const { body, lens, camera, choices } = scene.shot;
	const handsS = handsFloor(body, lens, camera, choices.shutterRule);
	return {
		hands: handsS === null ? null : { why: 'hands', shutterS: handsS, personId: null },
		people: bindingFloor(peopleFloors(moversOf(scene), focus.imageDistanceMm))
	};
}

/** The floor that binds, for ambient light or where the flash freezes nobody. */
export function floorOf({ hands, people }: Floors): Floor | null {
	return bindingFloor([hands, people].flatMap((floor) => floor ?? []));
}

/** Shutter, ISO and power at an f-number; null while nothing is known of the light. */
export function exposureAt(
	{ body, light, choices }: Shot,
	fNumber: number,
	floors: Floors
): Exposure | null {
	if (!light) return null;
	const handsS = floors.hands?.shutterS ?? Infinity;
	const peopleS = floors.people?.shutterS ?? Infinity;
	return light.mode === 'ambient'
		? ambientExposure(body, light.ev100, fNumber, Math.min(handsS, peopleS), choices.isoRule)
		: flashExposure(body, light, fNumber, { handsS, peopleS }, choices.isoRule);
}

export function exposureOf(scene: Scene, { candidate, fNumber }: Pair): Exposure | null {
	return exposureAt(scene.shot, fNumber, floorsOf(scene, candidate.focus));
}

/** Whether the light allows a pair; yes while nothing is known of it. */
export function lightAllows(scene: Scene): (pair: Pair) => boolean {
	const { shot } = scene;
	if (!shot.light) return () => true;
	const known = new Map<FocusedOptic, Floors>();
	return ({ candidate, fNumber }) => {
		const floors = known.get(candidate.focus) ?? floorsOf(scene, candidate.focus);
		known.set(candidate.focus, floors);
		return !isRuledOut(exposureAt(shot, fNumber, floors)?.flags ?? []);
	};
}

/** Whether the flash alone lights the people, so that it freezes them. */
export const isFrozen = ({ roomBelowStops }: Exposure): boolean =>
	roomBelowStops !== null && roomBelowStops >= BLACK_STOPS;

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
import type { Scene } from './scene';
import type { Take } from './take';

/** The light on a scene, as far as the solver needs it. */

/** Everybody who counts and may move: those with something to keep sharp. */
function moversOf({ targets, sightings, toleranceMm }: Scene): Mover[] {
	const factors = new Map<string, number>();
	for (const { personId, factor } of targets) {
		if (personId === null) continue;
		factors.set(personId, Math.min(factor, factors.get(personId) ?? factor));
	}
	return sightings.flatMap(({ person: { id, motion }, nearEye }) => {
		const factor = factors.get(id);
		if (!nearEye || factor === undefined) return [];
		const { depthM } = nearEye.seen;
		return { personId: id, motion, depthM, allowedMm: factor * toleranceMm };
	});
}

/** What limits the shutter of a shot, for a focus. */
export interface Floors {
	readonly hands: Floor | null;
	readonly people: Floor | null;
}

export const NO_FLOORS: Floors = { hands: null, people: null };

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

/** Shutter, ISO and power of a take. */
export const exposureOf = ({ scene, candidate, fNumber }: Take): Exposure | null =>
	exposureAt(scene.shot, fNumber, floorsOf(scene, candidate.focus));

/** Whether the light allows a take; yes while nothing is known of it. */
export function lightAllows(scene: Scene): (take: Take) => boolean {
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

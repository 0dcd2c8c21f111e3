import type { ShutterLimits, Take } from './candidate';
import type { Shot } from '../format/shot';
import {
	ambientExposure,
	computedExposure,
	fixedExposure,
	flashExposure,
	isRuledOut,
	type Exposure
} from '../light/exposure';
import { bindingFloor, handsFloor, peopleFloors, type Floor } from '../light/shutterFloor';
import type { FocusedOptic } from '../optics/focus';
import type { Scene } from './scene';
import { RULES } from '../tables/rules';

/** The light on a scene, as far as the solver needs it. */

/** What limits the shutter of a shot by the customs of the trade, for a focus. */
export interface Floors {
	readonly hands: Floor | null;
	readonly people: Floor | null;
}

export function floorsOf(scene: Scene, focus: FocusedOptic): Floors {
	const { body, lens, camera, choices } = scene.shot;
	const rule = choices.shutterRule === 2 ? 2 : 1;
	const handsS = handsFloor(body, lens, camera, rule);
	return {
		hands: handsS === null ? null : { why: 'hands', shutterS: handsS, personId: null },
		people: bindingFloor(peopleFloors(scene.movers(), focus.imageDistanceMm))
	};
}

/** The floor that binds, for ambient light or where the flash freezes nobody. */
export function floorOf({ hands, people }: Floors): Floor | null {
	return bindingFloor([hands, people].flatMap((floor) => floor ?? []));
}

/** How slow the shutter may be: by custom, or by the frames that it would spoil. */
export type Slowest =
	{ readonly by: 'custom'; readonly floors: Floors } | ({ readonly by: 'frames' } & ShutterLimits);

export function slowestOf(take: Take): Slowest {
	const { scene, candidate } = take;
	return scene.shot.choices.shutterRule === 'computed'
		? { by: 'frames', ...candidate.chance.shutterLimits(take) }
		: { by: 'custom', floors: floorsOf(scene, candidate.focus) };
}

/** The slowest shutter that is allowed, s: the one that spoils few frames, or that of custom; null where nothing limits it. */
export const allowedS = (slowest: Slowest): number | null =>
	slowest.by === 'frames' ? slowest.fewLostS : (floorOf(slowest.floors)?.shutterS ?? null);

/** Shutter, ISO and power at an f-number; null while nothing is known of the light. */
export function exposureAt(
	{ body, light, choices }: Shot,
	fNumber: number,
	slowest: Slowest
): Exposure | null {
	if (!light) return null;
	const { isoRule, shutterS } = choices;
	if (light.mode === 'flash') {
		return flashExposure(body, light, fNumber, { isoRule, shutterS, isTooSlow: tooSlow(slowest) });
	}
	if (shutterS !== undefined) return fixedExposure(body, light.ev100, fNumber, shutterS);
	if (slowest.by === 'frames') {
		return computedExposure(body, light.ev100, fNumber, slowest, isoRule);
	}
	return ambientExposure(body, light.ev100, fNumber, allowedS(slowest) ?? Infinity, isoRule);
}

/** Whether the sync speed is too slow, with the room so many stops below the flash. */
function tooSlow(slowest: Slowest) {
	return (shutterS: number, roomBelowStops: number): boolean => {
		if (slowest.by === 'frames') {
			return slowest.lossAt(underFlashS(shutterS, roomBelowStops)) > RULES.ruledOutLoss;
		}
		const { hands, people } = slowest.floors;
		// the flash freezes people where it alone lights them
		const floor = floorOf({ hands, people: isBlack(roomBelowStops) ? null : people });
		return floor !== null && shutterS > floor.shutterS * (1 + 1e-9);
	};
}

const isBlack = (roomBelowStops: number): boolean => roomBelowStops >= RULES.blackRoomStops;

/**
 * The shutter that blurs as much as the room's share of the light does under flash, as the spread of
 * a mixture: with w = 1 / (1 + 2^B) that is t sqrt(w), but the flash's own time at least.
 */
export const underFlashS = (shutterS: number, roomBelowStops: number): number =>
	Math.max(RULES.flashS, shutterS / Math.sqrt(1 + 2 ** roomBelowStops));

/** Shutter, ISO and power of a take. */
export const exposureOf = (take: Take): Exposure | null =>
	take.scene.shot.light ? exposureAt(take.scene.shot, take.fNumber, slowestOf(take)) : null;

/** Where nothing is known of the light and nothing limits the shutter, s. */
const USUAL_SHUTTER_S = 1 / 125;

/**
 * The effective exposure time of a take: the shutter that its frames are blurred by. Under flash it is the time that
 * blurs as much as the room's share of the light does. While nothing is known of the light it is the slowest that
 * spoils few frames, or by custom a stop faster than the slowest allowed.
 *
 * @returns s, above 0
 */
export function effectiveExposureS(take: Take): number {
	const exposure = exposureOf(take);
	if (exposure) {
		const { shutterS, roomBelowStops } = exposure;
		return roomBelowStops === null ? shutterS : underFlashS(shutterS, roomBelowStops);
	}
	const { shutterS } = take.scene.shot.choices;
	if (shutterS !== undefined) return shutterS;
	const slowest = slowestOf(take);
	const limitS = allowedS(slowest);
	if (limitS === null) return USUAL_SHUTTER_S;
	return slowest.by === 'frames' ? limitS : limitS / 2;
}

/** Whether the light allows a take; yes while nothing is known of it. */
export const lightAllows = (take: Take): boolean => !isRuledOut(exposureOf(take)?.flags ?? []);

/** Whether the flash alone lights the people, so that it freezes them. */
export const isFrozen = ({ roomBelowStops }: Exposure): boolean =>
	roomBelowStops !== null && isBlack(roomBelowStops);

import type { LightFlag } from '../format/plan';
import type { Body, Shot } from '../format/shot';
import { ev100Of, isoFor, shutterFor } from './ev';

/** Shutter, ISO and flash power for an f-number. */

/** Whether a rung with these flags is passed over while another will do. */
export const isRuledOut = (flags: readonly LightFlag[]): boolean =>
	flags.some((flag) => flag !== 'room-light');

export interface Exposure {
	readonly shutterS: number;
	readonly iso: number;
	/** Share of the flash's full power; null without flash. */
	readonly flashPower: number | null;
	readonly flags: readonly LightFlag[];
	/** Stops of grey filter, or of flash power and ISO, that would mend it; 0 when nothing is to mend. */
	readonly shortStops: number;
	/** How far the light of the room lies below the flash, stops; null without flash. */
	readonly roomBelowStops: number | null;
}

/** What may give: the ISO rises from the body's lowest, or stays at a value. */
export type IsoChoice = Shot['choices']['isoRule'];

/** Third stops upwards from a value, the least that is not below another; a hair of slack. */
function thirdStopsUp(from: number, atLeast: number): number {
	return from * 2 ** (Math.ceil(3 * Math.log2(Math.max(1, atLeast / from)) - 1e-9) / 3);
}

/**
 * Ambient light: the shutter at its floor, or faster while the ISO stays at its base; ISO in third
 * stops as needed, and the shutter then as fast as that ISO allows, so that
 * N²/t = 2^EV x ISO/100 holds exactly.
 *
 * @param floorS slowest shutter allowed, s; Infinity when nothing limits it
 */
export function ambientExposure(
	body: Pick<Body, 'iso' | 'fastestShutterS'>,
	ev100: number,
	fNumber: number,
	floorS: number,
	choice: IsoChoice
): Exposure {
	const [lowest, highest] = body.iso;
	const held = typeof choice === 'number' ? choice : null;
	const iso = held ?? thirdStopsUp(lowest, isoFor(ev100, fNumber, floorS));
	const shutterS = shutterFor(ev100, fNumber, iso);
	const isTooBright = shutterS < body.fastestShutterS * (1 - 1e-9);
	const isIsoHigh = iso > highest * (1 + 1e-9);
	const isTooSlow = shutterS > floorS * (1 + 1e-9);
	return {
		shutterS,
		iso,
		flashPower: null,
		flags: [
			...(isIsoHigh ? (['iso-high'] as const) : []),
			...(isTooBright ? (['too-bright'] as const) : []),
			...(isTooSlow ? (['too-slow'] as const) : [])
		],
		shortStops: isTooBright
			? Math.log2(body.fastestShutterS / shutterS)
			: isIsoHigh
				? Math.log2(iso / highest)
				: isTooSlow
					? Math.log2(shutterS / floorS)
					: 0,
		roomBelowStops: null
	};
}

/** Least share of its power that a flash gives. Common practice, no source. */
const LEAST_POWER = 1 / 128;
/** From here on a test frame without flash is black, and the flash freezes people, stops. */
export const BLACK_STOPS = 5;

/**
 * Flash: N = GN sqrt(power x ISO/100) / distance, power in third stops, at the sync speed. The ISO
 * stays at the body's lowest unless it may rise or is held elsewhere. Source: the guide number's
 * definition, ISO 1230 (from memory).
 *
 * @param floors slowest shutters that hands, and that people, allow, s
 */
export function flashExposure(
	body: Pick<Body, 'iso' | 'syncSpeedS'>,
	light: Extract<NonNullable<Shot['light']>, { mode: 'flash' }>,
	fNumber: number,
	floors: { readonly handsS: number; readonly peopleS: number },
	choice: IsoChoice
): Exposure {
	const [lowest, highest] = body.iso;
	const atIso100 = ((fNumber * light.distanceM) / light.guideNumberM) ** 2;
	const iso =
		typeof choice === 'number'
			? choice
			: choice === 'rises'
				? Math.min(highest, thirdStopsUp(lowest, 100 * atIso100))
				: lowest;
	const needed = atIso100 / (iso / 100);
	const thirds = Math.ceil(3 * Math.log2(needed) - 1e-9);
	const hasNoPower = thirds > 0;
	const isTooStrong = thirds < 3 * Math.log2(LEAST_POWER);
	const flashPower = Math.min(1, Math.max(LEAST_POWER, 2 ** (thirds / 3)));
	const shutterS = body.syncSpeedS;
	const below = ev100Of({ fNumber, shutterS, iso }) - light.ambientEv100;
	const floorS = below >= BLACK_STOPS ? floors.handsS : Math.min(floors.handsS, floors.peopleS);
	return {
		shutterS,
		iso,
		flashPower,
		flags: [
			...(hasNoPower ? (['no-power'] as const) : []),
			...(isTooStrong ? (['too-bright'] as const) : []),
			...(shutterS > floorS * (1 + 1e-9) ? (['sync'] as const) : []),
			...(below < BLACK_STOPS ? (['room-light'] as const) : [])
		],
		shortStops: hasNoPower ? Math.log2(needed) : isTooStrong ? Math.log2(LEAST_POWER / needed) : 0,
		roomBelowStops: below
	};
}

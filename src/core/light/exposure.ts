import type { LightFlag } from '../format/plan';
import type { Body, Shot } from '../format/shot';
import { ev100Of, isoFor, shutterFor } from './ev';
import { RULES } from '../tables/rules';

/** Shutter, ISO and flash power for an f-number. */

/** Whether a rung with these flags is passed over while another will do. */
export const isRuledOut = (flags: readonly LightFlag[]): boolean =>
	flags.some((flag) => flag !== 'room-light' && flag !== 'iso-above-comfort');

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

/**
 * Ambient light by the frames that a shutter spoils: the ISO is given away first, up to what the
 * photographer likes; then the shutter as slow as loses a quarter of the frames, and only then ISO
 * beyond that.
 *
 * @param limits shutters that spoil few and some of the frames, s, and the share that another spoils
 */
export function computedExposure(
	body: Pick<Body, 'iso' | 'fastestShutterS' | 'comfortIso'>,
	ev100: number,
	fNumber: number,
	limits: {
		readonly fewLostS: number;
		readonly someLostS: number;
		lossAt(shutterS: number): number;
	},
	choice: IsoChoice
): Exposure {
	const [lowest, highest] = body.iso;
	const comfort = comfortIsoOf(body);
	const isoAllowing = (shutterS: number) => thirdStopsUp(lowest, isoFor(ev100, fNumber, shutterS));
	const shutterAt = (iso: number) => shutterFor(ev100, fNumber, iso);
	const isHeld = typeof choice === 'number';
	const liked = isHeld ? choice : Math.min(comfort, isoAllowing(limits.fewLostS));
	const losesMuch = limits.lossAt(shutterAt(liked)) > RULES.someLostShare;
	const iso =
		isHeld || !losesMuch || liked < comfort
			? liked
			: Math.min(highest, isoAllowing(limits.someLostS));
	const shutterS = shutterAt(iso);
	const loss = limits.lossAt(shutterS);
	const isTooBright = shutterS < body.fastestShutterS * (1 - 1e-9);
	const isAtItsEnd = !isHeld && iso >= highest * (1 - 1e-9) && loss > RULES.ruledOutLoss;
	const isTooSlow = isHeld && loss > RULES.someLostShare;
	const flags: LightFlag[] = [
		...(iso > comfort * (1 + 1e-9) ? (['iso-above-comfort'] as const) : []),
		...(isAtItsEnd ? (['iso-high'] as const) : []),
		...(isTooBright ? (['too-bright'] as const) : []),
		...(isTooSlow ? (['too-slow'] as const) : [])
	];
	return {
		shutterS,
		iso,
		flashPower: null,
		flags,
		shortStops: isTooBright
			? Math.log2(body.fastestShutterS / shutterS)
			: isAtItsEnd || isTooSlow
				? Math.log2(shutterS / limits.someLostS)
				: 0,
		roomBelowStops: null
	};
}

/** Ambient light with the shutter fixed: the ISO follows exactly. */
export function fixedExposure(
	body: Pick<Body, 'iso' | 'comfortIso'>,
	ev100: number,
	fNumber: number,
	shutterS: number
): Exposure {
	const [lowest, highest] = body.iso;
	const iso = isoFor(ev100, fNumber, shutterS);
	const isTooBright = iso < lowest * (1 - 1e-9);
	const isTooHigh = iso > highest * (1 + 1e-9);
	return {
		shutterS,
		iso,
		flashPower: null,
		flags: [
			...(iso > comfortIsoOf(body) * (1 + 1e-9) ? (['iso-above-comfort'] as const) : []),
			...(isTooHigh ? (['iso-high'] as const) : []),
			...(isTooBright ? (['too-bright'] as const) : [])
		],
		shortStops: isTooBright ? Math.log2(lowest / iso) : isTooHigh ? Math.log2(iso / highest) : 0,
		roomBelowStops: null
	};
}

/** The highest ISO the photographer likes to use: unless said otherwise 3200, or the body's highest. */
export const comfortIsoOf = ({ comfortIso, iso }: Pick<Body, 'iso' | 'comfortIso'>): number =>
	comfortIso ?? Math.min(RULES.comfortIso, iso[1]);

/**
 * Flash: N = GN sqrt(power x ISO/100) / distance, power in third stops, at the sync speed or the
 * shutter that is fixed. The ISO stays at the body's lowest unless it may rise or is held elsewhere.
 * Source: the guide number's definition, ISO 1230 (from memory).
 */
export function flashExposure(
	body: Pick<Body, 'iso' | 'syncSpeedS'>,
	light: Extract<NonNullable<Shot['light']>, { mode: 'flash' }>,
	fNumber: number,
	choices: {
		readonly isoRule: IsoChoice;
		readonly shutterS: number | undefined;
		/** Whether a shutter, s, is too slow with the room so many stops below the flash. */
		isTooSlow(shutterS: number, roomBelowStops: number): boolean;
	}
): Exposure {
	const [lowest, highest] = body.iso;
	const reaching = 2 ** -(light.lossStops ?? 0);
	const atIso100 = ((fNumber * light.distanceM) / light.guideNumberM) ** 2 / reaching;
	const iso =
		typeof choices.isoRule === 'number'
			? choices.isoRule
			: choices.isoRule === 'rises'
				? Math.min(highest, thirdStopsUp(lowest, 100 * atIso100))
				: lowest;
	const needed = atIso100 / (iso / 100);
	const thirds = Math.ceil(3 * Math.log2(needed) - 1e-9);
	const hasNoPower = thirds > 0;
	const isTooStrong = thirds < 3 * Math.log2(light.leastPower) - 1e-9;
	const flashPower = Math.min(1, Math.max(light.leastPower, 2 ** (thirds / 3)));
	const shutterS = choices.shutterS ?? body.syncSpeedS;
	const isOutOfSync = shutterS < body.syncSpeedS * (1 - 1e-9);
	const below = ev100Of({ fNumber, shutterS, iso }) - light.ambientEv100;
	return {
		shutterS,
		iso,
		flashPower,
		flags: [
			...(hasNoPower ? (['no-power'] as const) : []),
			...(isTooStrong ? (['too-bright'] as const) : []),
			...(isOutOfSync || choices.isTooSlow(shutterS, below) ? (['sync'] as const) : []),
			...(below < RULES.blackRoomStops ? (['room-light'] as const) : [])
		],
		shortStops: hasNoPower
			? Math.log2(needed)
			: isTooStrong
				? Math.log2(light.leastPower / needed)
				: 0,
		roomBelowStops: below
	};
}

/**
 * Power of a second flash of the same kind that lights the people so many times less, by the square
 * law; null where that is more than it has.
 *
 * @param power of the first
 */
export function secondPower(
	{ distanceM, second }: Extract<NonNullable<Shot['light']>, { mode: 'flash' }>,
	power: number
): number | null {
	if (!second) return null;
	const wanted = (power / second.ratio) * (second.distanceM / distanceM) ** 2;
	return wanted > 1 ? null : wanted;
}

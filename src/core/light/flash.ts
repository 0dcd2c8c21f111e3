/** A flash exposure and the room around it. */
interface FlashExposure {
	readonly fNumber: number;
	readonly shutterS: number;
	readonly iso: number;
	/** Light of the room, EV at ISO 100. */
	readonly ambientEv100: number;
}

/**
 * How far the light of the room lies below what the exposure asks for, stops:
 * log2(N²/t) - log2(ISO/100) - EV. Source: N²/t = 2^EV x ISO/100 (ISO 12232, APEX; from memory).
 */
export function roomLightBelowFlash(exposure: FlashExposure): number {
	const { fNumber, shutterS, iso, ambientEv100 } = exposure;
	return Math.log2(fNumber ** 2 / shutterS) - Math.log2(iso / 100) - ambientEv100;
}

/** A camera's settings, as a light meter gives them. */
export interface Settings {
	readonly fNumber: number;
	readonly shutterS: number;
	readonly iso: number;
}

/**
 * The light that settings ask for, as EV at ISO 100: log2(N²/t) - log2(ISO/100).
 * Source: APEX, Av + Tv = Bv + Sv with EV = Av + Tv; ISO 2720 (from memory).
 * @example ev100Of({ fNumber: 16, shutterS: 1 / 125, iso: 100 }) // 14.97: bright sun
 */
export function ev100Of({ fNumber, shutterS, iso }: Settings): number {
	return Math.log2(fNumber ** 2 / shutterS) - Math.log2(iso / 100);
}

/** The shutter, s, that exposes rightly: N²/t = 2^EV x ISO/100 solved for t. */
export function shutterFor(ev100: number, fNumber: number, iso: number): number {
	return fNumber ** 2 / (2 ** ev100 * (iso / 100));
}

/** The ISO that exposes rightly: the same solved for ISO. */
export function isoFor(ev100: number, fNumber: number, shutterS: number): number {
	return (100 * fNumber ** 2) / (2 ** ev100 * shutterS);
}

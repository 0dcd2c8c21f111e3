/**
 * The dials of a camera as engraved: exact third stops and the usual rounded ones. Source: ISO 516
 * for the whole stops of the shutter, ISO 12232 for speeds (from memory); the thirds common practice.
 */

/** One over these, s. */
const FRACTIONS = [
	3, 4, 5, 6, 8, 10, 13, 15, 20, 25, 30, 40, 50, 60, 80, 100, 125, 160, 200, 250, 320, 400, 500,
	640, 800, 1000, 1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000, 10000, 12800, 16000, 20000,
	25600, 32000, 40000, 51200, 64000
] as const;
/** Whole seconds and their parts. */
const SECONDS = [0.4, 0.5, 0.6, 0.8, 1, 1.3, 1.6, 2, 2.5, 3.2, 4, 5, 6, 8, 10, 13, 15, 20, 25, 30];
const SHUTTERS = [...FRACTIONS.map((n) => 1 / n), ...SECONDS];

const SPEEDS = [
	25, 32, 40, 50, 64, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640, 800, 1000, 1250, 1600, 2000,
	2500, 3200, 4000, 5000, 6400, 8000, 10000, 12800, 16000, 20000, 25600, 32000, 40000, 51200, 64000,
	80000, 102400
] as const;

function nearest(dial: readonly number[], value: number): number {
	const away = (one: number) => Math.abs(Math.log2(one / value));
	return dial.reduce((best, one) => (away(one) < away(best) ? one : best), dial[0] as number);
}

/** The shutter of the dial nearest to a time, s. */
export const engravedShutter = (shutterS: number): number => nearest(SHUTTERS, shutterS);

/** The ISO of the dial nearest to a speed; beyond the dial to two places. */
export function engravedIso(iso: number): number {
	const last = SPEEDS.at(-1) as number;
	return iso > last * 1.12 ? Number(iso.toPrecision(2)) : nearest(SPEEDS, iso);
}

/** "1/160", "0.5 s", "4 s"; a minute and more in minutes. */
export function shutterWords(shutterS: number): string {
	if (shutterS > 34)
		return shutterS < 90 ? `${Math.round(shutterS)} s` : `${Math.round(shutterS / 60)} min`;
	const shown = engravedShutter(shutterS);
	return shown < 0.35 ? `1/${Math.round(1 / shown)}` : `${shown} s`;
}

/** "ISO 800". */
export const isoWords = (iso: number): string => `ISO ${engravedIso(iso)}`;

/** Power of a flash in third stops: "full power", "1/8", "1/8 + 1/3 stop". */
export function powerWords(power: number): string {
	const thirds = Math.round(3 * Math.log2(power));
	if (thirds >= 0) return 'full power';
	const below = Math.floor(thirds / 3);
	const more = thirds - 3 * below;
	const whole = `1/${2 ** -below}`;
	return more === 0 ? `${whole} power` : `${whole} power + ${more}/3 stop`;
}

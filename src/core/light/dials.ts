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

/** What is engraved is rounded. */
const A_HAIR = 1.03;

function nearest(dial: readonly number[], value: number): number {
	const away = (one: number) => Math.abs(Math.log2(one / value));
	return dial.reduce((best, one) => (away(one) < away(best) ? one : best), dial[0] as number);
}

/** The shutter of the dial nearest to a time, s. */
export const nominalShutter = (shutterS: number): number => nearest(SHUTTERS, shutterS);

/** The shutters of the dial from one to another, both included, the slowest first, s. */
export const shuttersBetween = (slowestS: number, fastestS: number): number[] =>
	SHUTTERS.filter((one) => one <= slowestS * A_HAIR && one >= fastestS / A_HAIR).toSorted(
		(a, b) => b - a
	);

/** The speeds of the dial from one to another, both included. */
export const isosBetween = (lowest: number, highest: number): number[] =>
	SPEEDS.filter((one) => one >= lowest / A_HAIR && one <= highest * A_HAIR);

/** The next shutter of the dial, s; null at its end. */
export function nextShutter(shutterS: number, way: 'faster' | 'slower'): number | null {
	const dial = SHUTTERS.toSorted((a, b) => b - a);
	const at = dial.indexOf(nominalShutter(shutterS));
	return dial[way === 'faster' ? at + 1 : at - 1] ?? null;
}

/** The ISO of the dial nearest to a speed; beyond the dial to two places. */
export function nominalIso(iso: number): number {
	const last = SPEEDS.at(-1) as number;
	return iso > last * 1.12 ? Number(iso.toPrecision(2)) : nearest(SPEEDS, iso);
}

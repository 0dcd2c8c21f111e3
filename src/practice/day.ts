import type { Shot } from '$core/format/shot';
import type { Spreads } from '$core/tables/spreads';
import type { RollOrder } from './roll';

/** A practice day: each of its shots taken a few times, as files that follow one another. */

interface DayShot {
	readonly shot: Shot;
	/** Local time of its beginning, ms as if it were UTC. */
	readonly localMs: number;
	/** How far the place is ahead of UTC then, minutes. */
	readonly offsetMinutes: number;
}

export interface DayOrder {
	readonly shots: readonly DayShot[];
	readonly framesOfEach: number;
	readonly seed: number;
	readonly longSidePx: number;
	readonly spreads: Spreads;
}

/** Rolls of a seed have seeds of their own. */
const SEEDS_A_DAY = 1000;

/** One roll a shot; files are numbered through. */
export function rollsOf({ shots, framesOfEach, seed, spreads, ...rest }: DayOrder): RollOrder[] {
	return shots.map((one, i) => ({
		...rest,
		...one,
		own: {},
		frames: framesOfEach,
		seed: seed * SEEDS_A_DAY + i,
		spreads,
		firstNumber: 1 + i * framesOfEach
	}));
}

import { groundDistanceM, pivotOf } from '../arrange/standpoint';
import type { Shot } from '../format/shot';
import type { Chance } from '../study/candidate';
import { solve } from '../study/plan';
import { asksForSomething } from '../study/study';
import { fromAway } from './turnedOut';

/** Distances are found as closely as this, m. */
const WITHIN_M = 0.002;
/** Who is focused on may change with the distance: a few steps come near enough. */
const FIXED_POINT_ROUNDS = 6;
const LEAST_M = 0.1;

/**
 * The shot with the camera as far away that what is focused on is at a distance from the sensor mark,
 * as the lens's scale and a tape have it.
 */
export function focusedFrom(shot: Shot, wantedM: number, chance: Chance): Shot {
	let next = shot;
	for (let round = 0; round < FIXED_POINT_ROUNDS; round++) {
		const fromM = asksForSomething(next) && solve(next, chance).plan.focus?.fromSensorM;
		if (!fromM || Math.abs(wantedM - fromM) < WITHIN_M) break;
		const now = groundDistanceM(next.camera, pivotOf(next));
		next = fromAway(next, Math.max(LEAST_M, now + wantedM - fromM));
	}
	return next;
}

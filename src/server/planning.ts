import type { PlanFile } from '$core/format/plan';
import { readShot } from '$core/format/shotFile';
import { adviceFor } from '$core/advice/advice';
import { solve } from '$core/study/plan';
import { ASKS_FOR_NOTHING } from '$words/reasons';
import { asksForSomething, study } from '$core/study/study';
import type { OddsRequest } from '$core/format/odds';
import { oddsOf, type Odds } from '$core/odds/odds';
import { nominalFNumber } from '$core/optics/fNumber';
import { chanceOf } from '$core/odds/chanceOf';
import { ASSUMED } from '$core/tables/spreads';
import { toldPlan } from '$words/told';
import { errorBody, type ApiError } from './respond';

const NOTHING = 'There is nothing in the picture to focus on.';

type OddsAnswer = Odds & {
	readonly format: 'focalis-odds';
	readonly version: 1;
	readonly fNumber: number;
	readonly fNumberExact: number;
	readonly seed: number;
};

/** The odds of a shot's plan, the same numbers as the browser's for the same seed. */
export function oddsFor({
	shot,
	frames,
	seed,
	spreads = ASSUMED
}: OddsRequest): OddsAnswer | { error: ApiError } {
	if (!asksForSomething(shot)) {
		const issues = [{ path: 'shot.people', message: ASKS_FOR_NOTHING }];
		return errorBody('asks-for-nothing', ASKS_FOR_NOTHING, issues);
	}
	const { taken } = study(shot, chanceOf(spreads));
	if (!taken) return errorBody('no-focus', NOTHING, [{ path: 'shot', message: NOTHING }]);
	return {
		format: 'focalis-odds',
		version: 1,
		fNumber: nominalFNumber(taken.fNumber),
		fNumberExact: taken.fNumber,
		seed,
		...oddsOf(taken, frames, seed, spreads)
	};
}

/**
 * A parsed value as a shot, worked out; or what is wrong with it.
 *
 * @param hasAdvice advice takes longer than all the rest, so it is there only where it was asked for
 */
export function planFor(value: unknown, hasAdvice: boolean): PlanFile | { error: ApiError } {
	const reading = readShot(value);
	if (!reading.ok) return errorBody(reading.code, reading.message, reading.problems);
	if (!asksForSomething(reading.shot)) {
		const issues = [{ path: 'people', message: ASKS_FOR_NOTHING }];
		return errorBody('asks-for-nothing', ASKS_FOR_NOTHING, issues);
	}
	const solution = solve(reading.shot, chanceOf(ASSUMED));
	if (!hasAdvice || reading.shot.people.length > MOST_ADVISED) return toldPlan(solution);
	return toldPlan(solution, adviceFor(solution.study, []));
}

/** For larger groups advice takes too long for a service that bounds its work: the key is missing then. */
const MOST_ADVISED = 40;

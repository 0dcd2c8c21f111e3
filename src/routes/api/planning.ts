import type { Plan } from '$core/format/plan';
import { readShot } from '$core/format/shotFile';
import { adviceFor, type Advice } from '$core/solve/advice';
import { asksForSomething, ASKS_FOR_NOTHING, solve } from '$core/solve/solve';
import type { OddsRequest } from '$core/format/odds';
import { oddsOf, type Odds } from '$core/odds/odds';
import { engraved } from '$core/optics/fNumber';
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
	spreads
}: OddsRequest): OddsAnswer | { error: ApiError } {
	if (!asksForSomething(shot)) {
		const issues = [{ path: 'shot.people', message: ASKS_FOR_NOTHING }];
		return errorBody('asks-for-nothing', ASKS_FOR_NOTHING, issues);
	}
	const { scene, pair } = solve(shot, spreads);
	if (!pair) return errorBody('no-focus', NOTHING, [{ path: 'shot', message: NOTHING }]);
	return {
		format: 'focalis-odds',
		version: 1,
		fNumber: engraved(pair.fNumber),
		fNumberExact: pair.fNumber,
		seed,
		...oddsOf(scene, pair, frames, seed, spreads)
	};
}

/** A parsed value as a shot, worked out; or what is wrong with it. */
export function planFor(value: unknown): Plan | { error: ApiError } {
	const reading = readShot(value);
	if (!reading.ok) return errorBody(reading.code, reading.message, reading.problems);
	if (!asksForSomething(reading.shot)) {
		const issues = [{ path: 'people', message: ASKS_FOR_NOTHING }];
		return errorBody('asks-for-nothing', ASKS_FOR_NOTHING, issues);
	}
	const { plan } = solve(reading.shot);
	if (reading.shot.people.length > MOST_ADVISED) return plan;
	return { ...plan, advice: adviceFor(reading.shot).map(told) };
}

/** For larger groups advice takes too long for a service that bounds its work: the key is missing then. */
const MOST_ADVISED = 40;

/** Advice as the plan file has it: without the whole shot that comes of it. */
function told({
	code,
	text,
	size,
	unit,
	fNumberExact,
	feasible,
	intentsMet,
	gainStops,
	subject
}: Advice) {
	return { code, text, size, unit, fNumberExact, feasible, intentsMet, gainStops, ...subject };
}

import { bench, describe } from 'vitest';
import { addRows } from '$core/arrange/arrange';
import type { Shot } from '$core/format/shot';
import { ladderOf } from '$core/optics/fNumber';
import { adviceFor } from '$core/advice/advice';
import { chanceOf } from '$core/odds/chanceOf';
import { ASSUMED } from '$core/tables/spreads';
import { candidatesOf, spotsOf } from '$core/study/candidates';
import { widestThatHolds } from '$core/study/pick';
import { lookAt } from '$core/study/scene';
import { intentsOf } from '$core/study/take';
import { lensWays } from '$core/advice/lensWays';
import { solve, study } from './support/solved';
import { LENSES } from '$data/kit';
import { shotOf, thing } from './support/shots';

/** What a plan costs, and what it would cost if nothing were shared. `npm run bench -- plan` */

const chance = chanceOf(ASSUMED);

/** People on steps, three rows, with two things behind them. */
function group(people: number): Shot {
	const empty = shotOf({
		lens: LENSES.zoom2470,
		focalMm: 35,
		things: [
			thing('lanterns', [0, 2.9, 14], { intent: 'dissolved', look: 'lights' }),
			thing('sign', [2, 2.6, 12], { intent: 'readable', detailMm: 60 })
		]
	});
	const counts = [0, 1, 2].map((row) => Math.floor((people + row) / 3));
	return addRows(empty, { counts, rowGapM: 0.8, stepM: 0.3, spacingM: 0.3 }, 8);
}

/** Everything anew for every pair of a candidate and an f-number: the scene, the ratios, the things. */
function everythingAnew(shot: Shot): void {
	const ladder = ladderOf(shot.lens, shot.camera.focalMm);
	const { within } = spotsOf(lookAt(shot));
	for (const fNumber of ladder) {
		for (const spot of within) {
			const scene = lookAt(shot);
			const candidates = candidatesOf(scene, [spot], chance);
			widestThatHolds(scene, candidates, [fNumber]);
			for (const candidate of candidates) intentsOf({ scene, candidate, fNumber });
		}
	}
}

/** The scene once, but the ratio of every target anew for every pair. */
function ratiosAnew(shot: Shot): void {
	const scene = lookAt(shot);
	const ladder = ladderOf(shot.lens, shot.camera.focalMm);
	const { within } = spotsOf(scene);
	for (const fNumber of ladder)
		widestThatHolds(scene, candidatesOf(scene, within, chance), [fNumber]);
}

describe('30 people, a kit of 32 ways', () => {
	const shot = group(30);
	const { zoom2470, wide24, wide35, normal50, portrait85, portrait135 } = LENSES;
	const primes = [wide24, wide35, normal50, portrait85, portrait135];
	const named = (suffix: string) => ({ ...zoom2470, name: `${zoom2470.name} ${suffix}` });
	const lenses = [...primes, LENSES.zoom70200, ...['a', 'b', 'c', 'd', 'e'].map(named)];
	console.log(`${lensWays(study(shot), lenses).length} ways`);
	bench('every way (budget: 150 ms)', () => void lensWays(study(shot), lenses));
	bench('every way by whole plans', () => {
		for (const way of lensWays(study(shot), lenses)) solve(way.shot);
	});
	bench('advice with these lenses (budget: 150 ms)', () => void adviceFor(study(shot), lenses));
});

describe('a plan for 30 people', () => {
	const shot = group(30);
	bench('as it is: pick, ladder, free plane, schools, slack', () => void solve(shot));
	bench('only the pairs, ratios anew for each rung', () => ratiosAnew(shot));
	bench('only the pairs, everything anew for each', () => everythingAnew(shot), {
		iterations: 3,
		warmupIterations: 1,
		time: 0
	});
});

describe('a plan by the number of people', () => {
	for (const people of [5, 10, 30, 60, 80]) {
		const shot = group(people);
		bench(`${people} people`, () => void solve(shot));
	}
});

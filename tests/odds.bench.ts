import { bench, describe } from 'vitest';
import { addRows } from '$core/arrange/arrange';
import { adviceFor } from '$core/advice/advice';
import { lensWays } from '$core/advice/lensWays';
import { floorPlan } from '$core/advice/standing';
import { ASSUMED } from '$core/tables/spreads';
import { chanceOf } from '$core/odds/chanceOf';
import { oddsOf, oddsOfAll } from '$core/odds/odds';
import { study as studyBy } from '$core/study/study';
import { solve as solveBy } from '$core/study/plan';
import { defocusMm } from '$core/optics/blur';
import { focusAt, vergenceError } from '$core/optics/focus';
import { study, takeOf } from './support/solved';
import { effectiveExposureS } from '$core/study/light';
import { naiveSharpShare } from './support/naiveOdds';
import { LENSES } from '$data/kit';
import { shotOf } from './support/shots';

/** What counting frames costs, and what it would cost with an object for each target of each frame. */

const FRAMES = 20_000;
const shot = addRows(
	shotOf({ lens: LENSES.zoom2470, focalMm: 35 }),
	{ counts: [10, 10, 10], rowGapM: 0.8, stepM: 0.3, spacingM: 0.3 },
	8
);
const byOdds = {
	...shot,
	light: { mode: 'ambient' as const, ev100: 10 },
	choices: { ...shot.choices, pickBy: 'odds' as const, shutterRule: 'computed' as const }
};
const take = takeOf(shot);
const { scene, candidate } = take;

/** The same law with the core's own functions, everything made anew. */
function naive(): number {
	let keepers = 0;
	for (let frame = 0; frame < FRAMES; frame++) {
		const swayM = 0.012 * (Math.random() - 0.5);
		const focus = focusAt(scene.optic, candidate.planeM + swayM);
		const blurs = scene.targets.map(({ seen, factor }) => {
			const depthM = seen.depthM + 0.008 * (Math.random() - 0.5);
			const error = vergenceError(
				focus,
				depthM,
				depthM / Math.hypot(depthM, seen.rightM, seen.upM)
			);
			const defocus = defocusMm(focus, take.fNumber, error);
			return { ratio: Math.hypot(defocus, 0.01) / (factor * scene.toleranceMm) };
		});
		if (blurs.every(({ ratio }) => ratio <= 1)) keepers += 1;
	}
	return keepers;
}

describe('every rung with 1000 frames of 30 people: odds, shutter, pick (budget: 8 ms)', () => {
	bench('as it is', () => void studyBy(byOdds, chanceOf(ASSUMED)).pick);
	bench('the whole plan, ladder and all', () => void solveBy(byOdds, chanceOf(ASSUMED)));
	bench('every frame of every rung on its own', () => {
		for (const rung of study(byOdds).rungs) naiveSharpShare(rung, effectiveExposureS(rung), 1000);
	});
});

describe('beside the page, for 30 people picked by odds (budget: 300 ms each)', () => {
	const { wide24, wide35, normal50, portrait85, portrait135, zoom70200, zoom2470 } = LENSES;
	const lenses = [wide24, wide35, normal50, portrait85, portrait135, zoom70200, zoom2470];
	const area = { left: -4, right: 4, near: 0, far: 6 };
	bench('advice with seven lenses', () => void adviceFor(study(byOdds), lenses));
	bench('the same lenses as ways', () => void lensWays(study(byOdds), lenses));
	bench('where to stand, 100 places, as on a laptop', () => {
		for (const plan of floorPlan(study(byOdds), lenses, area, 100)) void plan;
	});
});

describe('20 000 frames of 30 people', () => {
	bench('one rung', () => void oddsOf(take, FRAMES, 1, ASSUMED));
	bench('the whole ladder (budget: 200 ms)', () => {
		oddsOfAll(study(byOdds).rungs, FRAMES, 1, ASSUMED);
	});
	bench('one rung with objects for every target of every frame', () => void naive());
});

import { bench, describe } from 'vitest';
import { addRows } from '$core/arrange/arrange';
import { ASSUMED } from '$core/tables/spreads';
import { OddsRun } from '$core/odds/odds';
import { defocusMm } from '$core/optics/blur';
import { focusAt, vergenceError } from '$core/optics/focus';
import { study, takeOf } from './support/solved';
import { LENSES } from '$data/kit';
import { shotOf } from './support/shots';

/** What counting frames costs, and what it would cost with an object for each target of each frame. */

const FRAMES = 20_000;
const shot = addRows(
	shotOf({ lens: LENSES.zoom2470, focalMm: 35 }),
	{ counts: [10, 10, 10], rowGapM: 0.8, stepM: 0.3, spacingM: 0.3 },
	8
);
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

describe('20 000 frames of 30 people (budget: 0.5 s)', () => {
	bench('as it is', () => {
		const run = new OddsRun(take, 1, FRAMES, ASSUMED);
		run.frames.draw(FRAMES);
		run.odds();
	});
	bench('the first estimate: 150 frames at every rung (budget: 50 ms)', () => {
		for (const rung of study(shot).rungs) {
			const run = new OddsRun(rung, 1, 150, ASSUMED);
			run.frames.draw(150);
			run.odds();
		}
	});
	bench('with objects for every target of every frame', () => void naive());
});

import { expose } from 'comlink';
import type { Lens, Shot } from '$core/format/shot';
import type { Spreads } from '$core/odds/spreads';
import { adviceFor, type Advice } from '$core/solve/advice';
import { backRowNearerM, floorPlan, type FloorArea, type FloorPlan } from '$core/solve/standing';
import { waysOf, type Way } from '$core/solve/ways';

/** What takes longer than a frame: advice, ways to take a shot, where to stand. */

let floorTurn = 0;

const service = {
	advice: (shot: Shot, lenses: readonly Lens[], spreads: Spreads): Advice[] =>
		adviceFor(shot, lenses, spreads),

	ways: (shot: Shot, lenses: readonly Lens[], spreads: Spreads): Way[] =>
		waysOf(shot, lenses, spreads),

	/** How much nearer the back row must stand for an f-number; null when even one row would not hold. */
	backRowNearer: (shot: Shot, fNumberExact: number) => ({
		metres: backRowNearerM(shot, fNumberExact)
	}),

	/** The floor; null when another one was asked for meanwhile. */
	async floor(
		shot: Shot,
		lenses: readonly Lens[],
		area: FloorArea,
		cells: number
	): Promise<FloorPlan | null> {
		const turn = ++floorTurn;
		let latest: FloorPlan | null = null;
		for (const plan of floorPlan(shot, lenses, area, cells)) {
			latest = plan;
			// so that another question can come in between
			await new Promise((resolve) => setTimeout(resolve, 0));
			if (turn !== floorTurn) return null;
		}
		return latest;
	}
};

export type SetupService = typeof service;
expose(service);

import type { Rung } from '../format/plan';
import { diffractionMm } from '../optics/blur';
import { engraved } from '../optics/fNumber';
import type { Candidate, Pair } from './candidates';
import { exposureAt, floorsOf, NO_FLOORS } from './light';
import { worstRatio } from './pick';
import type { Scene } from './scene';
import { judgeThing } from './things';

/** Every f-number of the lens with its best candidate: the one with the lowest worst ratio. */
export function rungsOf(
	scene: Scene,
	candidates: readonly Candidate[],
	ladder: readonly number[]
): Rung[] {
	const [first, ...rest] = candidates;
	if (!first) return [];
	const best = rest.reduce((a, b) => (b.worstAtF1 < a.worstAtF1 ? b : a), first);
	const floors = scene.shot.light ? floorsOf(scene, best.focus) : NO_FLOORS;
	return ladder.map((fNumber) => {
		const pair = { candidate: best, fNumber };
		const faces = [...faceRatios(scene, pair).values()];
		const exposure = exposureAt(scene.shot, fNumber, floors);
		const met = scene.things.map((seen) => judgeThing(scene, seen, best.focus, fNumber).met);
		return {
			fNumber: engraved(fNumber),
			fNumberExact: fNumber,
			worstRatio: worstRatio(pair),
			focusPersonId: best.personId,
			sharpPeople: faces.filter((ratio) => ratio <= 1).length,
			people: faces.length,
			thingsMet: met.filter((one) => one === true).length,
			things: met.filter((one) => one !== null).length,
			diffraction: diffractionMm(best.focus, fNumber) > scene.toleranceMm,
			shutterS: exposure?.shutterS ?? null,
			iso: exposure?.iso ?? null,
			flags: [...(exposure?.flags ?? [])],
			feasible: scene.targets.length > 0 && worstRatio(pair) <= 1
		};
	});
}

/** The worst ratio of each person who has targets, by id. */
export function faceRatios(
	scene: Scene,
	{ candidate, fNumber }: Pair
): ReadonlyMap<string, number> {
	const worst = new Map<string, number>();
	scene.targets.forEach(({ personId }, i) => {
		if (personId === null) return;
		const ratio = (candidate.ratiosAtF1[i] ?? 0) / fNumber;
		worst.set(personId, Math.max(worst.get(personId) ?? 0, ratio));
	});
	return worst;
}

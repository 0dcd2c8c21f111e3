import type { Rung } from '../format/plan';
import { engraved } from '../optics/fNumber';
import type { Candidate } from './candidates';
import { exposureAt, floorsOf, NO_FLOORS } from './light';
import type { Scene } from './scene';
import { faceRatios, isDiffracted, isFeasible, thingResults, worstRatio, type Take } from './take';

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
		const take: Take = { scene, candidate: best, fNumber };
		const faces = [...faceRatios(take).values()];
		const exposure = exposureAt(scene.shot, fNumber, floors);
		const met = thingResults(take).map((thing) => thing.met);
		return {
			fNumber: engraved(fNumber),
			fNumberExact: fNumber,
			worstRatio: worstRatio(take),
			focusPersonId: best.personId,
			sharpPeople: faces.filter((ratio) => ratio <= 1).length,
			people: faces.length,
			thingsMet: met.filter((one) => one === true).length,
			things: met.filter((one) => one !== null).length,
			diffraction: isDiffracted(take),
			shutterS: exposure?.shutterS ?? null,
			iso: exposure?.iso ?? null,
			flags: [...(exposure?.flags ?? [])],
			feasible: isFeasible(take)
		};
	});
}

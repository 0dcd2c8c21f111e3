import type { Take } from './candidate';
import type { Rung } from '../format/plan';
import { nominalFNumber } from '../optics/fNumber';
import { exposureOf } from './light';
import type { Study } from './study';
import { faceRatios, isDiffracted, isFeasible, thingResults, worstRatio } from './take';

/**
 * Every f-number of the lens: what its best candidate holds, the one with the lowest worst ratio, and
 * how the take that would be picked there is exposed and fares.
 */
export function rungsOf({ scene, candidates, rungs }: Study): Rung[] {
	const [first, ...rest] = candidates;
	if (!first) return [];
	const best = rest.reduce((a, b) => (b.worstAtF1 < a.worstAtF1 ? b : a), first);
	return rungs.map((taken) => {
		const { fNumber } = taken;
		const take: Take = { scene, candidate: best, fNumber };
		const faces = [...faceRatios(take).values()];
		const exposure = exposureOf(taken);
		const met = thingResults(take).map((thing) => thing.met);
		return {
			fNumber: nominalFNumber(fNumber),
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
			feasible: isFeasible(take),
			sharpShare: scene.targets.length > 0 ? taken.candidate.chance.sharpShare(taken) : null
		};
	});
}

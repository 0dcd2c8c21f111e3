import type { ThingResult } from '../format/plan';
import type { Thing } from '../format/shot';
import { defocusContrast, patternContrast, objectPlaneBlurMm } from '../optics/contrast';
import type { FocusedOptic } from '../optics/focus';
import { defocusAt } from '../optics/blur';
import type { Scene, SeenThing } from './scene';
import { RULES } from '../tables/rules';

function stateOfContrast(contrast: number): 'readable' | 'recognisable' | 'dissolved' {
	if (contrast >= RULES.readableContrast) return 'readable';
	return contrast > RULES.recognisableContrast ? 'recognisable' : 'dissolved';
}

/** The least share of a thing that must be seen for it to meet its intent; one that should dissolve may be hidden. */
const LEAST_SEEN: Readonly<Record<Thing['intent'], number>> = {
	sharp: RULES.hiddenThingShare,
	readable: RULES.hiddenThingShare,
	recognisable: RULES.hiddenRecognisableShare,
	dissolved: 0,
	any: 0
};

/** The things wholly outside the frame: reported, and of no account whatever the focus. */
export function outsideThings(scene: Scene): ThingResult[] {
	return scene.things.filter(({ inFrame }) => !inFrame).map(outside);
}

function outside({ thing: { id, intent }, seen: { depthM } }: SeenThing): ThingResult {
	return {
		id,
		depthM,
		smearMm: null,
		contrast: null,
		hiddenShare: null,
		state: 'outside',
		intent,
		met: null
	};
}

/** What becomes of a thing at a focus and f-number. */
export function judgeThing(
	scene: Scene,
	seenThing: SeenThing,
	focus: FocusedOptic,
	fNumber: number
): ThingResult {
	if (!seenThing.inFrame) return outside(seenThing);
	const { id, intent } = seenThing.thing;
	const { depthM } = seenThing.seen;
	const { smear, contrast, state } = patternOf(scene, seenThing, focus, fNumber);
	const hiddenShare = seenThing.hiddenShare();
	const met = becomesWanted(scene, seenThing, focus, fNumber);
	return { id, depthM, smearMm: smear, contrast, hiddenShare, state, intent, met };
}

/** What is left of the pattern of a thing. */
function patternOf(
	{ pixelMm }: Scene,
	{ thing, seen: { depthM, cosOffAxis } }: SeenThing,
	focus: FocusedOptic,
	fNumber: number
) {
	const smear = objectPlaneBlurMm(focus, fNumber, depthM, cosOffAxis);
	const contrast = patternContrast(focus, fNumber, depthM, smear, thing.detailMm, pixelMm);
	return { smear, contrast, state: stateOfContrast(contrast) };
}

/** Whether its pattern becomes so. Tried for every focus at every f-number: mostly the blur alone decides. */
function becomesState(
	scene: Scene,
	seenThing: SeenThing,
	focus: FocusedOptic,
	fNumber: number,
	wanted: ReturnType<typeof stateOfContrast>
): boolean {
	const { thing, seen } = seenThing;
	const smear = objectPlaneBlurMm(focus, fNumber, seen.depthM, seen.cosOffAxis);
	const atMost = stateOfContrast(defocusContrast(smear, thing.detailMm));
	if (atMost === 'dissolved') return wanted === 'dissolved';
	if (atMost === 'recognisable' && wanted === 'readable') return false;
	return patternOf(scene, seenThing, focus, fNumber).state === wanted;
}

/** Whether a thing in the frame becomes what it should. What hides it takes long to find out and is asked last. */
export function becomesWanted(
	scene: Scene,
	seenThing: SeenThing,
	focus: FocusedOptic,
	fNumber: number
): boolean {
	const { thing, seen, hiddenShare } = seenThing;
	const { intent } = thing;
	const becomes =
		intent === 'any' ||
		(intent === 'sharp'
			? defocusAt(focus, fNumber, seen) <= scene.toleranceMm
			: becomesState(scene, seenThing, focus, fNumber, intent));
	const leastSeen = LEAST_SEEN[intent];
	return becomes && (leastSeen === 0 || 1 - hiddenShare() >= leastSeen);
}

import type { ThingResult } from '../format/plan';
import { patternContrast, smearMm } from '../optics/contrast';
import type { FocusedOptic } from '../optics/focus';
import { defocusAt } from '../optics/blur';
import type { Scene, SeenThing } from './scene';

/** Contrast from which the detail of a thing can be read, and above which it is recognised. */
const READABLE_CONTRAST = 0.8;
const RECOGNISABLE_CONTRAST = 0.2;

function stateOfContrast(contrast: number): 'readable' | 'recognisable' | 'dissolved' {
	if (contrast >= READABLE_CONTRAST) return 'readable';
	return contrast > RECOGNISABLE_CONTRAST ? 'recognisable' : 'dissolved';
}

/** The things wholly outside the frame: reported, and of no account whatever the focus. */
export function outsideThings(scene: Scene): ThingResult[] {
	return scene.things.filter(({ inFrame }) => !inFrame).map(outside);
}

function outside({ thing: { id, intent }, seen: { depthM } }: SeenThing): ThingResult {
	return { id, depthM, smearMm: null, contrast: null, state: 'outside', intent, met: null };
}

/** What becomes of a thing at a focus and f-number. */
export function judgeThing(
	scene: Scene,
	seenThing: SeenThing,
	focus: FocusedOptic,
	fNumber: number
): ThingResult {
	const { thing, seen, inFrame } = seenThing;
	if (!inFrame) return outside(seenThing);
	const { id, intent } = thing;
	const { depthM, cosOffAxis } = seen;
	const smear = smearMm(focus, fNumber, depthM, cosOffAxis);
	const contrast = patternContrast(focus, fNumber, depthM, smear, thing.detailMm, scene.pixelMm);
	const state = stateOfContrast(contrast);
	const isSharp = () => defocusAt(focus, fNumber, seen) <= scene.toleranceMm;
	const met = intent === 'any' || (intent === 'sharp' ? isSharp() : state === intent);
	return { id, depthM, smearMm: smear, contrast, state, intent, met };
}

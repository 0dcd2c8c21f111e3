import { colour, lookOf, type FigureLook } from '../looks';
import type { PlacedPart } from '../assemble';
import type { PreviewThing } from '../scene';
import type { ObjectForm } from '../sculpt/objects';
import { tintOf } from './tint';

/** Words of a label that tell what an object is; anything else is a parcel. */
const FORMS: readonly (readonly [RegExp, ObjectForm])[] = [
	[/trumpet|cornet|bugle|horn|trombone|tuba|bell/i, 'trumpet'],
	[/bouquet|flower|rose|posy|wreath|peon/i, 'bouquet']
];

const formOf = (label: string): ObjectForm =>
	FORMS.find(([words]) => words.test(label))?.[1] ?? 'parcel';

const BRASS = colour('#c99a3e');

/** A held object, facing the camera, and its colours. */
export function heldObject(thing: PreviewThing): PlacedPart & Pick<FigureLook, 'colours'> {
	const { id, label, centre, widthM, heightM, detailMm } = thing;
	const form = formOf(label);
	const own = tintOf(label) ?? (form === 'trumpet' ? BRASS : undefined);
	const { colours } = lookOf(id, 'adult');
	const depthM = Math.min(widthM, heightM);
	// bars are counted across the width, so that each is as wide as the detail
	const share = Math.min(0.5, detailMm / (widthM * 1000));
	const matrix = [
		...[widthM / 1000, 0, 0, 0],
		...[0, heightM / 1000, 0, 0],
		...[0, 0, -depthM / 1000, 0],
		...[centre.x, centre.y, centre.z, 1]
	];
	return {
		name: `object ${form} ${share}`,
		matrix,
		colours: {
			...colours,
			cloth: own ?? colours.cloth,
			lip: colour('#b9545f'),
			marking: colour('#55703c'),
			shirt: colour('#e9dfce')
		}
	};
}

import { HEADS } from '$core/tables/heads';
import type { Build } from '$core/tables/heads';
import { addAnimalBody, addAnimalHead } from './animal';
import type { Pose } from '$core/anatomy/body';
import type { HairStyle, Outfit } from '../looks';
import { addBlock, addBody } from './body';
import { Clay } from './clay';
import { addBrows, addEyes, HUMAN_EYE } from './eye';
import { addFace, faceShape, type Detail } from './face';
import { addEars, addGlasses, addHair } from './hair';
import { addObject, type ObjectForm } from './objects';

/** The parts of figures, each named so that those who share one are drawn together. */
export type PartName =
	| `head ${'adult' | 'child'} ${Detail}`
	| `eyes ${'adult' | 'child'} ${'open' | 'shut'} ${Detail}`
	| `hair ${HairStyle} ${Detail}`
	| `glasses ${Detail}`
	| `body ${Outfit} ${Pose} ${number} ${Detail}`
	| `${'cat' | 'dog'} ${'head' | 'body'} ${Detail}`
	| `object ${ObjectForm} ${number}`
	| 'block';

/** Younger eyes are larger in their face. */
const CHILD_EYE = { ...HUMAN_EYE, irisMm: 6.9, open: [27, 24, 56] as const };

/** Sculpts a part; heavy for a fine head, so keep what it returns. */
export function sculpt(name: PartName): Clay {
	const clay = new Clay();
	const [kind, ...rest] = name.split(' ') as [string, ...string[]];
	const detail = rest.at(-1) as Detail;
	const adult = HEADS.adult;
	switch (kind) {
		case 'head':
			addFace(clay, adult, detail);
			addEars(clay, adult, detail);
			break;
		case 'eyes': {
			const face = faceShape(adult);
			const make = rest[0] === 'child' ? CHILD_EYE : HUMAN_EYE;
			const isShut = rest[1] === 'shut';
			addEyes(clay, { ...make, eye: adult['left-eye'], isShut }, face, detail);
			addBrows(clay, face, detail);
			break;
		}
		case 'hair':
			addHair(clay, adult, rest[0] as HairStyle, detail);
			break;
		case 'glasses':
			addGlasses(clay, adult['left-eye'], adult['left-ear'], detail);
			break;
		case 'body':
			addBody(clay, rest[0] as Outfit, rest[1] as Pose, Number(rest[2]), detail);
			break;
		case 'cat':
		case 'dog':
			if (rest[0] === 'head') addAnimalHead(clay, kind, HEADS[kind as Build], detail);
			else addAnimalBody(clay, kind, detail);
			break;
		case 'object':
			addObject(clay, rest[0] as ObjectForm, Number(rest[1]));
			break;
		case 'block':
			addBlock(clay, [-500, -1000, -500], [500, 0, 500]);
			break;
	}
	return clay;
}

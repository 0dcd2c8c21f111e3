import { bodyShape } from '$core/anatomy/body';
import { along, type Vec3 } from '$core/geometry/vector';
import type { Figure, Ground, Placement } from './scene';
import { isCoarse, type Detail } from './sculpt/face';
import type { PartName } from './sculpt/parts';
import type { FigureLook } from './looks';

/** Puts a figure together: which parts, where, and how large. */

export interface PlacedPart {
	readonly name: PartName;
	/** A 4 by 4 matrix by columns: from millimetres of the part to the camera's metres. */
	readonly matrix: readonly number[];
}

/** From how many pixels of a head on a figure is made so fine; smaller ones are far. */
const FROM_PX: readonly (readonly [Detail, number])[] = [
	['fine', 300],
	['near', 190],
	['middle', 64],
	['coarse', 40]
];
/** Eyes are what one looks at: they are fine earlier. */
const FINE_EYES_FROM_PX = 150;
const HEAD_M = 0.23;

/** How finely a figure is made for a picture, and its eyes. */
export interface Details {
	readonly body: Detail;
	readonly eyes: Detail;
}

export const COARSEST: Details = { body: 'coarse', eyes: 'coarse' };

/** How finely a figure is made for a picture. */
export function detailsFor(figure: Figure, pxPerMAtOneM: number): Details {
	const px = (HEAD_M * figure.size * pxPerMAtOneM) / Math.max(figure.head.origin.z, 0.05);
	const body = FROM_PX.find(([, from]) => px > from)?.[0] ?? 'far';
	return { body, eyes: px > FINE_EYES_FROM_PX ? 'fine' : body };
}

/** The parts of a figure. */
export function figurePartsOf(
	figure: Figure,
	look: FigureLook,
	{ body: detail, eyes }: Details,
	ground: Ground
): PlacedPart[] {
	const { build, head, size } = figure;
	if (build === 'cat' || build === 'dog') return animalParts(figure, build, detail, ground);
	const age = build === 'adult' ? 'adult' : 'child';
	const onHead = (name: PartName): PlacedPart => ({ name, matrix: placed(head, size) });
	return [
		onHead(`head ${age} ${detail}`),
		onHead(`eyes ${age} ${figure.isShut ? 'shut' : 'open'} ${eyes}`),
		onHead(`hair ${look.hair} ${detail}`),
		...(look.hasGlasses && !isCoarse(detail) ? [onHead(`glasses ${detail}`)] : []),
		...bodyParts(figure, look, ground, detail)
	];
}

/** Heights are taken in steps, so that figures of nearly one height share a body, mm. */
const HEIGHT_STEP_MM = 25;

function bodyParts(figure: Figure, look: FigureLook, ground: Ground, detail: Detail): PlacedPart[] {
	const { build, eyeHeightM, body } = figure;
	const { size, pose, floorMm, stepM } = bodyShape(build, eyeHeightM);
	const downMm = pose === 'carried' ? 0 : Math.round(floorMm / HEIGHT_STEP_MM) * HEIGHT_STEP_MM;
	const name: PartName = `body ${look.outfit} ${pose} ${downMm} ${detail}`;
	const parts: PlacedPart[] = [{ name, matrix: placed(body, size) }];
	if (stepM > 0) parts.push(step(body.origin, ground, eyeHeightM, stepM));
	return parts;
}

function animalParts(
	figure: Figure,
	animal: 'cat' | 'dog',
	detail: Detail,
	ground: Ground
): PlacedPart[] {
	const { head, body, eyeHeightM } = figure;
	const { size, stepM } = bodyShape(animal, eyeHeightM);
	return [
		{ name: `${animal} head ${detail}`, matrix: placed(head, 1) },
		{ name: `${animal} body ${detail}`, matrix: placed(body, size) },
		...(stepM > 0 ? [step(body.origin, ground, eyeHeightM, stepM)] : [])
	];
}

/** A step of stone under somebody's feet, its sides along the world's. */
function step(origin: Vec3, ground: Ground, eyeHeightM: number, heightM: number): PlacedPart {
	const below = along(origin, ground.up, heightM - eyeHeightM);
	const { right, up, away } = ground;
	const matrix = [
		...column(right, 0.00068),
		...column(up, heightM / 1000),
		...column(away, -0.0006),
		below.x,
		below.y,
		below.z,
		1
	];
	return { name: 'block', matrix };
}

const column = ({ x, y, z }: Vec3, k: number) => [x * k, y * k, z * k, 0];

function placed({ origin, left, up, out }: Placement, size: number): number[] {
	const k = size / 1000;
	return [...column(left, k), ...column(up, k), ...column(out, k), origin.x, origin.y, origin.z, 1];
}

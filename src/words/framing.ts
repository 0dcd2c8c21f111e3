import type { FramingProblem } from '$core/arrange/framing';
import type { BodyMark } from '$core/arrange/held';
import type { FigurePart } from '$core/anatomy/figure';
import type { Shot } from '$core/format/shot';
import { cropFactor } from '$core/optics/crop';
import { decimal, smallLength, type Units } from './numbers';

/** Framing as one says it. */

/** How much of somebody is in the picture. */
export const PART_OPTIONS = [
	{ value: 'face', text: 'face' },
	{ value: 'head-and-shoulders', text: 'head and shoulders' },
	{ value: 'waist-up', text: 'waist up' },
	{ value: 'full-length', text: 'full length' }
] as const satisfies readonly { readonly value: FigurePart; readonly text: string }[];

export const partWords = (part: FigurePart): string =>
	PART_OPTIONS.find(({ value }) => value === part)?.text ?? part;

/** "head to knees"; where the frame ends above the shoulders, "the face". */
export const framedPartWords = (mark: BodyMark): string =>
	mark === 'chin' ? 'the face' : `head to ${mark}`;

/** "35 mm on this body frames like 52 mm on full frame"; empty where it is full frame. */
export function equivalentWords({ body, camera }: Shot): string {
	const crop = cropFactor(body.sensor);
	if (Math.abs(crop - 1) < 0.02) return '';
	const focal = camera.focalMm < 10 ? decimal(camera.focalMm, 1) : Math.round(camera.focalMm);
	return `${focal} mm on this body frames like ${Math.round(camera.focalMm * crop)} mm on full frame`;
}

/** Why a framing cannot be had, and what would. */
export function framingProblemText(problem: FramingProblem, units: Units): string {
	const told = (metres: number) => smallLength(metres, units);
	switch (problem.why) {
		case 'nobody':
			return 'There is nobody to frame.';
		case 'no-room':
			return `That framing needs the camera ${told(problem.backM)} farther back, and there are only ${told(problem.clearM)} behind it. A shorter focal length would do it from here.`;
		case 'too-near':
			return `That framing needs the camera ${told(problem.depthM)} away, nearer than this lens can focus (${told(problem.closestFocusM)}). A longer focal length would do it.`;
		case 'lens-too-long': {
			const { shortestMm, neededMm } = problem;
			const needs = neededMm === null ? '' : `: it takes about ${Math.floor(neededMm)} mm`;
			return `Even at ${shortestMm} mm this lens cannot take that in from here${needs}. Step back, or take a wider lens.`;
		}
	}
}

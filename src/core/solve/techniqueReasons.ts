import type { Reason } from '../format/plan';
import type { Shot } from '../format/shot';
import type { Candidate } from './candidates';
import { nameOf } from './names';
import type { FocusTechnique, WayToFocus } from './technique';

/** How to get the focus there, in words. */

/** Width of an eye, mm: a box wider than this may settle on brow, lashes or nose. */
export const EYE_MM = 30;

const mm = (metres: number) => `${Math.abs(metres * 1000).toFixed(0)} mm`;

export function techniqueReasons(
	shot: Shot,
	candidate: Candidate,
	technique: FocusTechnique
): Reason[] {
	const { point, ways, boxMm, mode } = technique;
	const spot = candidate.landmark
		? nameOf(shot, { personId: candidate.personId ?? undefined, landmark: candidate.landmark })
		: nameOf(shot, { thingId: candidate.thingId ?? undefined, landmark: 'thing' });
	const wrists = ways.find(({ way }) => way === 'reframe-wrists');
	const isEye = candidate.kind === 'eye';
	return [
		wayReason(spot, technique, wrists),
		...(wrists && wrists.errorM > 0.0005 ? [reframeReason(wrists)] : []),
		...(isEye && boxMm > EYE_MM && point
			? [
					{
						code: 'box',
						text: `A focus box covers ${Math.round(boxMm)} mm there, more than an eye: it may settle on brow, lashes or nose. Use a smaller one, or magnify.`,
						boxMm
					}
				]
			: []),
		...(point && !technique.isSensitive
			? [
					{
						code: 'outer-point',
						text: 'That focus point is an outer one, less sensitive than the middle one: give it contrast, and check.'
					}
				]
			: []),
		{
			code: `mode-${mode}`,
			text:
				mode === 'single'
					? 'Single focusing, and release at once: waiting moves you and them.'
					: `Continuous focusing, held on ${spot}, in short bursts.`
		}
	];
}

function wayReason(
	spot: string,
	{ technique, point }: FocusTechnique,
	wrists: WayToFocus | undefined
): Reason {
	const none = point ? '' : 'No focus point reaches there. ';
	const words = {
		'move-point': `Put a focus point on ${spot}.`,
		reframe: `${none}Lock on ${spot} with the middle point and turn only the wrists.`,
		manual: wrists?.holds
			? `${none}Focus by hand on ${spot}, magnified.`
			: `${none}Focus by hand${spot && ` on ${spot}`}, magnified: reframing would lose it.`
	}[technique];
	return { code: technique, text: words };
}

function reframeReason({ errorM, ratio, worstRatio, holds }: WayToFocus): Reason {
	const left = `Locking and reframing by the wrists would leave the focus ${mm(errorM)} behind`;
	return {
		code: 'reframe-error',
		text: holds
			? `${left}: it holds.`
			: `${left}: too much, the worst blur would be ${worstRatio.toFixed(1)} of what is allowed.`,
		errorM,
		ratio
	};
}

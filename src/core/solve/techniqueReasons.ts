import type { Reason } from '../format/plan';
import type { Shot } from '../format/shot';
import type { Candidate } from './candidates';
import { nameOf } from './names';
import type { FocusPoint } from '../technique/focusPoints';
import type { FocusTechnique, WayToFocus } from './technique';

/** How to get the focus there, in words. */

/** Width of an eye, mm: a box wider than this may settle on brow, lashes or nose. */
const EYE_MM = 30;

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
		wayReason(shot, spot, technique, wrists),
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
					: `Continuous focusing, held on ${spot}.`
		},
		...habits(shot, mode)
	];
}

/** From so many people on somebody always blinks or sways. */
const GROUP_FROM = 3;

/** Metering and how frames are taken. Source: common practice, by the schools of the trade. */
function habits({ people }: Shot, mode: FocusTechnique['mode']): Reason[] {
	const isGroup = people.length >= GROUP_FROM;
	const drive =
		mode === 'continuous'
			? 'Short bursts while they move.'
			: isGroup
				? 'Several frames, one after the other: somebody blinks or sways.'
				: 'Single frames, each focused anew.';
	const metering = isGroup
		? 'Meter the whole frame, watching the highlight warning.'
		: 'Meter on the focus point; or on the whole frame, watching the highlight warning.';
	return [
		{ code: 'drive', text: drive },
		{ code: 'metering', text: metering }
	];
}

/** ": column 14 of 25, row 8 of 17", counted as the body is held level. */
function pointWords({ body, camera }: Shot, point: FocusPoint | null): string {
	if (!point) return '';
	const { columns, rows } = body.focusGrid;
	const level = camera.orientation === 'portrait' ? ', the body held level' : '';
	return `: column ${point.column + 1} of ${columns}, row ${point.row + 1} of ${rows}${level}`;
}

function wayReason(
	shot: Shot,
	spot: string,
	{ technique, point }: FocusTechnique,
	wrists: WayToFocus | undefined
): Reason {
	const none = point ? '' : 'No focus point reaches there. ';
	const words = {
		'move-point': `Put a focus point on ${spot}${pointWords(shot, point)}.`,
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

import type { Candidate, Take } from '../candidate';
import type { Reason, SpotRef } from '../../format/reasons';
import type { Shot } from '../../format/shot';

import type { FocusTechnique } from '../technique';

/** How to get the focus there, and the habits that go with it. */

/** Width of an eye, mm: a box wider than this may settle on brow, lashes or nose. */
const EYE_MM = 30;
/** An error smaller than this is none, m. */
const NOTHING_M = 0.0005;

const topic = 'focus' as const;

export function techniqueReasons(
	{ scene: { shot }, candidate }: Take,
	technique: FocusTechnique
): Reason[] {
	const { point, ways, boxMm, mode } = technique;
	const spot = spotOf(candidate);
	const wrists = ways.find(({ way }) => way === 'reframe-wrists');
	const isWide = candidate.kind === 'eye' && point !== null && boxMm > EYE_MM;
	return [
		wayReason(shot, candidate, technique),
		...(wrists && wrists.errorM > NOTHING_M ? [reframeReason(wrists)] : []),
		...(isWide ? [{ topic, code: 'box', boxMm } as const] : []),
		...(point && !technique.isSensitive ? [{ topic, code: 'outer-point' } as const] : []),
		mode === 'single'
			? { topic, code: 'mode-single' }
			: { topic, code: 'mode-continuous', ...spot },
		...habits(shot, mode)
	];
}

const spotOf = ({ personId, thingId, landmark }: Candidate): SpotRef => ({
	...(personId ? { personId } : {}),
	...(thingId ? { thingId } : {}),
	landmark: landmark ?? 'thing'
});

function wayReason({ body, camera }: Shot, candidate: Candidate, taken: FocusTechnique): Reason {
	const { technique, point, ways } = taken;
	const spot = spotOf(candidate);
	const hasPoint = point !== null;
	if (technique === 'move-point' && point) {
		const { columns, rows } = body.focusGrid;
		const isUpright = camera.orientation === 'portrait';
		return { topic, code: technique, ...spot, ...point, columns, rows, isUpright };
	}
	if (technique === 'reframe') return { topic, code: technique, ...spot, hasPoint };
	if (candidate.kind === 'plane') {
		const leanM = technique === 'lean' ? candidate.leanM : null;
		return { topic, code: 'between', ...spot, leanM, planeM: candidate.planeM };
	}
	const canReframe = ways.some(({ way, holds }) => way === 'reframe-wrists' && holds);
	const isSpot = candidate.kind !== 'depth';
	return { topic, code: 'manual', ...spot, isSpot, hasPoint, canReframe };
}

const reframeReason = (wrists: FocusTechnique['ways'][number]): Reason => {
	const { errorM, ratio, worstRatio, holds } = wrists;
	return { topic, code: 'reframe-error', errorM, ratio, worstRatio, holds };
};

/** From so many people on somebody always blinks or sways. */
const GROUP_FROM = 3;

/** Metering and how frames are taken. Source: common practice, by the schools of the trade. */
function habits({ people }: Shot, mode: FocusTechnique['mode']): Reason[] {
	const isGroup = people.length >= GROUP_FROM;
	const drive = mode === 'continuous' ? 'bursts' : isGroup ? 'several' : 'single';
	return [
		{ topic: 'habits', code: 'drive', drive },
		{ topic: 'habits', code: 'metering', metering: isGroup ? 'frame' : 'point' }
	];
}

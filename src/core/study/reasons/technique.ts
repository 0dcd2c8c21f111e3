import type { Candidate, Take } from '../candidate';
import type { Reason, SpotRef } from '../../format/reasons';
import type { Shot } from '../../format/shot';
import { isUsualGrid } from '../../technique/focusPoints';
import { hasFixedAperture } from '../../optics/fNumber';
import { takenByCamera } from '../leftToItself';
import type { FocusTechnique } from '../technique';
import { RULES } from '../../tables/rules';

/** How to get the focus there. */

/** An error smaller than this is none, m. */
const NOTHING_M = 0.0005;

const topic = 'focus' as const;

export function techniqueReasons(take: Take, technique: FocusTechnique): Reason[] {
	const { scene, candidate } = take;
	const { shot } = scene;
	const { point, ways, boxMm, mode } = technique;
	const spot = spotOf(candidate);
	if (hasFixedAperture(shot.lens) && candidate.kind !== 'depth') {
		return [{ topic, code: 'tap', ...spot }];
	}
	const wrists = ways.find(({ way }) => way === 'reframe-wrists');
	const isWide = candidate.kind === 'eye' && point !== null && boxMm > RULES.eyeWidthMm;
	return [
		wayReason(shot, candidate, technique),
		...(wrists && wrists.errorM > NOTHING_M ? [reframeReason(wrists)] : []),
		...(isWide ? [{ topic, code: 'box', boxMm } as const] : []),
		...(point && !technique.isSensitive ? [{ topic, code: 'outer-point' } as const] : []),
		mode === 'single'
			? { topic, code: 'mode-single' }
			: { topic, code: 'mode-continuous', ...spot },
		...leftReasons(take),
		...whereItApplies(take, technique)
	];
}

/** What the camera would take, left to itself: as the shot has it, or in the whole frame as a warning. */
function leftReasons(take: Take): Reason[] {
	const { focusBy } = take.scene.shot.choices;
	const isLeft = focusBy === 'area' || focusBy === 'whole-frame';
	const left = isLeft ? focusBy : 'whole-frame';
	const taken = takenByCamera(take, left);
	if (!taken || (taken.softIds.length === 0 && !isLeft)) return [];
	const { personId, thingId, softIds } = taken;
	return [
		{
			topic,
			code: 'camera-takes',
			left,
			isLeft,
			softIds: [...softIds],
			...(personId ? { personId } : {}),
			...(thingId ? { thingId } : {})
		}
	];
}

/** A grid of so many points is coarse or fine as one sets it. */
const MANY_POINTS = 200;
/** In light as low as this the focus hunts, EV at ISO 100. Common practice, no source. */
const HUNTING_EV = 3;

/** Habits of focusing, each where it applies. */
function whereItApplies({ scene, candidate }: Take, { technique, mode }: FocusTechnique): Reason[] {
	const { shot, sightings, targets, things } = scene;
	const { columns, rows } = shot.body.focusGrid;
	const { light } = shot;
	const ev100 = light?.mode === 'flash' ? light.ambientEv100 : (light?.ev100 ?? Infinity);
	const walks = sightings.some(
		({ person: { id, motion } }) =>
			motion === 'walking' && targets.some(({ personId }) => personId === id)
	);
	const look = things.find(({ thing: { id } }) => id === candidate.thingId)?.thing.look;
	const isDark = ev100 <= HUNTING_EV;
	return [
		...(technique === 'reframe' || technique === 'lean'
			? [{ topic, code: 'focus-button' } as const]
			: []),
		...(walks ? [{ topic, code: 'focus-on-place' } as const] : []),
		...(technique === 'move-point' && columns * rows >= MANY_POINTS
			? [{ topic, code: 'grid', grid: mode === 'continuous' ? 'coarse' : 'fine' } as const]
			: []),
		...(technique !== 'manual' && (isDark || look === 'wall')
			? [{ topic, code: 'hunting', why: isDark ? 'dark' : 'plain' } as const]
			: [])
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
		const isGiven = !isUsualGrid(body.focusGrid);
		return { topic, code: technique, ...spot, ...point, columns, rows, isGiven, isUpright };
	}
	if (technique === 'reframe') return { topic, code: technique, ...spot, hasPoint };
	if (candidate.kind === 'plane') {
		// on a tripod nobody leans
		const leans = technique === 'lean' && camera.support !== 'tripod';
		const leanM = leans ? candidate.leanM : null;
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

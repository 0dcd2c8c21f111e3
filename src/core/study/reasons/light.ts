import type { Take } from '../candidate';
import type { LightFlag } from '../../format/plan';
import type { Reason } from '../../format/reasons';
import type { Shot } from '../../format/shot';
import { comfortIsoOf, secondPower, type Exposure } from '../../light/exposure';
import { type Floor } from '../../light/shutterFloor';
import { floorOf, floorsOf, isFrozen, slowestOf, effectiveExposureS } from '../light';
import { RULES } from '../../tables/rules';

/** What the light does to a plan. */

const topic = 'light' as const;

/** Why the shutter must not be slower. */
const floorReason = ({ camera }: Shot, { why, shutterS, personId }: Floor): Reason => ({
	topic,
	code: 'shutter',
	shutterS,
	why,
	focalMm: camera.focalMm,
	...(personId ? { personId } : {})
});

/** What is wrong with the exposure, and by how much. */
function flagReason({ light, body }: Shot, flag: LightFlag, exposure: Exposure): Reason {
	const { iso, shutterS, shortStops, roomBelowStops } = exposure;
	switch (flag) {
		case 'iso-above-comfort':
			return { topic, code: flag, iso, comfortIso: comfortIsoOf(body) };
		case 'iso-high':
			return { topic, code: flag, iso, shortStops };
		case 'too-bright':
			return { topic, code: flag, shutterS, shortStops, isFlash: light?.mode === 'flash' };
		case 'too-slow':
			return { topic, code: flag, shutterS, shortStops };
		case 'no-power':
			return { topic, code: flag, shortStops };
		case 'sync':
			return { topic, code: flag, shutterS };
		case 'room-light':
			return { topic, code: flag, belowStops: roomBelowStops ?? 0 };
	}
}

/** Reasons of an exposure; of the shutter's limit alone while nothing is known of the light. */
export function lightReasons(take: Take, exposure: Exposure | null): Reason[] {
	const { shot } = take.scene;
	const frozen = exposure !== null && isFrozen(exposure);
	return [
		...shutterReasons(take, exposure, frozen),
		...spoiltReasons(take, exposure),
		...(exposure?.flags.map((flag) => flagReason(shot, flag, exposure)) ?? []),
		...(frozen ? [{ topic, code: 'frozen' } as const] : []),
		...secondReasons(shot, exposure),
		...(isRoomColoured(shot, exposure) ? [{ topic, code: 'room-colour' } as const] : [])
	];
}

/** What the second flash is set to. */
function secondReasons({ light }: Shot, exposure: Exposure | null): Reason[] {
	if (light?.mode !== 'flash' || !light.second || exposure?.flashPower == null) return [];
	const { ratio, distanceM } = light.second;
	const power = secondPower(light, exposure.flashPower);
	return [{ topic, code: 'second-flash', power, distanceM, ratio: ratio + 1 }];
}

/** A room as dark as this is lit by lamps, EV at ISO 100. Common practice, no source. */
const LAMPS_EV = 8;

/** Whether the colour of the room's lamps shows beside the flash. */
const isRoomColoured = ({ light }: Shot, exposure: Exposure | null): boolean =>
	light?.mode === 'flash' &&
	light.ambientEv100 <= LAMPS_EV &&
	(exposure?.flags.includes('room-light') ?? false);

/** From this share on it is told what a shutter spoils. */
const MUCH_SPOILT = 0.25;

/** Frames that motion and shake alone would spoil at the shutter, by whichever asks for the faster one. */
function spoiltReasons(take: Take, exposure: Exposure | null): Reason[] {
	if (!exposure) return [];
	const slowest = slowestOf(take);
	if (slowest.by !== 'frames') return [];
	const share = slowest.lossAt(effectiveExposureS(take));
	if (share < MUCH_SPOILT) return [];
	const { hands, people } = floorsOf(take.scene, take.candidate.focus);
	const byHands = (hands?.shutterS ?? Infinity) < (people?.shutterS ?? Infinity);
	return [
		{ topic, code: 'spoilt', share, by: byHands ? 'hands' : 'people', shutterS: exposure.shutterS }
	];
}

/** What limits the shutter. */
function shutterReasons(take: Take, exposure: Exposure | null, frozen: boolean): Reason[] {
	const { shot } = take.scene;
	const { focalMm } = shot.camera;
	const { shutterS } = shot.choices;
	if (shutterS !== undefined) return [{ topic, code: 'shutter', shutterS, why: 'fixed', focalMm }];
	const slowest = slowestOf(take);
	if (slowest.by === 'frames') {
		return [{ topic, code: 'shutter', shutterS: slowest.fewLostS, why: 'frames', focalMm }];
	}
	const floors = floorsOf(take.scene, take.candidate.focus);
	const floor = frozen ? floors.hands : floorOf(floors);
	const isSlowForGroup =
		exposure !== null &&
		!frozen &&
		floors.people?.why === 'group' &&
		exposure.shutterS > RULES.groupPreferredShutterS * 1.01;
	return [
		...(floor ? [floorReason(shot, floor)] : []),
		...(isSlowForGroup
			? [{ topic, code: 'group-shutter', shutterS: RULES.groupPreferredShutterS } as const]
			: [])
	];
}

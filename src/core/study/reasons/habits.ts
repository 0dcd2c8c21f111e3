import type { Take } from '../candidate';
import type { Reason } from '../../format/reasons';
import type { Exposure } from '../../light/exposure';
import { stabilisedStops } from '../../light/shutterFloor';
import { hasFixedAperture } from '../../optics/fNumber';
import { allowedS, slowestOf } from '../light';
import { SUN_EV } from './cautions';
import type { FocusTechnique } from '../technique';

/** What to set on the camera besides. Source: common practice, by the schools of the trade. */

const topic = 'habits' as const;

/** From so many people on somebody always blinks or sways. */
const GROUP_FROM = 3;

export function habitReasons(
	take: Take,
	exposure: Exposure | null,
	mode: FocusTechnique['mode']
): Reason[] {
	const { people, lens, body, camera, light } = take.scene.shot;
	const isGroup = people.length >= GROUP_FROM;
	const drive = mode === 'continuous' ? 'bursts' : isGroup ? 'several' : 'single';
	const isStabilised = stabilisedStops(body, lens) > 0;
	return [
		...exposureMode(take, exposure),
		{ topic, code: 'drive', drive },
		// a flash by hand is not metered, nor does a telephone ask where to
		...(hasFixedAperture(lens) || light?.mode === 'flash'
			? []
			: [{ topic, code: 'metering', metering: isGroup ? 'frame' : 'point' } as const]),
		...(isStabilised
			? [{ topic, code: 'stabiliser', isOn: camera.support !== 'tripod' } as const]
			: []),
		...highlights(take),
		{ topic, code: 'level' }
	];
}

/** Who sets what; a telephone sets all of it. */
function exposureMode(take: Take, exposure: Exposure | null): Reason[] {
	const { lens, light, choices } = take.scene.shot;
	if (!exposure || hasFixedAperture(lens)) return [];
	const { shutterS, iso } = exposure;
	const said = { topic, code: 'exposure-mode', iso } as const;
	if (light?.mode === 'flash' || choices.shutterS !== undefined) {
		return [{ ...said, mode: 'manual', shutterS }];
	}
	if (typeof choices.isoRule === 'number') return [{ ...said, mode: 'iso-held', shutterS }];
	// in bright light the camera goes faster by itself, and must not raise the ISO when a cloud comes
	const limitS = allowedS(slowestOf(take));
	return [{ ...said, mode: 'aperture', shutterS: Math.max(shutterS, limitS ?? shutterS) }];
}

/** What may burn out: lamps, windows, or whatever is white in the sun. */
function highlights({ scene: { shot, things } }: Take): Reason[] {
	const bright = things.find(
		({ thing: { look }, inFrame }) => inFrame && (look === 'lights' || look === 'window')
	);
	if (bright) return [{ topic, code: 'highlights', thingId: bright.thing.id }];
	const { light } = shot;
	return light?.mode === 'ambient' && light.ev100 >= SUN_EV ? [{ topic, code: 'highlights' }] : [];
}

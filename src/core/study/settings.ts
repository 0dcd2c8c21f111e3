import type { Shot } from '../format/shot';
import { ev100Of, isoFor, shutterFor, type Settings } from '../light/ev';
import type { Take } from './candidate';
import { exposureAt, exposureOf, slowestOf, effectiveExposureS, underFlashS } from './light';

/** A camera set for a take: what it is set to, and how much light that brings. */
export interface CameraSettings extends Settings {
	/** Share of the flash's full power; null without flash. */
	readonly flashPower: number | null;
	/** How far the light of the room lies below the flash, stops; null without flash. */
	readonly roomBelowStops: number | null;
	/** Light on the sensor over what would expose rightly. */
	readonly gain: number;
	/** The time that motion and shake blur by, s: the shutter, or less under flash. */
	readonly blurS: number;
}

/** What is set otherwise than the plan has it; what is left out follows the light. */
export type OwnSettings = Partial<Pick<Settings, 'shutterS' | 'iso'>>;

const within = (value: number, low: number, high: number): number =>
	Math.min(high, Math.max(low, value));

/** The camera set for a take: as the plan has it, or with a shutter or an ISO of one's own. */
export function settingsOf(take: Take, own: OwnSettings = {}): CameraSettings {
	const { scene, fNumber } = take;
	const { light } = scene.shot;
	if (light?.mode === 'flash') return underFlash(take, own);
	const { shutterS, iso } = light
		? inRoomLight(take, light.ev100, own)
		: {
				shutterS: own.shutterS ?? effectiveExposureS(take),
				iso: own.iso ?? scene.shot.body.iso[0]
			};
	const settings = { fNumber, shutterS, iso };
	return {
		...settings,
		flashPower: null,
		roomBelowStops: null,
		gain: light ? 2 ** (light.ev100 - ev100Of(settings)) : 1,
		blurS: shutterS
	};
}

/** A body goes no farther than its own ISO and its fastest shutter: the picture is then too dark or too bright. */
function inRoomLight(take: Take, ev100: number, own: OwnSettings) {
	const { fNumber } = take;
	const { body } = take.scene.shot;
	const planned = exposureOf(take);
	const onBody = (iso: number) => within(iso, ...body.iso);
	if (own.iso !== undefined) {
		const shutterS = own.shutterS ?? shutterFor(ev100, fNumber, own.iso);
		return { iso: own.iso, shutterS: Math.max(shutterS, body.fastestShutterS) };
	}
	const shutterS = Math.max(
		own.shutterS ?? planned?.shutterS ?? effectiveExposureS(take),
		body.fastestShutterS
	);
	const iso =
		own.shutterS === undefined && planned ? planned.iso : isoFor(ev100, fNumber, shutterS);
	return { shutterS, iso: onBody(iso) };
}

function underFlash(take: Take, { shutterS, iso }: OwnSettings): CameraSettings {
	const { shot } = take.scene;
	const choices: Shot['choices'] = {
		...shot.choices,
		...(shutterS === undefined ? {} : { shutterS }),
		...(iso === undefined ? {} : { isoRule: iso })
	};
	const exposure = exposureAt({ ...shot, choices }, take.fNumber, slowestOf(take));
	if (!exposure || exposure.roomBelowStops === null) throw new Error('no flash in this shot');
	const { flags, shortStops, roomBelowStops, flashPower } = exposure;
	return {
		fNumber: take.fNumber,
		shutterS: exposure.shutterS,
		iso: exposure.iso,
		flashPower,
		roomBelowStops,
		gain: flags.includes('no-power')
			? 2 ** -shortStops
			: flags.includes('too-bright')
				? 2 ** shortStops
				: 1,
		blurS: underFlashS(exposure.shutterS, roomBelowStops)
	};
}

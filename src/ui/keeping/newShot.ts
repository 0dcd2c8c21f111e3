import type { Shot } from '$core/format/shot';
import { blankShot } from '$data/blankShot';
import { settings } from '../shared/settings.svelte';

/** A shot to start from, done one's own way. */
export function newShot(title: string): Shot {
	const { shutterRule, pickBy, sharpness, technique, marginStops } = settings.myWay;
	const blank = blankShot(title);
	const { body, lens } = settings.gear ?? blank;
	const [short, long] = lens.focalMm;
	const focalMm = Math.min(long, Math.max(short, blank.camera.focalMm));
	const shot = { ...blank, body, lens, camera: { ...blank.camera, focalMm } };
	return {
		...shot,
		sharpness: { standard: sharpness },
		choices: {
			...shot.choices,
			shutterRule,
			pickBy,
			safetyStops: marginStops,
			// moving the point is what is done anyway
			...(technique === 'move-point' ? {} : { technique })
		}
	};
}

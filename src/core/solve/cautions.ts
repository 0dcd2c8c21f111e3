import type { Reason } from '../format/plan';
import type { Shot } from '../format/shot';

/** A camera this high is on something, m. */
const RAISED_CAMERA_M = 2.2;
/** Eyes this far above a standing adult's are on a step, a wall or a rock, m. */
const RAISED_EYES_M = 1.85;
/** From this light on the sun shines, EV at ISO 100. */
const SUN_EV = 14;

/**
 * Cautions that apply to a shot. Not legal or medical advice: local rules, venue staff and licensed
 * people come first.
 */
export function cautionsOf(shot: Shot): Reason[] {
	const { people, camera, light } = shot;
	const flash = light?.mode === 'flash';
	const ev100 = light?.mode === 'ambient' ? light.ev100 : (light?.ambientEv100 ?? 0);
	const has = (...builds: readonly string[]) => people.some(({ build }) => builds.includes(build));
	const all: readonly (Reason & { readonly applies: boolean })[] = [
		{
			code: 'flash-infant',
			applies: flash && has('infant'),
			text: 'Keep the flash away from an infant’s eyes.'
		},
		{
			code: 'flash-animal',
			applies: flash && has('cat', 'dog'),
			text: 'Ask before using flash near an animal.'
		},
		{
			code: 'flash-people',
			applies: flash && people.length > 0,
			text: 'Ask whether anyone is sensitive to flashes of light.'
		},
		{
			code: 'sun',
			applies: ev100 >= SUN_EV,
			text: 'Never look at the sun through a long lens or an optical finder, nor leave a lens facing it.'
		},
		{
			code: 'raised-camera',
			applies: camera.position.y > RAISED_CAMERA_M,
			text: 'A raised camera needs a safe place to stand: no improvised platforms.'
		},
		{
			code: 'raised-people',
			applies:
				people.some(
					({ build, eyeMidpoint }) => build === 'adult' && eyeMidpoint.y > RAISED_EYES_M
				) || people.length > 6,
			text: 'On steps, walls, piers, rocks or near traffic, keep people back from the edge; never on a railway.'
		},
		{
			code: 'support',
			applies: camera.support === 'tripod' || camera.support === 'monopod',
			text: 'Stands and cables trip people: weight them, mark them, keep walkways and stairs free.'
		},
		{
			code: 'permission',
			applies: has('child', 'infant'),
			text: 'Have permission for pictures of children, and for the place.'
		},
		{
			code: 'permission-people',
			applies: people.length > 0 && !has('child', 'infant'),
			text: 'Have permission for the place and for pictures of people.'
		}
	];
	return all.filter(({ applies }) => applies).map(({ code, text }) => ({ code, text }));
}

import type { Caution } from '../../format/reasons';
import type { Shot } from '../../format/shot';
import { wrapDeg } from '../../geometry/angle';

/** A camera this high is on something, m. */
const RAISED_CAMERA_M = 2.2;
/** Eyes this far above a standing adult's are on a step, a wall or a rock, m. */
const RAISED_EYES_M = 1.85;
/** From this light on the sun shines, EV at ISO 100. */
export const SUN_EV = 14;
/** More people than this are put on something. */
const CROWD_SIZE = 6;

/** The sun this far from where the camera looks is still in danger of being looked at, degrees. */
const TOWARDS_DEG = 75;

/** Whether one might look into the sun: by where it stands, else by how bright it is. */
function isSunInSight({ sun, camera }: Shot, ev100: number): boolean {
	if (!sun) return ev100 >= SUN_EV;
	return sun.altitudeDeg > 0 && Math.abs(wrapDeg(sun.aroundDeg - camera.panDeg)) <= TOWARDS_DEG;
}

/**
 * Cautions that apply to a shot. Not legal or medical advice: local rules, venue staff and licensed
 * people come first.
 */
export function cautionsOf(shot: Shot): Caution[] {
	const { people, camera, light } = shot;
	const flash = light?.mode === 'flash';
	const ev100 = light?.mode === 'ambient' ? light.ev100 : (light?.ambientEv100 ?? 0);
	const has = (...builds: readonly string[]) => people.some(({ build }) => builds.includes(build));
	const isRaised = people.some(
		({ build, eyeMidpoint }) => build === 'adult' && eyeMidpoint.y > RAISED_EYES_M
	);
	const applies: Readonly<Record<Caution['code'], boolean>> = {
		'flash-infant': flash && has('infant'),
		'flash-animal': flash && has('cat', 'dog'),
		'flash-people': flash && people.length > 0,
		sun: isSunInSight(shot, ev100),
		'raised-camera': camera.position.y > RAISED_CAMERA_M,
		'raised-people': isRaised || people.length > CROWD_SIZE,
		support: camera.support === 'tripod' || camera.support === 'monopod',
		permission: has('child', 'infant'),
		'permission-people': people.length > 0 && !has('child', 'infant')
	};
	const codes = Object.keys(applies) as Caution['code'][];
	return codes.filter((code) => applies[code]).map((code) => ({ topic: 'care', code }));
}

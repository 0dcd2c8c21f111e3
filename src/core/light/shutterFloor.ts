import type { Body, Camera, Lens, Person } from '../format/shot';
import { cropFactor } from '../optics/crop';

/** How slow the shutter may be. */

/** Why it may not be slower. */
type FloorReason = 'hands' | 'motion' | 'group' | 'anyone';

export interface Floor {
	readonly why: FloorReason;
	readonly shutterS: number;
	/** Whoever moves too fast for longer; null for the others. */
	readonly personId: string | null;
}

/** Speed across the frame, mm/s in the scene. Round values, common practice, no source. */
const SPEED_MM_PER_S: Readonly<Record<Person['motion'], number>> = {
	still: 20,
	restless: 200,
	walking: 250
};

/** Customs for pictures of people. Source: common practice. */
const ANYONE_S = 1 / 30;
export const GROUP_S = 1 / 100;
export const GROUP_PREFERRED_S = 1 / 160;
export const CHILDREN_S = 1 / 400;
const GROUP_FROM = 3;

/**
 * The slowest shutter for hands: 1/(q f crop), longer by the stabiliser's stops; none on a tripod.
 * Source: the reciprocal rule, common practice.
 *
 * @param rule q: 1 for one over the focal length, 2 for one over twice
 * @returns null when there is no limit
 *
 * @example handsFloor({ sensor: fullFrame, stabiliserStops: 0 }, { stabiliserStops: 0 }, { focalMm: 85, support: 'handheld' }, 1) // 1/85
 */
export function handsFloor(
	body: Pick<Body, 'sensor' | 'stabiliserStops'>,
	lens: Pick<Lens, 'stabiliserStops'>,
	{ focalMm, support }: Pick<Camera, 'focalMm' | 'support'>,
	rule: 1 | 2
): number | null {
	if (support === 'tripod') return null;
	return 2 ** stabilisedStops(body, lens) / (rule * focalMm * cropFactor(body.sensor));
}

/** What steadies the picture: the larger of the body's and the lens's stops. */
export const stabilisedStops = (
	body: Pick<Body, 'stabiliserStops'>,
	lens: Pick<Lens, 'stabiliserStops'>
): number => Math.max(body.stabiliserStops, lens.stabiliserStops);

/** Somebody who may move while the shutter is open. */
export interface Mover {
	readonly personId: string;
	readonly motion: Person['motion'];
	readonly depthM: number;
	/** The blur allowed, mm on the sensor. */
	readonly allowedMm: number;
}

/**
 * The slowest shutter for somebody's motion: t <= allowed D / (v speed), with D in mm.
 *
 * @param imageMm image distance v, mm
 * @returns s
 */
export function motionFloor({ motion, depthM, allowedMm }: Mover, imageMm: number): number {
	return (allowedMm * depthM * 1000) / (imageMm * SPEED_MM_PER_S[motion]);
}

/** Every limit that people set, by their motion and by custom. */
export function peopleFloors(movers: readonly Mover[], imageMm: number): Floor[] {
	const custom = (why: 'group' | 'anyone', shutterS: number): Floor => ({
		why,
		shutterS,
		personId: null
	});
	return [
		...movers.map((mover): Floor => ({
			why: 'motion',
			shutterS: motionFloor(mover, imageMm),
			personId: mover.personId
		})),
		...(movers.length >= GROUP_FROM ? [custom('group', GROUP_S)] : []),
		...(movers.length > 0 ? [custom('anyone', ANYONE_S)] : [])
	];
}

/** The limit that binds; null when nothing limits the shutter. */
export function bindingFloor(floors: readonly Floor[]): Floor | null {
	return floors.reduce<Floor | null>(
		(most, floor) => (most && most.shutterS <= floor.shutterS ? most : floor),
		null
	);
}

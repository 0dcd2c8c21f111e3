import type { Body, Camera, Lens, Person } from '../format/shot';
import { cropFactor } from '../optics/crop';
import { RULES } from '../tables/rules';

/** How slow the shutter may be. */

/** Why it may not be slower. */
type FloorReason = 'hands' | 'motion' | 'group' | 'anyone';

export interface Floor {
	readonly why: FloorReason;
	readonly shutterS: number;
	/** Whoever moves too fast for longer; null for the others. */
	readonly personId: string | null;
}

/** Speed across the frame, mm/s in the scene. */
const SPEED_MM_PER_S: Readonly<Record<Person['motion'], number>> = {
	still: RULES.stillMmPerS,
	restless: RULES.restlessMmPerS,
	walking: RULES.walkingMmPerS
};

/** By custom children are not taken slower, s. Source: common practice. */
export const CHILDREN_S = 1 / 400;

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
		...(movers.length >= RULES.groupFrom ? [custom('group', RULES.groupShutterS)] : []),
		...(movers.length > 0 ? [custom('anyone', RULES.slowestByHandS)] : [])
	];
}

/** The limit that binds; null when nothing limits the shutter. */
export function bindingFloor(floors: readonly Floor[]): Floor | null {
	return floors.reduce<Floor | null>(
		(most, floor) => (most && most.shutterS <= floor.shutterS ? most : floor),
		null
	);
}

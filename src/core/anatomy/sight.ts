import type { Person, Thing } from '../format/shot';
import type { Unseen } from '../format/plan';
import { isInFrame, seenFrom, type CameraPoint, type CameraPose } from '../geometry/camera';
import { degrees, radians } from '../geometry/angle';
import { ellipsoid, entersEllipsoid, type Ellipsoid } from '../geometry/solids';
import { dot, norm, scale, subtract, type Vec3 } from '../geometry/vector';
import { headPoint, landmarkPoint, placeHead, type Head } from './head';
import { RULES } from '../tables/rules';

/** Which eyes of which people the camera sees, and what is in the way of the others. */

export interface Eye {
	readonly landmark: 'left-eye' | 'right-eye';
	readonly seen: CameraPoint;
	/** Why it cannot be seen; null when it can. */
	readonly lost: Pick<Unseen, 'why' | 'by'> | null;
	/** How much looser a foreshortened eye is judged; 1 for any other. */
	readonly looseness: number;
}

/** A person as the camera sees them. */
export interface Sighting {
	readonly person: Person;
	readonly head: Head;
	readonly eyes: readonly [left: Eye, right: Eye];
	/** The visible eye with the smaller depth; null when none is visible. */
	readonly nearEye: Eye | null;
}

/** Beyond this angle between the face and the camera both eyes are turned away. */
const COS_FACE_AWAY = Math.cos(radians(RULES.faceTurnedAwayDeg));

/** Looks that hide what is behind them. */
const OPAQUE: ReadonlySet<Thing['look']> = new Set(['wall', 'object', 'crowd']);

/** Whether a thing hides what is behind it. */
export const isOpaque = ({ look }: Thing): boolean => OPAQUE.has(look);

/** Everybody as the camera sees them, in the order of the shot. */
export function sightPeople(
	pose: CameraPose,
	people: readonly Person[],
	things: readonly Thing[]
): Sighting[] {
	const heads = people.map((person) => placeHead(person, pose.position));
	const skulls = heads.map(skullOf);
	const panels = things.filter(isOpaque);

	return people.map((person, index) => {
		const head = heads[index] as Head;
		const inTheWay = (eye: Vec3): string | null => {
			let first = 1;
			let by: string | null = null;
			const meet = (id: string, t: number | null) => {
				if (t !== null && t < first) {
					first = t;
					by = id;
				}
			};
			people.forEach((other, i) => {
				if (i !== index)
					meet(other.id, entersEllipsoid(pose.position, eye, skulls[i] as Ellipsoid));
			});
			for (const thing of panels) meet(thing.id, crossesThing(pose, eye, thing));
			return by;
		};
		const eyes = lookAtEyes(pose, head, inTheWay);
		return { person, head, eyes, nearEye: nearer(eyes.filter((eye) => eye.lost === null)) };
	});
}

/** Everyone with no visible eye, with the reason of the eye nearer to the camera. */
export function unseenOf(sightings: readonly Sighting[]): Unseen[] {
	return sightings.flatMap(({ person, eyes, nearEye }) => {
		const lost = nearEye ? null : nearer(eyes)?.lost;
		return lost ? [{ personId: person.id, ...lost }] : [];
	});
}

function lookAtEyes(
	pose: CameraPose,
	head: Head,
	inTheWay: (eye: Vec3) => string | null
): [Eye, Eye] {
	const from = subtract(pose.position, head.origin);
	const toCamera = scale(from, 1 / Math.max(norm(from), 1e-9));
	const sideways = dot(toCamera, head.left);
	const facing = dot(toCamera, head.out);
	const angleDeg = Math.abs(degrees(Math.atan2(sideways, facing)));
	const faceAway = facing < COS_FACE_AWAY;

	const look = (landmark: Eye['landmark']): Eye => {
		const isFar = landmark === 'left-eye' ? sideways < 0 : sideways > 0;
		const point = landmarkPoint(head, landmark);
		const seen = seenFrom(pose, point);
		const looseness =
			isFar && angleDeg > RULES.eyeForeshortenedDeg
				? 2 **
					((Math.min(angleDeg, RULES.eyeTurnedAwayDeg) - RULES.eyeForeshortenedDeg) /
						RULES.foreshorteningDoublesDeg)
				: 1;
		if (!isInFrame(pose, seen)) {
			return { landmark, seen, looseness, lost: { why: 'cut', by: null } };
		}
		if (faceAway || (isFar && angleDeg > RULES.eyeTurnedAwayDeg)) {
			return { landmark, seen, looseness, lost: { why: 'turned', by: null } };
		}
		const by = inTheWay(point);
		return { landmark, seen, looseness, lost: by === null ? null : { why: 'hidden', by } };
	};
	return [look('left-eye'), look('right-eye')];
}

/** The eye with the smaller depth, the left one on a tie; null when there is none. */
function nearer(eyes: readonly Eye[]): Eye | null {
	const [a, b] = eyes;
	if (!a || !b) return a ?? null;
	return b.seen.depthM < a.seen.depthM - RULES.nearEyeTieM ? b : a;
}

/** The skull of a head as a solid. */
export function skullOf(head: Head): Ellipsoid {
	const [left, up, out] = head.measures.skullHalfAxes;
	const centre = headPoint(head, head.measures.skullCentre);
	return ellipsoid(centre, [head.left, head.up, head.out], [left / 1000, up / 1000, out / 1000]);
}

/**
 * Where the line of sight to a point crosses a thing's rectangle.
 *
 * @param point in the world, m
 * @returns share of the way from the entrance pupil to the point, over 0 and under 1; null where it does not cross
 */
export function crossesThing(pose: CameraPose, point: Vec3, thing: Thing): number | null {
	const step = subtract(point, pose.position);
	const toThing = subtract(thing.position, pose.position);
	const t = dot(toThing, pose.axis) / dot(step, pose.axis);
	if (!(t > 0 && t < 1)) return null;
	const off = subtract(scale(step, t), toThing);
	const inside =
		Math.abs(dot(off, pose.right)) <= thing.widthM / 2 &&
		Math.abs(dot(off, pose.up)) <= thing.heightM / 2;
	return inside ? t : null;
}

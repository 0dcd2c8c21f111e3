import type { Person, Thing } from '../format/shot';
import type { Unseen } from '../format/plan';
import { isInFrame, seenFrom, type CameraPoint, type CameraPose } from '../geometry/camera';
import { degrees } from '../geometry/angle';
import { dot, norm, scale, subtract, type Vec3 } from '../geometry/vector';
import { headPoint, landmarkPoint, placeHead, type Head } from './head';

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

/** An eye farther round than this is turned away, one between the two is foreshortened, degrees. */
const TURNED_AWAY_DEG = 55;
const FORESHORTENED_DEG = 45;
/** Beyond this angle between the face and the camera both eyes are turned away. */
const COS_FACE_AWAY = Math.cos((105 * Math.PI) / 180);
/** Depths this close count as equal, m. */
const TIE_M = 1e-9;

/** Looks that hide what is behind them. */
const OPAQUE: ReadonlySet<Thing['look']> = new Set(['wall', 'object', 'crowd']);

/** Everybody as the camera sees them, in the order of the shot. */
export function sightPeople(
	pose: CameraPose,
	people: readonly Person[],
	things: readonly Thing[]
): Sighting[] {
	const heads = people.map((person) => placeHead(person, pose.position));
	const skulls = heads.map(skullOf);
	const panels = things.filter(({ look }) => OPAQUE.has(look));

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
				if (i !== index) meet(other.id, entersSkull(pose.position, eye, skulls[i] as Skull));
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
			isFar && angleDeg > FORESHORTENED_DEG
				? 2 ** ((Math.min(angleDeg, TURNED_AWAY_DEG) - FORESHORTENED_DEG) / 5)
				: 1;
		if (!isInFrame(pose, seen)) {
			return { landmark, seen, looseness, lost: { why: 'cut', by: null } };
		}
		if (faceAway || (isFar && angleDeg > TURNED_AWAY_DEG)) {
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
	return b.seen.depthM < a.seen.depthM - TIE_M ? b : a;
}

/** An ellipsoid with its axes as rows, each divided by its half length, so that it is the unit ball. */
interface Skull {
	readonly centre: Vec3;
	readonly rows: readonly [Vec3, Vec3, Vec3];
}

function skullOf(head: Head): Skull {
	const [left, up, out] = head.measures.skullHalfAxes;
	return {
		centre: headPoint(head, head.measures.skullCentre),
		rows: [scale(head.left, 1000 / left), scale(head.up, 1000 / up), scale(head.out, 1000 / out)]
	};
}

/** Where the segment from a to b enters an ellipsoid, as a share of its length; null if it does not. */
function entersSkull(a: Vec3, b: Vec3, { centre, rows }: Skull): number | null {
	const intoBall = (v: Vec3): Vec3 => ({
		x: dot(v, rows[0]),
		y: dot(v, rows[1]),
		z: dot(v, rows[2])
	});
	const start = intoBall(subtract(a, centre));
	const step = intoBall(subtract(b, a));
	// |start + t step|^2 = 1
	const A = dot(step, step);
	const B = dot(start, step);
	const C = dot(start, start) - 1;
	const root = B * B - A * C;
	if (root < 0) return null;
	const enter = (-B - Math.sqrt(root)) / A;
	const leave = (-B + Math.sqrt(root)) / A;
	return leave > 0 && enter < 1 ? Math.max(enter, 0) : null;
}

/** Where the segment from the camera to an eye crosses a thing's rectangle; null if it does not. */
function crossesThing(pose: CameraPose, eye: Vec3, thing: Thing): number | null {
	const step = subtract(eye, pose.position);
	const toThing = subtract(thing.position, pose.position);
	const t = dot(toThing, pose.axis) / dot(step, pose.axis);
	if (!(t > 0 && t < 1)) return null;
	const off = subtract(scale(step, t), toThing);
	const inside =
		Math.abs(dot(off, pose.right)) <= thing.widthM / 2 &&
		Math.abs(dot(off, pose.up)) <= thing.heightM / 2;
	return inside ? t : null;
}

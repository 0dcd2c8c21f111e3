import type { Camera, Lens, Shot } from '../format/shot';
import { lastHolding } from '../numeric/bisect';
import { groupDepthM } from '../arrange/rows';
import type { Study } from '../study/study';
import { closedUp } from '../arrange/regroup';
import { hasRoom, pivotOf, standingAt } from '../arrange/standpoint';
import { norm, subtract, type Vec3 } from '../geometry/vector';
import { stopsBetween } from '../optics/fNumber';
import { edgeStretch, nosePerspective, STRONG_FROM } from '../optics/perspective';
import { facesSeen } from '../study/facesSeen';
import { lensFor } from './lensWays';
import { prospectOf, prospectWith, seenPeople, type Prospect } from './prospect';
import { RULES } from '../tables/rules';

/** Where to stand: what would be picked wherever the camera might be, with the framing kept. */

/** A place on the floor. */
export interface Standpoint {
	readonly x: number;
	readonly z: number;
	/**
	 * What the plan picks from here, exact; null where no lens of the kit holds everyone, there is no room behind the camera,
	 * or fewer people are seen than from where it is.
	 */
	readonly fNumber: number | null;
	readonly focalMm: number;
	/** From so near, or with so wide a lens, faces read strangely, and from where the camera is they do not. */
	readonly distorts: boolean;
}

export interface FloorPlan {
	readonly columns: number;
	readonly rows: number;
	readonly left: number;
	readonly near: number;
	/** Sides of a cell, m. */
	readonly cellM: number;
	/** Rows from near to far, each from left to right. */
	readonly points: readonly Standpoint[];
}

/** A rectangle of the floor, m. */
export interface FloorArea {
	readonly left: number;
	readonly right: number;
	readonly near: number;
	readonly far: number;
}

/** Closer than this to the people nobody stands, m. */
const NEAREST_M = 0.6;

/** What is picked with the camera at a place, turned to the people and framing them as now. */
export function standpointAt(
	study: Study,
	lenses: readonly Lens[],
	now: Prospect | null,
	place: Pick<Vec3, 'x' | 'z'>
): Standpoint {
	const { shot } = study;
	const there = shotFrom(shot, lenses, place);
	const then = there && !isBehind(shot, place) ? prospectWith(study, there) : null;
	const focalMm = (there ?? shot).camera.focalMm;
	const isOpen =
		there && then?.study.holds && hasRoom(shot, there.camera) && !(now && losesSomeone(now, then));
	const fNumber = isOpen ? (then.study.pick?.fNumber ?? null) : null;
	const distorts = then !== null && distortsFaces(then) && !(now && distortsFaces(now));
	return { ...place, fNumber, focalMm, distorts };
}

const losesSomeone = (now: Prospect, then: Prospect): boolean => seenPeople(then) < seenPeople(now);

const distortsFaces = ({ study: { scene } }: Prospect): boolean =>
	facesSeen(scene).some(
		({ seen: { distanceM, cosOffAxis } }) =>
			nosePerspective(distanceM) >= STRONG_FROM || edgeStretch(cosOffAxis) >= RULES.stretchedShare
	);

/** Beyond the people as the camera sees them now: whoever looks at it from there has turned round, and the back row is the front one. */
function isBehind(shot: Shot, { x, z }: Pick<Vec3, 'x' | 'z'>): boolean {
	const pivot = pivotOf(shot);
	const { position } = shot.camera;
	return (x - pivot.x) * (position.x - pivot.x) + (z - pivot.z) * (position.z - pivot.z) < 0;
}

/** The camera at a place, turned to the people, its focal length framing them as now; null too near them. */
function cameraAt(shot: Shot, { x, z }: Pick<Vec3, 'x' | 'z'>): Camera | null {
	const pivot = pivotOf(shot);
	const position = { ...shot.camera.position, x, z };
	if (Math.hypot(position.x - pivot.x, position.z - pivot.z) < NEAREST_M) return null;
	const away = (from: Vec3) => norm(subtract(from, pivot));
	const focalMm = (shot.camera.focalMm * away(position)) / away(shot.camera.position);
	return { ...standingAt(shot.camera, pivot, position), focalMm };
}

/** Nobody walks for less, stops: a single rung may be chance. */
const WORTH_WALKING_STOPS = 2 / 3 - 1e-9;

/**
 * Where to go: of the places where the widest f-number is picked and faces read as they do now, the one with the shortest way.
 *
 * @param fNumber what is picked where the camera is
 * @returns null where it is as good as anywhere
 */
export function bestStandpoint(
	points: readonly Standpoint[],
	{ x, z }: Pick<Vec3, 'x' | 'z'>,
	fNumber: number
): Standpoint | null {
	const open = points.filter((one) => !one.distorts && one.fNumber !== null);
	const least = Math.min(...open.map((one) => one.fNumber as number));
	if (!(stopsBetween(least, fNumber) >= WORTH_WALKING_STOPS)) return null;
	const wayM = (one: Standpoint) => Math.hypot(one.x - x, one.z - z);
	return open.filter((one) => one.fNumber === least).reduce((a, b) => (wayM(b) < wayM(a) ? b : a));
}

/**
 * The shot with the camera standing at a place, framed alike with the lens of the kit that can; an
 * f-number that was fixed is free with another lens.
 *
 * @returns null where no lens reaches, or too near the people
 */
export function shotFrom(
	shot: Shot,
	lenses: readonly Lens[],
	place: Pick<Vec3, 'x' | 'z'>
): Shot | null {
	const camera = cameraAt(shot, place);
	// the lens in use is kept while it will do
	const lens = camera && (lensFor([shot.lens], camera.focalMm) ?? lensFor(lenses, camera.focalMm));
	if (!camera || !lens) return null;
	const [short, long] = lens.focalMm;
	const focalMm = Math.min(long, Math.max(short, camera.focalMm));
	const { fNumberExact, ...choices } = shot.choices;
	const isSame = lens.name === shot.lens.name && fNumberExact !== undefined;
	return {
		...shot,
		lens,
		camera: { ...camera, focalMm },
		choices: isSame ? { ...choices, fNumberExact } : choices
	};
}

/** The floor as a grid of about so many cells, in pieces: each call of `next` works out one row. */
export function* floorPlan(
	study: Study,
	lenses: readonly Lens[],
	{ left, right, near, far }: FloorArea,
	cells: number
): Generator<FloorPlan, FloorPlan> {
	const cellM = Math.sqrt(((right - left) * (far - near)) / cells);
	const columns = Math.max(1, Math.ceil((right - left) / cellM));
	const rows = Math.max(1, Math.ceil((far - near) / cellM));
	const now = prospectOf(study);
	const points: Standpoint[] = [];
	const plan = (): FloorPlan => ({ columns, rows, left, near, cellM, points: [...points] });
	for (let row = 0; row < rows; row++) {
		for (let column = 0; column < columns; column++) {
			const place = { x: left + (column + 0.5) * cellM, z: near + (row + 0.5) * cellM };
			points.push(standpointAt(study, lenses, now, place));
		}
		yield plan();
	}
	return plan();
}

/**
 * How much nearer the back row must stand for a wanted f-number, everyone before it in proportion.
 *
 * @returns metres, 0 when it holds already; null when even one row would not
 */
export function backRowNearerM(study: Study, fNumberExact: number): number | null {
	const { shot, scene } = study;
	const holds = (byM: number) => {
		const then = prospectWith(study, closedUp(shot, scene.rows, byM));
		return then !== null && then.study.needed <= fNumberExact;
	};
	const mostM = groupDepthM(scene.rows);
	if (holds(0)) return 0;
	if (!holds(mostM)) return null;
	return lastHolding(holds, mostM, 0, WITHIN_M);
}

/** Distances to move by are searched as closely as this, m. */
const WITHIN_M = 1e-5;

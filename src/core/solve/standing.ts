import type { Lens, Shot } from '../format/shot';
import { closedUp } from '../scene/regroup';
import { pivotOf, standingAt } from '../scene/standpoint';
import { length, subtract, type Vec3 } from '../scene/vector';
import { outcomeOf, seenPeople, type Outcome } from './outcome';
import { lensFor } from './ways';

/** Where to stand: the f-number needed wherever the camera might be, with the framing kept. */

/** A place on the floor. */
export interface Standpoint {
	readonly x: number;
	readonly z: number;
	/** f-number that holds everyone from here, continuous, without margin; null if nothing is seen. */
	readonly needed: number | null;
	readonly focalMm: number;
	/** Name of the lens of the kit that could; null when none reaches that focal length. */
	readonly lensName: string | null;
	/** Whether that lens has such an f-number. */
	readonly isPossible: boolean;
	/** Fewer people are seen from here than from where the camera is. */
	readonly losesSomeone: boolean;
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

/** What is needed with the camera at a place, turned to the people and framing them as now. */
export function standpointAt(
	shot: Shot,
	lenses: readonly Lens[],
	now: Outcome | null,
	place: Pick<Vec3, 'x' | 'z'>
): Standpoint {
	const pivot = pivotOf(shot);
	const position = { ...shot.camera.position, ...place };
	const away = (from: Vec3) => length(subtract(from, pivot));
	const focalMm = (shot.camera.focalMm * away(position)) / away(shot.camera.position);
	const lens = lensFor(lenses, focalMm);
	const none = { ...place, needed: null, focalMm, lensName: null, isPossible: false };
	if (Math.hypot(position.x - pivot.x, position.z - pivot.z) < NEAREST_M) {
		return { ...none, losesSomeone: true };
	}
	// without a lens of the kit, as the lens in use would be at that focal length
	const used = lens ?? { ...shot.lens, focalMm: [focalMm, focalMm] as [number, number] };
	const camera = { ...standingAt(shot.camera, pivot, position), focalMm };
	const outcome = outcomeOf({ ...shot, lens: used, camera });
	if (!outcome) return { ...none, lensName: lens?.name ?? null, losesSomeone: true };
	return {
		...place,
		needed: outcome.needed,
		focalMm,
		lensName: lens?.name ?? null,
		isPossible: lens !== null && outcome.needed <= lens.smallestFNumber,
		losesSomeone: now !== null && seenPeople(outcome) < seenPeople(now)
	};
}

/** The floor as a grid of about so many cells, in pieces: each call of `next` works out one row. */
export function* floorPlan(
	shot: Shot,
	lenses: readonly Lens[],
	{ left, right, near, far }: FloorArea,
	cells: number
): Generator<FloorPlan, FloorPlan> {
	const cellM = Math.sqrt(((right - left) * (far - near)) / cells);
	const columns = Math.max(1, Math.ceil((right - left) / cellM));
	const rows = Math.max(1, Math.ceil((far - near) / cellM));
	const now = outcomeOf(shot);
	const points: Standpoint[] = [];
	const plan = (): FloorPlan => ({ columns, rows, left, near, cellM, points: [...points] });
	for (let row = 0; row < rows; row++) {
		for (let column = 0; column < columns; column++) {
			const place = { x: left + (column + 0.5) * cellM, z: near + (row + 0.5) * cellM };
			points.push(standpointAt(shot, lenses, now, place));
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
export function backRowNearerM(shot: Shot, fNumberExact: number): number | null {
	const now = outcomeOf(shot);
	const rows = now?.scene.rows ?? [];
	const holds = (byM: number) => {
		const outcome = outcomeOf(closedUp(shot, rows, byM));
		return outcome !== null && outcome.needed <= fNumberExact;
	};
	const spread = now ? spreadM(now) : 0;
	if (holds(0)) return 0;
	if (!holds(spread)) return null;
	let [no, yes] = [0, spread];
	for (let i = 0; i < 20; i++) {
		const middle = (no + yes) / 2;
		if (holds(middle)) yes = middle;
		else no = middle;
	}
	return yes;
}

function spreadM({ scene: { rows } }: Outcome): number {
	return (rows.at(-1)?.depthM ?? 0) - (rows[0]?.depthM ?? 0);
}

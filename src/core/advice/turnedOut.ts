import type { Lens, Shot } from '../format/shot';
import { USUAL_ROWS } from '../arrange/arrange';
import { closedUp, groundShare } from '../arrange/regroup';
import { groupDepthM } from '../arrange/rows';
import { mean } from '../numeric/mean';
import { groundDistanceM, pivotOf, steppedBack } from '../arrange/standpoint';
import { add, scale, type Vec3 } from '../geometry/vector';
import { lookAt } from '../study/scene';

/** It turned out different: the same shot from elsewhere, with other rows, another lens, other light. */

export interface Difference {
	/** From the camera to the middle of the group over the ground, m. */
	readonly distanceM?: number;
	/** From the front row to the back row, m. */
	readonly depthM?: number;
	readonly rows?: number;
	readonly lens?: Lens;
	readonly focalMm?: number;
	readonly ev100?: number;
	/** A shutter that is fixed, s. */
	readonly shutterS?: number;
	/** The highest ISO one likes here. */
	readonly comfortIso?: number;
}

/** What a shot is now, in the same terms. */
export interface AsItIs {
	readonly distanceM: number;
	readonly depthM: number;
	readonly rows: number;
	readonly focalMm: number;
	/** Null with flash, or while the light is not known. */
	readonly ev100: number | null;
}

export function asItIs(shot: Shot): AsItIs {
	const { rows } = lookAt(shot);
	return {
		distanceM: groundDistanceM(shot.camera, pivotOf(shot)),
		depthM: groupDepthM(rows),
		rows: rows.length,
		focalMm: shot.camera.focalMm,
		ev100: shot.light?.mode === 'ambient' ? shot.light.ev100 : null
	};
}

/** The shot as it turned out. The framing is not kept: another lens from the same place takes in more or less. */
export function turnedOut(shot: Shot, difference: Difference): Shot {
	const { distanceM, depthM, rows, lens, focalMm, ev100, shutterS, comfortIso } = difference;
	let next = shot;
	if (lens) next = withLens(next, lens, focalMm ?? next.camera.focalMm);
	else if (focalMm !== undefined) next = withLens(next, next.lens, focalMm);
	if (rows !== undefined) next = inRows(next, rows);
	if (depthM !== undefined) next = asDeep(next, depthM);
	if (distanceM !== undefined) next = fromAway(next, distanceM);
	if (ev100 !== undefined && next.light?.mode !== 'flash') {
		next = { ...next, light: { mode: 'ambient', ev100 } };
	}
	if (shutterS !== undefined) next = { ...next, choices: { ...next.choices, shutterS } };
	if (comfortIso !== undefined) next = { ...next, body: { ...next.body, comfortIso } };
	return next;
}

/** With another lens at about a focal length, from the same place; an f-number that was fixed is free. */
function withLens(shot: Shot, lens: Lens, wantedMm: number): Shot {
	const [short, long] = lens.focalMm;
	const camera = { ...shot.camera, focalMm: Math.min(long, Math.max(short, wantedMm)) };
	const choices = { ...shot.choices };
	if (lens.name !== shot.lens.name) delete choices.fNumberExact;
	return { ...shot, lens, camera, choices };
}

function fromAway(shot: Shot, distanceM: number): Shot {
	const pivot = pivotOf(shot);
	const byM = distanceM - groundDistanceM(shot.camera, pivot);
	return { ...shot, camera: steppedBack(shot.camera, pivot, byM) };
}

/** From front to back so deep, about the middle of the group. */
function asDeep(shot: Shot, depthM: number): Shot {
	const { rows, pose } = lookAt(shot);
	const now = groupDepthM(rows);
	if (now <= 0) return shot;
	// people move over the ground, depth is along the axis
	return aboutSameMiddle(shot, closedUp(shot, rows, (now - depthM) / groundShare(pose.axis)));
}

/** A shot whose people moved, all of them pushed so that the middle of the group is where it was. */
function aboutSameMiddle(before: Shot, after: Shot): Shot {
	const [was, is] = [pivotOf(before), pivotOf(after)];
	const push: Vec3 = { x: was.x - is.x, y: 0, z: was.z - is.z };
	return {
		...after,
		people: after.people.map((one) =>
			one.need === 'free' ? one : { ...one, eyeMidpoint: add(one.eyeMidpoint, push) }
		)
	};
}

/** The same people in so many rows, about the same middle, in their order from left to right. */
function inRows(shot: Shot, wanted: number): Shot {
	const { pose, rows, sightings } = lookAt(shot);
	const standing = rows.flatMap(({ members }) => members);
	const count = Math.min(wanted, standing.length);
	if (count < 1 || count === rows.length) return shot;
	const personOf = (id: string) => sightings.find(({ person }) => person.id === id)?.person;
	const across: Vec3 = { x: pose.right.x, y: 0, z: pose.right.z };
	const away: Vec3 = { x: -pose.right.z, y: 0, z: pose.right.x };
	const levels = rows.map(({ members }) => {
		return mean(members.map(({ personId }) => personOf(personId)?.eyeMidpoint.y ?? 0));
	});
	const level = (row: number) =>
		levels[row] ?? (levels.at(-1) as number) + USUAL_ROWS.stepM * (row - levels.length + 1);
	const gapM = rows.length > 1 ? groupDepthM(rows) / (rows.length - 1) : USUAL_ROWS.rowGapM;
	const middle = pivotOf(shot);
	const order = standing.toSorted((a, b) => a.x - b.x);
	const places = new Map<string, { row: number; at: Vec3 }>();
	for (let row = 0; row < count; row++) {
		const members = order.filter((_, i) => i % count === row);
		members.forEach(({ personId }, i) => {
			const aside = (i - (members.length - 1) / 2) * USUAL_ROWS.spacingM;
			const back = (row - (count - 1) / 2) * gapM;
			const at = add({ ...middle, y: level(row) }, add(scale(across, aside), scale(away, back)));
			places.set(personId, { row: row + 1, at });
		});
	}
	const people = shot.people.map((one) => {
		const place = places.get(one.id);
		return place ? { ...one, row: place.row, eyeMidpoint: place.at } : one;
	});
	return aboutSameMiddle(shot, { ...shot, people });
}

/** Rows that people of a shot can stand in at most. */
export const mostRows = (shot: Shot): number =>
	shot.people.filter(({ need }) => need !== 'free').length;

import type { Lens, Shot } from '../format/shot';
import { closedUp, groundShare } from '../arrange/regroup';
import { groupDepthM } from '../arrange/rows';
import { groundDistanceM, pivotOf, steppedBack } from '../arrange/standpoint';
import { lookAt } from '../study/scene';
import { aboutSameMiddle, counting, grouped } from './grouped';

/** It turned out different: the same shot from elsewhere, with other rows, another lens, other light. */

export interface Difference {
	/** From the camera to the middle of the group over the ground, m. */
	readonly distanceM?: number;
	/** From the front row to the back row, m. */
	readonly depthM?: number;
	readonly rows?: number;
	/** How many count. */
	readonly people?: number;
	readonly lens?: Lens;
	readonly focalMm?: number;
	readonly ev100?: number;
	/** A shutter that is fixed, s. */
	readonly shutterS?: number;
	/** The highest ISO one likes here. */
	readonly comfortIso?: number;
	/** From the flash to the people, m. */
	readonly flashDistanceM?: number;
	/** The ISO that stays; with flash its power follows. */
	readonly iso?: number;
}

/** What a shot is now, in the same terms. */
export interface AsItIs {
	readonly distanceM: number;
	readonly depthM: number;
	readonly rows: number;
	readonly people: number;
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
		people: counting(shot).length,
		focalMm: shot.camera.focalMm,
		ev100: shot.light?.mode === 'ambient' ? shot.light.ev100 : null
	};
}

/** The shot as it turned out. The framing is not kept: another lens from the same place takes in more or less. */
export function turnedOut(shot: Shot, difference: Difference): Shot {
	const {
		distanceM,
		depthM,
		rows,
		people,
		lens,
		focalMm,
		ev100,
		shutterS,
		comfortIso,
		flashDistanceM,
		iso
	} = difference;
	let next = shot;
	if (lens) next = withLens(next, lens, focalMm ?? next.camera.focalMm);
	else if (focalMm !== undefined) next = withLens(next, next.lens, focalMm);
	if (rows !== undefined || people !== undefined) next = grouped(next, { rows, people });
	if (depthM !== undefined) next = asDeep(next, depthM);
	if (distanceM !== undefined) next = fromAway(next, distanceM);
	if (ev100 !== undefined && next.light?.mode !== 'flash') {
		next = { ...next, light: { mode: 'ambient', ev100 } };
	}
	if (shutterS !== undefined) next = { ...next, choices: { ...next.choices, shutterS } };
	if (flashDistanceM !== undefined && next.light?.mode === 'flash') {
		next = { ...next, light: { ...next.light, distanceM: flashDistanceM } };
	}
	if (iso !== undefined) next = { ...next, choices: { ...next.choices, isoRule: iso } };
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

/** The shot from another distance over the ground to the middle of the group, m. */
export function fromAway(shot: Shot, distanceM: number): Shot {
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

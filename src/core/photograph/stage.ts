import { EYE_HEIGHT_M, newcomer, withUsualWishes } from '../arrange/arrange';
import type { Body, Lens, Person, Shot } from '../format/shot';
import { rowsOf } from '../arrange/rows';
import { degrees, wrapDeg } from '../geometry/angle';
import { cameraPose, seenFrom } from '../geometry/camera';
import type { Vec3 } from '../geometry/vector';
import { mean } from '../numeric/mean';
import type { Build } from '../tables/heads';
import type { PictureSize } from './lensOf';
import type { StandingHead } from './standing';

/** The stage of a photograph: its people as a shot has them, before the camera that will really be used. */

export interface StagedHead {
	readonly standing: StandingHead;
	readonly build: Build;
}

/** The camera to be used, and where: where the photograph was taken, or where it frames them alike. */
export interface RealCamera {
	readonly body: Body;
	readonly lens: Lens;
	readonly focalMm: number;
	readonly isFramedAlike: boolean;
}

/** Nobody's eyes are lower, m. */
const LOWEST_EYES_M = 0.2;

/**
 * A shot with the people of a photograph in the place of its own, row by row from the left; where as many were
 * planned in as many rows, they are those, with their names and what is wished of them. The camera stands
 * level at a height at which grown-ups stand on the ground: depths and places in the frame are right whatever the
 * tilt of the photograph was.
 *
 * @param focalPx focal length in pixels of the photograph
 */
export function stageOf(
	base: Shot,
	heads: readonly StagedHead[],
	photograph: { readonly size: PictureSize; readonly focalPx: number },
	real: RealCamera
): Shot {
	const { widthPx, heightPx } = photograph.size;
	const from: Vec3 = { x: 0, y: heightOf(heads), z: 0 };
	const sorted = heads.toSorted(
		(a, b) => a.standing.row - b.standing.row || a.standing.rightM - b.standing.rightM
	);
	const longPx = Math.max(widthPx, heightPx);
	const longer = real.focalMm / real.body.sensor.widthMm / (photograph.focalPx / longPx);
	const middleM = mean(heads.map(({ standing }) => standing.depthM));
	const position = { ...from, z: real.isFramedAlike ? middleM * (1 - longer) : 0 };
	const planned = plannedAs(base, sorted);
	const people = sorted.map(({ standing, build }, i): Person => {
		const { rightM, upM, depthM, amongSigmaM, row, turnDeg, nodDeg, leanDeg } = standing;
		const eyes = { x: rightM, y: from.y + upM, z: depthM };
		const person = planned?.[i] ?? newcomer(i + 1, eyes, build);
		const turned = wrapDeg(turnDeg + directionDeg(eyes, position) - directionDeg(eyes, from));
		const held = { turnDeg: turned, nodDeg, leanDeg };
		return { ...person, build, eyeMidpoint: eyes, ...held, row, depthSigmaM: amongSigmaM };
	});
	const shot: Shot = {
		...base,
		body: real.body,
		lens: real.lens,
		camera: {
			...base.camera,
			position,
			panDeg: 0,
			tiltDeg: 0,
			orientation: heightPx > widthPx ? 'portrait' : 'landscape',
			focalMm: real.focalMm
		},
		people,
		// whoever was to be focused on is no longer there, unless it is those who were planned
		choices: planned ? base.choices : { ...base.choices, focus: undefined }
	};
	return planned ? shot : withUsualWishes(shot, base.people.length);
}

/** Who of the plan each is, where the rows are those of the plan; null where they are not. */
function plannedAs(base: Shot, sorted: readonly StagedHead[]): Person[] | null {
	const pose = cameraPose(base.camera, base.body.sensor);
	const rows = rowsOf(
		base.people.map(({ id, row, eyeMidpoint }) => {
			const { depthM, rightM } = seenFrom(pose, eyeMidpoint);
			return { personId: id, row, depthM, x: rightM / depthM };
		})
	);
	const counts = [...new Set(sorted.map(({ standing }) => standing.row))].map(
		(row) => sorted.filter(({ standing }) => standing.row === row).length
	);
	const isSame =
		rows.length === counts.length && rows.every(({ members }, i) => members.length === counts[i]);
	if (!isSame) return null;
	return rows.flatMap(({ members }) =>
		members.flatMap(({ personId }) => base.people.find(({ id }) => id === personId) ?? [])
	);
}

/** Height of the camera above the ground at which those who stand in front stand on it, m. */
function heightOf(heads: readonly StagedHead[]): number {
	const front = Math.min(...heads.map(({ standing }) => standing.row));
	const heights = heads
		.filter(({ standing }) => standing.row === front)
		.map(({ standing, build }) => EYE_HEIGHT_M[build] - standing.upM);
	const lowest = Math.max(...heads.map(({ standing }) => LOWEST_EYES_M - standing.upM));
	return Math.max(mean(heights), lowest);
}

/** Direction over the ground from a head to a camera, degrees. */
const directionDeg = (eyes: Vec3, camera: Vec3): number =>
	degrees(Math.atan2(camera.x - eyes.x, camera.z - eyes.z));

/** Whether those of a shot are the very ones of another, by id and name. */
export const arePeopleOf = (planned: Shot, { people }: Shot): boolean =>
	people.length === planned.people.length &&
	people.every(({ id, name }) => planned.people.some((one) => one.id === id && one.name === name));

/** The same shot with everybody where the photograph has them, as if each distance had been measured. */
export const measured = (shot: Shot): Shot => ({
	...shot,
	people: shot.people.map((person) => ({ ...person, depthSigmaM: 0 }))
});

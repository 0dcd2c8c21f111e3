import type { Person, Shot } from '../format/shot';
import { mean } from '../numeric/mean';
import { fieldCurvatureFactor } from '../optics/focus';
import { cameraPose, seenFrom, type CameraPose } from '../geometry/camera';
import { groupDepthM, rowOf, type Row } from './rows';
import { add, scale, type Vec3 } from '../geometry/vector';

/** Moving people so that less depth is needed. */

/** Closest that two rows can stand, m. */
const CLOSEST_ROWS_M = 0.45;

/** How much of a step along the axis is one over the ground: the camera may look down. */
export const groundShare = ({ x, z }: Vec3): number => Math.hypot(x, z) || 1;

/** Over the ground, away from the camera. */
export function awayOverGround({ axis }: CameraPose): Vec3 {
	const share = groundShare(axis);
	return { x: axis.x / share, y: 0, z: axis.z / share };
}

const movedBy = (person: Person, by: Vec3): Person => ({
	...person,
	eyeMidpoint: add(person.eyeMidpoint, by)
});

/** How far the back row can come forward before two rows touch, m. */
export function mostCloseUpM(rows: readonly Row[]): number {
	const depths = rows.map(({ depthM }) => depthM);
	const gaps = depths.slice(1).map((depthM, i) => depthM - (depths[i] as number));
	const least = Math.min(...gaps);
	return least > CLOSEST_ROWS_M ? groupDepthM(rows) * (1 - CLOSEST_ROWS_M / least) : 0;
}

/** Closes the rows up: the back row comes forward by so much, those before it in proportion. */
export function closedUp(shot: Shot, rows: readonly Row[], byM: number): Shot {
	const front = rows[0]?.depthM ?? 0;
	const spread = groupDepthM(rows);
	if (spread <= 0) return shot;
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const away = awayOverGround(pose);
	const people = shot.people.map((person) => {
		const row = rowOf(rows, person.id);
		if (!row) return person;
		return movedBy(person, scale(away, (-byM * (row.depthM - front)) / spread));
	});
	return { ...shot, people };
}

/**
 * Brings every row onto the surface of focus through its middle: straight for a flat field, its ends
 * drawn in for a bent one. Nobody moves more than `mostM`.
 */
export function linedUp(shot: Shot, rows: readonly Row[], mostM: number): Shot {
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const away = awayOverGround(pose);
	const share = groundShare(pose.axis);
	const people = shot.people.map((person) => {
		const move = offLine(shot, rows, person, pose) / share;
		return movedBy(person, scale(away, Math.max(-mostM, Math.min(mostM, move))));
	});
	return { ...shot, people };
}

/** The farthest that anybody would have to move to stand in line, m. */
export function mostOffLineM(shot: Shot, rows: readonly Row[]): number {
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const share = groundShare(pose.axis);
	return Math.max(0, ...shot.people.map((one) => Math.abs(offLine(shot, rows, one, pose)) / share));
}

/** How much farther along the axis somebody would stand in the line of their row, m. */
function offLine(shot: Shot, rows: readonly Row[], person: Person, pose: CameraPose): number {
	const row = rowOf(rows, person.id);
	if (!row || row.members.length < 2) return 0;
	const seenOf = (id: string) => {
		const member = shot.people.find((one) => one.id === id);
		return member && seenFrom(pose, member.eyeMidpoint);
	};
	const own = seenOf(person.id);
	const planes = row.members.flatMap(({ personId }) => {
		const seen = seenOf(personId);
		return seen ? seen.depthM / fieldCurvatureFactor(shot.lens.fieldBend, seen.cosOffAxis) : [];
	});
	if (!own) return 0;
	return mean(planes) * fieldCurvatureFactor(shot.lens.fieldBend, own.cosOffAxis) - own.depthM;
}

/**
 * Moves everybody, what they hold or stand behind, and the camera, over the ground away from the
 * background; nearer negative.
 */
export function offBackground(shot: Shot, byM: number): Shot {
	const { background, camera, people } = shot;
	const pose = cameraPose(camera, shot.body.sensor);
	const by = scale(awayOverGround(pose), -byM);
	// with nobody there nothing goes along
	const nearestM =
		people.length > 0
			? Math.min(...people.map((one) => seenFrom(pose, one.eyeMidpoint).depthM))
			: -Infinity;
	const isTheirs = ({ look, position }: Shot['things'][number]) =>
		seenFrom(pose, position).depthM < nearestM ||
		(look === 'object' &&
			people.some(
				({ eyeMidpoint: e }) => Math.hypot(e.x - position.x, e.z - position.z) < HELD_WITHIN_M
			));
	return {
		...shot,
		...(background
			? { background: { ...background, behindM: toMicron(background.behindM + byM) } }
			: {}),
		camera: { ...camera, position: add(camera.position, by) },
		people: people.map((person) => movedBy(person, by)),
		things: shot.things.map((thing) =>
			isTheirs(thing) ? { ...thing, position: add(thing.position, by) } : thing
		)
	};
}

/** Without what is left over of adding. */
const toMicron = (metres: number): number => Math.round(metres * 1e6) / 1e6;

/** What lies this near somebody is in their hands, m. */
const HELD_WITHIN_M = 0.9;

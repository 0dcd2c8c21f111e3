import { addPerson, EYE_HEIGHT_M, isUnnamed, USUAL_ROWS } from '../arrange/arrange';
import { keptInFrame } from '../arrange/follow';
import { groupDepthM } from '../arrange/rows';
import { pivotOf } from '../arrange/standpoint';
import type { Person, Shot } from '../format/shot';
import { LIMITS } from '../format/shot';
import { ownFramePoint, seenFrom } from '../geometry/camera';
import { add, scale, type Vec3 } from '../geometry/vector';
import { mean } from '../numeric/mean';
import { lookAt } from '../study/scene';

/** A group that turned out to be more or fewer, or in other rows. */

/** Whoever counts in a shot. */
export const counting = ({ people }: Shot): Person[] =>
	people.filter(({ need }) => need !== 'free');

/** The shot with so many people in so many rows, about the same middle; the frame follows. */
export function grouped(
	shot: Shot,
	{ rows, people }: { readonly rows: number | undefined; readonly people: number | undefined }
): Shot {
	const now = lookAt(shot).rows.length;
	const wanted = rows ?? now;
	const isSame = wanted === now && (people ?? counting(shot).length) === counting(shot).length;
	if (isSame) return shot;
	const many = people === undefined ? shot : ofPeople(shot, people);
	return keptInFrame(shot, inRows(many, wanted));
}

/** The shot with so many who count: others come, or those without a name leave first, then the last. */
function ofPeople(shot: Shot, wanted: number): Shot {
	const present = counting(shot);
	const most = LIMITS.people - (shot.people.length - present.length);
	const count = Math.max(1, Math.min(most, Math.round(wanted)));
	if (count >= present.length) {
		const depthM = lookAt(shot).rows.at(-1)?.depthM ?? 3;
		let next = shot;
		for (let i = present.length; i < count; i++) next = addPerson(next, 'adult', depthM);
		return next;
	}
	const leaving = present
		.toReversed()
		.toSorted((a, b) => Number(isUnnamed(b)) - Number(isUnnamed(a)))
		.slice(0, present.length - count)
		.map(({ id }) => id);
	const { focus, ...choices } = shot.choices;
	const isGone = focus && 'personId' in focus && leaving.includes(focus.personId);
	return {
		...shot,
		people: shot.people.filter(({ id }) => !leaving.includes(id)),
		choices: focus && !isGone ? { ...choices, focus } : choices
	};
}

/** A shot whose people moved, all of them pushed so that the middle of the group is where it was. */
export function aboutSameMiddle(before: Shot, after: Shot): Shot {
	const [was, is] = [pivotOf(before), pivotOf(after)];
	const push: Vec3 = { x: was.x - is.x, y: 0, z: was.z - is.z };
	return {
		...after,
		people: after.people.map((one) =>
			one.need === 'free' ? one : { ...one, eyeMidpoint: add(one.eyeMidpoint, push) }
		)
	};
}

/** The people of a shot in so many rows, about the same middle, in their order from left to right. */
function inRows(shot: Shot, wanted: number): Shot {
	const { pose, rows } = lookAt(shot);
	const standing = counting(shot);
	const count = Math.min(wanted, standing.length);
	if (count < 1) return shot;
	const personOf = (id: string) => standing.find((person) => person.id === id);
	const across: Vec3 = { x: pose.right.x, y: 0, z: pose.right.z };
	const away: Vec3 = { x: -pose.right.z, y: 0, z: pose.right.x };
	const levels = rows.map(({ members }) => {
		return mean(members.map(({ personId }) => personOf(personId)?.eyeMidpoint.y ?? 0));
	});
	const top = levels.at(-1) ?? EYE_HEIGHT_M.adult;
	const level = (row: number) =>
		levels[row] ?? top + USUAL_ROWS.stepM * (row - Math.max(0, levels.length - 1));
	const gapM = rows.length > 1 ? groupDepthM(rows) / (rows.length - 1) : USUAL_ROWS.rowGapM;
	const middle = pivotOf(shot);
	const asideOf = ({ eyeMidpoint }: Person) => ownFramePoint(pose, seenFrom(pose, eyeMidpoint)).x;
	const order = standing.toSorted((a, b) => asideOf(a) - asideOf(b));
	const places = new Map<string, { row: number; at: Vec3 }>();
	for (let row = 0; row < count; row++) {
		const members = order.filter((_, i) => i % count === row);
		members.forEach(({ id }, i) => {
			const aside = (i - (members.length - 1) / 2) * USUAL_ROWS.spacingM;
			const back = (row - (count - 1) / 2) * gapM;
			const at = add({ ...middle, y: level(row) }, add(scale(across, aside), scale(away, back)));
			places.set(id, { row: row + 1, at });
		});
	}
	const people = shot.people.map((one) => {
		const place = places.get(one.id);
		return place ? { ...one, row: place.row, eyeMidpoint: place.at } : one;
	});
	return aboutSameMiddle(shot, { ...shot, people });
}

import type { Guest } from '../format/job';
import { LIMITS, type Person, type Shot } from '../format/shot';
import { isHuman, type Build } from '../tables/heads';
import { partCorners } from '../anatomy/figure';
import { addPerson, EYE_HEIGHT_M, isUnnamed, USUAL_ROWS } from '../arrange/arrange';
import { roomIn } from '../arrange/edges';
import { EDGE_SHARE, keptInFrame } from '../arrange/follow';
import { extentOf, stoodAsFramed, type Framing } from '../arrange/framing';
import { along } from '../geometry/vector';
import { byOrder } from '../numeric/order';
import { lookAt } from '../study/scene';

/** The people of the day, and the shots they stand in. Shots refer to them by name. */

/** Somebody to put on the list; the id is the list's. */
export type NewGuest = Omit<Guest, 'id'>;

export const newGuest = (name: string, build: Build = 'adult'): NewGuest => ({
	name,
	build,
	eyeHeightM: EYE_HEIGHT_M[build],
	glasses: false,
	note: ''
});

/** Whether somebody of that name stands in a shot. */
export const standsIn = (name: string, { people }: Pick<Shot, 'people'>): boolean =>
	people.some((one) => one.name === name);

/** The people of the list who stand in none of the shots. */
export function inNoShot(guests: readonly Guest[], shots: readonly Shot[]): Guest[] {
	const placed = new Set(shots.flatMap(({ people }) => people.map(({ name }) => name)));
	return guests.filter(({ name }) => !placed.has(name));
}

/** Where the first of a shot is put unless a framing says otherwise, m. */
export const FIRST_M = 3;

/**
 * The shot with somebody of the list: in a place that has no name yet, else at an end of a row that has
 * room, else of the shortest one. The first of all stands where the framing has them; the frame follows
 * whoever it would cut.
 */
export function withGuest(shot: Shot, guest: NewGuest, framing: Framing): Shot {
	if (standsIn(guest.name, shot)) return shot;
	const unnamed = unnamedPlace(shot, guest);
	if (unnamed) return takingPlace(shot, unnamed, guest);
	if (shot.people.length >= LIMITS.people) return shot;
	const more = addPerson(shot, guest.build, Math.max(FIRST_M, shot.lens.closestFocusM));
	const newcomer = more.people.at(-1) as Person;
	const end = endOfRow(shot, guest);
	const placed = changed(more, newcomer.id, {
		name: guest.name,
		eyeMidpoint: end?.eyes ?? { ...newcomer.eyeMidpoint, y: guest.eyeHeightM },
		...(end?.row === undefined ? {} : { row: end.row })
	});
	return shot.people.length === 0 ? stoodAsFramed(placed, framing) : keptInFrame(shot, placed);
}

const changed = (shot: Shot, id: string, change: Partial<Person>): Shot => ({
	...shot,
	people: shot.people.map((one) => (one.id === id ? { ...one, ...change } : one))
});

/** The ground under somebody who stands, m. */
const groundOf = ({ build, eyeMidpoint }: Person): number =>
	Math.max(0, eyeMidpoint.y - EYE_HEIGHT_M[build]);

/** A place without a name that somebody may take: their own build's first; nobody takes an animal's. */
function unnamedPlace({ people }: Shot, { build }: NewGuest): Person | undefined {
	const free = people.filter(isUnnamed);
	const ofBuild = free.find((one) => one.build === build);
	return ofBuild ?? (isHuman(build) ? free.find((one) => isHuman(one.build)) : undefined);
}

function takingPlace(shot: Shot, place: Person, { name, build, eyeHeightM }: NewGuest): Shot {
	const eyeMidpoint = { ...place.eyeMidpoint, y: groundOf(place) + eyeHeightM };
	return changed(shot, place.id, { name, build, eyeMidpoint });
}

/**
 * The shot with people called in order as a list says, from somebody on; whoever is on the day's list
 * gets their build and height, too. Empty names change nothing.
 *
 * @param order ids of people: rows from left to right
 */
export function called(
	shot: Shot,
	order: readonly string[],
	from: number,
	names: readonly string[],
	guests: readonly Guest[]
): Shot {
	return names.reduce((all, typed, i) => {
		const name = typed.trim().slice(0, LIMITS.name);
		const person = all.people.find(({ id }) => id === order[from + i]);
		if (!name || !person || person.name === name) return all;
		const guest = guests.find((one) => sameName(one.name, name));
		return guest ? takingPlace(all, person, guest) : changed(all, person.id, { name });
	}, shot);
}

/** Whether two names are one, whatever their capitals. */
export const sameName = (a: string, b: string): boolean =>
	a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();

/** Where the eyes of somebody are who joins a row at one of its ends; null where there is no row. */
function endOfRow(shot: Shot, { build, eyeHeightM }: NewGuest) {
	const { rows, pose } = lookAt(shot);
	const ends = rows.flatMap(({ members }, index) =>
		([-1, 1] as const).map((side) => {
			const last = shot.people.find(
				({ id }) => id === members.at(side === 1 ? -1 : 0)?.personId
			) as Person;
			const beside = along(last.eyeMidpoint, pose.right, side * USUAL_ROWS.spacingM);
			const eyes = { ...beside, y: groundOf(last) + eyeHeightM };
			const face = partCorners({ ...last, build, eyeMidpoint: eyes }, 'face', pose.right);
			const extent = extentOf(pose, face);
			const hasRoom = extent !== null && roomIn(extent) >= EDGE_SHARE;
			const asideShare = extent ? Math.abs((extent.left + extent.right) / 2 - 0.5) : 1;
			// grown people fill the shortest row, children and animals stand in front
			const rank = build === 'adult' ? members.length : index;
			return { eyes, row: last.row, order: [hasRoom ? 0 : 1, rank, asideShare] };
		})
	);
	return ends.toSorted((a, b) => byOrder(a.order, b.order))[0] ?? null;
}

/** The shot without whoever has that name. */
export function withoutGuest(shot: Shot, name: string): Shot {
	const people = shot.people.filter((one) => one.name !== name);
	const { focus } = shot.choices;
	const isGone = focus && 'personId' in focus && !people.some(({ id }) => id === focus.personId);
	const choices = { ...shot.choices };
	if (isGone) delete choices.focus;
	return { ...shot, people, choices };
}

/** The shot with somebody called otherwise. */
export const renamed = (shot: Shot, from: string, to: string): Shot => ({
	...shot,
	people: shot.people.map((one) => (one.name === from ? { ...one, name: to } : one))
});

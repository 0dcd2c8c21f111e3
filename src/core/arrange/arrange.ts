import type { Person, Shot } from '../format/shot';
import type { Build } from '../tables/heads';
import { radians } from '../geometry/angle';
import { cameraPose, worldPoint } from '../geometry/camera';
import type { Vec3 } from '../geometry/vector';

/** Ways to place people at once: one, a couple, a row, rows on steps. */

/** Height of the eyes above the ground, m: standing people, animals on the floor. */
export const EYE_HEIGHT_M: Readonly<Record<Build, number>> = {
	adult: 1.6,
	child: 1.1,
	infant: 0.75,
	cat: 0.25,
	dog: 0.5
};

const NAME: Readonly<Record<Build, string>> = {
	adult: 'Person',
	child: 'Child',
	infant: 'Infant',
	cat: 'Cat',
	dog: 'Dog'
};

const UNNAMED = new RegExp(`^(${Object.values(NAME).join('|')}) \\d+$`);

/** Whether somebody still has the name they came with: "Person 3". */
export const isUnnamed = ({ name }: Pick<Person, 'name'>): boolean => UNNAMED.test(name);

export interface StepsPlan {
	/** How many stand in each row, the front row first. */
	readonly counts: readonly number[];
	/** From one row to the next, m. */
	readonly rowGapM: number;
	/** How much higher each row stands, m. */
	readonly stepM: number;
	/** From one person to the next, m. */
	readonly spacingM: number;
}

/** How rows stand when nothing else is known. Round values, common practice, no source. */
export const USUAL_ROWS = { rowGapM: 0.8, stepM: 0.3, spacingM: 0.6 } as const;

/** Somebody new, facing the camera, with an id no one in the shot has. */
export function newcomer(number: number, eyeMidpoint: Vec3, build: Build = 'adult'): Person {
	return {
		id: `person-${number}`,
		name: `${NAME[build]} ${number}`,
		build,
		eyeMidpoint,
		turnDeg: 0,
		nodDeg: 0,
		leanDeg: 0,
		need: 'sharp',
		keep: 'both-eyes',
		motion: 'still',
		depthSigmaM: 0
	};
}

/** The first number from which no `person-…` id is taken. */
function firstFree(shot: Shot, prefix: string): number {
	const ids = [...shot.people, ...shot.things].map(({ id }) => id);
	const taken = ids.map((id) => Number(id.startsWith(prefix) ? id.slice(prefix.length) : 0));
	return Math.max(0, ...taken.filter(Number.isFinite)) + 1;
}

/** Where newcomers go: on the axis, at the depth of those who are there, or `depthM` if nobody is. */
function spotAhead(shot: Shot, depthM: number): Vec3 {
	const pose = cameraPose(shot.camera, shot.body.sensor);
	return worldPoint(pose, depthM, 0, 0);
}

/** Adds people in straight rows across the picture, centred ahead of the camera. */
export function addRows(shot: Shot, plan: StepsPlan, depthM: number): Shot {
	const start = firstFree(shot, 'person-');
	const pan = radians(shot.camera.panDeg);
	const ahead = spotAhead(shot, depthM);
	const taken = shot.people.flatMap(({ row }) => row ?? []);
	const allHaveRows = shot.people.length === taken.length;
	const firstRow = taken.length > 0 ? Math.max(...taken) + 1 : 1;
	let number = start;
	const people = plan.counts.flatMap((count, row) =>
		Array.from({ length: count }, (_, i) => {
			const aside = (i - (count - 1) / 2) * plan.spacingM;
			const back = row * plan.rowGapM;
			const place = {
				x: ahead.x + aside * Math.cos(pan) + back * Math.sin(pan),
				y: EYE_HEIGHT_M.adult + row * plan.stepM,
				z: ahead.z - aside * Math.sin(pan) + back * Math.cos(pan)
			};
			const person = newcomer(number++, place);
			return allHaveRows ? { ...person, row: firstRow + row } : person;
		})
	);
	return withUsualWishes({ ...shot, people: [...shot.people, ...people] }, shot.people.length);
}

/** Adds one person or animal ahead of the camera. */
export function addPerson(shot: Shot, build: Build, depthM: number): Shot {
	const ahead = spotAhead(shot, depthM);
	const place = { ...ahead, y: EYE_HEIGHT_M[build] };
	const person = newcomer(firstFree(shot, 'person-'), place, build);
	return withUsualWishes({ ...shot, people: [...shot.people, person] }, shot.people.length);
}

/** Adds two people close together, each turned a little towards the other. */
export function addCouple(shot: Shot, depthM: number): Shot {
	const pair = addRows(shot, { counts: [2], rowGapM: 0, stepM: 0, spacingM: 0.4 }, depthM);
	const newIds = pair.people.slice(-2).map(({ id }) => id);
	return {
		...pair,
		people: pair.people.map((person) =>
			newIds.includes(person.id)
				? { ...person, turnDeg: person.id === newIds[0] ? 20 : -20 }
				: person
		)
	};
}

/** Adds somebody who walks towards the camera. */
export function addWalker(shot: Shot, depthM: number): Shot {
	const more = addPerson(shot, 'adult', depthM);
	const last = more.people.length - 1;
	return {
		...more,
		people: more.people.map((one, i) => (i === last ? { ...one, motion: 'walking' } : one))
	};
}

/** Adds a thing ahead of the camera. */
export function addThing(
	shot: Shot,
	thing: Omit<Shot['things'][number], 'id' | 'position'> & { readonly upM: number },
	depthM: number
): Shot {
	const { upM, ...rest } = thing;
	const position = { ...spotAhead(shot, depthM), y: upM };
	const id = `thing-${firstFree(shot, 'thing-')}`;
	return { ...shot, things: [...shot.things, { ...rest, id, position }] };
}

/**
 * The usual wishes, applied as people come: one person is kept by the near eye, more by both eyes;
 * a third of a stop in hand for one or two, a whole stop for more. A margin of the user's own stays.
 */
export function withUsualWishes(shot: Shot, before: number): Shot {
	const { people, choices } = shot;
	const from = people.length === 1 ? 'both-eyes' : 'near-eye';
	const keep = people.length === 1 ? 'near-eye' : 'both-eyes';
	const isUsual = choices.safetyStops === usualMargin(before);
	return {
		...shot,
		people: before > 1 ? people : people.map((one) => (one.keep === from ? { ...one, keep } : one)),
		choices: isUsual ? { ...choices, safetyStops: usualMargin(people.length) } : choices
	};
}

const usualMargin = (people: number): number => (people > 2 ? 1 : 1 / 3);

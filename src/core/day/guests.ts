import type { Guest } from '../format/job';
import { JOB_LIMITS } from '../format/job';
import { LIMITS, type Person, type Shot } from '../format/shot';
import type { Build } from '../tables/heads';
import { addPerson, EYE_HEIGHT_M, USUAL_ROWS } from '../arrange/arrange';
import { cameraPose, seenFrom } from '../geometry/camera';
import { along } from '../geometry/vector';

/** The people of the day, and the shots they stand in. Shots refer to them by name. */

const BUILD_WORDS: Readonly<Record<string, Build>> = {
	adult: 'adult',
	child: 'child',
	kid: 'child',
	infant: 'infant',
	baby: 'infant',
	cat: 'cat',
	dog: 'dog'
};
const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const METRIC = new RegExp(String.raw`^${NUMBER}\s*(m|cm)$`, 'i');
const FEET = new RegExp(
	String.raw`^${NUMBER}\s*(?:ft|feet|')(?:\s*${NUMBER}\s*(?:in|inches|"))?$`,
	'i'
);
const M_PER_FOOT = 0.3048;

const read = (text = '0'): number => Number(text.replace(',', '.'));

/** A height as people write it, m: "1.1 m", "110 cm", "3 ft 7 in"; null when it is none. */
function heightM(text: string): number | null {
	const metric = METRIC.exec(text);
	if (metric) return read(metric[1]) / (metric[2]?.toLowerCase() === 'cm' ? 100 : 1);
	const feet = FEET.exec(text);
	return feet && (read(feet[1]) + read(feet[2]) / 12) * M_PER_FOOT;
}

/** Somebody to put on the list; the id is the list's. */
export type NewGuest = Omit<Guest, 'id'>;

export const newGuest = (name: string, build: Build = 'adult'): NewGuest => ({
	name,
	build,
	eyeHeightM: EYE_HEIGHT_M[build],
	glasses: false,
	note: ''
});

/**
 * Reads a pasted list, one person a line. What follows a comma may be a build, "glasses", the height
 * of the eyes, or a note.
 * @example guestsFromText('Noor\nTeo, child, 1.1 m, ring bearer')
 */
export function guestsFromText(text: string): NewGuest[] {
	return text.split(/\r\n|\r|\n/).flatMap((line) => {
		const [name = '', ...words] = line.split(/[,;\t]/).map((part) => part.trim());
		if (!name) return [];
		let guest = newGuest(name.slice(0, LIMITS.name));
		const notes: string[] = [];
		for (const word of words.filter(Boolean)) {
			const build = BUILD_WORDS[word.toLowerCase()];
			if (build) guest = { ...guest, build, eyeHeightM: EYE_HEIGHT_M[build] };
			else if (word.toLowerCase() === 'glasses') guest = { ...guest, glasses: true };
			else if (heightM(word) === null) notes.push(word);
		}
		const height = words.flatMap((word) => heightM(word) ?? [])[0];
		if (height !== undefined && height >= 0.05 && height <= 2.5) {
			guest = { ...guest, eyeHeightM: height };
		}
		return [{ ...guest, note: notes.join(', ').slice(0, JOB_LIMITS.guestNote) }];
	});
}

/** Whether somebody of that name stands in a shot. */
export const standsIn = (name: string, { people }: Pick<Shot, 'people'>): boolean =>
	people.some((one) => one.name === name);

/** The people of the list who stand in none of the shots. */
export function inNoShot(guests: readonly Guest[], shots: readonly Shot[]): Guest[] {
	const placed = new Set(shots.flatMap(({ people }) => people.map(({ name }) => name)));
	return guests.filter(({ name }) => !placed.has(name));
}

/** Where the first of a shot is put, m. */
const FIRST_M = 3;

/** The shot with somebody of the list beside whoever stands farthest to the right. */
export function withGuest(shot: Shot, { name, build, eyeHeightM }: NewGuest): Shot {
	if (shot.people.length >= LIMITS.people || standsIn(name, shot)) return shot;
	const more = addPerson(shot, build, Math.max(FIRST_M, shot.lens.closestFocusM));
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const asideOf = ({ eyeMidpoint }: Person) => seenFrom(pose, eyeMidpoint).rightM;
	const last = shot.people.toSorted((a, b) => asideOf(b) - asideOf(a))[0];
	const people = more.people.map((one, i) => {
		if (i < more.people.length - 1) return one;
		if (!last) return { ...one, name, eyeMidpoint: { ...one.eyeMidpoint, y: eyeHeightM } };
		const groundM = Math.max(0, last.eyeMidpoint.y - EYE_HEIGHT_M[last.build]);
		const beside = along(last.eyeMidpoint, pose.right, USUAL_ROWS.spacingM);
		return {
			...one,
			name,
			eyeMidpoint: { ...beside, y: groundM + eyeHeightM },
			...(last.row === undefined ? {} : { row: last.row })
		};
	});
	return { ...more, people };
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

import type { JobFile } from './job';
import type { Shot } from './shot';

/** What a file for others may leave out: names, notes, places. */
export interface Withheld {
	readonly names: boolean;
	readonly notes: boolean;
	readonly places: boolean;
}

export const NOTHING_WITHHELD: Withheld = { names: false, notes: false, places: false };

/**
 * The job without what is withheld. Each name becomes "Person 3" wherever it stands, also in titles
 * and labels; the order is the list's.
 */
export function withholding(job: JobFile, withheld: Withheld): JobFile {
	const said = withheld.names ? namelessly(namesIn(job)) : (text: string) => text;
	const note = (text: string) => (withheld.notes ? '' : said(text));
	const place = (text: string) => (withheld.places ? '' : said(text));
	const { timeZone, ...rest } = job;
	return {
		...rest,
		...(timeZone === undefined || withheld.places ? {} : { timeZone }),
		title: said(job.title),
		place: place(job.place),
		notes: note(job.notes),
		people: job.people.map((one) => ({ ...one, name: said(one.name), note: note(one.note) })),
		shots: job.shots.map((one) => ({
			...one,
			place: place(one.place),
			...(one.taken ? { taken: { ...one.taken, note: note(one.taken.note) } } : {}),
			shot: shotSaid(withheld.names ? withoutNamedIds(one.shot) : one.shot, said, note)
		}))
	};
}

/** One shot without what is withheld. */
export function shotWithholding(shot: Shot, withheld: Withheld): Shot {
	const names = shot.people.map(({ name }) => name);
	const said = withheld.names ? namelessly(names) : (text: string) => text;
	const known = withheld.names ? withoutNamedIds(shot) : shot;
	return shotSaid(known, said, (text) => (withheld.notes ? '' : said(text)));
}

type Saying = (text: string) => string;

const shotSaid = (shot: Shot, said: Saying, note: Saying): Shot => ({
	...shot,
	title: said(shot.title),
	notes: note(shot.notes),
	people: shot.people.map((one) => ({ ...one, name: said(one.name) })),
	things: shot.things.map((one) => ({ ...one, label: said(one.label) }))
});

/** A shot whose people are known by numbers: an id may be made from a name. */
function withoutNamedIds(shot: Shot): Shot {
	const taken = new Set(shot.things.map(({ id }) => id));
	let number = 0;
	const freeId = () => {
		do number += 1;
		while (taken.has(`p${number}`));
		return `p${number}`;
	};
	const ids = new Map(shot.people.map(({ id }) => [id, freeId()]));
	const { focus } = shot.choices;
	const choices =
		focus && 'personId' in focus
			? {
					...shot.choices,
					focus: { ...focus, personId: ids.get(focus.personId) ?? focus.personId }
				}
			: shot.choices;
	const people = shot.people.map((one) => ({ ...one, id: ids.get(one.id) ?? one.id }));
	return { ...shot, people, choices };
}

function namesIn({ people, shots }: JobFile): string[] {
	return [
		...people.map(({ name }) => name),
		...shots.flatMap(({ shot }) => shot.people.map(({ name }) => name))
	];
}

/** Puts "Person 3" in the place of names, the longest first, where they stand as whole words. */
function namelessly(names: readonly string[]): Saying {
	const numbers = new Map([...new Set(names)].map((name, i) => [name, `Person ${i + 1}`]));
	if (numbers.size === 0) return (text) => text;
	const longestFirst = [...numbers.keys()].sort((a, b) => b.length - a.length).map(escaped);
	const word = new RegExp(
		`(?<![\\p{L}\\p{N}])(?:${longestFirst.join('|')})(?![\\p{L}\\p{N}])`,
		'gu'
	);
	return (text) => numbers.get(text) ?? text.replace(word, (name) => numbers.get(name) ?? name);
}

const escaped = (text: string): string => text.replace(/[\\^$.*+?()[\]{}|/-]/g, '\\$&');

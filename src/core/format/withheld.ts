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
	return {
		...job,
		title: said(job.title),
		place: place(job.place),
		notes: note(job.notes),
		...(withheld.places ? { timeZone: undefined } : {}),
		people: job.people.map((one) => ({ ...one, name: said(one.name), note: note(one.note) })),
		shots: job.shots.map((one) => ({
			...one,
			place: place(one.place),
			...(one.taken ? { taken: { ...one.taken, note: note(one.taken.note) } } : {}),
			shot: shotSaid(one.shot, said, note)
		}))
	};
}

/** One shot without what is withheld. */
export function shotWithholding(shot: Shot, withheld: Withheld): Shot {
	const names = shot.people.map(({ name }) => name);
	const said = withheld.names ? namelessly(names) : (text: string) => text;
	return shotSaid(shot, said, (text) => (withheld.notes ? '' : said(text)));
}

type Saying = (text: string) => string;

const shotSaid = (shot: Shot, said: Saying, note: Saying): Shot => ({
	...shot,
	title: said(shot.title),
	notes: note(shot.notes),
	people: shot.people.map((one) => ({ ...one, name: said(one.name) })),
	things: shot.things.map((one) => ({ ...one, label: said(one.label) }))
});

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

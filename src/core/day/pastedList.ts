import { EYE_HEIGHT_M } from '../arrange/arrange';
import { JOB_LIMITS } from '../format/job';
import { LIMITS } from '../format/shot';
import { isHuman, type Build } from '../tables/heads';
import { newGuest, type NewGuest } from './guests';
import { eyesOfStatureM, heightM } from './heights';

/** A pasted list of the people and the shots of a day, as people write them. */

/** A line that names somebody. */
interface PastedPerson {
	readonly kind: 'person';
	readonly line: string;
	readonly guest: NewGuest;
}

/** A line that begins with a time: what is taken then, and who stands in it. */
interface PastedShot {
	readonly kind: 'shot';
	readonly line: string;
	/** "14:30" */
	readonly time: string;
	/** Null where no end is said. */
	readonly minutes: number | null;
	readonly title: string;
	readonly names: readonly string[];
}

export type Pasted = PastedPerson | PastedShot;

/** What the heights of a list are of. */
export type HeightsOf = 'body' | 'eyes';

const BUILD_WORDS: Readonly<Record<string, Build>> = {
	adult: 'adult',
	child: 'child',
	kid: 'child',
	infant: 'infant',
	baby: 'infant',
	cat: 'cat',
	dog: 'dog'
};

/** Bullets, boxes to tick, and numbers in front of a line. */
const MARKS = /^\s*(?:[-–—*•◦▪·+]|\[[ xX✓]?\]|[☐☑☒✓✔]|\(?\d{1,3}[.)](?=\s)|#?\d{1,3}\t)\s*/u;
/** "14:30", "14.30", "14h30", "2:30 pm", "2 pm", and until when. */
const CLOCK = String.raw`(\d{1,2})(?:[:.h](\d{2}))?\s*(am|pm|a\.m\.|p\.m\.)?`;
const TIME = new RegExp(String.raw`^${CLOCK}(?:\s*(?:-|–|—|to|until)\s*${CLOCK})?(?![\w.:])`, 'i');
/** Between cells; a comma between two digits belongs to a number. */
const BETWEEN = /[;\t]|,(?!\d)|(?<!\d),/u;
const BETWEEN_NAMES = /[;,\t+&]|\s+and\s+/iu;

/**
 * Reads a pasted list, one person or shot a line. Bullets and numbers in front are passed over. A line
 * that begins with a time is a shot, with its people behind a colon, a dash or a tab; any other is a
 * person, and what follows a comma may be a build, "glasses", a height, or a note.
 *
 * @example readPasted('• Teo, child, 4 ft 2 in', 'body')
 * @example readPasted('14:30 Family on the steps: Noor, Teo', 'body')
 */
export function readPasted(text: string, heightsOf: HeightsOf): Pasted[] {
	return text.split(/\r\n|\r|\n/).flatMap((raw): Pasted[] => {
		const line = raw.replace(MARKS, '').trim();
		if (!line) return [];
		return [shotOf(line) ?? personOf(line, heightsOf)].flatMap((one) => one ?? []);
	});
}

function shotOf(line: string): PastedShot | null {
	const found = TIME.exec(line);
	const start = found ? clockOf(found[1], found[2], found[3] ?? found[6]) : null;
	// a number alone is no time: "3 cousins"
	if (!found || start === null || (!found[2] && !found[3])) return null;
	const end = found[4] ? clockOf(found[4], found[5], found[6]) : null;
	const rest = line.slice(found[0].length).replace(/^[\s:;,\t–—-]+/u, '');
	if (!rest) return null;
	const parts = /^(.+?)(?::|\t+|\s[–—-]\s)(.*)$/u.exec(rest);
	const [title, names] = parts ? [parts[1], parts[2]] : [rest, ''];
	return {
		kind: 'shot',
		line,
		time: wordsOf(start),
		minutes: end !== null && end > start ? end - start : null,
		title: (title ?? rest).trim().slice(0, LIMITS.title),
		names: (names ?? '')
			.split(BETWEEN_NAMES)
			.map((name) => name.trim().slice(0, LIMITS.name))
			.filter(Boolean)
			.slice(0, LIMITS.people)
	};
}

/** Minutes since midnight; null for what is no time of day. */
function clockOf(hours = '', minutes = '0', half = ''): number | null {
	const hour = Number(hours);
	const isHalf = half !== '';
	if (Number(minutes) > 59 || hour > 23 || (isHalf && (hour < 1 || hour > 12))) return null;
	const since = isHalf ? (hour % 12) + (half.toLowerCase().startsWith('p') ? 12 : 0) : hour;
	return 60 * since + Number(minutes);
}

const wordsOf = (minute: number): string =>
	[Math.floor(minute / 60), minute % 60].map((n) => String(n).padStart(2, '0')).join(':');

/** Lowest and highest eyes that are believed, m. */
const EYES_M = [0.05, 2.5] as const;

function personOf(line: string, heightsOf: HeightsOf): PastedPerson | null {
	const [name = '', ...words] = line.split(BETWEEN).map((part) => part.trim());
	if (!name) return null;
	let guest = newGuest(name.slice(0, LIMITS.name));
	const notes: string[] = [];
	for (const word of words.filter(Boolean)) {
		const build = BUILD_WORDS[word.toLowerCase()];
		if (build) guest = { ...guest, build, eyeHeightM: EYE_HEIGHT_M[build] };
		else if (word.toLowerCase() === 'glasses') guest = { ...guest, glasses: true };
		else if (heightM(word) === null) notes.push(word);
	}
	const said = words.flatMap((word) => heightM(word) ?? [])[0];
	if (said !== undefined) {
		const ofBody = heightsOf === 'body' && isHuman(guest.build);
		const eyeHeightM = ofBody ? eyesOfStatureM(said) : said;
		if (eyeHeightM >= EYES_M[0] && eyeHeightM <= EYES_M[1]) guest = { ...guest, eyeHeightM };
	}
	const note = notes.join(', ').slice(0, JOB_LIMITS.guestNote);
	return { kind: 'person', line, guest: { ...guest, note } };
}

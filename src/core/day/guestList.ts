import { JOB_LIMITS } from '../format/job';
import { LIMITS } from '../format/shot';
import { EYE_HEIGHT_M } from '../arrange/arrange';
import type { Build } from '../tables/heads';
import { newGuest, type NewGuest } from './guests';

/** A pasted list of the people of a day. */

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

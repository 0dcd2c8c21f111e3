import type { Mark, MeasuredFrame } from '$core/format/review';
import type { Learned } from '$core/review/learn';
import type { FacePart } from '$core/review/measuredPerson';
import type { ReviewedFace, ReviewedFrame, ReviewedSet } from '$core/review/reviewSet';
import { blurPx } from '$core/measure/spread';
import { nominalFNumber } from '$core/optics/fNumber';
import { isStranger } from '$core/review/setPeople';
import { SPREADS } from '$core/tables/spreads';
import { isoWords, shutterWords } from './light';
import {
	capital,
	count,
	decimal,
	distance,
	fStop,
	rounded,
	smallLength,
	type Units
} from './numbers';
import { namesOf } from './names';
import { STATE_MARKS, STATE_WORDS } from './states';

/** What came home, in words. */

export const PART_WORDS: Readonly<Record<FacePart, string>> = {
	left: 'left eye',
	right: 'right eye',
	nose: 'nose',
	hair: 'hair'
};

export const MARK_WORDS: Readonly<Record<Mark, string>> = {
	keep: 'keep',
	maybe: 'maybe',
	drop: 'drop'
};

/** "f/3.5 · 1/160 · ISO 3200 · 85 mm"; what the file does not say is left out. */
export function settingsWords({ facts }: MeasuredFrame): string {
	const { fNumber, shutterS, iso, focalMm } = facts;
	return [
		fNumber !== undefined && fStop(nominalFNumber(fNumber)),
		shutterS !== undefined && shutterWords(shutterS),
		iso !== undefined && isoWords(iso),
		focalMm !== undefined && `${rounded(focalMm, 1)} mm`
	]
		.filter(Boolean)
		.join(' · ');
}

/** "Ilinca’s right eye"; of something that was pointed at its name alone. */
export const partOf = (
	person: ReviewedSet['people'][number] | undefined,
	part: FacePart
): string =>
	!person || person.isThing ? (person?.name ?? '') : `${person.name}’s ${PART_WORDS[part]}`;

/** "Ilinca’s right eye"; empty where nothing is known to be in focus. */
export function inFocusWords({ inFocus }: ReviewedFrame, { people }: ReviewedSet): string {
	if (!inFocus) return '';
	return partOf(people[inFocus.person], inFocus.part);
}

/** The mark of a face in a frame: ● sharp with open eyes, ✕ shut, ◐ ○ less, ? cannot tell, – not found. */
export function faceMark(face: ReviewedFace | null): string {
	if (!face) return '–';
	if (face.isShut) return '✕';
	return face.state ? STATE_MARKS[face.state] : '?';
}

/** "soft, 4.2 px of blur", "sharp, but the eyes are shut" */
export function faceWords(face: ReviewedFace | null): string {
	if (!face) return 'not found';
	const blur = face.blurs[face.near];
	const state = face.state ? STATE_WORDS[face.state] : 'cannot tell';
	const px = blur ? `, ${decimal(blurPx(blur), 1)} px of blur` : '';
	const streak = blur && blur.streakPx > 0 ? `, ${causeWords(blur)}` : '';
	return `${state}${px}${streak}${face.isShut ? ', eyes shut' : ''}`;
}

const causeWords = ({ discPx, streakPx }: { discPx: number; streakPx: number }): string =>
	streakPx > discPx ? 'moved or shaken' : 'moved or shaken, too';

/** Why a frame is not good, or that it is: "Noor and Radu are soft; Bela’s eyes are shut." */
export function frameWords(frame: ReviewedFrame, { people }: ReviewedSet): string {
	const of = (test: (face: ReviewedFace | null) => boolean) =>
		people.flatMap(({ name, counts }, i) => (counts && test(frame.faces[i] ?? null) ? [name] : []));
	const are = (names: readonly string[], what: string) =>
		names.length === 0 ? [] : [`${namesOf(names)} ${names.length === 1 ? 'is' : 'are'} ${what}`];
	const shut = of((face) => face?.isShut ?? false);
	const parts = [
		...are(
			of((face) => face?.state === 'soft'),
			'soft'
		),
		...are(
			of((face) => face?.state === 'marginal'),
			'a stop short'
		),
		...(shut.length > 0 ? [`${namesOf(shut.map((name) => `${name}’s`))} eyes are shut`] : []),
		...are(
			of((face) => face !== null && face.state === null && !face.isShut),
			'too small or too noisy to tell'
		)
	];
	if (parts.length > 0) return `${capital(parts.join('; '))}.`;
	if (frame.isGood) return 'Everybody who counts is sharp, with open eyes.';
	return frame.isTold ? 'Not everybody was found.' : 'Nobody who counts was found.';
}

/** Where the focus fell: "Focus fell 12 cm behind Radu, at 3.40 m (3.30 to 3.52 m)." */
export function fellWords(frame: ReviewedFrame, { people }: ReviewedSet, units: Units): string {
	const { fell, depthsM } = frame;
	if (!fell) return 'Nothing says where the focus fell.';
	const near = distance(fell.nearM, units);
	const range = Number.isFinite(fell.farM)
		? `${near} to ${distance(fell.farM, units)}`
		: `${near} or farther`;
	if (fell.otherwiseM !== null) {
		const other = Number.isFinite(fell.otherwiseM)
			? distance(fell.otherwiseM, units)
			: 'far behind';
		return `Focus fell at ${place(fell.planeM, units)} or at ${other}: one depth alone cannot tell which.`;
	}
	const nearest = depthsM
		.map((depthM, i) => ({ depthM, name: people[i]?.name ?? '' }))
		.filter((one): one is { depthM: number; name: string } => one.depthM !== null)
		.toSorted((a, b) => Math.abs(a.depthM - fell.planeM) - Math.abs(b.depthM - fell.planeM))[0];
	const at = `${place(fell.planeM, units)} (${range})`;
	if (!nearest) return `Focus fell at ${at}.`;
	const off = fell.planeM - nearest.depthM;
	if (fell.nearM <= nearest.depthM && nearest.depthM <= fell.farM) {
		return `Focus fell on ${nearest.name}, at ${at}.`;
	}
	if (!Number.isFinite(off)) return `Focus fell far behind ${nearest.name}.`;
	const side = off > 0 ? 'behind' : 'in front of';
	return `Focus fell ${smallLength(Math.abs(off), units)} ${side} ${nearest.name}, at ${at}.`;
}

const place = (metres: number, units: Units): string =>
	Number.isFinite(metres) ? distance(metres, units) : 'infinity';

/** "Taken from about 2.1 m nearer than planned." Empty where it was taken as planned. */
export function vantageWords({ vantage: { fartherM } }: ReviewedFrame, units: Units): string {
	if (fartherM === 0) return '';
	const side = fartherM < 0 ? 'nearer' : 'farther away';
	return `Taken from about ${smallLength(Math.abs(fartherM), units)} ${side} than planned.`;
}

/** "Frames 3 and 7 together hold everybody." Of those who are in any of the frames. */
export function fewestWords({ fewest, people, frames, found }: ReviewedSet): string {
	const counted = found.filter((i) => people[i]?.counts);
	const held = counted.filter((i) => frames.some((frame) => frame.faces[i]?.isGood));
	const missing = counted.filter((i) => !held.includes(i)).map((i) => people[i]?.name ?? '');
	if (fewest.length === 0) {
		return counted.length === 0
			? 'Nobody who counts was found: faces from the side are not recognised. Tap an eye to look for it in all frames.'
			: 'Nobody who counts is sharp with open eyes in any frame.';
	}
	const numbers = fewest.map((i) => i + 1);
	const which =
		numbers.length === 1
			? `Frame ${numbers[0]} holds`
			: `Frames ${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1)} together hold`;
	const everybody = found.length < people.length ? 'everybody who was found' : 'everybody';
	return missing.length === 0
		? `${which} ${everybody}.`
		: `${which} all but ${namesOf(missing)}: not good in any frame.`;
}

/** "Nowhere in these frames: Aino, Yusuf and 9 more." Empty where everybody is, or nobody. */
export function absentWords({ people, found }: ReviewedSet): string {
	const absent = people.flatMap(({ name }, i) => (found.includes(i) ? [] : [name]));
	if (absent.length === 0 || found.length === 0) return '';
	return `Nowhere in these frames: ${namesOf(absent)}.`;
}

/** "Face 1 and face 2 are nobody of the plan, and do not count." Empty where nobody else is there. */
export function othersWords({ people }: ReviewedSet): string {
	const names = people.filter(isStranger).map(({ name }) => name);
	if (names.length === 0) return '';
	const verbs = names.length === 1 ? ['is', 'does'] : ['are', 'do'];
	return `${capital(namesOf(names))} ${verbs[0]} nobody of the plan, and ${verbs[1]} not count.`;
}

/** "Of 12 frames 8 were expected to be good, and 5 are." */
export function outcomeWords(expectedShare: number | null, { frames }: ReviewedSet): string {
	const good = frames.filter(({ isGood }) => isGood).length;
	const all = frames.length;
	const are = `${good === 0 ? 'none' : count(good)} ${good < 2 ? 'is' : 'are'} good`;
	if (expectedShare === null) return `Of ${all} ${all === 1 ? 'frame' : 'frames'} ${are}.`;
	const expected = Math.round(expectedShare * all);
	return `Of ${all} ${all === 1 ? 'frame' : 'frames'} about ${count(expected)} were expected to be good; ${are}.`;
}

/** What it was in the frames that are not good, most often first: "soft 4, eyes shut 2". */
export function causesWords({ frames, people }: ReviewedSet): string {
	const lost = frames.filter(({ isGood }) => !isGood);
	const some = (test: (face: ReviewedFace | null) => boolean) =>
		lost.filter(({ faces }) => faces.some((face, i) => people[i]?.counts && test(face))).length;
	const streaked = (face: ReviewedFace | null) => {
		const blur = face?.blurs[face.near];
		return (
			face?.state !== 'sharp' && blur !== null && blur !== undefined && blur.streakPx > blur.discPx
		);
	};
	const causes = [
		[
			'out of focus',
			some(
				(face) => face !== null && face.state !== 'sharp' && face.state !== null && !streaked(face)
			)
		],
		['moved or shaken', some(streaked)],
		['eyes shut', some((face) => face?.isShut ?? false)],
		['cannot tell', some((face) => face !== null && face.state === null && !face.isShut)]
	] as const;
	return causes
		.filter(([, times]) => times > 0)
		.toSorted((a, b) => b[1] - a[1])
		.map(([what, times]) => `${what} ${times}`)
		.join(', ');
}

/** "the camera on its best points: 0.31 × (43 frames measured; so far 0.25 ×)" */
export function learnedWords(
	{ key, lens, value, frames }: Learned,
	before: number,
	units: Units
): string {
	const { meaning, unit, of } = SPREADS[key];
	// what sways, sways so far in the place; what is off at the sensor is told in millimetres by everybody
	const isLength = unit === 'mm' && of !== 'focusing';
	const said = (number: number) =>
		isLength ? smallLength(number / 1000, units) : `${Number(number.toPrecision(2))} ${unit}`;
	const counted = `(${frames} measured; so far ${said(before)})`;
	if (lens === null) return `${meaning}: ${said(value)} ${counted}`;
	const side = value > 0 ? 'in front' : 'behind';
	return `the ${lens} focuses ${side}: ${said(Math.abs(value))} at the sensor ${counted}`;
}

/** "3 % of the frame is pure white"; empty where it is nothing to speak of. */
export function clippedWords(share: number): string {
	if (share < 0.01) return '';
	return `${Math.round(100 * share)} % pure white`;
}

/** What became of files that were chosen, beside the frames that are looked at. */
export interface Taking {
	readonly noPictures: number;
	/** They are not looked at: the JPEG beside each is. */
	readonly besideJpegs: number;
	/** Frames that were marked as their sidecars say. */
	readonly marks: number;
}

/**
 * What became of the files that were chosen, as far as it must be said: "12 files lie beside a JPEG of the same name, as raw
 * files do: the JPEGs are looked at." Empty where all are frames.
 */
export function takingWords({ noPictures, besideJpegs, marks }: Taking, chosen: number): string {
	if (chosen === 0) return 'There is no picture in it.';
	const beside =
		besideJpegs === 1
			? 'One file lies beside a JPEG of the same name, as raw files do: the JPEG is used.'
			: `${besideJpegs} files lie beside a JPEG of the same name, as raw files do: the JPEGs are used.`;
	const none =
		noPictures === 1
			? 'One file is not a picture that can be opened here. It was left alone.'
			: `${noPictures} files are not pictures that can be opened here. They were left alone.`;
	const marked =
		marks === 1
			? 'One frame was marked by its sidecar.'
			: `${marks} frames were marked by their sidecars.`;
	return [besideJpegs > 0 && beside, noPictures > 0 && none, marks > 0 && marked]
		.filter(Boolean)
		.join(' ');
}

import { nominalFNumber } from '$core/optics/fNumber';
import {
	LEAST_OVERLAP,
	type SetCheck,
	type SetProblem,
	type SetSetting,
	type Way
} from '$core/stitch/checkSet';
import { isoWords, shutterWords } from './light';
import { frameNumbers } from './listed';
import { capital, distance, fStop, percent, rounded, type Units } from './numbers';

/** A set of frames that is to be one picture, in words. */

/** What a set shows as a whole: "12 frames, 74 by 48 degrees; neighbours share 31 % at least." */
export function setWords({ acrossDeg, downDeg, leastOverlap }: SetCheck, frames: number): string {
	const whole = `${frames} frames, ${Math.round(acrossDeg)} by ${Math.round(downDeg)} degrees`;
	return leastOverlap === null
		? `${whole}.`
		: `${whole}; neighbours share ${percent(leastOverlap)} at least.`;
}

/**
 * What is wrong with a set, and what to do while one is still there; the worst first.
 * @param shownAt the place at which a frame of the set is seen, from 0: dropped ones stand between them
 */
export function setProblemWords(
	problems: readonly SetProblem[],
	units: Units,
	shownAt: (frame: number) => number
): string[] {
	const alone = problems
		.flatMap((one) => (one.code === 'alone' ? [shownAt(one.frame)] : []))
		.toSorted((a, b) => a - b);
	return [
		...(alone.length > 0
			? [
					`${capital(frameNumbers(alone))} ${alone.length === 1 ? 'shows' : 'show'} nothing that another frame shows, too: something between is missing, or there is nothing to recognise.`
				]
			: []),
		...problems.flatMap((one) => (one.code === 'alone' ? [] : [problemWords(one, units, shownAt)]))
	];
}

function problemWords(
	problem: Exclude<SetProblem, { code: 'alone' }>,
	units: Units,
	shownAt: (frame: number) => number
): string {
	switch (problem.code) {
		case 'hole':
			return `Nothing shows what lies ${wayWords(problem.way)} frame ${shownAt(problem.beside) + 1}: take one there.`;
		case 'thin':
			return `${capital(frameNumbers(problem.frames.map(shownAt).toSorted((a, b) => a - b)))} share ${percent(problem.overlap)} of their sides: less than ${percent(LEAST_OVERLAP)} often does not hold together. Take one between.`;
		case 'not-locked':
			return `${SETTING_WORDS[problem.setting]} ${problem.setting === 'subjectM' ? 'moved' : 'changed'} with frame ${shownAt(problem.frame) + 1}: ${settingValue(problem.setting, problem.is, units)} instead of ${settingValue(problem.setting, problem.was, units)}.`;
	}
}

const SETTING_WORDS: Readonly<Record<SetSetting, string>> = {
	fNumber: 'The f-number',
	shutterS: 'The shutter',
	iso: 'ISO',
	focalMm: 'The focal length',
	subjectM: 'The focus'
};

function settingValue(setting: SetSetting, value: number, units: Units): string {
	switch (setting) {
		case 'fNumber':
			return fStop(nominalFNumber(value));
		case 'shutterS':
			return shutterWords(value);
		case 'iso':
			return isoWords(value);
		case 'focalMm':
			return `${rounded(value, 1)} mm`;
		case 'subjectM':
			return distance(value, units);
	}
}

/** "above and right of" */
function wayWords({ across, up }: Way): string {
	const level = across === 0 ? '' : across > 0 ? 'right' : 'left';
	const steep = up === 0 ? '' : up > 0 ? 'above' : 'below';
	if (steep && level) return `${steep}, to the ${level} of`;
	return steep || (level ? `${level} of` : 'at the edge of');
}

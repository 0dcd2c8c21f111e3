import type { ApertureSeries, SeriesProblem } from '$core/bench/apertureSeries';
import type { Corner } from '$core/bench/chart';
import type { FocusBias, TryProblem } from '$core/bench/focusScale';
import type { HandsProblem } from '$core/bench/hands';
import type { ChartFrameProblem } from '$core/bench/measuredChart';
import type { MeanInterval } from '$core/numeric/interval';
import { shareOfBest, SOFT_SHARE, type MeasuredSharpness } from '$core/format/sharpness';
import { listed } from './listed';
import { capital, count, decimal, fineLength, fStop, type Units } from './numbers';
import { shutterWords } from './light';

/** What the bench found out, in words. */

/** Why a photograph of a chart is passed over, and what to do. */
export const CHART_PROBLEM_WORDS: Readonly<Record<ChartFrameProblem, string>> = {
	'no-chart':
		'No chart is seen in it. All four rings must be in the picture, on white paper, in even light.',
	cut: 'Part of the chart is cut off or too blurred: all four rings must be in the picture.',
	'wrong-chart': 'This is the other chart. Each bench has its own.'
};

export const TRY_PROBLEM_WORDS: Readonly<Record<TryProblem, string>> = {
	'no-focal': 'The file does not say which focal length on which sensor; take the JPEG as it came.',
	angle: 'The chart should be seen at 45 degrees: turn it, not the camera.',
	beyond:
		'The sharpest place is at the end of the scale, or beyond it. Focus on the upright line; go farther away if it stays so.',
	'too-small': 'The bars are too small in the picture. Go nearer, or take the file at full size.',
	'too-blurred': 'Nothing of the scale is sharp. Focus on the upright line, at the widest aperture.'
};

export const HANDS_PROBLEM_WORDS: Readonly<Record<HandsProblem, string>> = {
	'few-frames': 'It takes eight frames or more.',
	'one-shutter':
		'It takes three shutters or more: one so fast that nothing shakes, then slower ones.',
	'no-shutter': 'A file does not say its shutter; take the JPEGs as they came.',
	'no-focal': 'The files do not say which focal length on which sensor.'
};

const CORNER_WORDS: Readonly<Record<Corner, string>> = {
	'top-left': 'top left',
	'top-right': 'top right',
	'bottom-left': 'bottom left',
	'bottom-right': 'bottom right'
};

const few = (names: readonly string[]): string =>
	names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : listed(names);

/** Why a series says nothing, and what to do. */
export function seriesProblemWords(problem: SeriesProblem): string {
	switch (problem.code) {
		case 'few-apertures':
			return `There ${problem.count === 1 ? 'is one f-number' : `are ${problem.count} f-numbers`} so far; a series takes three or more, from the widest on.`;
		case 'no-f-number':
			return `These files do not say their f-number: ${few(problem.names)}. Take the JPEGs as they came from the camera.`;
		case 'two-lenses':
			return `These frames are not of one lens at one focal length${problem.focalMm.length > 1 ? ` (${listed(problem.focalMm.map((mm) => `${mm} mm`))})` : ''}. One series, one lens: clear them and choose again.`;
		case 'moved':
			return `Camera or chart moved in ${few(problem.names)}. Use a tripod and the self-timer, and do not touch the focus between frames.`;
		case 'flicker':
			return `The light changes by ${decimal(problem.stops, 1)} stops between frames of one exposure: lamps on the mains flicker. Use daylight, or shutters of 1/30 and slower.`;
		case 'clipped':
			return `The paper is pure white in ${few(problem.names)}: nothing can be measured there. Expose a stop less.`;
		case 'too-small':
			return `The chart fills only ${Math.round(100 * problem.share)} % of the frame’s width, so its corners are not the lens’s. Go nearer, or print it on A3.`;
	}
}

/** "Sharpest from f/4 to f/5.6. f/1.4 gives 42 % of it; the corners come at f/2.8." */
export function apertureWords(series: ApertureSeries): string {
	const { stops, best, from, to, cornersFrom, softCorners } = series;
	const at = (i: number) => stops[i] as ApertureSeries['stops'][number];
	const range =
		from === to
			? `at ${fStop(at(best).fNumber)}`
			: `from ${fStop(at(from).fNumber)} to ${fStop(at(to).fNumber)}`;
	const widest = Math.round((100 * at(0).centre.mean) / at(best).centre.mean);
	const wide = from === 0 ? '' : ` ${fStop(at(0).fNumber)} gives ${widest} % of it;`;
	const corners =
		cornersFrom === null
			? 'the corners stay far below the centre'
			: cornersFrom === 0
				? 'the corners are there from the widest on'
				: `the corners come at ${fStop(at(cornersFrom).fNumber)}`;
	const soft =
		softCorners.length > 0 && softCorners.length < 4
			? ` At its best the ${listed(softCorners.map((corner) => CORNER_WORDS[corner]))} ${softCorners.length > 1 ? 'corners lie' : 'corner lies'} a third or more below the centre: the lens may be out of true.`
			: '';
	const sentence = `Sharpest ${range}.${wide}`;
	return `${sentence} ${wide ? corners : capital(corners)}.${soft}`;
}

const between = ({ low, high }: MeanInterval, units: Units): string => {
	if (!Number.isFinite(low) || !Number.isFinite(high)) return 'six or more say how surely';
	const side = (mm: number) => `${fineLength(mm, units)} ${mm < 0 ? 'behind' : 'in front'}`;
	return `${side(low)} to ${side(high)} in nineteen of twenty cases`;
};

/** "It focuses 12 mm in front of what it is told to (9 mm in front to 14 mm in front …, 8 frames)." */
export function biasWords({ offMm, tries }: FocusBias, units: Units): string {
	const { mean, low, high } = offMm;
	const counted = tries.length === 1 ? '1 frame' : `${tries.length} frames`;
	if (low <= 0 && high >= 0 && Number.isFinite(low))
		return `It focuses where it is told to, as far as ${counted} can tell (${between(offMm, units)}).`;
	const size = fineLength(mean, units);
	return `It focuses ${size} ${mean < 0 ? 'behind' : 'in front of'} what it is told to (${between(offMm, units)}; ${counted}).`;
}

/** "You hold 85 mm at 1/60 in eight frames of ten." */
export const steadyShutterWords = (focalMm: number, shutterS: number, share: number): string =>
	`You hold ${Math.round(focalMm)} mm at ${shutterWords(shutterS)} in ${count(Math.round(10 * share))} frames of ten.`;

/** "At f/1.4 this lens gives 42 % of its best; at f/2.8 it is there." Empty where it is sharp, or nobody measured. */
export function softLensSentence(sharpness: MeasuredSharpness, fNumber: number): string {
	const share = shareOfBest(sharpness, fNumber);
	if (share === null || share >= SOFT_SHARE) return '';
	const best = bestOf(sharpness);
	const towards = sharpness.stops.filter(({ fNumber: other }) =>
		fNumber < best ? other > fNumber && other <= best : other < fNumber && other >= best
	);
	const sharp = towards.filter((stop) => (shareOfBest(sharpness, stop.fNumber) ?? 0) >= SOFT_SHARE);
	const isThere = sharp.at(fNumber < best ? 0 : -1);
	const there = isThere ? `; at ${fStop(isThere.fNumber)} it is there` : '';
	return `At ${fStop(fNumber)} this lens gives ${Math.round(100 * share)} % of its best${there}.`;
}

const bestOf = ({ stops }: MeasuredSharpness): number =>
	stops.reduce((a, b) => (b.centre > a.centre ? b : a)).fNumber;

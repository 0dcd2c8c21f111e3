import { decimal } from './numbers';
import { statureOfEyesM } from '$core/day/heights';
import type { Guest, Status } from '$core/format/job';
import { isHuman } from '$core/tables/heads';
import type { Solution } from '$core/study/plan';
import { unseenSentences, verdictOf } from './verdict';
import type { Units } from './numbers';

/** Times of a day as one says them. */

/** "14:30" */
export const clock = (localTime: string): string => localTime.slice(11, 16);

/** "45 min", "1 h", "1 h 20 min" */
export function durationWords(minutes: number): string {
	const hours = Math.floor(minutes / 60);
	const rest = minutes % 60;
	if (hours === 0) return `${rest} min`;
	return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}

/** Shorter pauses are not worth a word. */
const WORTH_MIN = 15;

/** What lies between one shot and the next; empty when one follows the other soon. */
export function pauseWords(minutes: number): string {
	if (minutes >= 0 && minutes < WORTH_MIN) return '';
	return minutes > 0 ? `${durationWords(minutes)} free` : `overlaps by ${durationWords(-minutes)}`;
}

/** "Saturday" */
export const weekday = (date: string): string =>
	new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' }).format(
		new Date(`${date}T00:00Z`)
	);

export const STATUS_WORDS: Readonly<Record<Status, string>> = {
	planned: 'planned',
	taken: 'taken',
	skipped: 'skipped'
};

const IN_PER_FOOT = 12;
const M_PER_INCH = 0.0254;

/** A height as people say it: "1.71 m", "5 ft 7 in". */
export function heightWords(metres: number, units: Units): string {
	if (units === 'm') return `${decimal(metres, 2)} m`;
	const inches = Math.round(metres / M_PER_INCH);
	const feet = Math.floor(inches / IN_PER_FOOT);
	const rest = inches - feet * IN_PER_FOOT;
	return rest === 0 ? `${feet} ft` : `${feet} ft ${rest} in`;
}

/** What is said of somebody of the day: "child, 1.20 m tall (eyes at 1.12 m), glasses, flower girl". */
export function guestWords(
	{ build, eyeHeightM, glasses, note }: Omit<Guest, 'id' | 'name'>,
	units: Units
): string {
	const eyes = `eyes at ${heightWords(eyeHeightM, units)}`;
	const tall = isHuman(build) ? `${heightWords(statureOfEyesM(eyeHeightM), units)} tall, ` : '';
	return [build === 'adult' ? '' : build, `${tall}${eyes}`, glasses ? 'glasses' : '', note]
		.filter(Boolean)
		.join(', ');
}

/** The verdict in short, as a line of text; whom the frame leaves out is told first of the rest. */
export function verdictWords(solution: Solution, units: Units): string {
	const { focusOn, fNumber, exposure, sentences } = verdictOf(solution, units);
	const settings = [focusOn, fNumber, exposure].filter(Boolean).join(', ');
	const told = new Set([...unseenSentences(solution, ['cut']), sentences[0] ?? '']);
	return [settings && `${settings}.`, ...told].filter(Boolean).join(' ');
}

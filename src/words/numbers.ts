/** Numbers as a photographer reads them. */

export type Units = 'm' | 'ft';

const METRES_PER_FOOT = 0.3048;

/** With so many decimals, kept where they are zeros: "2.50". */
export const decimal = (value: number, digits: number): string => value.toFixed(digits);

/** With at most so many decimals, zeros at the end left out: "2.5". */
export const rounded = (value: number, digits: number): string =>
	String(Number(value.toFixed(digits)));

/** A distance: "6.10 m", "20.0 ft". */
export function distance(metres: number, units: Units): string {
	if (!Number.isFinite(metres)) return 'infinity';
	return units === 'm'
		? `${decimal(metres, metres < 20 ? 2 : 1)} m`
		: `${decimal(metres / METRES_PER_FOOT, metres < 20 ? 1 : 0)} ft`;
}

/** A short length, to be felt rather than read: "6 cm", "1.2 m", "2½ in" as "2.5 in". */
export function smallLength(metres: number, units: Units): string {
	const size = Math.abs(metres);
	if (units === 'm') {
		if (size < 0.01) return `${Math.round(size * 1000)} mm`;
		return size < 0.995 ? `${Math.round(size * 100)} cm` : `${rounded(size, 1)} m`;
	}
	const inches = (size / METRES_PER_FOOT) * 12;
	if (inches < 24) return `${inches < 3 ? decimal(inches, 1) : Math.round(inches)} in`;
	return `${decimal(inches / 12, 1)} ft`;
}

/** A length to the millimetre, whichever way it goes: "43 mm", "1.7 in". */
export const fineLength = (mm: number, units: Units): string =>
	units === 'm' ? `${Math.round(Math.abs(mm))} mm` : `${decimal(Math.abs(mm) / 25.4, 1)} in`;

/** How a length of the files is shown and typed: in which unit, how much one of it is, how finely. */
export interface Scale {
	readonly unit: string;
	/** One of the unit, in the unit of the file. */
	readonly one: number;
	readonly digits: number;
	readonly step: number;
}

const SCALES: Readonly<Record<Units, Readonly<Record<'m' | 'cm' | 'mm', Scale>>>> = {
	m: {
		m: { unit: 'm', one: 1, digits: 3, step: 0.05 },
		cm: { unit: 'cm', one: 1, digits: 0, step: 1 },
		mm: { unit: 'mm', one: 1, digits: 1, step: 1 }
	},
	ft: {
		m: { unit: 'ft', one: METRES_PER_FOOT, digits: 2, step: 0.2 },
		cm: { unit: 'in', one: METRES_PER_FOOT * (100 / 12), digits: 1, step: 0.5 },
		mm: { unit: 'in', one: METRES_PER_FOOT * (1000 / 12), digits: 2, step: 0.1 }
	}
};

/** @param unit of the file: m, cm or mm; also per second, as in mm/s */
export function scaleOf(unit: string, units: Units): Scale {
	const [length = '', per] = unit.split('/');
	const scale = SCALES[units][length as 'm' | 'cm' | 'mm'];
	return per ? { ...scale, unit: `${scale.unit}/${per}` } : scale;
}

export const toUnits = (metres: number, units: Units): number => metres / SCALES[units].m.one;
export const fromUnits = (value: number, units: Units): number => value * SCALES[units].m.one;

const M_PER_INCH = METRES_PER_FOOT / 12;

/** How far a press moves something, m: round in the units one reads. */
export const NUDGES: Readonly<Record<Units, { readonly m: number; readonly fineM: number }>> = {
	m: { m: 0.05, fineM: 0.01 },
	ft: { m: 2 * M_PER_INCH, fineM: M_PER_INCH / 2 }
};

/** "f/4.5" */
export const fStop = (fNumber: number): string => `f/${fNumber}`;

/** "1 stop", "2.5 stops", "a third of a stop". */
export function stopsInWords(stops: number): string {
	const thirds = Math.round(stops * 3);
	if (thirds === 1) return 'a third of a stop';
	if (thirds === 2) return 'two thirds of a stop';
	const text = rounded(stops, 1);
	return text === '1' ? '1 stop' : `${text} stops`;
}

/** A change of a share: "+2 %", "0 %", "−1 %". */
export function signedPercent(share: number): string {
	const whole = Math.round(100 * share);
	return `${whole > 0 ? '+' : whole < 0 ? '−' : ''}${Math.abs(whole)} %`;
}

/** Below this a depth is told to the millimetre, m. */
const CLOSE_M = 0.1;

/** A depth of field as a table tells it: "1.3 cm", "1.3 m", "∞". */
export function depthWords(metres: number, units: Units): string {
	if (metres === Infinity) return '∞';
	if (units === 'm' && metres < CLOSE_M) return `${decimal(metres * 100, 1)} cm`;
	return smallLength(metres, units);
}

const FRACTIONS: readonly (readonly [number, string])[] = [
	[1, 'all'],
	[3 / 4, 'three quarters'],
	[2 / 3, 'two thirds'],
	[1 / 2, 'half'],
	[1 / 3, 'a third'],
	[1 / 4, 'a quarter'],
	[1 / 5, 'a fifth'],
	[1 / 6, 'a sixth'],
	[1 / 8, 'an eighth'],
	[1 / 10, 'a tenth'],
	[1 / 15, 'a fifteenth'],
	[1 / 20, 'a twentieth'],
	[1 / 30, 'a thirtieth'],
	[1 / 50, 'a fiftieth']
];

/** A share as one judges it by eye: "a third"; more than all as "more than all". */
export function shareInWords(share: number): string {
	if (share > 1.1) return 'more than all';
	const away = ([value]: readonly [number, string]) => Math.abs(Math.log(value / share));
	return FRACTIONS.reduce((best, one) => (away(one) < away(best) ? one : best))[1];
}

/** A smaller hidden share is not worth mentioning; a larger one counts as all. */
const HARDLY_HIDDEN_SHARE = 0.3;
const NEARLY_ALL = 0.97;

/** How much of something is seen: "a third"; "hidden" where nothing is, empty where nearly all is. */
export function seenShareWords(hiddenShare: number): string {
	if (hiddenShare < HARDLY_HIDDEN_SHARE) return '';
	return hiddenShare > NEARLY_ALL ? 'hidden' : shareInWords(1 - hiddenShare);
}

const NUMBERS = [
	'no',
	'one',
	'two',
	'three',
	'four',
	'five',
	'six',
	'seven',
	'eight',
	'nine',
	'ten',
	'eleven',
	'twelve',
	'thirteen',
	'fourteen',
	'fifteen',
	'sixteen',
	'seventeen',
	'eighteen',
	'nineteen',
	'twenty'
];

/** "twelve"; figures from twenty-one on. */
export const count = (n: number): string => NUMBERS[n] ?? String(n);

/** "31 %" */
export const percent = (share: number): string => `${Math.round(100 * share)} %`;

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

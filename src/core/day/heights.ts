/** Heights of people as they are written and said. */

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const METRIC = new RegExp(String.raw`^${NUMBER}\s*(m|cm)$`, 'i');
/** "1 m 10", "1m10" */
const METRES_AND = /^(\d)\s*m\s*(\d{1,2})$/i;
const FEET = new RegExp(
	String.raw`^${NUMBER}\s*(?:ft|feet|foot|['’′])(?:\s*${NUMBER}\s*(?:in|inch|inches|["”″]|'')?)?$`,
	'i'
);
const M_PER_FOOT = 0.3048;

const read = (text = '0'): number => Number(text.replace(',', '.'));

/**
 * A height as people write it, m; null when it is none.
 *
 * @example heightM('4 ft 2 in') // 1.27
 * @example heightM('1,5 m') // 1.5
 */
export function heightM(text: string): number | null {
	const metric = METRIC.exec(text);
	if (metric) return read(metric[1]) / (metric[2]?.toLowerCase() === 'cm' ? 100 : 1);
	const both = METRES_AND.exec(text);
	if (both) return read(both[1]) + read((both[2] ?? '').padEnd(2, '0')) / 100;
	const feet = FEET.exec(text);
	return feet && (read(feet[1]) + read(feet[2]) / 12) * M_PER_FOOT;
}

/**
 * Height of the eyes as a share of the whole body, standing. Source: segments as shares of the height,
 * Drillis and Contini, 1966 (from memory).
 */
const EYES_SHARE = 0.936;

/** The height of the eyes of somebody of a height, m. @example eyesOfStatureM(1.71) // 1.60 */
export const eyesOfStatureM = (statureM: number): number => statureM * EYES_SHARE;

/** The height of somebody whose eyes are so high, m. */
export const statureOfEyesM = (eyesM: number): number => eyesM / EYES_SHARE;

import { mean } from './mean';

/** A mean and between which it lies in nineteen of twenty cases. */
export interface Interval {
	readonly mean: number;
	readonly low: number;
	readonly high: number;
	readonly count: number;
}

/** Student’s t for 95 %, two-sided, by degrees of freedom (tables; from memory). */
const STUDENT = [12.71, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228];
const MANY = 1.96;
/** What stays of the table's last value at so many degrees of freedom: t is about 1.96 + 2.6 / n beyond it. */
const BEYOND = 2.6;

export const studentT = (freedom: number): number =>
	STUDENT[freedom - 1] ?? MANY + BEYOND / freedom;

/** The interval of a mean; of a single value it is endless. @throws of nothing */
export function intervalOf(values: readonly number[]): Interval {
	const count = values.length;
	if (count === 0) throw new RangeError('an interval of nothing');
	const middle = mean(values);
	if (count === 1) return { mean: middle, low: -Infinity, high: Infinity, count };
	const spread = Math.sqrt(values.reduce((sum, one) => sum + (one - middle) ** 2, 0) / (count - 1));
	const reach = (studentT(count - 1) * spread) / Math.sqrt(count);
	return { mean: middle, low: middle - reach, high: middle + reach, count };
}

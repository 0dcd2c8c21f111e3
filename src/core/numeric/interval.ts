import { mean } from './mean';

/** A mean and between which it lies in nineteen of twenty cases. */
export interface MeanInterval {
	readonly mean: number;
	readonly low: number;
	readonly high: number;
	readonly count: number;
}

/** Student’s t for 95 %, two-sided, by degrees of freedom (tables; from memory). */
const STUDENT_T_975 = [12.71, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228];
const NORMAL_975 = 1.96;
/** What stays of the table's last value at so many degrees of freedom: t is about 1.96 + 2.6 / n beyond it. */
const T_TAIL_COEFFICIENT = 2.6;

export const studentT = (freedom: number): number =>
	STUDENT_T_975[freedom - 1] ?? NORMAL_975 + T_TAIL_COEFFICIENT / freedom;

/**
 * The intervals of means that follow each other: how much the values of one spread, as a share of it, is taken from it
 * and its two neighbours together, since they are few. Endless while there is one value of each.
 */
export function intervalsOf(groups: readonly (readonly number[])[]): MeanInterval[] {
	return groups.map((values, i) => {
		const alike = groups.slice(Math.max(0, i - 1), i + 2);
		const freedom = alike.reduce((sum, { length }) => sum + length - 1, 0);
		const [middle, count] = [mean(values), values.length];
		if (freedom === 0) return { mean: middle, low: -Infinity, high: Infinity, count };
		const share = Math.sqrt(alike.reduce((sum, one) => sum + squaresOf(one), 0) / freedom);
		const reach = (studentT(freedom) * share * middle) / Math.sqrt(count);
		return { mean: middle, low: middle - reach, high: middle + reach, count };
	});
}

/** Sum of the squares of how far values lie from their mean, as shares of it. */
function squaresOf(values: readonly number[]): number {
	const middle = mean(values);
	return values.reduce((sum, one) => sum + (one / middle - 1) ** 2, 0);
}

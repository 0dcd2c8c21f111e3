import { solved } from './equations';

/** One equation of a fit: what its terms are, what they should add up to, and how much it counts. */
export interface Equation {
	readonly terms: readonly number[];
	readonly value: number;
	readonly weight: number;
}

/** What the terms are to be multiplied by, by weighted least squares; null where the equations do not decide. */
export function linearFit(equations: readonly Equation[]): number[] | null {
	const terms = equations[0]?.terms ?? [];
	const sum = (of: (one: Equation) => number) =>
		equations.reduce((all, one) => all + one.weight * of(one), 0);
	const at = (one: Equation, i: number) => one.terms[i] as number;
	const matrix = terms.map((_, i) =>
		terms.map((_term, k) => sum((one) => at(one, i) * at(one, k)))
	);
	const right = terms.map((_, i) => sum((one) => at(one, i) * one.value));
	return terms.length > 0 ? solved(matrix, right) : null;
}

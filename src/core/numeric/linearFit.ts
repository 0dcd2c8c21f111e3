import { solved } from './equations';

/** One equation of a fit: what its terms are, what they should add up to, and how much it counts. */
export interface Equation {
	readonly terms: readonly number[];
	readonly value: number;
	readonly weight: number;
}

/** What the terms are to be multiplied by, by weighted least squares; null where the equations do not decide. */
export function linearFit(equations: readonly Equation[]): number[] | null {
	const count = equations[0]?.terms.length ?? 0;
	const matrix = Array.from({ length: count }, () => new Array<number>(count).fill(0));
	const right = new Array<number>(count).fill(0);
	for (const { terms, value, weight } of equations) {
		for (let i = 0; i < count; i++) {
			const term = terms[i] as number;
			const row = matrix[i] as number[];
			for (let k = 0; k < count; k++)
				row[k] = (row[k] as number) + weight * (term * (terms[k] as number));
			right[i] = (right[i] as number) + weight * (term * value);
		}
	}
	return count > 0 ? solved(matrix, right) : null;
}

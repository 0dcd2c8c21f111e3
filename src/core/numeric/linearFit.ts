import { solved } from './equations';

/** One equation of a fit: what its terms are, what they should add up to, and how much it counts. */
export interface Equation {
	readonly terms: readonly number[];
	readonly value: number;
	readonly weight: number;
}

/** Equations of a fit added up one by one: nothing is kept of each. */
export class EquationSum {
	/** How many were added. */
	count = 0;
	readonly #matrix: number[][];
	readonly #right: number[];

	/** @param terms how many terms of each equation count, from the first */
	constructor(terms: number) {
		this.#matrix = Array.from({ length: terms }, () => new Array<number>(terms).fill(0));
		this.#right = new Array<number>(terms).fill(0);
	}

	add(terms: readonly number[], value: number, weight: number): void {
		const right = this.#right;
		for (let i = 0; i < right.length; i++) {
			const term = terms[i] as number;
			const row = this.#matrix[i] as number[];
			for (let k = 0; k < right.length; k++)
				row[k] = (row[k] as number) + weight * (term * (terms[k] as number));
			right[i] = (right[i] as number) + weight * (term * value);
		}
		this.count += 1;
	}

	/** What the terms are to be multiplied by, by weighted least squares; null where the equations do not decide. */
	solved(): number[] | null {
		return this.count > 0 ? solved(this.#matrix, this.#right) : null;
	}
}

/** What the terms are to be multiplied by, by weighted least squares; null where the equations do not decide. */
export function linearFit(equations: readonly Equation[]): number[] | null {
	const sum = new EquationSum(equations[0]?.terms.length ?? 0);
	for (const { terms, value, weight } of equations) sum.add(terms, value, weight);
	return sum.solved();
}

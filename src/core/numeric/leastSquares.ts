import { inverse, solved } from './equations';

/** What was found: the values, what is left of the residuals, and how sure the values are. */
export interface Fit {
	readonly values: readonly number[];
	/** Sum of the squared residuals. */
	readonly cost: number;
	/** Covariance of the values for residuals with a spread of 1; null where the residuals do not decide all values. */
	readonly covariance: readonly (readonly number[])[] | null;
}

const MOST_STEPS = 100;
/** Damping to begin with, and by how much it changes. */
const INITIAL_DAMPING = 1e-3;
const DAMPING_RAISED = 8;
const DAMPING_LOWERED = 1 / 5;
const MOST_DAMPING = 1e12;
/** A step that changes so little is the last one: of a value's own scale, or of what is left. */
const STEP_TOLERANCE = 1e-12;
const COST_TOLERANCE = 1e-10;

/**
 * The values at which residuals are least, in the sum of their squares. Source: Marquardt, "An algorithm
 * for least-squares estimation of nonlinear parameters", 1963; slopes by central differences.
 *
 * @param residuals as many for any values
 * @param start     where to begin
 * @param scales    how much of each value is a small change
 */
export function leastSquares(
	residuals: (values: readonly number[]) => readonly number[],
	start: readonly number[],
	scales: readonly number[]
): Fit {
	let values = [...start];
	let left = residuals(values);
	let cost = sumOfSquares(left);
	let damping = INITIAL_DAMPING;
	let equations = normalEquations(residuals, values, left, scales);
	for (let step = 0; step < MOST_STEPS && damping < MOST_DAMPING; step++) {
		const { normal, gradient } = equations;
		const damped = normal.map((row, i) =>
			row.map((one, k) => (i === k ? one * (1 + damping) + Number.MIN_VALUE : one))
		);
		const change = solved(damped, gradient);
		const next = change && values.map((value, i) => value - (change[i] as number));
		const nextLeft = next && residuals(next);
		const nextCost = nextLeft ? sumOfSquares(nextLeft) : Infinity;
		const isStill =
			Math.abs(cost - nextCost) <= COST_TOLERANCE * cost ||
			change?.every(
				(one, i) => Math.abs(one) < STEP_TOLERANCE * Math.max(1, Math.abs(values[i] as number))
			);
		if (!next || !nextLeft || !(nextCost < cost)) {
			// shorter steps lead nowhere either
			if (isStill) break;
			damping *= DAMPING_RAISED;
			continue;
		}
		[values, left, cost] = [next, nextLeft, nextCost];
		damping *= DAMPING_LOWERED;
		equations = normalEquations(residuals, values, left, scales);
		if (isStill) break;
	}
	return { values, cost, covariance: inverse(equations.normal) };
}

const sumOfSquares = (all: readonly number[]): number =>
	all.reduce((sum, one) => sum + one * one, 0);

/** Share of a scale that slopes are taken over. */
const DIFFERENCE_SHARE = 1e-4;

function normalEquations(
	residuals: (values: readonly number[]) => readonly number[],
	values: readonly number[],
	left: readonly number[],
	scales: readonly number[]
) {
	const slopes = values.map((value, i) => {
		const over = (scales[i] as number) * DIFFERENCE_SHARE;
		const moved = (by: number) => residuals(values.with(i, value + by));
		const [above, below] = [moved(over), moved(-over)];
		return above.map((one, k) => (one - (below[k] as number)) / (2 * over));
	});
	const dot = (a: readonly number[], b: readonly number[]) =>
		a.reduce((sum, one, i) => sum + one * (b[i] as number), 0);
	return {
		normal: slopes.map((a) => slopes.map((b) => dot(a, b))),
		gradient: slopes.map((slope) => dot(slope, left))
	};
}

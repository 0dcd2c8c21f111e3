/** Halvings after which any interval of ordinary numbers is as small as it gets. */
const MOST_HALVINGS = 80;

/**
 * Where something ceases to hold, by halving the interval between a value at which it holds and one
 * at which it does not.
 *
 * @param yes    holds there
 * @param no     does not hold there; on either side of `yes`
 * @param within how near the answer lies to the boundary, in the same unit
 * @returns the last value that was found to hold
 * @example lastHolding((x) => x * x <= 2, 0, 2, 1e-6) // 1.414213
 */
export function lastHolding(
	holds: (value: number) => boolean,
	yes: number,
	no: number,
	within: number
): number {
	let [inside, outside] = [yes, no];
	for (let i = 0; i < MOST_HALVINGS && Math.abs(outside - inside) > within; i++) {
		const middle = (inside + outside) / 2;
		if (holds(middle)) inside = middle;
		else outside = middle;
	}
	return inside;
}

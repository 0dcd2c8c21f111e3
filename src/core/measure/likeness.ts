/**
 * Where a template is found best in a larger square: normalised cross-correlation, which no change of light disturbs
 * (Lewis, "Fast normalized cross-correlation", 1995).
 *
 * @param within light of the square, rows from the top
 * @returns its middle in the square, px, and how like it is, -1 to 1
 */
export function bestLike(
	template: ArrayLike<number>,
	templatePx: number,
	within: ArrayLike<number>,
	withinPx: number
): { readonly x: number; readonly y: number; readonly likeness: number } {
	const count = templatePx * templatePx;
	let sum = 0;
	for (let i = 0; i < count; i++) sum += template[i] as number;
	const own = Float64Array.from({ length: count }, (_, i) => (template[i] as number) - sum / count);
	const ownNorm = Math.sqrt(own.reduce((all, value) => all + value * value, 0));
	let best = { x: withinPx / 2, y: withinPx / 2, likeness: -1 };
	for (let top = 0; top + templatePx <= withinPx; top++) {
		for (let left = 0; left + templatePx <= withinPx; left++) {
			let [product, total, squares] = [0, 0, 0];
			for (let y = 0, i = 0; y < templatePx; y++) {
				const row = (top + y) * withinPx + left;
				for (let x = 0; x < templatePx; x++, i++) {
					const value = within[row + x] as number;
					product += value * (own[i] as number);
					total += value;
					squares += value * value;
				}
			}
			const norm = Math.sqrt(Math.max(0, squares - (total * total) / count)) * ownNorm;
			const likeness = norm > 0 ? product / norm : -1;
			if (likeness > best.likeness) {
				best = { x: left + templatePx / 2, y: top + templatePx / 2, likeness };
			}
		}
	}
	return best;
}

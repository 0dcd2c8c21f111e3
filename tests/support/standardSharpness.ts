import type { Patch } from '$core/measure/patch';
import { smoothed } from '$core/measure/smooth';

/** Measures of sharpness as they are usually taken, to be compared with ours. Each is higher for a sharper patch. */

const each = ({ light, sidePx }: Patch, of: (at: (dx: number, dy: number) => number) => number) => {
	const values: number[] = [];
	for (let y = 1; y < sidePx - 1; y++) {
		for (let x = 1; x < sidePx - 1; x++) {
			// as a file has it, not in linear light
			values.push(
				of((dx, dy) => Math.sqrt(Math.max(0, light[(y + dy) * sidePx + x + dx] as number)))
			);
		}
	}
	return values;
};

const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;

/** Pech-Pacheco et al., "Diatom autofocusing in brightfield microscopy", 2000. */
export function laplacianVariance(patch: Patch): number {
	const values = each(patch, (at) => at(-1, 0) + at(1, 0) + at(0, -1) + at(0, 1) - 4 * at(0, 0));
	const middle = mean(values);
	return mean(values.map((value) => (value - middle) ** 2));
}

/** Tenenbaum's gradient: Krotkov, "Focusing", 1988. */
export function tenengrad(patch: Patch): number {
	return mean(
		each(patch, (at) => {
			const across = at(1, -1) + 2 * at(1, 0) + at(1, 1) - at(-1, -1) - 2 * at(-1, 0) - at(-1, 1);
			const down = at(-1, 1) + 2 * at(0, 1) + at(1, 1) - at(-1, -1) - 2 * at(0, -1) - at(1, -1);
			return across ** 2 + down ** 2;
		})
	);
}

/** Crete et al., "The blur effect", 2007, with a Gaussian in the place of its mean of nine; turned to grow with sharpness. */
export function creteSharpness({ light, sidePx }: Patch): number {
	const soft = smoothed(light, sidePx, 2.6);
	const lost = (step: number) => {
		let [all, gone] = [0, 0];
		for (let i = step; i < light.length; i++) {
			const sharp = Math.abs((light[i] as number) - (light[i - step] as number));
			const blurred = Math.abs((soft[i] as number) - (soft[i - step] as number));
			all += sharp;
			gone += Math.max(0, sharp - blurred);
		}
		return (all - gone) / all;
	};
	return 1 - Math.max(lost(1), lost(sidePx));
}

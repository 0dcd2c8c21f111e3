import { finer } from './finer';
import { noiseSigma } from './noise';
import type { Patch } from './patch';
import { smoothed } from './smooth';

/** One edge of a patch. */
export interface Edge {
	/** From its foot to its head over its slope, px of the patch. */
	readonly widthPx: number;
	/** The way its slope points, rad: to the right, then downwards. */
	readonly angle: number;
	/** Height of the whole edge, in light. */
	readonly height: number;
	/** From the middle of the patch, as a share of half its side. */
	readonly away: number;
}

export interface PatchEdges {
	readonly edges: readonly Edge[];
	/** What the patch was smoothed by before, px of the patch. */
	readonly smoothedPx: number;
}

/** Smoothing before edges are looked for, px: as little as the noise allows. */
const SMOOTHINGS = [0.3, 0.45, 0.65, 0.95, 1.4, 2];
/** The strongest slope stands out of that of the noise so many times. */
const OVER_NOISE = 7;
/** The difference of neighbours smooths about as much by itself, px. */
const PIXEL_PX = 0.4;
/** The least slope that is looked at, as a share of the strongest; none that noise may have made. */
const STRONG_SLOPE_SHARE = 0.2;
const NO_NOISE = 3;

/** The edges of a patch, each measured along its slope until it ends; widths in pixels of the patch given. */
export function patchEdgesOf(patch: Patch): PatchEdges {
	const noise = noiseSigma(patch);
	const { light: fine, sidePx } = finer(patch);
	for (const smoothedPx of SMOOTHINGS) {
		const light = smoothed(fine, sidePx, 2 * smoothedPx);
		const { gx, gy, size, most } = slopes(light, sidePx);
		// the slope of noise under a derivative of a Gaussian, and under the pixel's own where that is wider
		const over = Math.hypot(smoothedPx, PIXEL_PX);
		const noisy = noise / (Math.sqrt(8 * Math.PI) * over * over) / 2;
		if (most < OVER_NOISE * noisy) continue;
		const least = Math.max(STRONG_SLOPE_SHARE * most, NO_NOISE * noisy);
		const edges: Edge[] = [];
		const middle = (sidePx - 1) / 2;
		for (let y = 2; y < sidePx - 2; y++) {
			for (let x = 2; x < sidePx - 2; x++) {
				const k = y * sidePx + x;
				const slope = size[k] as number;
				if (slope < least) continue;
				const [dx, dy] = [(gx[k] as number) / slope, (gy[k] as number) / slope];
				if (sample(size, sidePx, x + dx, y + dy) > slope) continue;
				if (sample(size, sidePx, x - dx, y - dy) > slope) continue;
				const up = climb(light, sidePx, x, y, dx, dy, slope);
				const down = climb(light, sidePx, x, y, -dx, -dy, -slope);
				const height = up - down;
				const away = (2 * Math.hypot(x - middle, y - middle)) / sidePx;
				edges.push({ widthPx: height / slope / 2, angle: Math.atan2(dy, dx), height, away });
			}
		}
		return { edges, smoothedPx };
	}
	return { edges: [], smoothedPx: 0 };
}

/** Steps along an edge, px; and it has ended where it climbs no more than such a share of its slope. */
const STEP_PX = 0.5;
const END_SLOPE_SHARE = 0.08;

function climb(
	light: Float32Array,
	side: number,
	x: number,
	y: number,
	dx: number,
	dy: number,
	slope: number
): number {
	let last = light[y * side + x] as number;
	for (let i = 1; i < 2 * side; i++) {
		const [ax, ay] = [x + dx * i * STEP_PX, y + dy * i * STEP_PX];
		if (ax < 0 || ay < 0 || ax > side - 1 || ay > side - 1) break;
		const value = sample(light, side, ax, ay);
		if ((value - last) / STEP_PX / slope < END_SLOPE_SHARE) break;
		last = value;
	}
	return last;
}

function slopes(light: Float32Array, side: number) {
	const [gx, gy, size] = [0, 1, 2].map(() => new Float32Array(side * side)) as [
		Float32Array,
		Float32Array,
		Float32Array
	];
	let most = 0;
	for (let y = 1; y < side - 1; y++) {
		for (let x = 1; x < side - 1; x++) {
			const k = y * side + x;
			const a = ((light[k + 1] as number) - (light[k - 1] as number)) / 2;
			const b = ((light[k + side] as number) - (light[k - side] as number)) / 2;
			gx[k] = a;
			gy[k] = b;
			const slope = Math.sqrt(a * a + b * b);
			size[k] = slope;
			if (slope > most) most = slope;
		}
	}
	return { gx, gy, size, most };
}

function sample(values: Float32Array, side: number, x: number, y: number): number {
	const [left, top] = [Math.floor(x), Math.floor(y)];
	const [p, q] = [x - left, y - top];
	const at = (i: number, k: number) =>
		values[
			Math.min(side - 1, Math.max(0, k)) * side + Math.min(side - 1, Math.max(0, i))
		] as number;
	return (
		(at(left, top) * (1 - p) + at(left + 1, top) * p) * (1 - q) +
		(at(left, top + 1) * (1 - p) + at(left + 1, top + 1) * p) * q
	);
}

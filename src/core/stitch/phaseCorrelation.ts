import { smoothed } from '../measure/smooth';
import { transformSquare } from '../numeric/fourier';
import type { AroundCamera } from './aroundCamera';

/**
 * By how much two pictures of one thing are shifted against each other: the phases of their spectra say it, whatever
 * the light. Source: Kuglin and Hines, "The phase correlation image alignment method", 1975 (from memory).
 */

/** A square that can be compared with others. */
export interface Comparable {
	readonly sidePx: number;
	/** How the light grows to the right and downwards: where it is broad, as in any two skies, hardly. */
	readonly rises: { readonly right: Float32Array; readonly down: Float32Array };
	/** Where that is known: 1, else 0; and the rows and columns among which it is. */
	readonly known: Uint8Array;
	readonly box: Box;
}

/** One whose shift against any other can be found. */
export interface Phased extends Comparable {
	/** The transform of its detail. */
	readonly real: Float64Array;
	readonly imaginary: Float64Array;
}

interface Box {
	readonly left: number;
	readonly right: number;
	readonly top: number;
	readonly bottom: number;
}

/** How the second of two squares shows what the first shows. */
export interface Shift {
	/** What lies at (x, y) of the first lies at (x - right, y - down) of the second, px. */
	readonly right: number;
	readonly down: number;
	/** Correlation of what both show, -1 to 1. */
	readonly likeness: number;
	/** What both show, a share of the square. */
	readonly shared: number;
}

/** Broader than this is light, not detail, and finer than that is noise, px. */
const BROAD_PX = 10;
const NOISE_PX = 1;
/** What is finer than this many cycles in a pixel counts little: noise, and other corners of the pixel. */
const FINE_CYCLES_PER_PX = 0.2;
/** Peaks of the correlation that are tried, and how high they are at least, a share of the highest. */
const MOST_PEAKS = 6;
const LOWEST_PEAK = 0.3;
/** With fewer pixels in common there is no answer, as a share of the square. */
const LEAST_SHARED = 0.008;

/**
 * How sure it is that a likeness is none of chance, in units that grow with what is compared: Fisher's z (Fisher, "On the
 * probable error of a coefficient of correlation", 1921, from memory).
 */
export const sureness = ({ likeness, shared }: Pick<Shift, 'likeness' | 'shared'>): number =>
	Math.atanh(Math.min(likeness, 0.999)) * Math.sqrt(shared);

export function phased(square: AroundCamera, sidePx: number): Phased {
	const real = Float64Array.from(detailOf(square, sidePx));
	const imaginary = new Float64Array(real.length);
	transformSquare(real, imaginary, sidePx);
	return { ...comparable(square, sidePx), real, imaginary };
}

export function comparable({ light, shown }: AroundCamera, sidePx: number): Comparable {
	const calm = smoothed(light, sidePx, NOISE_PX);
	const cover = smoothed(shown, sidePx, NOISE_PX);
	const known = shown.map((_, i) =>
		[0, 1, -1, sidePx, -sidePx].every((to) => (cover[i + to] ?? 0) > 0.999) ? 1 : 0
	);
	const rise = (step: number) =>
		calm.map((_, i) => (known[i] ? (calm[i + step] as number) - (calm[i - step] as number) : 0));
	const rises = { right: rise(1), down: rise(sidePx) };
	return { sidePx, rises, known, box: boxOf(known, sidePx) };
}

function boxOf(known: Uint8Array, sidePx: number): Box {
	let [left, right, top, bottom] = [sidePx, 0, sidePx, 0];
	known.forEach((is, i) => {
		if (!is) return;
		const [column, row] = [i % sidePx, Math.floor(i / sidePx)];
		left = Math.min(left, column);
		right = Math.max(right, column + 1);
		top = Math.min(top, row);
		bottom = Math.max(bottom, row + 1);
	});
	return { left, right, top, bottom };
}

/** The light without what is broad; outside of what is shown there is nothing. */
function detailOf({ light, shown }: AroundCamera, sidePx: number): Float32Array {
	const broad = smoothed(light, sidePx, BROAD_PX);
	const cover = smoothed(shown, sidePx, BROAD_PX);
	return light.map((value, i) =>
		shown[i] ? value - (broad[i] as number) / Math.max(cover[i] as number, 1e-6) : 0
	);
}

/** The shift between two squares; null where nothing is alike. */
export function shiftBetween(first: Phased, second: Phased): Shift | null {
	const { sidePx } = first;
	let best: Shift | null = null;
	for (const at of highest(correlation(first, second), sidePx)) {
		const [x, y] = [at % sidePx, Math.floor(at / sidePx)];
		// a shift by more than half of the square comes out as one the other way
		for (const right of [x, x - sidePx]) {
			for (const down of [y, y - sidePx]) {
				const found = likeness(first, second, right, down);
				if (found && (!best || sureness(found) > sureness(best))) best = found;
			}
		}
	}
	return best && climbed(first, second, best);
}

/** The shift to parts of a pixel, where it is known to a few; null where nothing is alike there. */
export function shiftNear(
	first: Comparable,
	second: Comparable,
	about: { readonly right: number; readonly down: number }
): Shift | null {
	const from = likeness(first, second, Math.round(about.right), Math.round(about.down));
	return from && finer(first, second, climbed(first, second, from));
}

/** How well each shift explains the phases. */
function correlation(first: Phased, second: Phased): Float64Array {
	const { sidePx } = first;
	const real = new Float64Array(sidePx * sidePx);
	const imaginary = new Float64Array(sidePx * sidePx);
	const cyclesOf = (i: number) => (i < sidePx / 2 ? i : i - sidePx) / sidePx;
	for (let row = 0; row < sidePx; row++) {
		for (let column = 0; column < sidePx; column++) {
			const at = row * sidePx + column;
			const [a, b] = [first.real[at] as number, first.imaginary[at] as number];
			const [c, d] = [second.real[at] as number, second.imaginary[at] as number];
			const [re, im] = [a * c + b * d, b * c - a * d];
			const size = Math.hypot(re, im);
			const f2 = cyclesOf(row) ** 2 + cyclesOf(column) ** 2;
			const weight = size > 0 ? Math.exp(-f2 / (2 * (FINE_CYCLES_PER_PX / 2) ** 2)) / size : 0;
			real[at] = re * weight;
			// turned about, so that the transform leads back
			imaginary[at] = -im * weight;
		}
	}
	transformSquare(real, imaginary, sidePx);
	return real;
}

/** Places of the highest peaks, none beside another. */
function highest(values: Float64Array, sidePx: number): number[] {
	const wrapped = (i: number) => (i + sidePx) % sidePx;
	const lowest = LOWEST_PEAK * values.reduce((most, value) => Math.max(most, value), 0);
	const peaks: number[] = [];
	for (let row = 0; row < sidePx; row++) {
		for (let column = 0; column < sidePx; column++) {
			const value = values[row * sidePx + column] as number;
			if (value < lowest) continue;
			const isPeak = [-1, 0, 1].every((down) =>
				[-1, 0, 1].every(
					(right) =>
						(values[wrapped(row + down) * sidePx + wrapped(column + right)] as number) <= value
				)
			);
			if (isPeak) peaks.push(row * sidePx + column);
		}
	}
	return peaks
		.toSorted((a, b) => (values[b] as number) - (values[a] as number))
		.slice(0, MOST_PEAKS);
}

/** How alike two squares are where both show something. */
function likeness(
	first: Comparable,
	second: Comparable,
	right: number,
	down: number
): Shift | null {
	const { sidePx, rises, known, box } = first;
	const others = second.rises;
	const other = second.box;
	const [left, last] = [
		Math.max(box.left, other.left + right),
		Math.min(box.right, other.right + right)
	];
	let [sharedPx, aa, bb, ab] = [0, 0, 0, 0];
	for (
		let row = Math.max(box.top, other.top + down);
		row < Math.min(box.bottom, other.bottom + down);
		row++
	) {
		for (let column = left; column < last; column++) {
			const i = row * sidePx + column;
			const k = (row - down) * sidePx + column - right;
			if (!known[i] || !second.known[k]) continue;
			const [x, y] = [rises.right[i] as number, rises.down[i] as number];
			const [u, v] = [others.right[k] as number, others.down[k] as number];
			sharedPx++;
			aa += x * x + y * y;
			bb += u * u + v * v;
			ab += x * u + y * v;
		}
	}
	const shared = sharedPx / (sidePx * sidePx);
	if (shared < LEAST_SHARED || !(aa * bb > 0)) return null;
	return { right, down, likeness: ab / Math.sqrt(aa * bb), shared };
}

/** Uphill to where both are most alike: the edges of what is shown pull the phases together. */
function climbed(first: Comparable, second: Comparable, from: Shift): Shift {
	let best = from;
	for (const step of [4, 2, 1]) {
		for (let tried: Shift | null = null; tried !== best;) {
			tried = best;
			for (const [right, down] of SIDES) {
				const found = likeness(first, second, tried.right + step * right, tried.down + step * down);
				if (found && found.likeness > best.likeness) best = found;
			}
		}
	}
	return best;
}

const SIDES = [
	[1, 0],
	[-1, 0],
	[0, 1],
	[0, -1]
] as const;

/** The same to parts of a pixel: the top of the parabola through the neighbours, each way. */
function finer(first: Comparable, second: Comparable, found: Shift): Shift {
	const top = (before: Shift | null, after: Shift | null) => {
		if (!before || !after) return 0;
		const bend = before.likeness + after.likeness - 2 * found.likeness;
		const part = bend < 0 ? (before.likeness - after.likeness) / (2 * bend) : 0;
		return Math.max(-0.5, Math.min(0.5, part));
	};
	const { right, down } = found;
	return {
		...found,
		right:
			right +
			top(likeness(first, second, right - 1, down), likeness(first, second, right + 1, down)),
		down:
			down + top(likeness(first, second, right, down - 1), likeness(first, second, right, down + 1))
	};
}

import { describe, expect, it } from 'vitest';
import { jinc } from '../numeric/bessel';
import { Random } from '../numeric/random';
import type { Region } from './region';
import { FREQUENCIES, slantedEdge, type EdgeResponse } from './slantedEdge';

/** Edges whose response is known, drawn point by point; and a second program that knows nothing of the first. */

/** How an edge spreads, by the distance from it, px, 0 to 1; and the response that goes with it, at cycles per pixel. */
interface Known {
	readonly spread: (distancePx: number) => number;
	readonly response: (frequency: number) => number;
}

/** Abramowitz and Stegun, "Handbook of Mathematical Functions", 7.1.26: to 1.5e-7. */
function erf(x: number): number {
	const t = 1 / (1 + 0.3275911 * Math.abs(x));
	const sum =
		t *
		(0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
	return Math.sign(x) * (1 - sum * Math.exp(-x * x));
}

const gaussian = (sigma: number): Known => ({
	spread: (d) => (1 + erf(d / sigma / Math.SQRT2)) / 2,
	response: (f) => Math.exp(-2 * (Math.PI * sigma * f) ** 2)
});
const disc = (diameter: number): Known => ({
	spread(d) {
		const u = Math.max(-1, Math.min(1, (2 * d) / diameter));
		return 0.5 + (Math.asin(u) + u * Math.sqrt(1 - u * u)) / Math.PI;
	},
	response: (f) => Math.abs(jinc(Math.PI * diameter * f))
});
const box = (width: number): Known => ({
	spread: (d) => Math.max(0, Math.min(1, d / width + 0.5)),
	response: (f) => (f === 0 ? 1 : Math.abs(Math.sin(Math.PI * width * f) / (Math.PI * width * f)))
});
/** Of a circular opening that passes nothing finer than `limit`, cycles per pixel (Goodman, from memory). */
function diffraction(limit: number): Known {
	const response = (f: number) => {
		const q = Math.min(1, f / limit);
		return (2 / Math.PI) * (Math.acos(q) - q * Math.sqrt(1 - q * q));
	};
	const steps = 4000;
	const spread = (d: number) => {
		let sum = 0;
		for (let i = 0; i < steps; i++) {
			const f = ((i + 0.5) / steps) * limit;
			sum += (response(f) * Math.sin(2 * Math.PI * f * d)) / f;
		}
		return 0.5 + (sum * limit) / steps / Math.PI;
	};
	const table = Array.from({ length: 4001 }, (_, i) => spread((i - 2000) / 40));
	return {
		response,
		spread(d) {
			const at = Math.max(0, Math.min(3999.999, d * 40 + 2000));
			const i = Math.floor(at);
			return (table[i] as number) + (at - i) * ((table[i + 1] as number) - (table[i] as number));
		}
	};
}

const DARK = 0.05;
const STEP = 0.6;
const SIZE = { widthPx: 90, heightPx: 100 };
/** As a chart that fills the frame shows them. */
const LARGER = { widthPx: 104, heightPx: 200 };

interface Drawn {
	readonly noise?: number;
	readonly isLevel?: boolean;
	readonly size?: typeof SIZE;
}

function drawn(
	{ spread }: Pick<Known, 'spread'>,
	angleDeg: number,
	{ noise = 0, isLevel = false, size = SIZE }: Drawn = {}
): Region {
	const random = new Random(angleDeg * 100 + 1);
	const angle = (angleDeg * Math.PI) / 180;
	const { widthPx, heightPx } = size;
	const light = Float32Array.from({ length: widthPx * heightPx }, (_, i) => {
		const [x, y] = [
			(i % widthPx) - widthPx / 2 + 0.3,
			Math.floor(i / widthPx) - heightPx / 2 + 0.1
		];
		const [along, across] = isLevel ? [x, y] : [y, x];
		const d = across * Math.cos(angle) - along * Math.sin(angle);
		return DARK + STEP * spread(d) + noise * random.normal();
	});
	return { ...size, light };
}

function measured(region: Region): EdgeResponse {
	const reading = slantedEdge(region);
	if (!reading.ok) throw new Error(reading.problem);
	return reading.edge;
}

/** Where a known response falls to a half. */
function halfOf(response: Known['response']): number {
	let f = 0;
	while (response(f) > 0.5) f += 1e-4;
	return f;
}

const KNOWN: readonly (readonly [string, Known])[] = [
	['a Gaussian of 0.6 px', gaussian(0.6)],
	['a Gaussian of 1 px', gaussian(1)],
	['a Gaussian of 2.5 px', gaussian(2.5)],
	['a disc of 2 px', disc(2)],
	['a disc of 6 px', disc(6)],
	['a box of 1.5 px', box(1.5)],
	['a box of 4 px', box(4)],
	['diffraction up to 0.9 cycles', diffraction(0.9)],
	['diffraction up to 0.4 cycles', diffraction(0.4)]
];
const ANGLES = [2, 3.5, 5, 7, 10];

describe.each(KNOWN)('an edge behind %s', (_name, known) => {
	const half = halfOf(known.response);
	const cases = ANGLES.flatMap((angle) =>
		[false, true].map((isLevel) => [angle, isLevel] as const)
	);

	it.each(cases)('at %d degrees (level: %s) falls to a half within 2 %%', (angle, isLevel) => {
		const { mtf50, angleDeg, overshoot } = measured(drawn(known, angle, { isLevel }));
		expect(Math.abs(mtf50 / half - 1)).toBeLessThan(0.02);
		expect(angleDeg).toBeCloseTo(angle, 1);
		expect(overshoot).toBeLessThan(0.02);
	});

	it.each(ANGLES)('at %d degrees, with noise, within 5 %%', (angle) => {
		// ISO 1600 or so
		const { mtf50, overshoot } = measured(drawn(known, angle, { noise: 0.015, size: LARGER }));
		expect(Math.abs(mtf50 / half - 1)).toBeLessThan(0.05);
		expect(overshoot).toBeLessThan(0.02);
	});

	it('at 5 degrees, through JPEG, within 5 %', () => {
		const { mtf50 } = measured(throughJpeg(drawn(known, 5, { size: LARGER })));
		expect(Math.abs(mtf50 / half - 1)).toBeLessThan(0.05);
	});

	it('is measured alike by another program', () => {
		const edge = measured(drawn(known, 5));
		const other = responseBySorting(drawn(known, 5));
		FREQUENCIES.forEach((frequency, i) => {
			if (frequency > 0.5 || frequency > 1.4 * half) return;
			expect(Math.abs((edge.response[i] as number) - other(frequency))).toBeLessThan(0.03);
		});
	});
});

it('sharpening is recognised', () => {
	const soft = gaussian(1.2);
	// an unsharp mask: a half of what a wider blur takes away is given back
	const wide = gaussian(2.6);
	const spread = (d: number) => soft.spread(d) + 0.8 * (soft.spread(d) - wide.spread(d));
	const sharpened = measured(drawn({ spread }, 5));
	expect(sharpened.overshoot).toBeGreaterThan(0.05);
	expect(sharpened.mtf50).toBeGreaterThan(1.2 * halfOf(soft.response));
	expect(measured(drawn({ spread }, 5, { noise: 0.01 })).overshoot).toBeGreaterThan(0.04);
});

describe('what cannot be measured is told', () => {
	const edge = gaussian(1);
	it.each([
		['not-slanted', drawn(edge, 0.3)],
		['not-slanted', drawn(edge, 44)],
		['too-small', drawn(edge, 5, { size: { widthPx: 12, heightPx: 100 } })],
		['low-contrast', drawn({ spread: (d) => 0.05 * edge.spread(d) }, 5)],
		['clipped', drawn({ spread: (d) => Math.min(1, 2 * edge.spread(d)) * 1.6 }, 5)],
		['low-contrast', drawn({ spread: () => 0.5 }, 5, { noise: 0.05 })]
	])('%s', (problem, region) => {
		const light = region.light.map((one) => Math.min(1, one));
		expect(slantedEdge({ ...region, light })).toEqual({ ok: false, problem });
	});
});

/**
 * The response of the edge in a region, by the place and the angle at which its pixels, in the order of their distance,
 * differ least from their neighbours; from the differences to an ideal step: no bins, no slopes, no window.
 */
function responseBySorting({ widthPx, heightPx, light }: Region): (frequency: number) => number {
	const sorted = (angle: number) =>
		Array.from(light, (value, i) => {
			const [x, y] = [(i % widthPx) - widthPx / 2, Math.floor(i / widthPx) - heightPx / 2];
			return { d: x * Math.cos(angle) - y * Math.sin(angle), value };
		}).sort((a, b) => a.d - b.d);
	const roughness = (angle: number) =>
		sorted(angle).reduce((sum, one, i, all) => {
			const before = all[i - 1];
			return before ? sum + (one.value - before.value) ** 2 : sum;
		}, 0);
	let best = 0.09;
	for (const step of [0.01, 0.001, 0.0001]) {
		const tried = Array.from({ length: 29 }, (_, i) => best + (i - 14) * step);
		best = tried.reduce((a, b) => (roughness(b) < roughness(a) ? b : a));
	}
	const all = sorted(best).filter(({ d }) => Math.abs(d) < widthPx / 2 - heightPx / 10);
	const shares = all.map(({ d, value }) => ({ d, share: (value - DARK) / STEP }));
	return (frequency) => {
		let [re, im] = [0, 0];
		shares.forEach(({ d, share }, i) => {
			const [before, after] = [shares[i - 1]?.d ?? d, shares[i + 1]?.d ?? d];
			const part = ((share - (d > 0 ? 1 : 0)) * (after - before)) / 2;
			re += part * Math.cos(2 * Math.PI * frequency * d);
			im -= part * Math.sin(2 * Math.PI * frequency * d);
		});
		const turn = 2 * Math.PI * frequency;
		return Math.hypot(1 - turn * im, turn * re);
	};
}

/** The luminance table of ITU-T T.81, annex K.1, at quality 92. */
const TABLE = [
	16, 11, 10, 16, 24, 40, 51, 61, 12, 12, 14, 19, 26, 58, 60, 55, 14, 13, 16, 24, 40, 57, 69, 56,
	14, 17, 22, 29, 51, 87, 80, 62, 18, 22, 37, 56, 68, 109, 103, 77, 24, 35, 55, 64, 81, 104, 113,
	92, 49, 64, 78, 87, 103, 121, 120, 101, 72, 92, 95, 98, 112, 100, 103, 99
].map((one) => Math.max(1, Math.round((one * (200 - 2 * 92)) / 100)));

/** A region as a JPEG file keeps it: 8 bits of sRGB, blocks of 8 × 8, coefficients rounded. */
function throughJpeg(region: Region): Region {
	const { widthPx, heightPx } = region;
	const encode = (one: number) =>
		255 * (one <= 0.0031308 ? 12.92 * one : 1.055 * one ** (1 / 2.4) - 0.055);
	const decode = (code: number) => {
		const one = Math.max(0, Math.min(255, Math.round(code))) / 255;
		return one <= 0.04045 ? one / 12.92 : ((one + 0.055) / 1.055) ** 2.4;
	};
	const light = region.light.slice();
	const cosine = (x: number, u: number) =>
		Math.cos(((2 * x + 1) * u * Math.PI) / 16) * (u === 0 ? Math.SQRT1_2 : 1);
	for (let top = 0; top + 8 <= heightPx; top += 8) {
		for (let left = 0; left + 8 <= widthPx; left += 8) {
			const at = (x: number, y: number) => (top + y) * widthPx + left + x;
			const eight = [0, 1, 2, 3, 4, 5, 6, 7];
			const block = eight.map((y) =>
				eight.map((x) => Math.round(encode(region.light[at(x, y)] as number)) - 128)
			);
			const kept = eight.map((v) =>
				eight.map((u) => {
					const sum = eight.reduce(
						(all, y) =>
							all +
							eight.reduce(
								(row, x) => row + (block[y]?.[x] as number) * cosine(x, u) * cosine(y, v),
								0
							),
						0
					);
					const step = TABLE[8 * v + u] as number;
					return step * Math.round(sum / 4 / step);
				})
			);
			for (const y of eight) {
				for (const x of eight) {
					const sum = eight.reduce(
						(all, v) =>
							all +
							eight.reduce(
								(row, u) => row + (kept[v]?.[u] as number) * cosine(x, u) * cosine(y, v),
								0
							),
						0
					);
					light[at(x, y)] = decode(sum / 4 + 128);
				}
			}
		}
	}
	return { ...region, light };
}

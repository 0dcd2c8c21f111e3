import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SIDE_PX, texture } from '$tests/support/patches';
import { there } from '$tests/support/there';
import { transformSquare } from '../numeric/fourier';
import { Random } from '../numeric/random';
import { edgeSpread } from './edgeSpread';
import { blurInSet, blursTogether } from './inSet';
import { bestLike } from './likeness';
import { noiseSigma } from './noise';
import type { Patch } from './patch';
import { blurOf, blurPx, meanSquare, spreadAlong, type BlurSpread } from './spread';

/** Eyes of a face that is seen well lie so far apart. */
const EYES_PX = 100;
const OVER = 8;

/** A slanted bright block on dark ground behind a disc and a pixel, each counted in points of an eighth of a pixel. */
function block(discPx: number, streakPx = 0, noise = 0, seed = 1): Patch {
	const random = new Random(seed);
	const turn = 0.3;
	const inside = (x: number, y: number) => {
		const [u, v] = [
			x * Math.cos(turn) + y * Math.sin(turn),
			y * Math.cos(turn) - x * Math.sin(turn)
		];
		return Math.abs(u) < 22 && Math.abs(v) < 22 ? 0.8 : 0.1;
	};
	const offsets: { x: number; y: number }[] = [];
	for (let i = 0; i < 300; i++) {
		// a spiral of equal areas, drawn out along the rows
		const radius = (discPx / 2) * Math.sqrt((i + 0.5) / 300);
		const angle = i * 2.399963;
		const along = streakPx * (((i * 0.6180339887) % 1) - 0.5);
		offsets.push({ x: radius * Math.cos(angle) + along, y: radius * Math.sin(angle) });
	}
	const light = new Float32Array(SIDE_PX * SIDE_PX);
	for (let y = 0; y < SIDE_PX; y++) {
		for (let x = 0; x < SIDE_PX; x++) {
			let sum = 0;
			offsets.forEach((off, i) => {
				const [px, py] = [((i % OVER) + 0.5) / OVER - 0.5, ((i * 5 + 3) % OVER) / OVER - 0.44];
				sum += inside(x - SIDE_PX / 2 + px + off.x, y - SIDE_PX / 2 + py + off.y);
			});
			light[y * SIDE_PX + x] = sum / offsets.length + noise * random.normal();
		}
	}
	return { sidePx: SIDE_PX, scale: 1, light };
}

/** What lines are taken for is measured on faces; a block has steps alone, whose blur is told a little too large. */
const LINES = 1.4;
const discBy = (patch: Patch): number => {
	const spread = edgeSpread(patch);
	if (!spread) throw new Error('nothing was measured');
	return Math.sqrt(meanSquare(spread));
};

describe('the spread of an edge', () => {
	it.each([3, 5, 8, 12])('is that of the disc it was blurred by: %d px', (discPx) => {
		expect(discBy(block(discPx)) / LINES).toBeGreaterThan(0.85 * discPx);
		expect(discBy(block(discPx)) / LINES).toBeLessThan(1.15 * discPx);
	});

	it('grows with the disc, noise or none', () => {
		for (const noise of [0, 0.01, 0.03]) {
			const told = [2, 4, 7, 11].map((disc) => discBy(block(disc, 0, noise)));
			expect(told).toEqual(told.toSorted((a, b) => a - b));
			expect(told[3]).toBeGreaterThan(2 * (told[0] as number));
		}
	});

	it('tells a streak and which way it lies', () => {
		const blur = blurOf(edgeSpread(block(2, 9)) as BlurSpread);
		expect(blur.streakPx).toBeGreaterThan(5);
		expect(Math.min(blur.angle, Math.PI - blur.angle)).toBeLessThan(0.35);
	});

	it('is not told of plain noise', () => {
		const random = new Random(4);
		const light = Float32Array.from(
			{ length: SIDE_PX * SIDE_PX },
			() => 0.4 + 0.02 * random.normal()
		);
		expect(edgeSpread({ sidePx: SIDE_PX, scale: 1, light })).toBeNull();
	});
});

describe('noise', () => {
	it.each([0.005, 0.02, 0.05])('is measured beside edges: %d', (sigma) => {
		expect(noiseSigma(block(3, 0, sigma))).toBeCloseTo(sigma, 2);
	});
});

describe('a spread', () => {
	it('of a disc has no streak', () => {
		expect(blurOf({ xx: 16, yy: 16, xy: 0 })).toEqual({ discPx: 4, streakPx: 0, angle: 0 });
	});

	// a uniform line of length L has the variance L²/12, a disc of diameter d along one axis d²/16
	it('of a disc drawn out along a line gives both back', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 4, noNaN: true }),
				fc.double({ min: 4, max: 12, noNaN: true }),
				fc.double({ min: 0, max: 3.1, noNaN: true }),
				(disc, line, angle) => {
					const half = (line * line * 16) / 12 / 2;
					const blur = blurOf({
						xx: disc * disc + half + half * Math.cos(2 * angle),
						yy: disc * disc + half - half * Math.cos(2 * angle),
						xy: half * Math.sin(2 * angle)
					});
					expect(blur.discPx).toBeCloseTo(disc, 5);
					expect(blur.streakPx).toBeCloseTo(line, 5);
					expect(Math.abs(Math.sin(blur.angle - angle))).toBeLessThan(1e-6);
					expect(blurPx(blur)).toBeCloseTo(Math.hypot(disc, line), 5);
				}
			)
		);
	});

	it('is found from its width each way', () => {
		const wanted = { xx: 9, yy: 4, xy: 1 };
		const ways = [0, 0.5, 1.2, 2, 2.7].map((angle) => ({
			angle,
			square: 6.5 + 2.5 * Math.cos(2 * angle) + 1 * Math.sin(2 * angle),
			weight: 1
		}));
		const found = there(spreadAlong(ways));
		expect(found.xx).toBeCloseTo(wanted.xx);
		expect(found.yy).toBeCloseTo(wanted.yy);
		expect(found.xy).toBeCloseTo(wanted.xy);
	});

	it('of one eye alone is no streak of both', () => {
		const long = { spread: { xx: 40, yy: 4, xy: 0 }, order: 0 };
		const turned = { spread: { xx: 4, yy: 40, xy: 0 }, order: 0 };
		expect(blurInSet(long, EYES_PX).streakPx).toBeGreaterThan(4);
		expect(blursTogether([long, turned], EYES_PX).map((one) => one?.streakPx)).toEqual([0, 0]);
		expect(blursTogether([long, long], EYES_PX)[0]?.streakPx).toBeGreaterThan(4);
		const round = { spread: { xx: 4, yy: 4, xy: 0 }, order: 0 };
		expect(blursTogether([long, round], EYES_PX).map((one) => one?.streakPx)).toEqual([0, 0]);
		// not quite as far, nor quite the same way: measured a little wrongly
		const like = { spread: { xx: 30, yy: 6, xy: 4 }, order: 0 };
		const [mine, theirs] = blursTogether([long, like], EYES_PX).map((one) => one?.streakPx ?? 0);
		expect(mine).toBeCloseTo(theirs ?? NaN);
		expect((mine ?? 0) / blurInSet(long, EYES_PX).streakPx).toBeGreaterThan(0.8);
		// of a profile there is one eye
		expect(blursTogether([long, null], EYES_PX)[0]?.streakPx).toBe(
			blurInSet(long, EYES_PX).streakPx
		);
	});

	it('of a small eye is less sure, so that the rest of the frame has more of a say', () => {
		const sigmaPx = (eyesPx: number) =>
			blurInSet({ spread: { xx: 1, yy: 1, xy: 0 }, order: 0 }, eyesPx).sigmaPx;
		expect(sigmaPx(100)).toBe(sigmaPx(200));
		expect(sigmaPx(20)).toBeGreaterThan(2 * sigmaPx(100));
	});
});

describe('a template', () => {
	it('is found where it was cut from, in other light', () => {
		const { light } = texture(8);
		const cut = Float32Array.from(
			{ length: 400 },
			(_, i) => 0.2 + 0.5 * (light[(31 + Math.floor(i / 20)) * SIDE_PX + 52 + (i % 20)] as number)
		);
		const found = bestLike(cut, 20, light, SIDE_PX);
		expect([found.x, found.y]).toEqual([62, 41]);
		expect(found.likeness).toBeCloseTo(1, 5);
	});

	it('is like nothing in a plain wall', () => {
		const cut = texture(8).light.slice(0, 400);
		expect(bestLike(cut, 20, new Float32Array(900), 30).likeness).toBe(-1);
	});
});

describe('the transform of a square', () => {
	it('keeps its energy (Parseval) and knows a wave', () => {
		const side = 32;
		const real = Float64Array.from({ length: side * side }, (_, i) =>
			Math.cos((2 * Math.PI * 3 * (i % side)) / side)
		);
		const energy = real.reduce((sum, value) => sum + value * value, 0);
		const imaginary = new Float64Array(side * side);
		transformSquare(real, imaginary, side);
		const power = real.map((value, i) => value * value + (imaginary[i] as number) ** 2);
		expect(power.reduce((sum, value) => sum + value, 0) / side ** 2).toBeCloseTo(energy);
		expect([3, side - 3]).toContain(power.indexOf(Math.max(...power)) % side);
	});
});

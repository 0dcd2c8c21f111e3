import { describe, expect, it } from 'vitest';
import { SIDE_PX, smallEye, texture } from '$tests/support/patches';
import { there } from '$tests/support/there';
import { Random } from '../numeric/random';
import { difference } from './difference';
import { edgeSpread } from './edgeSpread';
import { spreadsInSet } from './inSet';
import type { Patch } from './patch';
import { smoothed } from './smooth';
import { spectrumOf } from './spectrum';
import { meanSquare } from './spread';

describe('a spectrum', () => {
	it('takes what is fine in an eye of few pixels for no noise', () => {
		const eye = smallEye();
		const random = new Random(4);
		const sigma = 0.02;
		const noisy = eye.light.map((value) => value + sigma * random.normal());
		const mean = eye.light.reduce((sum, value) => sum + value, 0) / eye.light.length;
		const overTrue = (light: Patch['light']) =>
			there(spectrumOf({ ...eye, light })).noise / (sigma / mean) ** 2;
		expect(overTrue(noisy)).toBeGreaterThan(0.5);
		expect(overTrue(noisy)).toBeLessThan(2);
		expect(overTrue(eye.light)).toBeLessThan(0.1);
	});
});

describe('the difference of two frames of the same thing', () => {
	// of a Gaussian with the spread s the disc of the same spread is 4 s: exact, whatever is blurred
	it.each([0.8, 1.2, 1.8])('is the Gaussian that one was blurred by: %d px', (sigma) => {
		const sharp = texture(3);
		const soft = { ...sharp, light: smoothed(sharp.light, SIDE_PX, sigma) };
		const told = there(difference(there(spectrumOf(sharp)), there(spectrumOf(soft)), 1.2));
		const ratio = Math.sqrt(meanSquare(told)) / (4 * sigma);
		expect(ratio).toBeGreaterThan(0.9);
		expect(ratio).toBeLessThan(1.1);
		const back = there(difference(there(spectrumOf(soft)), there(spectrumOf(sharp)), 1.2));
		expect(meanSquare(back)).toBeLessThan(0);
	});

	it('is none between scales', () => {
		const spectrum = there(spectrumOf(texture(1)));
		expect(difference(spectrum, { ...spectrum, scale: 2 }, 1)).toBeNull();
	});

	it('is large where next to nothing but a grain is left, fine as that is', () => {
		const [sharp, grain] = [texture(1), texture(2)];
		const light = smoothed(sharp.light, SIDE_PX, 12).map(
			(v, i) => v + 0.02 * (grain.light[i] as number)
		);
		const fall = difference(there(spectrumOf(sharp)), there(spectrumOf({ ...sharp, light })), 1.2);
		expect(meanSquare(there(fall))).toBeGreaterThan(10 ** 2);
	});

	it('orders the frames of a set, noise or none', () => {
		const random = new Random(9);
		const sharp = texture(5);
		const frames = [1.2, 0.4, 2, 0.8].map((sigma) => {
			const light = smoothed(sharp.light, SIDE_PX, sigma).map((v) => v + 0.002 * random.normal());
			const patch = { ...sharp, light };
			return { edges: edgeSpread(patch), spectrum: spectrumOf(patch) };
		});
		const orders = spreadsInSet(frames).map((one) => one?.order ?? NaN);
		const ranked = [0, 1, 2, 3].sort((a, b) => (orders[a] as number) - (orders[b] as number));
		expect(ranked).toEqual([1, 3, 0, 2]);
	});

	it('orders a long series, though not every frame is compared with every other', () => {
		const random = new Random(10);
		const sharp = texture(6);
		const sigmas = Array.from({ length: 40 }, (_, i) => [1.2, 0.4, 2, 0.8][i % 4] as number);
		const frames = sigmas.map((sigma) => {
			const light = smoothed(sharp.light, SIDE_PX, sigma).map((v) => v + 0.002 * random.normal());
			const patch = { ...sharp, light };
			return { edges: edgeSpread(patch), spectrum: spectrumOf(patch) };
		});
		// and copies of them: nothing tells one from the other
		const orders = spreadsInSet([...frames, ...frames]).map((one) => one?.order ?? NaN);
		const ranked = [...sigmas, ...sigmas]
			.map((sigma, i) => ({ sigma, order: orders[i] as number }))
			.sort((a, b) => a.order - b.order)
			.map(({ sigma }) => sigma);
		expect(ranked).toEqual([...sigmas, ...sigmas].sort((a, b) => a - b));
	});
});

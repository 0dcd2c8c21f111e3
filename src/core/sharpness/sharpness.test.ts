import { describe, expect, it } from 'vitest';
import { BODIES } from '$data/kit';
import { ahead, planOf, sceneOf } from '$tests/support/shots';
import type { Person, SharpnessStandard } from '../format/shot';
import { stateOf } from './state';
import { toleranceMm } from './tolerance';

const print = (printWidthCm: number, viewingDistanceCm: number): SharpnessStandard => ({
	standard: 'print',
	printWidthCm,
	viewingDistanceCm
});

describe('tolerance', () => {
	// by hand from the definitions of docs/model.md, section 3
	it.each([
		['album, full frame: the 0.030 of the old tables', { standard: 'album' }, 'fullFrame24', 0.03],
		['album, 1.5x crop: about 0.020', { standard: 'album' }, 'crop26', 0.0196],
		['album, four-thirds: 0.015', { standard: 'album' }, 'fourThirds20', 0.015],
		['screen, full frame: 1.5 of 3240 pixels', { standard: 'screen' }, 'fullFrame24', 0.01667],
		['pixel, 24 MP: two of 6 micrometres', { standard: 'pixel' }, 'fullFrame24', 0.012],
		['pixel, 45 MP', { standard: 'pixel' }, 'fullFrame45', 0.00872],
		['print 30 cm wide at 25 cm: 0.2 mm, enlarged 8.3 times', print(30, 25), 'fullFrame24', 0.024],
		['print 90 cm wide at 75 cm: the same angle', print(90, 75), 'fullFrame24', 0.024]
	] as const)('%s', (_, sharpness, body, expected) => {
		expect(toleranceMm(sharpness, BODIES[body].sensor)).toBeCloseTo(expected, 4);
	});

	it('the old tables flatter: the screen is stricter, the pixel strictest', () => {
		const { sensor } = BODIES.fullFrame45;
		const of = (standard: 'album' | 'screen' | 'pixel') => toleranceMm({ standard }, sensor);
		expect(of('album')).toBeGreaterThan(of('screen'));
		expect(of('screen')).toBeGreaterThan(of('pixel'));
	});
});

describe('state', () => {
	it.each([
		[0, 'sharp'],
		[1, 'sharp'],
		[1.0001, 'marginal'],
		[Math.SQRT2, 'marginal'],
		[1.4143, 'soft']
	])('a ratio of %d is %s', (ratio, state) => {
		expect(stateOf(ratio)).toBe(state);
	});
});

describe('what is kept of a person', () => {
	const targets = (more: Partial<Person>) => {
		const { targets: all } = sceneOf({ people: [ahead('p', 3, more)] });
		return all.map(({ landmark, factor }) => [landmark, Math.round(factor * 1000) / 1000]);
	};

	it('the near eye, both eyes, or the whole face with the rest a stop looser', () => {
		expect(targets({ keep: 'near-eye', turnDeg: 20 })).toEqual([['right-eye', 1]]);
		expect(targets({ keep: 'both-eyes' })).toEqual([
			['left-eye', 1],
			['right-eye', 1]
		]);
		expect(targets({ keep: 'face' })).toEqual([
			['left-eye', 1],
			['right-eye', 1],
			['nose-tip', 1.414],
			['chin', 1.414],
			['hairline', 1.414]
		]);
	});

	it('only the eyes that can be seen', () => {
		expect(targets({ turnDeg: 70 })).toEqual([['right-eye', 1]]);
		expect(targets({ turnDeg: 70, keep: 'face' }).map(([landmark]) => landmark)).toEqual([
			'right-eye',
			'nose-tip',
			'chin',
			'hairline'
		]);
		expect(targets({ turnDeg: 180, keep: 'face' })).toEqual([]);
	});

	it('soft is six stops looser, free asks for nothing', () => {
		expect(targets({ need: 'soft', keep: 'near-eye' })).toEqual([['left-eye', 8]]);
		expect(targets({ need: 'free' })).toEqual([]);
	});

	it('a foreshortened far eye is judged more loosely, its factor multiplied into the need’s', () => {
		expect(targets({ turnDeg: 50 })).toEqual([
			['left-eye', 2],
			['right-eye', 1]
		]);
		expect(targets({ turnDeg: 50, need: 'soft' })[0]).toEqual(['left-eye', 16]);
	});
});

it('diffraction is marked where it softens by itself, and is no missed focus', () => {
	const body = BODIES.fullFrame45;
	const plan = planOf({
		people: [ahead('p', 3)],
		body,
		sharpness: { standard: 'pixel' },
		choices: { fNumberExact: 16 }
	});
	const marked = plan.ladder.filter(({ diffraction }) => diffraction).map(({ fNumber }) => fNumber);
	expect(marked[0]).toBe(9);
	expect(plan.feasible).toBe(true);
	expect(plan.targets.every(({ state }) => state === 'sharp')).toBe(true);
	expect(plan.reasons.map(({ code }) => code)).toContain('diffraction');
});

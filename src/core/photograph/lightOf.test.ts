import { expect, it } from 'vitest';
import { lightOfPhotograph } from './lightOf';

it.each([
	// APEX: f/16, 1/125 s at ISO 100 is EV 15, bright sun (ISO 2721, from memory)
	[{ fNumber: 16, shutterS: 1 / 125, iso: 100 }, 15],
	// by hand: log2(2.8² × 60) - log2(8) = 5.88, in thirds 6
	[{ fNumber: 2.8, shutterS: 1 / 60, iso: 800 }, 6]
])('%j is EV %d', (facts, ev100) => {
	const light = lightOfPhotograph(facts);
	expect(light?.mode === 'ambient' ? light.ev100 : NaN).toBeCloseTo(ev100, 1);
});

it('is not told by a flash, nor by half of the settings', () => {
	const facts = { fNumber: 8, shutterS: 1 / 125, iso: 100 };
	expect(lightOfPhotograph({ ...facts, isFlashed: true })).toBeUndefined();
	expect(lightOfPhotograph({ ...facts, iso: undefined })).toBeUndefined();
});

import { expect, it } from 'vitest';
import { namesBelow } from './chartNames';

const people = Array.from({ length: 15 }, (_, i) => `Guest${i % 10}`);

it('names stand below a narrow chart, as many abreast as fit, and so do many; else beside it', () => {
	// three of 45 + 6 letters of 7.5 px in 358 - 74
	expect(namesBelow(people, 358, 74)).toEqual({ heightPx: 5 * 20 });
	expect(namesBelow(['in the hand', 'leaning on something', 'tripod'], 358, 74)).toEqual({
		heightPx: 3 * 20
	});
	// longer than the chart is wide
	expect(namesBelow(['a', 'b'.repeat(80)], 358, 74)).toEqual({ heightPx: 2 * 20 });
	expect(namesBelow(people, 900, 74)).toEqual({ heightPx: 2 * 20 });
	expect(namesBelow(people.slice(3), 900, 74)).toBeNull();
	expect(namesBelow(['alone'], 358, 74)).toBeNull();
});

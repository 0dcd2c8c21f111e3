import { describe, expect, it } from 'vitest';
import { ASSUMED, biasMmOf, withAssumed } from './spreads';

describe('a measured spread beside the assumption', () => {
	// docs/model.md, section 11: the assumption weighs 20 frames
	it.each([
		[0, 0],
		[20, 0.5],
		[60, 0.75]
	])('%d frames count for a share of %d', (frames, share) => {
		const measured = ASSUMED.handheldMm * 2;
		const expected = ASSUMED.handheldMm * (1 + share);
		expect(withAssumed('handheldMm', measured, frames)).toBeCloseTo(expected, 12);
	});

	it('a lens that was measured has its own bias, the others that of the body', () => {
		const spreads = {
			...ASSUMED,
			biasMm: 0.01,
			lensBias: { 'Long one': { biasMm: 0, frames: 9 } }
		};
		expect(biasMmOf(spreads, 'Long one')).toBe(0);
		expect(biasMmOf(spreads, 'Short one')).toBe(0.01);
		expect(biasMmOf(spreads, 'toString')).toBe(0.01);
	});
});

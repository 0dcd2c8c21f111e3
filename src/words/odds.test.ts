import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { odds } from '$tests/support/odds';
import { person } from '$tests/support/shots';
import { framesSentence } from './odds';

describe('how many frames to take', () => {
	const inARow = (count: number) =>
		framesSentence(
			odds({
				lens: LENSES.wide24,
				people: Array.from({ length: count }, (_, i) =>
					person(`${i}`, [0.6 * (i - (count - 1) / 2), 1.6, 8])
				),
				choices: { fNumberExact: 5.6, shutterRule: 'computed' }
			})
		);

	it('says that somebody blinks where that is why', () => {
		// twelve people: (1 - 1/24)^12, four in ten frames, whoever holds still
		expect(inARow(12)).toMatch(
			/^Take \w+ frames to be 95 % sure of one good one\. Somebody blinks in about (3|4)\d % of them\.$/
		);
		expect(inARow(1)).not.toContain('blinks');
	});
});

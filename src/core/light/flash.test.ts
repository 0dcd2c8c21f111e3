import { describe, expect, it } from 'vitest';
import { BODIES } from '$data/kit';
import { flash, steady } from '$tests/support/flash';
import { ahead, shotOf } from '$tests/support/shots';
import { solve } from '$tests/support/solved';
import { flashExposure, secondPower } from './exposure';

const body = BODIES.fullFrame24;

describe('a flash through something, and a second one', () => {
	const power = (more: { lossStops?: number; distanceM?: number }) =>
		flashExposure(body, { ...flash, ...more }, 4, steady).flashPower ?? NaN;

	it('what it loses on its way it must give more, a stop by a stop', () => {
		expect(power({ distanceM: 2, lossStops: 1 }) / power({ distanceM: 2 })).toBeCloseTo(2, 6);
		expect(power({ distanceM: 2, lossStops: 2 }) / power({ distanceM: 2 })).toBeCloseTo(4, 6);
	});

	it('half as strong from twice as far takes twice the power: the square law', () => {
		const second = { ...flash, distanceM: 2, second: { ratio: 2, distanceM: 4 } };
		expect(secondPower(second, 1 / 16)).toBeCloseTo(1 / 8, 12);
		expect(secondPower({ ...second, second: { ratio: 1, distanceM: 20 } }, 1 / 16)).toBeNull();
		expect(secondPower(flash, 1 / 16)).toBeNull();
	});

	it('a lighting ratio counts both lights on the bright side: 2 to 1 weaker is 3 to 1', () => {
		// common practice, no source
		const shot = shotOf({
			people: [ahead('p', 3)],
			light: {
				mode: 'flash',
				guideNumberM: 36,
				distanceM: 2,
				ambientEv100: 4,
				second: { ratio: 2, distanceM: 2 }
			}
		});
		const { reasons } = solve(shot).plan;
		expect(reasons.find(({ code }) => code === 'second-flash')).toMatchObject({ ratio: 3 });
	});

	it('the colour of the room is told where lamps show beside the flash', () => {
		const codes = (ambientEv100: number) =>
			solve(
				shotOf({
					people: [ahead('p', 3)],
					light: { mode: 'flash', guideNumberM: 36, distanceM: 2, ambientEv100 },
					choices: { fNumberExact: 2.8 }
				})
			).plan.reasons.map(({ code }) => code);
		expect(codes(7)).toContain('room-colour');
		expect(codes(-3)).not.toContain('room-colour');
		// daylight is as blue as a flash
		expect(codes(12)).not.toContain('room-colour');
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dueAt, endOf, later, minuteOf, moved, pausesIn, timeAt, type Span } from './schedule';

const span = (startsAt: string, minutes: number, name = ''): Span & { name: string } => ({
	startsAt: `2026-09-26T${startsAt}`,
	minutes,
	name
});
const told = (spans: readonly (Span & { name: string })[]) =>
	spans.map(({ name, startsAt }) => `${name} ${startsAt.slice(11)}`);

describe('local times', () => {
	it.each([
		['2026-09-26T23:50', 20, '2026-09-27T00:10'],
		['2026-12-31T23:59', 1, '2027-01-01T00:00'],
		// ISO 8601: 2028 is a leap year
		['2028-02-28T12:00', 24 * 60, '2028-02-29T12:00'],
		// the clocks go back in many countries that night; a wall clock plus an hour is a wall clock plus an hour
		['2026-10-25T01:30', 60, '2026-10-25T02:30']
	])('%s and %d minutes is %s', (start, minutes, end) => {
		expect(later(start, minutes)).toBe(end);
		expect(minuteOf(end) - minuteOf(start)).toBe(minutes);
	});

	it('comes back from its scale', () => {
		expect(timeAt(minuteOf('2026-09-26T14:30:59'))).toBe('2026-09-26T14:30');
	});
});

describe('pauses', () => {
	it('are told between one shot and the next, overlaps as negative', () => {
		const day = [span('10:00', 30), span('10:45', 15), span('10:50', 5), span('12:00', 5)];
		expect(pausesIn(day)).toEqual([15, -10, 60]);
	});

	it('count from the last end so far, not from the shot before', () => {
		expect(pausesIn([span('10:00', 120), span('10:10', 5), span('12:30', 5)])).toEqual([-110, 30]);
	});
});

describe('what is due', () => {
	const day = [span('10:00', 30, 'a'), span('10:20', 20, 'b'), span('12:00', 15, 'c')];
	it.each([
		['09:00', 0],
		['10:00', 0],
		// both are on: the later one
		['10:25', 1],
		['10:40', 2],
		['12:14', 2],
		['12:15', -1]
	])('at %s it is %d', (time, index) => {
		expect(dueAt(day, `2026-09-26T${time}`)).toBe(index);
	});
	it('is nothing on another day', () => {
		expect(dueAt(day, '2026-09-25T09:00')).toBe(-1);
		expect(dueAt(day, '2026-09-27T09:00')).toBe(-1);
	});
});

describe('another order', () => {
	const day = [
		span('10:00', 30, 'a'),
		span('10:45', 15, 'b'),
		span('11:00', 10, 'c'),
		span('12:00', 5, 'd')
	];

	it('keeps the start and the pauses of what is moved past', () => {
		expect(told(moved(day, 0, 2))).toEqual(['b 10:00', 'c 10:30', 'a 10:40', 'd 12:00']);
		expect(told(moved(day, 3, 2))).toEqual(['a 10:00', 'b 10:45', 'd 11:00', 'c 11:55']);
	});

	it('leaves what is locked where it is, and lets nothing run into it', () => {
		const ceremony = { ...span('11:00', 10, 'C'), isLocked: true };
		const locked = [day[0], day[1], ceremony, day[3]].flatMap((one) => one ?? []);
		// past it, and before it: the pauses shrink
		expect(told(moved(locked, 0, 3))).toEqual(['b 10:00', 'C 11:00', 'd 12:00', 'a 12:05']);
		expect(told(moved(locked, 3, 0))).toEqual(['d 10:00', 'a 10:15', 'b 10:45', 'C 11:00']);
		expect(told(moved(locked, 2, 0))).toEqual(told(locked));
	});

	it('before a locked one that is first there is room earlier', () => {
		const locked = [{ ...span('11:00', 30, 'C'), isLocked: true }, span('12:00', 20, 'x')];
		expect(told(moved(locked, 1, 0))).toEqual(['x 10:40', 'C 11:00']);
	});

	it('beyond the ends is at the ends', () => {
		expect(told(moved(day, 2, -4))[0]).toBe('c 10:00');
		expect(told(moved(day, 1, 1))).toEqual(told(day));
	});

	it('ends when it ended before, and moving back restores everything', () => {
		const spans = fc.array(
			fc.record({
				pause: fc.integer({ min: -20, max: 90 }),
				minutes: fc.integer({ min: 1, max: 90 })
			}),
			{ minLength: 2, maxLength: 12 }
		);
		fc.assert(
			fc.property(spans, fc.nat(), fc.nat(), (list, a, b) => {
				let minute = minuteOf('2026-09-26T09:00');
				const day = list.map(({ pause, minutes }, i) => {
					const one = { startsAt: timeAt(minute), minutes, name: String(i) };
					minute += minutes + pause;
					return one;
				});
				const [from, to] = [a % day.length, b % day.length];
				const after = moved(day, from, to);
				expect(after.map(({ name }) => name).toSorted()).toEqual(
					day.map(({ name }) => name).toSorted()
				);
				const last = Math.max(from, to);
				expect(endOf(after[last] as Span)).toBe(endOf(day[last] as Span));
				expect(moved(after, to, from)).toEqual(day);
			})
		);
	});
});

import { expect, it } from 'vitest';
import { listedTime } from './listedTime';

it.each([
	['2026-09-26T14:30', '2026-09-26T14:30'],
	['2026-09-26 14:30:15', '2026-09-26T14:30'],
	['26.09.2026 9:05', '2026-09-26T09:05'],
	['26. 9. 2026, 14.30', '2026-09-26T14:30'],
	['26/09/2026 14:30', '2026-09-26T14:30'],
	['9/26/2026 2:30 PM', '2026-09-26T14:30'],
	['9/9/2026 12:05 am', '2026-09-09T00:05'],
	['9:05', '2026-05-01T09:05'],
	['2 pm', null],
	['14h30', '2026-05-01T14:30'],
	['noon', null],
	['2026-09-26', null],
	['', null]
])('%j is %s', (text, startsAt) => {
	const time = listedTime(text, '2026-05-01');
	expect(time.ok ? time.startsAt : null).toBe(startsAt);
});

it('asks which is the month where nobody can know', () => {
	const time = listedTime('9/5/2026 14:30', null);
	expect(!time.ok && time.message).toContain('2026-05-09 or 2026-09-05');
});

it('a time alone is of no day where none is known', () => {
	expect(listedTime('9:05', null).ok).toBe(false);
});

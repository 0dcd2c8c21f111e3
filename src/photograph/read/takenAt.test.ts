import { expect, it } from 'vitest';
import { localMsOf } from './takenAt';

it.each([
	['2026:05:01 15:30:00', Date.UTC(2026, 4, 1, 15, 30)],
	['2026:05:01 15:30:00.25', Date.UTC(2026, 4, 1, 15, 30, 0, 250)],
	['2026-05-01T15:30:07', Date.UTC(2026, 4, 1, 15, 30, 7)],
	['2026:02:30 10:00:00', null],
	['0000:00:00 00:00:00', null],
	['yesterday', null],
	[undefined, null]
])('reads the time of %s (Exif 2.32, 4.6.5: DateTimeOriginal)', (said, ms) => {
	expect(localMsOf(said)).toBe(ms);
});

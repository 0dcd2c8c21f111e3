import { tzOffset } from '@date-fns/tz';

/**
 * When a shot is taken, as a camera's clock tells it: ms as if the local time were UTC, and how far the place is
 * ahead of UTC, minutes.
 *
 * @param startsAt by the clock there, as in 2026-09-26T17:00
 * @param timeZone of the day; the device's when missing
 */
export function takenAt(startsAt: string, timeZone: string | undefined) {
	const localMs = Date.parse(`${startsAt}Z`);
	return { localMs, offsetMinutes: tzOffset(timeZone, new Date(localMs)) };
}

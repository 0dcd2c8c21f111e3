import { describe, expect, it } from 'vitest';
import { aroundOf, sunAt } from './sun';

/** The tilt of the earth's axis, degrees: 23.44, any almanac (from memory). */
const TILT_DEG = 23.44;
const greenwich = (latitudeDeg: number) => ({ latitudeDeg, longitudeDeg: 0 });

describe('where the sun stands', () => {
	it.each([
		// at noon by the sun it stands 90 degrees less the latitude plus its declination
		['2026-06-21T12:02', 50, 90 - 50 + TILT_DEG],
		['2026-12-21T11:58', 50, 90 - 50 - TILT_DEG],
		['2026-03-20T12:07', 0, 90],
		['2026-03-20T12:07', 60, 30]
	])('%s at latitude %d, %d degrees high', (time, latitude, altitude) => {
		expect(sunAt(greenwich(latitude), time, 'UTC').altitudeDeg).toBeCloseTo(altitude, 0);
	});

	it('rises in the east and sets in the west when day and night are equal', () => {
		const morning = sunAt(greenwich(45), '2026-03-20T06:10', 'UTC');
		const evening = sunAt(greenwich(45), '2026-03-20T18:10', 'UTC');
		expect(Math.abs(morning.bearingDeg - 90)).toBeLessThan(2);
		expect(Math.abs(evening.bearingDeg - 270)).toBeLessThan(2);
		expect(Math.abs(morning.altitudeDeg)).toBeLessThan(1.5);
	});

	it('goes by the clock of the place: an hour later there is the same sun', () => {
		const place = { latitudeDeg: 48, longitudeDeg: 16 };
		// Central European Summer Time is two hours ahead of UTC
		expect(sunAt(place, '2026-07-01T14:00', 'Europe/Vienna')).toEqual(
			sunAt(place, '2026-07-01T12:00', 'UTC')
		);
	});

	it('on the stage lies to the right of where it looks when farther round', () => {
		expect(aroundOf({ bearingDeg: 250, altitudeDeg: 10 }, 180)).toBe(70);
		expect(aroundOf({ bearingDeg: 10, altitudeDeg: 10 }, 350)).toBe(20);
	});
});

import { TZDate } from '@date-fns/tz';
import { wrapDeg } from '$core/geometry/angle';
import SunCalc from 'suncalc';

/** Where the sun stands, for a place and a time there. */

export interface SunPlace {
	readonly latitudeDeg: number;
	readonly longitudeDeg: number;
}

export interface SunStand {
	/** From north, clockwise. */
	readonly bearingDeg: number;
	readonly altitudeDeg: number;
}

/**
 * @param localTime what a clock there shows: "2026-09-26T17:30"
 * @param timeZone  name in the IANA database; the device's when missing
 */
export function sunAt(
	{ latitudeDeg, longitudeDeg }: SunPlace,
	localTime: string,
	timeZone?: string
): SunStand {
	const zone = timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
	const [year, month, day, hour, minute] = localTime.split(/[-T:]/).map(Number);
	const when = new TZDate(year ?? 0, (month ?? 1) - 1, day ?? 1, hour ?? 0, minute ?? 0, zone);
	const { azimuth, altitude } = SunCalc.getPosition(
		new Date(when.getTime()),
		latitudeDeg,
		longitudeDeg
	);
	const inDegrees = (angle: number) => (angle * 180) / Math.PI;
	// the package counts from south
	return {
		bearingDeg: (inDegrees(azimuth) + 180 + 360) % 360,
		altitudeDeg: inDegrees(altitude)
	};
}

/** Where the sun stands on a stage whose depth runs towards a bearing, degrees; positive to the right. */
export const aroundOf = ({ bearingDeg }: SunStand, depthBearingDeg: number): number =>
	wrapDeg(bearingDeg - depthBearingDeg);

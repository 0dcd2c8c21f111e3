import { degrees, radians } from '../geometry/angle';

/**
 * How directions are laid out on a flat picture. Source: Snyder, "Map projections, a working manual", 1987 (gnomonic,
 * perspective cylinder, plate carrée; from memory).
 */

export const PROJECTIONS = ['flat', 'cylinder', 'sphere'] as const;
export type Projection = (typeof PROJECTIONS)[number];

/** A place on the picture, in focal lengths from its middle, right and up. */
export interface Laid {
	readonly x: number;
	readonly y: number;
}

/** A direction, degrees from where the middle of the picture looks: to the right, and up from its level. */
export interface Direction {
	readonly turnDeg: number;
	readonly tiltDeg: number;
}

/** Flat pictures become very large towards 180 degrees: the whole may reach so far from its middle, degrees. */
export const FARTHEST_DEG: Readonly<Record<Projection, { turn: number; tilt: number }>> = {
	flat: { turn: 70, tilt: 60 },
	cylinder: { turn: 180, tilt: 70 },
	sphere: { turn: 180, tilt: 90 }
};

/** Where a direction is laid. */
export function laid({ turnDeg, tiltDeg }: Direction, projection: Projection): Laid {
	const [turn, tilt] = [radians(turnDeg), radians(tiltDeg)];
	switch (projection) {
		case 'flat':
			return { x: Math.tan(turn), y: Math.tan(tilt) / Math.cos(turn) };
		case 'cylinder':
			return { x: turn, y: Math.tan(tilt) };
		case 'sphere':
			return { x: turn, y: tilt };
	}
}

/** Which direction lies there. */
export function directionAt({ x, y }: Laid, projection: Projection): Direction {
	switch (projection) {
		case 'flat':
			return { turnDeg: degrees(Math.atan(x)), tiltDeg: degrees(Math.atan2(y, Math.hypot(1, x))) };
		case 'cylinder':
			return { turnDeg: degrees(x), tiltDeg: degrees(Math.atan(y)) };
		case 'sphere':
			return { turnDeg: degrees(x), tiltDeg: degrees(y) };
	}
}

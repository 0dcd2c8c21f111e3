export const radians = (deg: number): number => (deg * Math.PI) / 180;
export const degrees = (rad: number): number => (rad * 180) / Math.PI;

/** The same direction within -180 (excluded) to 180 degrees. */
export function wrapDeg(deg: number): number {
	return 180 - ((((180 - deg) % 360) + 360) % 360);
}

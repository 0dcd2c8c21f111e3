/**
 * Image distance of a thin lens that focuses as a unit: v = s f / (s - f).
 * Source: Gaussian lens equation 1/f = 1/s + 1/v.
 *
 * @param focalMm focal length, mm
 * @param depthM  depth of the plane imaged, m
 * @returns mm behind the lens; Infinity at the focal length and nearer, where no real image forms
 * @example imageDistanceMm(50, 1) // 52.63
 */
export function imageDistanceMm(focalMm: number, depthM: number): number {
	const depthMm = depthM * 1000;
	return depthMm > focalMm ? (depthMm * focalMm) / (depthMm - focalMm) : Infinity;
}

/**
 * A thin lens traced ray by ray, for checking formulas: rays leave a point, cross the lens at many
 * places and land on the sensor. Nothing of the program is used here.
 */

export interface Lens {
	readonly focalMm: number;
	readonly fNumber: number;
	/** Focused depth on the axis, mm. */
	readonly planeMm: number;
	/** 0: flat surface of focus; 1: a shell around the camera. */
	readonly fieldCurvature: number;
}

const RIM = 720;

/** Where the sensor stands behind the lens so that the plane is in focus, mm. */
export function sensorMm({ focalMm, planeMm }: Lens): number {
	return 1 / (1 / focalMm - 1 / planeMm);
}

/**
 * Width of the patch of light that a point makes on the sensor, mm.
 * A bent surface of focus is a lens whose power changes off the axis, so that the point of the
 * surface in that direction images onto the flat sensor.
 *
 * @param x, y, depth place of the point before the lens, mm
 */
export function patchMm(lens: Lens, x: number, y: number, depth: number): number {
	const sensor = sensorMm(lens);
	const cos = depth / Math.sqrt(x * x + y * y + depth * depth);
	const surface = lens.planeMm * (1 - lens.fieldCurvature * (1 - cos));
	const power = 1 / surface + 1 / sensor;
	const radius = lens.focalMm / lens.fNumber / 2;
	let left = Infinity;
	let right = -Infinity;
	for (let i = 0; i < RIM; i++) {
		const angle = (2 * Math.PI * i) / RIM;
		const across = radius * Math.cos(angle);
		const slopeBefore = (across - x) / depth;
		const slopeBehind = slopeBefore - across * power;
		const lands = across + sensor * slopeBehind;
		left = Math.min(left, lands);
		right = Math.max(right, lands);
	}
	return right - left;
}

/** Where the middle ray of a point lands on the sensor, mm: the picture is upside down there. */
export function landsMm(lens: Lens, x: number, depth: number): number {
	return -(x / depth) * sensorMm(lens);
}

import { evenly, shuffled } from '$core/numeric/evenly';
import { jinc } from '$core/numeric/bessel';
import { linearFit } from '$core/numeric/linearFit';
import { Random } from '$core/numeric/random';
import { WAVELENGTH_MM } from '$core/optics/blur';
import { pupilPoints, type PupilPoint } from '../preview/lens/aperture';
import { evenDither, type Glimpse } from '../preview/lens/glimpse';
import type { LensSetting } from '../preview/scene';
import { RULES } from '$core/tables/rules';

/** What happens while the shutter is open, as far as each glimpse of it depends on that. */
export interface OpenShutter {
	readonly setting: LensSetting;
	readonly pxPerMm: number;
	readonly shutterS: number;
	/** How far the room lies below a flash, stops; null without one. */
	readonly roomBelowStops: number | null;
	/** Of the picture on the sensor, mm/s to the right and up. */
	readonly shakeMmPerS: { readonly x: number; readonly y: number };
	/** How far the edge of the opening misses where it should meet, mm: of a lens that is soft. */
	readonly softMm: number;
	/** Focus counts to the millimetre, as of a chart: chance must not look like another one. */
	readonly isExact: boolean;
}

/**
 * Looks through the lens spread over everything that blurs a frame: the opening, the pixel, the time that
 * the shutter is open, and the Airy pattern. Each of these is filled evenly, in an order of its own.
 */
export function exposureGlimpses(shutter: OpenShutter, count: number, seed: number): Glimpse[] {
	const { setting, pxPerMm, shakeMmPerS } = shutter;
	const random = new Random(seed);
	const evenlyMixed = () => shuffled(evenly(count), random);
	const [acrossPixel, upPixel, moments, rings, angles] = [
		evenlyMixed(),
		evenlyMixed(),
		evenlyMixed(),
		evenlyMixed(),
		evenlyMixed()
	];
	const pupils = pupilPoints(count, setting.blades);
	const at = (values: Float64Array, i: number) => values[i] as number;
	const airyPx = airyUnitMm(setting) * pxPerMm;
	const still = (inPixel: Float64Array, way: (angle: number) => number) => {
		const places = pupils.map((_, i) => {
			const angle = 2 * Math.PI * at(angles, i);
			return at(inPixel, i) - 0.5 + airyQuantile(at(rings, i)) * airyPx * way(angle);
		});
		return shutter.isExact ? unrelated(places, pupils) : places;
	};
	const [across, up] = [still(acrossPixel, Math.cos), still(upPixel, Math.sin)];
	const softPx = shutter.softMm * pxPerMm;
	return pupils.map((pupil, i) => {
		const timeS = momentOf(at(moments, i), shutter);
		// spherical aberration of the third order: as the cube of the height (Born and Wolf, 5.3, from memory)
		const missedPx = softPx * (pupil.x ** 2 + pupil.y ** 2);
		const { x, y } = shakeMmPerS;
		return {
			pupil,
			shiftPx: {
				x: (across[i] as number) + x * timeS * pxPerMm + missedPx * pupil.x,
				y: (up[i] as number) + y * timeS * pxPerMm + missedPx * pupil.y
			},
			timeS,
			dither: evenDither(i)
		};
	});
}

/**
 * Values without what they happen to have in common with the place in the opening: it would look like another focus, by a
 * few millimetres.
 */
function unrelated(values: readonly number[], pupils: readonly PupilPoint[]): readonly number[] {
	const slopes = linearFit(
		pupils.map(({ x, y }, i) => ({ terms: [x, y], value: values[i] as number, weight: 1 }))
	);
	if (!slopes) return values;
	const [slopeX, slopeY] = slopes as [number, number];
	return values.map((one, i) => {
		const { x, y } = pupils[i] as PupilPoint;
		return one - slopeX * x - slopeY * y;
	});
}

/** Places that a point of light passes on the sensor, px, no farther apart than a pixel. */
export function lampPlaces(shutter: OpenShutter): Glimpse['shiftPx'][] {
	const { pxPerMm, shutterS, shakeMmPerS } = shutter;
	const lengthPx = Math.hypot(shakeMmPerS.x, shakeMmPerS.y) * shutterS * pxPerMm;
	return [...evenly(Math.max(1, Math.ceil(lengthPx)))].map((share) => ({
		x: shakeMmPerS.x * (share - 0.5) * shutterS * pxPerMm,
		y: shakeMmPerS.y * (share - 0.5) * shutterS * pxPerMm
	}));
}

/**
 * When some of the light came, s from the middle of the exposure: evenly while the shutter is open; under
 * flash only the room's share of it, w = 1 / (1 + 2^B), the rest while the flash burns.
 */
function momentOf(share: number, { shutterS, roomBelowStops }: OpenShutter): number {
	if (roomBelowStops === null) return (share - 0.5) * shutterS;
	const ofRoom = 1 / (1 + 2 ** roomBelowStops);
	return share < ofRoom
		? (share / ofRoom - 0.5) * shutterS
		: ((share - ofRoom) / (1 - ofRoom) - 0.5) * Math.min(shutterS, RULES.flashS);
}

/** What an argument of 1 of the Airy pattern is on the sensor, mm: wavelength times N v/f over pi. */
const airyUnitMm = ({ focus, fNumber }: LensSetting): number =>
	(WAVELENGTH_MM * fNumber * focus.imageDistanceMm) / focus.focalMm / Math.PI;

/** So far the pattern is drawn; the two per cent beyond stand at its edge. */
const AIRY_REACH = 30;
const AIRY_STEPS = 3000;
/** The integral of (2 J1(x)/x)² x over all x. */
const AIRY_LIGHT = 2;

/** How much light of the Airy pattern lies within each of so many steps from its middle, a share of all. */
const encircled = (() => {
	const within = new Float64Array(AIRY_STEPS + 1);
	const step = AIRY_REACH / AIRY_STEPS;
	for (let i = 1; i <= AIRY_STEPS; i++) {
		const x = (i - 0.5) * step;
		within[i] = (within[i - 1] as number) + (jinc(x) ** 2 * x * step) / AIRY_LIGHT;
	}
	return within;
})();

/**
 * From the middle of the Airy pattern, within which distance a share of its light lies: an argument x of
 * (2 J1(x)/x)². Source: Born and Wolf, Principles of Optics, 8.5 (from memory): 83.8% lie within 3.83.
 */
export function airyQuantile(share: number): number {
	if (share >= (encircled[AIRY_STEPS] as number)) return AIRY_REACH;
	let [low, high] = [0, AIRY_STEPS];
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if ((encircled[middle] as number) < share) low = middle;
		else high = middle;
	}
	const below = encircled[low] as number;
	const part = (share - below) / ((encircled[high] as number) - below);
	return ((low + part) * AIRY_REACH) / AIRY_STEPS;
}

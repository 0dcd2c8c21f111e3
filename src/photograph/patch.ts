import type { Patch } from '$core/measure/patch';
import type { PixelPlace, Pyramid } from './faces/pyramid';

/** Pieces of a picture to be measured: in linear light, as the sensor had it. */

/** Linear light of the 256 values of a file (IEC 61966-2-1, sRGB). */
const LINEAR = Float32Array.from({ length: 256 }, (_, i) => {
	const value = i / 255;
	return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
});
/** How bright the three colours are (ITU-R BT.709). */
const [RED, GREEN, BLUE] = [0.2126, 0.7152, 0.0722];

/**
 * An upright square around a place of a picture.
 * @param reachPx half of its side, px of the picture
 * @param mostPx  what is larger is halved until it is not
 */
export function patchAt(pyramid: Pyramid, at: PixelPlace, reachPx: number, mostPx: number): Patch {
	const { data, sidePx, scale } = squareAt(pyramid, at, reachPx, mostPx);
	return { sidePx, scale, light: linearLight(data) };
}

/** The light of pixels, linear; white is 1. */
export function linearLight(data: Uint8ClampedArray): Float32Array {
	const light = new Float32Array(data.length / 4);
	for (let i = 0, k = 0; i < light.length; i++, k += 4) {
		light[i] =
			RED * (LINEAR[data[k] as number] as number) +
			GREEN * (LINEAR[data[k + 1] as number] as number) +
			BLUE * (LINEAR[data[k + 2] as number] as number);
	}
	return light;
}

/** The level from which a pixel is clipped. */
const CLIPPED_LEVEL = 254;

/** Share of such a square that is as bright as can be, in any colour. */
export function clippedShare(
	pyramid: Pyramid,
	at: PixelPlace,
	reachPx: number,
	mostPx: number
): number {
	const { data, sidePx } = squareAt(pyramid, at, reachPx, mostPx);
	let clipped = 0;
	for (let k = 0; k < data.length; k += 4) {
		if (Math.max(data[k] as number, data[k + 1] as number, data[k + 2] as number) >= CLIPPED_LEVEL)
			clipped++;
	}
	return clipped / (sidePx * sidePx);
}

function squareAt(pyramid: Pyramid, at: PixelPlace, reachPx: number, mostPx: number) {
	const halvings = Math.max(0, Math.ceil(Math.log2((2 * reachPx) / mostPx)));
	const scale = 2 ** halvings;
	const sidePx = 2 * Math.max(4, Math.round(reachPx / scale));
	return { data: pyramid.square(at, sidePx, halvings).data, sidePx, scale };
}

import { TILE_PX } from './detect';
import type { PicturePart } from './pyramid';

/** The tiles that a picture is looked at in. */

/** How much smaller the tiles of each level are than those of the one before. */
const LEVEL_RATIO = 2.4;
/** Neighbouring tiles have so much in common: more than a face that is just found by larger ones. */
const IN_COMMON = 0.25;
/** Tiles are not finer than this: a face of 40 pixels is 20 of the detector's. */
const LEAST_TILE_PX = 2 * TILE_PX;

/** Sides of the tiles of each level, px: the first covers the picture. */
export function tileSides(longPx: number): number[] {
	const sides = [longPx];
	for (
		let side = longPx / LEVEL_RATIO;
		side > LEAST_TILE_PX / Math.sqrt(LEVEL_RATIO);
		side /= LEVEL_RATIO
	) {
		sides.push(Math.max(side, LEAST_TILE_PX));
	}
	return sides;
}

/** Tiles that cover a picture, with something in common. */
export function faceTiles(
	{ widthPx, heightPx }: { readonly widthPx: number; readonly heightPx: number },
	sidePx: number
): PicturePart[] {
	const xs = middlesOf(widthPx, sidePx);
	return middlesOf(heightPx, sidePx).flatMap((y) => xs.map((x) => ({ x, y, sidePx, turnRad: 0 })));
}

function middlesOf(lengthPx: number, sidePx: number): number[] {
	const free = lengthPx - sidePx;
	if (free <= 0) return [lengthPx / 2];
	const steps = Math.ceil(free / (sidePx * (1 - IN_COMMON)));
	return Array.from({ length: steps + 1 }, (_, i) => sidePx / 2 + (free * i) / steps);
}

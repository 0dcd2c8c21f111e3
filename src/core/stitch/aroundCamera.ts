import { radians } from '../geometry/angle';

/**
 * A frame laid out around the camera: a step across is a turn of so many degrees, a step down a tilt. A turned camera
 * then sees the same picture aside, and a tilted one the same lower or higher.
 */

/** Light of a picture, rows from the top. */
export interface GreyPicture {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly light: ArrayLike<number>;
	/** Of the lens, in pixels of this picture. */
	readonly focalPx: number;
}

/** A square of turns and tilts around where a frame looks. */
export interface AroundCamera {
	readonly light: Float32Array;
	/** 1 where the frame shows something, else 0. */
	readonly shown: Uint8Array;
}

/** Where a direction lies in a frame, px from its middle, right and down; null behind the camera. */
export function inFrame(
	turnDeg: number,
	tiltDeg: number,
	frameTiltDeg: number,
	focalPx: number
): { readonly x: number; readonly y: number } | null {
	const [turn, tilt, base] = [radians(turnDeg), radians(tiltDeg), radians(frameTiltDeg)];
	const right = Math.cos(tilt) * Math.sin(turn);
	const up = Math.sin(tilt);
	const ahead = Math.cos(tilt) * Math.cos(turn);
	const depth = ahead * Math.cos(base) + up * Math.sin(base);
	if (depth <= 0) return null;
	const above = up * Math.cos(base) - ahead * Math.sin(base);
	return { x: (focalPx * right) / depth, y: (-focalPx * above) / depth };
}

/**
 * @param tiltDeg  how far the camera was tilted up
 * @param sidePx   of the square
 * @param degPerPx of the square
 */
export function aroundCamera(
	picture: GreyPicture,
	tiltDeg: number,
	sidePx: number,
	degPerPx: number
): AroundCamera {
	const { widthPx, heightPx, light, focalPx } = picture;
	const square = {
		light: new Float32Array(sidePx * sidePx),
		shown: new Uint8Array(sidePx * sidePx)
	};
	for (let row = 0; row < sidePx; row++) {
		const tilt = tiltDeg - (row - sidePx / 2) * degPerPx;
		for (let column = 0; column < sidePx; column++) {
			const place = inFrame((column - sidePx / 2) * degPerPx, tilt, tiltDeg, focalPx);
			if (!place) continue;
			const x = place.x + (widthPx - 1) / 2;
			const y = place.y + (heightPx - 1) / 2;
			const [left, top] = [Math.floor(x), Math.floor(y)];
			if (left < 0 || top < 0 || left + 1 >= widthPx || top + 1 >= heightPx) continue;
			const at = (i: number, k: number) => light[(top + k) * widthPx + left + i] as number;
			const [across, down] = [x - left, y - top];
			const to = row * sidePx + column;
			square.light[to] =
				(at(0, 0) * (1 - across) + at(1, 0) * across) * (1 - down) +
				(at(0, 1) * (1 - across) + at(1, 1) * across) * down;
			square.shown[to] = 1;
		}
	}
	return square;
}

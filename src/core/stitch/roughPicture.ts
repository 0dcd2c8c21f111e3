import { degrees, radians } from '../geometry/angle';
import { inFrame } from './aroundCamera';
import { directionAt, FARTHEST_DEG, laid, type Direction, type Projection } from './projection';

/** The frames of a set put together roughly, to be looked at: each where it belongs, one fading into the next. */

/** A frame and where it looked. */
export interface TurnedFrame {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly focalPx: number;
	readonly turnDeg: number;
	/** Above level. */
	readonly tiltDeg: number;
}

/** How the picture is laid out. */
export interface Layout {
	readonly projection: Projection;
	readonly widthPx: number;
	readonly heightPx: number;
	/** Pixels of a focal length. */
	readonly focalPx: number;
	/** Of its left and upper edge, in focal lengths from where it looks. */
	readonly left: number;
	readonly top: number;
	/** Where it looks. */
	readonly turnDeg: number;
	readonly tiltDeg: number;
}

/** Places along the edge of a frame that are looked at. */
const EDGE = [-0.5, -0.25, 0, 0.25, 0.5] as const;

/** How a picture of so many pixels along its long side is laid out; null where the set is too wide for it. */
export function layoutOf(
	frames: readonly TurnedFrame[],
	projection: Projection,
	longPx: number
): Layout | null {
	const middle = (of: (frame: TurnedFrame) => number) =>
		(Math.min(...frames.map(of)) + Math.max(...frames.map(of))) / 2;
	const turnDeg = middle((frame) => frame.turnDeg);
	// what is upright stays upright round a cylinder and a sphere only while the horizon is level
	const tiltDeg = projection === 'flat' ? middle((frame) => frame.tiltDeg) : 0;
	const edge = frames.flatMap((frame) => edgeOf(frame, { turnDeg, tiltDeg }));
	const farthest = FARTHEST_DEG[projection];
	const isTooWide = edge.some(
		(one) => Math.abs(one.turnDeg) > farthest.turn || Math.abs(one.tiltDeg) > farthest.tilt
	);
	if (isTooWide || frames.length === 0) return null;
	const places = edge.map((one) => laid(one, projection));
	const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
	const [left, top] = [Math.min(...xs), Math.max(...ys)];
	const [width, height] = [Math.max(...xs) - left, top - Math.min(...ys)];
	const focalPx = longPx / Math.max(width, height);
	return {
		projection,
		widthPx: Math.max(1, Math.round(width * focalPx)),
		heightPx: Math.max(1, Math.round(height * focalPx)),
		focalPx,
		left,
		top,
		turnDeg,
		tiltDeg
	};
}

/** Directions all over a frame, as seen by somebody who looks there. */
const edgeOf = (frame: TurnedFrame, at: Direction): Direction[] =>
	EDGE.flatMap((a) => EDGE.map((b) => seenFrom(directionOf(frame, a, b), at)));

/** What lies between those directions bulges: so much of a frame is looked at beyond them. */
const BULGE_SHARE = 0.05;

/** The pixels of the picture among which a frame lies. */
function boxOf(frame: TurnedFrame, layout: Layout) {
	const places = edgeOf(frame, layout).map((one) => laid(one, layout.projection));
	const columns = places.map(({ x }) => (x - layout.left) * layout.focalPx);
	const rows = places.map(({ y }) => (layout.top - y) * layout.focalPx);
	const range = (values: readonly number[], most: number) => {
		const [low, high] = [Math.min(...values), Math.max(...values)];
		const beyond = BULGE_SHARE * (high - low);
		return [
			Math.max(0, Math.floor(low - beyond)),
			Math.min(most, Math.ceil(high + beyond))
		] as const;
	};
	const [left, right] = range(columns, layout.widthPx);
	const [top, bottom] = range(rows, layout.heightPx);
	return { left, right, top, bottom };
}

/** Where the corners of a frame lie, clockwise from its upper left. */
export const cornersOf = (frame: TurnedFrame): readonly Direction[] =>
	CORNERS.map(([across, up]) => directionOf(frame, across, up));

const CORNERS = [
	[-0.5, 0.5],
	[0.5, 0.5],
	[0.5, -0.5],
	[-0.5, -0.5]
] as const;

/** The direction of a place in a frame, in parts of its sides from the middle, right and up. */
function directionOf(frame: TurnedFrame, across: number, up: number): Direction {
	const x = (across * frame.widthPx) / frame.focalPx;
	const y = (up * frame.heightPx) / frame.focalPx;
	const { turnDeg, tiltDeg } = tilted({ x, y, z: 1 }, frame.tiltDeg);
	return { turnDeg: turnDeg + frame.turnDeg, tiltDeg };
}

/** A direction as seen by somebody who looks elsewhere. */
function seenFrom({ turnDeg, tiltDeg }: Direction, at: Direction): Direction {
	return tilted(rayOf({ turnDeg: turnDeg - at.turnDeg, tiltDeg }), -at.tiltDeg);
}

const rayOf = ({ turnDeg, tiltDeg }: Direction) => ({
	x: Math.sin(radians(turnDeg)) * Math.cos(radians(tiltDeg)),
	y: Math.sin(radians(tiltDeg)),
	z: Math.cos(radians(turnDeg)) * Math.cos(radians(tiltDeg))
});

/** The direction of a ray (right, up, ahead) after everything was tilted up. */
function tilted(
	{ x, y, z }: { readonly x: number; readonly y: number; readonly z: number },
	byDeg: number
): Direction {
	const [cos, sin] = [Math.cos(radians(byDeg)), Math.sin(radians(byDeg))];
	const [up, ahead] = [y * cos + z * sin, z * cos - y * sin];
	return {
		turnDeg: degrees(Math.atan2(x, ahead)),
		tiltDeg: degrees(Math.atan2(up, Math.hypot(x, ahead)))
	};
}

/** A picture in the making: the light of frames, and how much each counts. */
export class RoughPicture {
	readonly layout: Layout;
	readonly #light: Float32Array;
	readonly #counted: Float32Array;

	constructor(layout: Layout) {
		this.layout = layout;
		this.#light = new Float32Array(3 * layout.widthPx * layout.heightPx);
		this.#counted = new Float32Array(layout.widthPx * layout.heightPx);
	}

	/** Adds a frame; its pixels are red, green, blue, any, rows from the top. */
	add(frame: TurnedFrame, pixels: ArrayLike<number>): void {
		const { layout } = this;
		const { widthPx, heightPx, focalPx, tiltDeg, turnDeg } = frame;
		const box = boxOf(frame, layout);
		for (let row = box.top; row < box.bottom; row++) {
			for (let column = box.left; column < box.right; column++) {
				const direction = directionOfPixel(layout, column, row);
				const place = inFrame(direction.turnDeg - turnDeg, direction.tiltDeg, tiltDeg, focalPx);
				if (!place) continue;
				const [x, y] = [place.x + (widthPx - 1) / 2, place.y + (heightPx - 1) / 2];
				const [left, top] = [Math.floor(x), Math.floor(y)];
				if (left < 0 || top < 0 || left + 1 >= widthPx || top + 1 >= heightPx) continue;
				this.#put(row * layout.widthPx + column, pixels, widthPx, x, y, weightAt(frame, x, y));
			}
		}
	}

	#put(
		at: number,
		pixels: ArrayLike<number>,
		widthPx: number,
		x: number,
		y: number,
		weight: number
	): void {
		const [left, top] = [Math.floor(x), Math.floor(y)];
		const [across, down] = [x - left, y - top];
		const first = 4 * (top * widthPx + left);
		const below = first + 4 * widthPx;
		for (let c = 0; c < 3; c++) {
			const upper =
				(pixels[first + c] as number) * (1 - across) + (pixels[first + 4 + c] as number) * across;
			const lower =
				(pixels[below + c] as number) * (1 - across) + (pixels[below + 4 + c] as number) * across;
			this.#light[3 * at + c] =
				(this.#light[3 * at + c] as number) + weight * (upper * (1 - down) + lower * down);
		}
		this.#counted[at] = (this.#counted[at] as number) + weight;
	}

	/** Red, green, blue, cover of each pixel; where no frame shows anything there is nothing. */
	pixels(): Uint8ClampedArray<ArrayBuffer> {
		const { widthPx, heightPx } = this.layout;
		const pixels = new Uint8ClampedArray(4 * widthPx * heightPx);
		this.#counted.forEach((counted, at) => {
			if (counted === 0) return;
			for (let c = 0; c < 3; c++)
				pixels[4 * at + c] = (this.#light[3 * at + c] as number) / counted;
			pixels[4 * at + 3] = 255;
		});
		return pixels;
	}
}

function directionOfPixel(layout: Layout, column: number, row: number): Direction {
	const x = layout.left + (column + 0.5) / layout.focalPx;
	const y = layout.top - (row + 0.5) / layout.focalPx;
	const seen = directionAt({ x, y }, layout.projection);
	const there = layout.tiltDeg === 0 ? seen : tilted(rayOf(seen), layout.tiltDeg);
	return { turnDeg: there.turnDeg + layout.turnDeg, tiltDeg: there.tiltDeg };
}

/** A frame counts most in its middle and nothing at its edge: steeply, so that people are not seen double. */
function weightAt({ widthPx, heightPx }: TurnedFrame, x: number, y: number): number {
	const inside = Math.min(x / widthPx, 1 - x / widthPx, y / heightPx, 1 - y / heightPx);
	return 1e-6 + (2 * Math.max(0, inside)) ** 6;
}

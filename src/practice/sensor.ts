import type { Body, Camera } from '$core/format/shot';
import type { PreviewSize, Window } from '../preview/scene';

/** The sensor of the practice camera: as large as asked for, up to the body's own; its noise; its tiles. */

/** Electrons that make white at the lowest ISO, and the noise of reading a pixel: round values, from memory. */
const FULL_WELL = 50_000;
const READ_NOISE = 4;

/** Fewer pixels across than this show nothing. */
const LEAST_ACROSS_PX = 240;

/** The picture as held, of so many pixels along its long side at most. */
export function sizeOf(
	{ sensor }: Pick<Body, 'sensor'>,
	{ orientation }: Pick<Camera, 'orientation'>,
	longSidePx: number
): PreviewSize {
	const across = Math.round(Math.min(sensor.pixelsAcross, Math.max(LEAST_ACROSS_PX, longSidePx)));
	const down = Math.round((across * sensor.heightMm) / sensor.widthMm);
	return orientation === 'portrait'
		? { widthPx: down, heightPx: across }
		: { widthPx: across, heightPx: down };
}

/** Electrons that make white, and the noise of reading them. */
export interface Noise {
	readonly fullWell: number;
	readonly readNoise: number;
}

/** A smaller picture is one whose pixels were put together: there is more light in each, and more reading. */
export function noiseOf(
	{ sensor, iso: [lowestIso] }: Pick<Body, 'sensor' | 'iso'>,
	iso: number,
	{ widthPx, heightPx }: PreviewSize
): Noise {
	const together = sensor.pixelsAcross / Math.max(widthPx, heightPx);
	return {
		fullWell: FULL_WELL * (lowestIso / iso) * together ** 2,
		readNoise: READ_NOISE * together
	};
}

/** A part of a picture, px from its top left. */
export interface Tile extends PreviewSize {
	readonly left: number;
	readonly top: number;
}

/** Parts no larger than a side each way that make up a picture: the nearer the middle, the sooner. */
export function sensorTiles({ widthPx, heightPx }: PreviewSize, mostPx: number): Tile[] {
	const cut = (length: number) => {
		const parts = Math.ceil(length / mostPx);
		const edges = Array.from({ length: parts + 1 }, (_, i) => Math.round((i * length) / parts));
		return edges.slice(1).map((end, i) => [edges[i] as number, end] as const);
	};
	const tiles = cut(heightPx).flatMap(([top, bottom]) =>
		cut(widthPx).map(([left, right]) => ({
			left,
			top,
			widthPx: right - left,
			heightPx: bottom - top
		}))
	);
	const fromMiddle = (tile: Tile) =>
		Math.hypot(
			tile.left + tile.widthPx / 2 - widthPx / 2,
			tile.top + tile.heightPx / 2 - heightPx / 2
		);
	return tiles.sort((a, b) => fromMiddle(a) - fromMiddle(b));
}

/** The part of the sensor that a tile is, mm from its middle, y up. */
export function windowOf(tile: Tile, whole: PreviewSize, mmPerPx: number): Window {
	return {
		x: (tile.left + tile.widthPx / 2 - whole.widthPx / 2) * mmPerPx,
		y: (whole.heightPx / 2 - tile.top - tile.heightPx / 2) * mmPerPx,
		widthMm: tile.widthPx * mmPerPx,
		heightMm: tile.heightPx * mmPerPx
	};
}

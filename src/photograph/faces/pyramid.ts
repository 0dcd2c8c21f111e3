/** A picture at several sizes, each half of the one before, so that parts of it are cut out at any scale. */

/** A place in a picture, px from its top left. */
export interface PixelPlace {
	readonly x: number;
	readonly y: number;
}

/** A part of a picture: its middle in pixels of the picture, how wide, how far turned clockwise. */
export interface PicturePart {
	readonly x: number;
	readonly y: number;
	readonly sidePx: number;
	readonly turnRad: number;
	/** Seen in a mirror. */
	readonly isMirrored?: boolean;
}

export type Source = ImageBitmap | OffscreenCanvas;

const LEAST_PX = 64;

export class Pyramid {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly #levels: Source[];
	readonly #cut = new OffscreenCanvas(1, 1);

	/** @throws when there is no memory for it */
	constructor(whole: Source) {
		this.widthPx = whole.width;
		this.heightPx = whole.height;
		this.#levels = [whole];
		for (let last = whole; Math.min(last.width, last.height) >= 2 * LEAST_PX;) {
			const half = new OffscreenCanvas(Math.ceil(last.width / 2), Math.ceil(last.height / 2));
			contextOf(half).drawImage(last, 0, 0, half.width, half.height);
			this.#levels.push(half);
			last = half;
		}
	}

	/** The smallest of them that is still so long. */
	atLeast(longPx: number): Source {
		return (
			this.#levels.findLast(({ width, height }) => Math.max(width, height) >= longPx) ??
			(this.#levels[0] as Source)
		);
	}

	/**
	 * Gives the halved pictures back at once: whoever collects what is not used any more does not see how large they
	 * are. The whole one stays with whom it belongs to.
	 */
	dispose(): void {
		for (const level of this.#levels.slice(1)) {
			if (!(level instanceof OffscreenCanvas)) continue;
			level.width = 0;
			level.height = 0;
		}
	}

	/**
	 * The pixels of an upright square as they are, not drawn anew: of the picture halved so many times. The
	 * middle is in pixels of the picture; beyond its edge the edge goes on.
	 */
	square({ x, y }: PixelPlace, sidePx: number, halvings: number): ImageData {
		const source = this.#levels[Math.min(halvings, this.#levels.length - 1)] as Source;
		const at = (middle: number, length: number, all: number) => {
			const from = Math.round((middle * length) / all - sidePx / 2);
			return { from, first: Math.max(0, -from), last: Math.min(sidePx, length - from) - 1 };
		};
		const across = at(x, source.width, this.widthPx);
		const down = at(y, source.height, this.heightPx);
		const canvas = this.#cut;
		canvas.width = sidePx;
		canvas.height = sidePx;
		const context = contextOf(canvas);
		context.drawImage(source, -across.from, -down.from);
		const cut = context.getImageData(0, 0, sidePx, sidePx);
		if (across.last - across.first === sidePx - 1 && down.last - down.first === sidePx - 1)
			return cut;
		const pixels = new Uint32Array(cut.data.buffer);
		const inside = (i: number, { first, last }: typeof across) =>
			Math.max(first, Math.min(last, i));
		for (let row = 0; row < sidePx; row++) {
			for (let column = 0; column < sidePx; column++) {
				const from = inside(row, down) * sidePx + inside(column, across);
				pixels[row * sidePx + column] = pixels[from] as number;
			}
		}
		return cut;
	}

	/** A square part of the picture, drawn so many pixels wide; black beyond the edge. */
	cut({ x, y, sidePx, turnRad, isMirrored = false }: PicturePart, wantedPx: number): ImageData {
		const canvas = this.#cut;
		canvas.width = wantedPx;
		canvas.height = wantedPx;
		const context = contextOf(canvas);
		const scale = wantedPx / sidePx;
		const level = Math.max(0, Math.min(this.#levels.length - 1, Math.floor(Math.log2(1 / scale))));
		const source = this.#levels[level] as Source;
		context.translate(wantedPx / 2, wantedPx / 2);
		if (isMirrored) context.scale(-1, 1);
		context.rotate(-turnRad);
		context.scale(scale, scale);
		context.translate(-x, -y);
		context.drawImage(source, 0, 0, this.widthPx, this.heightPx);
		return context.getImageData(0, 0, wantedPx, wantedPx);
	}
}

function contextOf(canvas: OffscreenCanvas): OffscreenCanvasRenderingContext2D {
	const context = canvas.getContext('2d', { alpha: false, willReadFrequently: true });
	if (!context) throw new Error('there is no memory for a picture of this size');
	return context;
}

/** Where a place of a cut part is in the picture; both in pixels from the top left. */
export function placeInPicture(
	{ x, y, sidePx, turnRad, isMirrored = false }: PicturePart,
	cutPx: number,
	at: PixelPlace
): PixelPlace {
	const scale = sidePx / cutPx;
	const aside = (at.x - cutPx / 2) * scale * (isMirrored ? -1 : 1);
	const down = (at.y - cutPx / 2) * scale;
	const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
	return { x: x + aside * cos - down * sin, y: y + aside * sin + down * cos };
}

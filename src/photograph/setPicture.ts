import { placeFrames, type PlacedSet, type PlacingRest } from '$core/stitch/placeFrames';
import { layoutOf, RoughPicture } from '$core/stitch/roughPicture';
import type { Projection } from '$core/stitch/projection';
import { linearLight } from './patch';
import { openPicture } from './read/openPicture';
import { smaller } from './smallPicture';

/** The pictures of a set that is to be one: where each looked, and all of them together. */

/** A frame of the set. */
export interface SetFile {
	readonly file: Blob;
	/** The name that it is known by. */
	readonly key: string;
	readonly widthPx: number;
	readonly heightPx: number;
	/** Focal length, in the same pixels. */
	readonly focalPx: number;
}

/** Long side of what is compared, and of what is put together, px. */
const COMPARED_PX = 300;
const KEPT_PX = 1000;
const JPEG_QUALITY = 0.9;
/** Opening the files takes this share of the work. */
const OPENING_SHARE = 0.6;

/** Small pictures of a set, as files: full-size ones of all its frames would fill the memory. */
export class SetPictures {
	#small = new Map<string, Blob>();

	/**
	 * @param tiltDeg how far the camera was tilted up in the middle
	 * @throws Error naming by number a file that is no picture
	 */
	async placed(files: readonly SetFile[], tiltDeg: number, rest: PlacingRest): Promise<PlacedSet> {
		const keys = new Set(files.map(({ key }) => key));
		this.#small = new Map([...this.#small].filter(([key]) => keys.has(key)));
		const pictures = [];
		for (const [i, one] of files.entries()) {
			const { data, width, height } = await this.#pixels(one, i, COMPARED_PX);
			const { focalPx } = shrunk(one, COMPARED_PX);
			pictures.push({ widthPx: width, heightPx: height, focalPx, light: linearLight(data) });
			await rest(((i + 1) / files.length) * OPENING_SHARE);
		}
		return placeFrames(pictures, tiltDeg, (share) =>
			rest(OPENING_SHARE + share * (1 - OPENING_SHARE))
		);
	}

	/** All that have a place together, as a PNG; null where they reach too far for such a picture. */
	async together(
		files: readonly SetFile[],
		{ places }: PlacedSet,
		projection: Projection,
		longPx: number,
		rest: PlacingRest
	): Promise<Blob | null> {
		const frames = files.flatMap((one, i) => {
			const place = places[i];
			return place ? [{ one, i, frame: { ...shrunk(one, KEPT_PX), ...place } }] : [];
		});
		const layout = layoutOf(
			frames.map(({ frame }) => frame),
			projection,
			longPx
		);
		if (!layout) return null;
		const picture = new RoughPicture(layout);
		for (const [done, { one, i, frame }] of frames.entries()) {
			const { data, width, height } = await this.#pixels(one, i, KEPT_PX);
			picture.add({ ...frame, widthPx: width, heightPx: height }, data);
			await rest((done + 1) / frames.length);
		}
		const canvas = new OffscreenCanvas(layout.widthPx, layout.heightPx);
		contextOf(canvas).putImageData(
			new ImageData(picture.pixels(), layout.widthPx, layout.heightPx),
			0,
			0
		);
		return canvas.convertToBlob({ type: 'image/png' });
	}

	/** The pixels of a file, so long at most. */
	async #pixels({ file, key }: SetFile, index: number, longPx: number): Promise<ImageData> {
		const small = this.#small.get(key) ?? (await opened(file, index));
		this.#small.set(key, small);
		const bitmap = await createImageBitmap(small);
		const share = Math.min(1, longPx / Math.max(bitmap.width, bitmap.height));
		const canvas = new OffscreenCanvas(
			Math.round(bitmap.width * share),
			Math.round(bitmap.height * share)
		);
		const context = contextOf(canvas);
		context.imageSmoothingQuality = 'high';
		context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
		bitmap.close();
		return context.getImageData(0, 0, canvas.width, canvas.height);
	}
}

/** A frame so long at most, and its lens in its pixels then. */
function shrunk({ widthPx, heightPx, focalPx }: SetFile, longPx: number) {
	const share = Math.min(1, longPx / Math.max(widthPx, heightPx));
	return { widthPx: widthPx * share, heightPx: heightPx * share, focalPx: focalPx * share };
}

async function opened(file: Blob, index: number): Promise<Blob> {
	const opening = await openPicture(file);
	if (!opening.ok) throw new Error(`frame ${index + 1} is no picture that can be opened here`);
	const { bitmap } = opening.picture;
	try {
		return await smaller(bitmap, KEPT_PX, JPEG_QUALITY);
	} finally {
		bitmap.close();
	}
}

function contextOf(canvas: OffscreenCanvas): OffscreenCanvasRenderingContext2D {
	const context = canvas.getContext('2d', { willReadFrequently: true });
	if (!context) throw new Error('there is no memory for a picture of this size');
	return context;
}

import { imageSize } from 'image-size';
import type { PhotographFacts } from '$core/photograph/lensOf';
import { readFacts } from './facts';
import { KIND_BYTES, pictureKindOf, type PictureKind } from './kinds';
import { pictureWithin } from './pictureWithin';
import { rawPicture } from './rawPicture';

/** Opens a file that somebody chose, which may be anything. */

export type PictureProblem =
	| 'empty'
	| 'too-large'
	| 'unknown-kind'
	| 'no-picture-inside'
	| 'too-many-pixels'
	| 'kind-not-opened-here'
	| 'broken';

/** A picture upright, as it was seen, and what it says of itself. The picture is given back with `close`. */
export interface OpenPicture {
	readonly bitmap: ImageBitmap;
	readonly facts: PhotographFacts;
}

export type Opening =
	| { readonly ok: true; readonly picture: OpenPicture }
	| { readonly ok: false; readonly problem: PictureProblem };

const MOST_BYTES = 400_000_000;
const MOST_PIXELS = 105_000_000;
/** More pixels than that tell nothing more of where a face is. */
const WORKING_PX = 6000;
/** The size stands within so many bytes of the start. */
const SIZE_BYTES = 2_000_000;

/** Reads a picture; whatever the file is, it is one or there is a reason why not. */
export async function openPicture(file: Blob): Promise<Opening> {
	const refused = (problem: PictureProblem): Opening => ({ ok: false, problem });
	if (file.size === 0) return refused('empty');
	if (file.size > MOST_BYTES) return refused('too-large');
	const kind = pictureKindOf(new Uint8Array(await file.slice(0, KIND_BYTES).arrayBuffer()));
	if (!kind) return refused('unknown-kind');
	const { orientation, ...facts } = await readFacts(file, kind);
	if (kind !== 'tiff' && kind !== 'wrapped') return decoded(file, kind, facts, 1);
	const raw = kind === 'tiff' ? await rawPicture(file) : await pictureWithin(file);
	if (!raw) return refused('no-picture-inside');
	// what lies inside may know its own orientation, and alone how it was taken
	const { orientation: ownOrientation, ...own } = await readFacts(raw.jpeg, 'jpeg');
	const turn = ownOrientation === 1 ? raw.orientation || orientation : 1;
	const isSaidInside = facts.takenAt === undefined && own.takenAt !== undefined;
	return decoded(raw.jpeg, 'jpeg', isSaidInside ? own : facts, turn);
}

async function decoded(
	file: Blob,
	kind: PictureKind,
	facts: PhotographFacts,
	orientation: number
): Promise<Opening> {
	const declared = await declaredSize(file);
	if (declared && declared.width * declared.height > MOST_PIXELS) {
		return { ok: false, problem: 'too-many-pixels' };
	}
	if (!declared && kind !== 'heic') return { ok: false, problem: 'broken' };
	try {
		const whole = await oneAtATime(() =>
			createImageBitmap(file, { imageOrientation: 'from-image' })
		);
		if (whole.width * whole.height > MOST_PIXELS) {
			whole.close();
			return { ok: false, problem: 'too-many-pixels' };
		}
		return { ok: true, picture: { bitmap: await upright(whole, orientation), facts } };
	} catch {
		return { ok: false, problem: kind === 'heic' ? 'kind-not-opened-here' : 'broken' };
	}
}

/**
 * One thread of the app decodes at a time, as decoding takes twice the memory of the picture. On two cores it costs a
 * tenth of the time.
 */
function oneAtATime<T>(decode: () => Promise<T>): Promise<T> {
	// missing where the address is not https
	if (!('locks' in navigator)) return decode();
	return navigator.locks.request('focalis decoding', decode) as Promise<T>;
}

/** Width and height that a file says it has, before any of it is made; null where it says none. */
async function declaredSize(file: Blob) {
	try {
		const head = new Uint8Array(await file.slice(0, SIZE_BYTES).arrayBuffer());
		const { width, height } = imageSize(head);
		return width > 0 && height > 0 ? { width, height } : null;
	} catch {
		return null;
	}
}

/** Turned as the orientation says (Exif, 1 to 8), and no larger than is of use. */
async function upright(whole: ImageBitmap, orientation: number): Promise<ImageBitmap> {
	const share = Math.min(1, WORKING_PX / Math.max(whole.width, whole.height));
	if (share === 1 && orientation === 1) return whole;
	const isOnItsSide = orientation >= 5;
	const [width, height] = [Math.round(whole.width * share), Math.round(whole.height * share)];
	const canvas = isOnItsSide
		? new OffscreenCanvas(height, width)
		: new OffscreenCanvas(width, height);
	const context = canvas.getContext('2d', { alpha: false });
	if (!context) throw new Error('no memory');
	const [a, b, c, d] = TURNS[orientation] ?? [1, 0, 0, 1];
	context.setTransform(
		a,
		b,
		c,
		d,
		a < 0 || c < 0 ? canvas.width : 0,
		b < 0 || d < 0 ? canvas.height : 0
	);
	context.imageSmoothingQuality = 'high';
	context.drawImage(whole, 0, 0, width, height);
	whole.close();
	return createImageBitmap(canvas);
}

/** How each orientation is turned upright: where the picture's right and down come to lie (Exif 2.32, 4.6.4). */
const TURNS: Readonly<Record<number, readonly [number, number, number, number]>> = {
	2: [-1, 0, 0, 1],
	3: [-1, 0, 0, -1],
	4: [1, 0, 0, -1],
	5: [0, 1, 1, 0],
	6: [0, 1, -1, 0],
	7: [0, -1, -1, 0],
	8: [0, -1, 1, 0]
};

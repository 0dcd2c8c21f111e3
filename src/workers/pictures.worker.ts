import { transfer } from 'comlink';
import type { PointedSpot } from '$core/format/review';
import { Pyramid } from '../photograph/faces/pyramid';
import { findPointedAt, type PointedAt } from '../photograph/follow';
import { openPicture } from '../photograph/read/openPicture';
import { smaller } from '../photograph/smallPicture';
import { serve } from './protocol';

/** Makes pictures to be seen: small ones, and pieces pixel by pixel. The page itself never holds one at full size. */

/** A piece of a picture: its middle and its size, px. */
export interface PicturePiece {
	readonly x: number;
	readonly y: number;
	readonly widthPx: number;
	readonly heightPx: number;
}

/** A file and the name that it is known by. */
interface Keyed {
	readonly file: Blob;
	readonly key: string;
}

export type PicturesQuestions = {
	/** For a strip: the picture is opened, made small, and given back. Null where the file is none. */
	readonly strip: {
		question: { readonly file: Blob; readonly longPx: number };
		partial: never;
		answer: Blob | null;
	};
	/** At most so long, upright; null where the file is no picture. */
	readonly small: {
		question: { readonly file: Blob; readonly longPx: number; readonly key: string };
		partial: never;
		answer: Blob | null;
	};
	/** What was pointed at in one picture, in another of the set; null where it is not found. */
	readonly follow: {
		question: { readonly from: Keyed; readonly pointing: PointedAt; readonly into: Keyed };
		partial: never;
		answer: PointedSpot | null;
	};
	readonly piece: {
		question: { readonly file: Blob; readonly key: string; readonly piece: PicturePiece };
		partial: never;
		answer: ImageBitmap | null;
	};
};

const JPEG_QUALITY = 0.85;

/** The picture that was asked for last, or the two that are compared: one of 24 megapixels is 0.1 GB. None after a rest, ms. */
const REST_MS = 3000;
const held = new Map<string, Promise<ImageBitmap | null>>();

/** The pictures of some files; those of all others are given back first. */
function opened(...files: readonly Keyed[]): Promise<(ImageBitmap | null)[]> {
	const wanted = new Set(files.map(({ key }) => key));
	for (const [key, picture] of held) {
		if (wanted.has(key)) continue;
		held.delete(key);
		picture.then((bitmap) => bitmap?.close()).catch(() => undefined);
	}
	return Promise.all(
		files.map(({ file, key }) => {
			const picture =
				held.get(key) ?? openPicture(file).then((one) => (one.ok ? one.picture.bitmap : null));
			held.set(key, picture);
			// a file that could not be read may be read the next time
			picture.catch(() => held.delete(key));
			return picture;
		})
	);
}

/** What was asked last: one after another, so that nothing is given back that is still looked at. */
let last: Promise<unknown> = Promise.resolve();
let resting: ReturnType<typeof setTimeout> | undefined;
function inTurn<T>(work: () => Promise<T>): Promise<T> {
	const done = last.then(work);
	last = done.catch(() => undefined);
	clearTimeout(resting);
	resting = setTimeout(() => (last = last.then(() => opened())), REST_MS);
	return done;
}

serve<PicturesQuestions>({
	async strip({ file, longPx }) {
		const opening = await openPicture(file);
		if (!opening.ok) return null;
		const { bitmap } = opening.picture;
		try {
			return await smaller(bitmap, longPx, JPEG_QUALITY);
		} finally {
			bitmap.close();
		}
	},
	small: ({ file, longPx, key }) =>
		inTurn(async () => {
			const [whole] = await opened({ file, key });
			return whole ? smaller(whole, longPx, JPEG_QUALITY) : null;
		}),
	follow: ({ from, pointing, into }) =>
		inTurn(async () => {
			const [origin, other] = await opened(from, into);
			if (!origin || !other) return null;
			const first = new Pyramid(origin);
			const second = from.key === into.key ? first : new Pyramid(other);
			try {
				return findPointedAt(first, pointing, second);
			} finally {
				first.dispose();
				second.dispose();
			}
		}),
	piece: ({ file, key, piece: { x, y, widthPx, heightPx } }) =>
		inTurn(async () => {
			const [whole] = await opened({ file, key });
			if (!whole) return null;
			const [left, top] = [Math.round(x - widthPx / 2), Math.round(y - heightPx / 2)];
			const cut = await createImageBitmap(whole, left, top, widthPx, heightPx);
			return transfer(cut, [cut]);
		})
});

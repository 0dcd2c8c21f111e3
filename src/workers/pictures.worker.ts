import { transfer } from 'comlink';
import type { PointedSpot } from '$core/format/review';
import { Pyramid } from '../photograph/faces/pyramid';
import { followed, type Pointing } from '../photograph/follow';
import { openPicture } from '../photograph/read/openPicture';
import { smaller } from '../photograph/smallPicture';
import { serve } from './protocol';

/** Makes pictures to be seen: small ones, and pieces pixel by pixel. The page itself never holds one at full size. */

/** A piece of a picture: its middle and its size, px. */
export interface Piece {
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
		question: { readonly from: Keyed; readonly pointing: Pointing; readonly into: Keyed };
		partial: never;
		answer: PointedSpot | null;
	};
	readonly piece: {
		question: { readonly file: Blob; readonly key: string; readonly piece: Piece };
		partial: never;
		answer: ImageBitmap | null;
	};
};

/** So many of 24 megapixels are 0.2 GB; one when nobody has asked for a while, ms. */
const MOST_HELD = 2;
const HELD_AT_REST = 1;
const REST_MS = 3000;
const QUALITY = 0.85;

const held = new Map<string, Promise<ImageBitmap | null>>();

/** The picture of a file, kept while it is one of the last few that were asked for. */
function opened(file: Blob, key: string): Promise<ImageBitmap | null> {
	const known = held.get(key);
	held.delete(key);
	const opening = known ?? openPicture(file).then((one) => (one.ok ? one.picture.bitmap : null));
	held.set(key, opening);
	giveBack(MOST_HELD);
	clearTimeout(resting);
	resting = setTimeout(() => giveBack(HELD_AT_REST), REST_MS);
	return opening;
}

let resting: ReturnType<typeof setTimeout> | undefined;

/** Gives pictures back but for so many, those that were asked for first. */
function giveBack(most: number): void {
	for (const [other, picture] of held) {
		if (held.size <= most) break;
		held.delete(other);
		void picture.then((bitmap) => bitmap?.close());
	}
}

serve<PicturesQuestions>({
	async strip({ file, longPx }) {
		const opening = await openPicture(file);
		if (!opening.ok) return null;
		const { bitmap } = opening.picture;
		try {
			return await smaller(bitmap, longPx, QUALITY);
		} finally {
			bitmap.close();
		}
	},
	async small({ file, longPx, key }) {
		const whole = await opened(file, key);
		return whole && smaller(whole, longPx, QUALITY);
	},
	async follow({ from, pointing, into }) {
		const origin = await opened(from.file, from.key);
		if (!origin) return null;
		const first = new Pyramid(origin);
		if (from.key === into.key) return followed(first, pointing, first);
		const other = await opened(into.file, into.key);
		return other && followed(first, pointing, new Pyramid(other));
	},
	async piece({ file, key, piece: { x, y, widthPx, heightPx } }) {
		const whole = await opened(file, key);
		if (!whole) return null;
		const [left, top] = [Math.round(x - widthPx / 2), Math.round(y - heightPx / 2)];
		const cut = await createImageBitmap(whole, left, top, widthPx, heightPx);
		return transfer(cut, [cut]);
	}
});

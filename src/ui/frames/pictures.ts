import type { PointedSpot } from '$core/format/review';
import type { PointedAt } from '../../photograph/follow';
import { STRIP_PX } from '../../photograph/strip';
import { lookingPort, picturesPort, type PicturePiece } from '../../workers/ports';

/** Pictures of files that came home, made beside the page; it keeps what is small. */

const keys = new WeakMap<File, string>();
let lastKey = 0;

/** A name for a file that no other one has. */
export function pictureKey(file: File): string {
	const known = keys.get(file) ?? String(++lastKey);
	keys.set(file, known);
	return known;
}

/** Pixels along the long side on a whole screen. */
const SCREEN_PX = 1600;
/** How many of the pictures looked at are kept, 0.3 MB each. */
const MOST_LARGE = 40;
const MOST_PIECES = 60;

const strip = new WeakMap<File, Promise<string>>();

/** Keeps the small picture of a file that was opened anyway. */
export function putSmallPicture(file: File, small: Blob): void {
	if (!strip.has(file)) strip.set(file, Promise.resolve(URL.createObjectURL(small)));
}

/** Address of the small picture of a file; empty where it is none. */
export function smallPicture(file: File): Promise<string> {
	const made =
		strip.get(file) ??
		picturesPort
			.ask('strip', { file, longPx: STRIP_PX })
			.then((blob) => (blob ? URL.createObjectURL(blob) : ''))
			.catch(() => '');
	strip.set(file, made);
	return made;
}

/** The last few of something that is made once; what goes is given back. */
class LastFew<T> {
	readonly #held = new Map<string, Promise<T | null>>();
	readonly #most: number;
	readonly #giveBack: (one: T) => void;

	constructor(most: number, giveBack: (one: T) => void) {
		this.#most = most;
		this.#giveBack = giveBack;
	}

	get(key: string, make: () => Promise<T | null>): Promise<T | null> {
		const known = this.#held.get(key) ?? make();
		known.catch(() => this.#held.delete(key));
		this.#held.delete(key);
		this.#held.set(key, known);
		for (const [other, one] of this.#held) {
			if (this.#held.size <= this.#most) break;
			this.#held.delete(other);
			one.then((gone) => gone && this.#giveBack(gone)).catch(() => undefined);
		}
		return known;
	}
}

const large = new LastFew<string>(MOST_LARGE, (address) => URL.revokeObjectURL(address));
const pieces = new LastFew<ImageBitmap>(MOST_PIECES, (piece) => piece.close());

/** Address of a picture of a file for a whole screen; null where it is none. */
export const largePicture = (file: File): Promise<string | null> =>
	large.get(pictureKey(file), async () => {
		const blob = await lookingPort.ask('small', { file, longPx: SCREEN_PX, key: pictureKey(file) });
		return blob && URL.createObjectURL(blob);
	});

/** What was pointed at in one file, in another; null where it is not found. */
export const followedIn = (
	from: File,
	pointing: PointedAt,
	into: File,
	signal: AbortSignal
): Promise<PointedSpot | null> =>
	lookingPort.ask(
		'follow',
		{
			from: { file: from, key: pictureKey(from) },
			pointing,
			into: { file: into, key: pictureKey(into) }
		},
		{ signal }
	);

/** The size of the piece that was asked for last. */
let pieceSize: Pick<PicturePiece, 'widthPx' | 'heightPx'> | null = null;

/** A piece of a file, a pixel for a pixel; null where the file is no picture. */
export function pieceOf(file: File, piece: PicturePiece): Promise<ImageBitmap | null> {
	const { x, y, widthPx, heightPx } = piece;
	pieceSize = { widthPx, heightPx };
	const key = [pictureKey(file), Math.round(x), Math.round(y), widthPx, heightPx].join(' ');
	return pieces.get(key, () => lookingPort.ask('piece', { file, key: pictureKey(file), piece }));
}

/** Has a file ready before it is looked at: whole, and around a place. */
export async function makeReady(
	file: File,
	at: Pick<PicturePiece, 'x' | 'y'> | null
): Promise<void> {
	await largePicture(file);
	if (at && pieceSize) await pieceOf(file, { x: at.x, y: at.y, ...pieceSize });
}

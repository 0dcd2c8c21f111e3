import { KIND_BYTES, pictureKindOf } from '../../photograph/read/kinds';
import { folderOf } from '../browser/folders';

/** Which of the files of a folder are looked at. */

const JPEG = /\.jpe?g$/i;
const PICTURES = /\.(jpe?g|png|webp|avif|heic|heif|tiff?|dng)$/i;
/** What cameras write beside a JPEG as the same frame is no other picture; what people export is. */
const EXPORTED = /\.(jpe?g|png|webp|avif|tiff?)$/i;

const isHidden = ({ name }: File): boolean => name.startsWith('._');

export const isPicture = (file: File): boolean =>
	(PICTURES.test(file.name) || (file.type.startsWith('image/') && !file.type.includes('svg'))) &&
	!isHidden(file);

const isSidecar = ({ name }: File): boolean => /\.xmp$/i.test(name);

/** Whether a file begins like a picture: raw files have names of many kinds. */
export async function beginsLikePicture(file: File): Promise<boolean> {
	if (isHidden(file)) return false;
	try {
		return pictureKindOf(new Uint8Array(await file.slice(0, KIND_BYTES).arrayBuffer())) !== null;
	} catch {
		return false;
	}
}

/** Its name without what kind of file it is. */
export const baseOf = (name: string): string => name.replace(/\.[^.]+$/, '').toLowerCase();

/** What was chosen or dropped, by what is done with it. */
export interface SortedFiles {
	readonly pictures: readonly File[];
	readonly sidecars: readonly File[];
	/** Raw files beside a JPEG of the same frame, as cameras write them: the JPEG is used. */
	readonly besideJpegs: readonly File[];
	/** Their names do not say what they are. */
	readonly others: readonly File[];
}

export function sorted(files: readonly File[]): SortedFiles {
	const placeOf = (file: File) => `${folderOf(file)}/${baseOf(file.name)}`;
	const jpegs = new Set(files.filter(({ name }) => JPEG.test(name)).map(placeOf));
	const isBeside = (file: File) =>
		!EXPORTED.test(file.name) && !isSidecar(file) && jpegs.has(placeOf(file));
	const rest = files.filter((file) => !isBeside(file));
	return {
		pictures: rest.filter(isPicture),
		sidecars: rest.filter(isSidecar),
		besideJpegs: files.filter(isBeside),
		others: rest.filter((file) => !isPicture(file) && !isSidecar(file))
	};
}

/**
 * What a chooser of files offers: everything, since raw files have endings of many kinds; under a thumb
 * pictures, so that the phone shows those.
 */
export const acceptedPictures = (): string | undefined =>
	matchMedia('(pointer: coarse)').matches ? 'image/*,.jpg,.jpeg,.dng,.tif,.tiff,.xmp' : undefined;

/** Which of the files of a folder are looked at. */

const PICTURES = /\.(jpe?g|png|webp|avif|heic|heif|tiff?|dng)$/i;

export const isPicture = ({ name, type }: File): boolean =>
	(PICTURES.test(name) || (type.startsWith('image/') && !type.includes('svg'))) &&
	!name.startsWith('._');

export const isSidecar = ({ name }: File): boolean => /\.xmp$/i.test(name);

/** What a chooser of files offers. */
export const ACCEPTED_PICTURES = 'image/*,.jpg,.jpeg,.dng,.tif,.tiff,.xmp';

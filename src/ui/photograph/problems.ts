import type { PictureProblem } from '../../photograph/read/openPicture';

/** Why a file is no photograph, and what to do. */
export const PROBLEM_WORDS: Readonly<Record<PictureProblem, string>> = {
	empty: 'This file is empty.',
	'too-large': 'This file is larger than 400 MB. Choose a smaller one.',
	'unknown-kind': 'This is not a photograph. Choose a JPEG, PNG, WebP, HEIC or raw file.',
	'no-picture-inside': 'No picture was found in this raw file. Choose the JPEG beside it.',
	'too-many-pixels': 'This picture has more than 100 megapixels. Choose a smaller copy.',
	'kind-not-opened-here': 'This browser does not open HEIC. Save it as JPEG and choose that.',
	broken: 'This picture is damaged and cannot be opened. Choose another one.'
};

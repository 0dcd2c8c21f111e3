import { problemsText as say } from '$words/screens/photograph';
import type { PictureProblem } from '../../photograph/read/openPicture';

/** Why a file is no photograph, and what to do. */
export const PROBLEM_WORDS: Readonly<Record<PictureProblem, string>> = {
	empty: say.thisFileIsEmpty,
	'too-large': say.thisFileIsLargerThan400,
	'unknown-kind': say.thisIsNotAPhotographChoose,
	'no-picture-inside': say.noPictureWasFoundInThis,
	'too-many-pixels': say.thisPictureHasMoreThan100,
	'kind-not-opened-here': say.thisBrowserDoesNotOpenHeic,
	broken: say.thisPictureIsDamagedAndCannot
};

import { faceModels } from '../photograph/faces/models';
import { lookFor, type SeenPhotograph } from '../photograph/lookFor';
import { openPicture, type PictureProblem } from '../photograph/read/openPicture';
import { serve } from './protocol';

/** Photographs, read and looked at beside the page. */

export type Look =
	| { readonly ok: true; readonly seen: SeenPhotograph }
	| { readonly ok: false; readonly problem: PictureProblem };

export type PhotographQuestions = {
	/** Fetches what finds faces, so that it is there when a photograph is. */
	readonly prepare: { question: undefined; partial: never; answer: undefined };
	/** Who is in a photograph; tells how much of it is looked at, 0 to 1. */
	readonly look: { question: { readonly file: Blob }; partial: number; answer: Look };
};

serve<PhotographQuestions>({
	async prepare() {
		await faceModels();
		return undefined;
	},
	async look({ file }, pauses) {
		const [opening, models] = await Promise.all([openPicture(file), faceModels()]);
		if (!opening.ok) return opening;
		return { ok: true, seen: await lookFor(models, opening.picture, pauses) };
	}
});

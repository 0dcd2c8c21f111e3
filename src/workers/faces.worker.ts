import { detect, type TileFace } from '../photograph/faces/detect';
import { A_HINT } from '../photograph/faces/findFaces';
import { faceModels } from '../photograph/faces/models';
import { serve } from './protocol';

/** Looks at tiles of a photograph for the worker that has it. */

export type FacesQuestions = {
	readonly prepare: { question: undefined; partial: never; answer: undefined };
	readonly tile: { question: { readonly tile: ImageData }; partial: never; answer: TileFace[] };
};

serve<FacesQuestions>({
	async prepare() {
		await faceModels();
		return undefined;
	},
	async tile({ tile }) {
		return detect((await faceModels()).detector, tile, A_HINT);
	}
});

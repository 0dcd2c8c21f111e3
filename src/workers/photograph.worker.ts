import {
	standingOf,
	type FoundHead,
	type PhotographLens,
	type StandingHead
} from '$core/photograph/standing';
import { faceModels } from '../photograph/faces/models';
import { lookFor, type SeenPhotograph } from '../photograph/lookFor';
import { openPicture, type PictureProblem } from '../photograph/read/openPicture';
import type { FacesQuestions } from './faces.worker';
import { WorkerPort } from './port';
import { serve } from './protocol';

/** Photographs, read and looked at beside the page. */

export type PhotographReading =
	| { readonly ok: true; readonly seen: SeenPhotograph }
	| { readonly ok: false; readonly problem: PictureProblem };

export type PhotographQuestions = {
	/** Fetches what finds faces, so that it is there when a photograph is. */
	readonly prepare: { question: undefined; partial: never; answer: undefined };
	/** Where everybody stands; null for whom no head fits. */
	readonly stand: {
		question: { readonly heads: readonly FoundHead[]; readonly lens: PhotographLens };
		partial: never;
		answer: (StandingHead | null)[];
	};
	/** Who is in a photograph; tells how much of it is looked at, 0 to 1. */
	readonly look: { question: { readonly file: Blob }; partial: number; answer: PhotographReading };
};

/** Half of the tiles are looked at in another thread. */
const facesPort = new WorkerPort<FacesQuestions>(
	() => new Worker(new URL('./faces.worker.ts', import.meta.url), { type: 'module' })
);
const helper = (tile: ImageData) => facesPort.ask('tile', { tile });

serve<PhotographQuestions>({
	async prepare() {
		await Promise.all([faceModels(), facesPort.ask('prepare', undefined).catch(() => undefined)]);
		return undefined;
	},
	stand: ({ heads, lens }) => standingOf(heads, lens),
	async look({ file }, pauses) {
		const [opening, models] = await Promise.all([openPicture(file), faceModels()]);
		if (!opening.ok) return opening;
		return { ok: true, seen: await lookFor(models, opening.picture, pauses, helper) };
	}
});

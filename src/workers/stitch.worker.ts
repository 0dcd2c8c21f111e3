import type { PlacedSet } from '$core/stitch/placeFrames';
import type { Projection } from '$core/stitch/projection';
import { SetPictures, type SetFile } from '../photograph/setPicture';
import { serve } from './protocol';

/** Looks how the frames of a set go together, and puts them together roughly. */

export type StitchQuestions = {
	/** Where each frame looked; told how much is done. */
	readonly place: {
		question: { readonly files: readonly SetFile[]; readonly tiltDeg: number };
		partial: number;
		answer: PlacedSet;
	};
	/** A PNG; null where they reach too far for such a picture. */
	readonly together: {
		question: {
			readonly files: readonly SetFile[];
			readonly placed: PlacedSet;
			readonly projection: Projection;
			readonly longPx: number;
		};
		partial: number;
		answer: Blob | null;
	};
};

const pictures = new SetPictures();

serve<StitchQuestions>({
	place({ files, tiltDeg }, { tell, breathe }) {
		return pictures.placed(files, tiltDeg, async (share) => {
			tell(share);
			await breathe();
		});
	},
	together({ files, placed, projection, longPx }, { tell, breathe }) {
		return pictures.together(files, placed, projection, longPx, async (share) => {
			tell(share);
			await breathe();
		});
	}
});

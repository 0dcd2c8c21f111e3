import { develop, type PracticeFile } from '../practice/develop';
import { LostGraphics } from '../practice/camera';
import { framesOf, type RollOrder } from '../practice/roll';
import { sizeOf } from '../practice/sensor';
import { Studio } from '../preview/render/studio';
import { serve } from './protocol';

/** The practice camera beside the page: a roll of frames, one after the other. */

/** A frame that is done, with a small picture of it. */
export interface TakenFrame extends PracticeFile {
	readonly index: number;
	readonly small: Blob;
}

/** What is known of a roll on the way. */
export type RollNews =
	| { readonly kind: 'small'; readonly index: number; readonly small: Blob }
	| { readonly kind: 'share'; readonly index: number; readonly share: number }
	| ({ readonly kind: 'frame' } & TakenFrame);

export type PracticeQuestions = {
	/** Takes a roll from one of its frames on; tells each frame as soon as it is there. */
	readonly roll: {
		question: { readonly order: RollOrder; readonly from: number };
		partial: RollNews;
		answer: undefined;
	};
};

/** Pixels along the long side of the small pictures. */
const SMALL_PX = 480;

let studio: Studio | null = null;

serve<PracticeQuestions>({
	async roll({ order, from }, { tell, breathe }) {
		try {
			studio ??= new Studio(new OffscreenCanvas(1, 1));
			const { body, camera } = order.shot;
			const small = sizeOf(body, camera, Math.min(SMALL_PX, order.longSidePx));
			for (const [index, frame] of framesOf(order).entries()) {
				if (index < from) continue;
				// there in a moment, so that one sees what is coming
				const quiet = { breathe, tell: () => undefined };
				const { jpeg: first } = await develop(studio, order, { ...frame, size: small }, quiet);
				tell({ kind: 'small', index, small: first });
				const file = await develop(studio, order, frame, {
					breathe,
					tell: (share) => tell({ kind: 'share', index, share })
				});
				tell({ kind: 'frame', index, small: first, ...file });
			}
			return undefined;
		} catch (error) {
			// another context may be given
			if (error instanceof LostGraphics) studio = null;
			throw error;
		}
	}
});

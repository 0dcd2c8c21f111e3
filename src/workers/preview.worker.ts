import { transfer } from 'comlink';
import { Engine, type Delivery, type Order } from '../preview/engine';
import { NoGraphics } from '../preview/render/studio';
import { serve } from './protocol';

/** The preview beside the page. */

export type PreviewQuestions = {
	/** Answers why there is no preview, or null; what it draws from then on is told. */
	readonly start: { question: null; partial: Delivery; answer: string | null };
	readonly order: { question: Order; partial: never; answer: undefined };
	readonly pause: { question: boolean; partial: never; answer: undefined };
};

let engine: Engine | null = null;

serve<PreviewQuestions>({
	start(_, { tell }) {
		try {
			const canvas = new OffscreenCanvas(1, 1);
			engine = new Engine(
				canvas,
				() => canvas.transferToImageBitmap(),
				(delivery) => tell(transfer(delivery, [delivery.bitmap]))
			);
			return null;
		} catch (error) {
			if (error instanceof NoGraphics) return error.message;
			throw error;
		}
	},
	order: (order) => {
		engine?.order(order);
		return undefined;
	},
	pause: (isPaused) => {
		engine?.pause(isPaused);
		return undefined;
	}
});

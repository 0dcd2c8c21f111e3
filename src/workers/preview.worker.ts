import { expose, transfer } from 'comlink';
import { Engine, type Delivery, type Order } from '../preview/engine';
import { NoGraphics } from '../preview/render/studio';

/** The preview beside the page. `start` answers why there is none, or null. */

let engine: Engine | null = null;

const service = {
	start(deliver: (delivery: Delivery) => void): string | null {
		try {
			const canvas = new OffscreenCanvas(1, 1);
			engine = new Engine(
				canvas,
				() => canvas.transferToImageBitmap(),
				(delivery) => deliver(transfer(delivery, [delivery.bitmap]))
			);
			return null;
		} catch (error) {
			if (error instanceof NoGraphics) return error.message;
			throw error;
		}
	},
	order(order: Order): void {
		engine?.order(order);
	},
	pause(isPaused: boolean): void {
		engine?.pause(isPaused);
	}
};

export type PreviewService = typeof service;
expose(service);

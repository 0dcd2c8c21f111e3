import type { Delivery, Order } from '../preview/engine';
import { whyNoPictures } from '../preview/render/graphics';
import { WorkerPort } from './port';
import type { PreviewQuestions } from './preview.worker';

/** The preview as the page uses it: in a worker where it can be, else on the page. */
export interface PreviewPort {
	order(order: Order): void;
	pause(isPaused: boolean): void;
}

/** A running preview, or in words why there is none. */
export type PreviewStart =
	{ readonly ok: true; readonly port: PreviewPort } | { readonly ok: false; readonly why: string };

export async function startPreview(deliver: (delivery: Delivery) => void): Promise<PreviewStart> {
	try {
		// asked here first: without graphics nothing of the preview need be loaded
		const why = whyNotHere();
		if (why !== null) return { ok: false, why };
		if (typeof OffscreenCanvas === 'undefined') return await startOnPage(deliver);
		const port = new WorkerPort<PreviewQuestions>(
			() => new Worker(new URL('./preview.worker.ts', import.meta.url), { type: 'module' })
		);
		const refusal = await port.ask('start', null, { tell: deliver });
		if (refusal === null) {
			return {
				ok: true,
				port: {
					order: (order) => void port.ask('order', order),
					pause: (isPaused) => void port.ask('pause', isPaused)
				}
			};
		}
		port.stop();
		// some browsers draw on a page what they do not draw in a worker
		return await startOnPage(deliver);
	} catch (error) {
		return { ok: false, why: error instanceof Error ? error.message : String(error) };
	}
}

function whyNotHere(): string | null {
	const context = document.createElement('canvas').getContext('webgl2');
	const why = whyNoPictures(context);
	context?.getExtension('WEBGL_lose_context')?.loseContext();
	return why;
}

async function startOnPage(deliver: (delivery: Delivery) => void): Promise<PreviewStart> {
	const { Engine } = await import('../preview/engine');
	const canvas = document.createElement('canvas');
	return { ok: true, port: new Engine(canvas, () => createImageBitmap(canvas), deliver) };
}

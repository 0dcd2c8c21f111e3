import { wrap, type Remote } from 'comlink';
import type { CardsService } from './cards.worker';

/** Cards for paper, made beside the page; started when first asked. */

let service: Remote<CardsService> | null = null;

export function cardsService(): Remote<CardsService> {
	service ??= wrap<CardsService>(
		new Worker(new URL('./cards.worker.ts', import.meta.url), { type: 'module' })
	);
	return service;
}

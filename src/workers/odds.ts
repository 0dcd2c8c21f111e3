import { proxy, wrap, type Remote } from 'comlink';
import type { OddsQuestion, OddsService, OddsTable } from './odds.worker';

/** Odds beside the page; started when first asked. */

export type { OddsTable } from './odds.worker';

let service: Remote<OddsService> | null = null;

export function oddsService(): Remote<OddsService> {
	service ??= wrap<OddsService>(
		new Worker(new URL('./odds.worker.ts', import.meta.url), { type: 'module' })
	);
	return service;
}

/** Counts, and tells what is known after each round. */
export function countOdds(question: OddsQuestion, tell: (table: OddsTable) => void): Promise<void> {
	return oddsService().odds(question, proxy(tell));
}

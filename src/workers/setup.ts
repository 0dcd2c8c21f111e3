import { wrap, type Remote } from 'comlink';
import type { SetupService } from './setup.worker';

/** Advice, ways and standpoints beside the page; started when first asked. */

let service: Remote<SetupService> | null = null;

export function setupService(): Remote<SetupService> {
	service ??= wrap<SetupService>(
		new Worker(new URL('./setup.worker.ts', import.meta.url), { type: 'module' })
	);
	return service;
}

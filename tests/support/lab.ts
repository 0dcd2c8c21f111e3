import type { Page } from '@playwright/test';
import { test as base } from './app';
import type { Harness } from './harness';
import { labPage } from './labPage.mjs';

/** A page with the preview in it and nothing else, to measure what it draws. */

type MethodNames = keyof Harness;

export class Lab {
	readonly #page: Page;

	constructor(page: Page) {
		this.#page = page;
	}

	/** Calls the harness in the page. */
	call<M extends MethodNames>(
		method: M,
		...args: Parameters<Harness[M]>
	): Promise<Awaited<ReturnType<Harness[M]>>> {
		return this.#page.evaluate(
			([name, given]) => {
				const { harness } = window as unknown as {
					harness: Record<string, (...all: unknown[]) => unknown>;
				};
				return harness[name as string]?.(...(given as unknown[]));
			},
			[method, args] as const
		) as Promise<Awaited<ReturnType<Harness[M]>>>;
	}
}

/** One page a worker: its shaders are compiled once. */
export const test = base.extend<object, { lab: Lab }>({
	lab: [
		async ({ browser }, use) => {
			const page = await labPage(browser, 'tests/support/harness.ts');
			await use(new Lab(page));
			await page.close();
		},
		{ scope: 'worker' }
	]
});

export { expect } from './app';

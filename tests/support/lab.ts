import type { Page } from '@playwright/test';
import { test as base } from './app';
import type { Harness } from './harness';
import { harnessScript } from './harnessScript.mjs';

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

export const test = base.extend<{ lab: Lab }, { script: string }>({
	script: [
		// eslint-disable-next-line no-empty-pattern -- Playwright reads the fixtures it needs from here
		async ({}, use) => use(await harnessScript()),
		{ scope: 'worker' }
	],
	lab: async ({ page, script }, use) => {
		await page.goto('about:blank');
		await page.addScriptTag({ content: script });
		await use(new Lab(page));
	}
});

export { expect } from './app';

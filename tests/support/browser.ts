import { test as base, type BrowserContext, type CDPSession } from '@playwright/test';

/**
 * Tests with the same options share a browser context, emptied before each, so that the browser
 * keeps its process and what it compiled: opening the app anew costs more than most tests do.
 */

interface Kept {
	readonly context: BrowserContext;
	/** Of a page that stays, and keeps the process. */
	readonly session: CDPSession;
}

interface Options {
	/** For what reaches beyond a page: the clock, the network, service workers. */
	ownContext: boolean;
}

export const test = base.extend<Options, { kept: Map<string, Kept> }>({
	ownContext: [false, { option: true }],

	kept: [
		async ({ browserName: _ }, use) => {
			const kept = new Map<string, Kept>();
			await use(kept);
			for (const { context } of kept.values()) await context.close();
		},
		{ scope: 'worker' }
	],

	context: async (
		{
			browser,
			kept,
			ownContext,
			baseURL,
			viewport,
			colorScheme,
			hasTouch,
			isMobile,
			contextOptions
		},
		use
	) => {
		if (ownContext) {
			const context = await browser.newContext();
			await use(context);
			return context.close();
		}
		const key = JSON.stringify([viewport, colorScheme, hasTouch, isMobile, contextOptions]);
		const { context, session } = kept.get(key) ?? (await begun(browser.newContext()));
		kept.set(key, { context, session });
		const origin = new URL(baseURL ?? '').origin;
		await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'all' });
		const [stays] = context.pages();
		await use(context);
		for (const page of context.pages()) if (page !== stays) await page.close();
	},

	page: async ({ context }, use) => use(await context.newPage())
});

async function begun(opening: Promise<BrowserContext>): Promise<Kept> {
	const context = await opening;
	const page = await context.newPage();
	await page.goto('/api/health');
	return { context, session: await context.newCDPSession(page) };
}

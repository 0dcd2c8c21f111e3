import type { Browser, Page } from '@playwright/test';
import { pageScript } from './harnessScript.mjs';

/** A page with a module of the tests in it and nothing else. What makes ids is only there in a page of a place that is trusted. */
export async function labPage(browser: Browser, entry: string): Promise<Page> {
	const page = await browser.newPage();
	await page.route('http://localhost/', (route) =>
		route.fulfill({ contentType: 'text/html', body: '' })
	);
	await page.goto('http://localhost/');
	await page.addScriptTag({ content: await pageScript(entry) });
	return page;
}

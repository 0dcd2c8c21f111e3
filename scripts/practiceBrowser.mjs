import { chromium } from '@playwright/test';
import { pageScript } from '../tests/support/harnessScript.mjs';
import { installChromium, installPackages } from './prepare.mjs';

/**
 * Opens a page with the practice camera in it (`practicePage.ts`), and closes it again.
 * @param use is given a function that calls a method of it
 */
export async function withPracticeCamera(use) {
	installPackages();
	const executablePath = installChromium();
	const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
	try {
		const page = await browser.newPage();
		// what makes ids is only there in a page of a place that is trusted
		await page.route('http://localhost/', (route) =>
			route.fulfill({ contentType: 'text/html', body: '' })
		);
		await page.goto('http://localhost/');
		await page.addScriptTag({ content: await pageScript('scripts/practicePage.ts') });
		await use((name, ...given) =>
			page.evaluate(([method, all]) => globalThis.practice[method](...all), [name, given])
		);
	} finally {
		await browser.close();
	}
}

import { chromium } from '@playwright/test';
import { labPage } from '../tests/support/labPage.mjs';
import { installChromium, installPackages } from './prepare.mjs';

/**
 * Opens a page with a module in it, and closes it again.
 * @param entry path of the module in the project
 * @param name  of what the module leaves in the page
 * @param use   is given a function that calls a method of that
 */
export async function withLab(entry, name, use) {
	installPackages();
	const executablePath = installChromium();
	const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
	try {
		const page = await labPage(browser, entry);
		await use((method, ...given) =>
			page.evaluate(([lab, asked, all]) => globalThis[lab][asked](...all), [name, method, given])
		);
	} finally {
		await browser.close();
	}
}

/** The same with the practice camera. */
export const withPracticeCamera = (use) => withLab('scripts/practicePage.ts', 'practice', use);

/**
 * What practice frames cost, drawn in software by headless Chromium: the first frame of fifteen people
 * with everything to be sculpted, and frames a minute at three sizes.
 */
import { chromium } from '@playwright/test';
import { pageScript } from '../tests/support/harnessScript.mjs';
import { installChromium, installPackages } from './prepare.mjs';

installPackages();
const executablePath = installChromium();
const FAMILIES = 1;
const SIZES = [480, 1200, 2400, 6000];
const FIRST_MS = 2000;

const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
try {
	const page = await browser.newPage();
	await page.route('http://localhost/', (route) =>
		route.fulfill({ contentType: 'text/html', body: '' })
	);
	await page.goto('http://localhost/');
	await page.addScriptTag({ content: await pageScript('scripts/practicePage.ts') });
	const take = async (longSidePx, index) => {
		const startedAt = Date.now();
		const wanted = { longSidePx, framesOfEach: 6, seed: 1 };
		await page.evaluate(
			([what, roll, frame]) => globalThis.practice.file(what, roll, frame),
			[wanted, FAMILIES, index]
		);
		return Date.now() - startedAt;
	};
	const small = await take(480, 0);
	const first = await take(2400, 0);
	console.log(`the very first look, 480 px, with sculpting: ${small} ms`);
	console.log(
		`the first frame at 2400 × 1600 after it: ${first} ms = ${(first / FIRST_MS).toFixed(1)} of ${FIRST_MS}`
	);
	for (const px of SIZES) {
		const times = [];
		for (const index of px > 3000 ? [1] : [1, 2, 3]) times.push(await take(px, index));
		const mean = times.reduce((sum, one) => sum + one, 0) / times.length;
		console.log(
			`${px} px: ${(60_000 / mean).toFixed(1)} frames a minute, ${Math.round(mean)} ms each`
		);
	}
} finally {
	await browser.close();
}

/**
 * How soon somebody who was never here sees the verdict of a shot of the sample day on a slow phone: another browser each
 * time, its processor slowed down four times, the server on the same machine; and how much JavaScript that took.
 */
import { served } from '../served.mjs';

const OPENS = 7;
const BUDGET_MS = 2500;
const { address, launch, stop } = await served(4195);

/** From asking for the page to the moment when the verdict stands on the screen, ms: Element Timing of the browser. */
async function opened() {
	const browser = await launch();
	try {
		const page = await browser.newPage({
			viewport: { width: 390, height: 844 },
			deviceScaleFactor: 2,
			isMobile: true,
			hasTouch: true
		});
		const slow = await page.context().newCDPSession(page);
		await slow.send('Emulation.setCPUThrottlingRate', { rate: 4 });
		await page.addInitScript(() => {
			// what is to be timed must say so before it is painted
			new MutationObserver(() => {
				const headline = document.querySelector('[aria-label="Verdict"] :is(h1, h2)');
				if (headline?.textContent.includes('Focus on')) headline.setAttribute('elementtiming', '');
			}).observe(document, { subtree: true, childList: true, characterData: true });
			new PerformanceObserver((list) => {
				window.seenMs ??= list.getEntries()[0]?.renderTime;
			}).observe({ type: 'element', buffered: true });
		});
		await page.goto(`${address}/?sample=Two%20families&at=plan`);
		await page.waitForFunction(() => window.seenMs !== undefined);
		return await page.evaluate(() => ({
			ms: window.seenMs,
			bytes: performance
				.getEntriesByType('resource')
				.filter(({ name, responseEnd }) => name.endsWith('.js') && responseEnd < window.seenMs)
				.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0)
		}));
	} finally {
		await browser.close();
	}
}

try {
	const all = [];
	for (let i = 0; i < OPENS; i++) all.push(await opened());
	const times = all.map(({ ms }) => ms).sort((a, b) => a - b);
	const median = times[Math.floor(OPENS / 2)];
	console.log(
		`The first verdict on a cold, slow phone: ${median.toFixed(0)} ms = ${(median / BUDGET_MS).toFixed(2)} of ${BUDGET_MS}; ${times[0].toFixed(0)} to ${times.at(-1).toFixed(0)} ms.`
	);
	console.log(`JavaScript until then, compressed: ${Math.round(all[0].bytes / 1000)} kB.`);
} finally {
	stop();
}

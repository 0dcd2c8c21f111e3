/**
 * How soon a long day is on the screen, and how smoothly it scrolls: 200 shots, opened from another
 * day and with the whole page, against 10; until the list is in its place with the first verdict.
 */
import { readFileSync } from 'node:fs';
import { served } from '../served.mjs';

const { address, launch, stop } = await served(4197);

const OPENS = 5;
const BUDGET_MS = 1000;
const SHOTS = 200;
const browser = await launch();

/** Waits until so many shots are listed, the first with its verdict. */
const listed = (page, count) =>
	page.waitForFunction(
		(wanted) =>
			document.querySelectorAll('[data-shot]').length >= wanted &&
			document.querySelector('[data-shot] .verdict')?.textContent.includes('f/'),
		count,
		{ polling: 'raf' }
	);

/** The median time to load the page with the day that is kept in its browser, ms. */
async function opening(page, count) {
	const times = [];
	for (let i = 0; i < OPENS; i++) {
		await page.goto(`${address}/?at=day`);
		await listed(page, count);
		times.push(await page.evaluate(() => performance.now()));
	}
	return times.sort((a, b) => a - b)[Math.floor(OPENS / 2)];
}

try {
	const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	await page.goto(`${address}/?sample&at=day`);
	await page.locator('[data-shot]').first().waitFor();
	const few = await opening(page, 10);

	await page.getByRole('button', { name: 'Files', exact: true }).click();
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'The whole day' }).click();
	const job = JSON.parse(readFileSync(await (await download).path(), 'utf8'));
	const shots = Array.from({ length: SHOTS }, (_, i) => {
		const one = job.shots[i % job.shots.length];
		const time = `${String(8 + Math.floor(i / 20)).padStart(2, '0')}:${String((i % 20) * 3).padStart(2, '0')}`;
		return { ...one, id: `shot-${i}`, startsAt: `${job.date}T${time}`, minutes: 3 };
	});
	const long = { ...job, title: 'A long day', shots };
	const other = await browser.newPage({ viewport: { width: 1280, height: 800 } });
	await other.goto(address);
	await other.getByLabel('Open a file').setInputFiles({
		name: 'long.json',
		mimeType: 'application/json',
		buffer: Buffer.from(JSON.stringify(long))
	});
	await other.getByRole('button', { name: 'Add it' }).click();
	await other.waitForFunction(() => document.querySelector('.app')?.dataset.saved === 'true');
	const many = await opening(other, SHOTS);

	const jobs = other.getByRole('button', { name: 'Jobs' });
	const choose = (name) => other.getByRole('dialog').getByRole('button', { name }).click();
	await jobs.click();
	await choose('A new day');
	await other.getByText('No shots yet.', { exact: true }).waitFor();
	await jobs.click();
	await other.evaluate(() =>
		addEventListener('click', () => performance.mark('chosen'), { capture: true, once: true })
	);
	await choose(/A long day/);
	await listed(other, SHOTS);
	const chosen = await other.evaluate(() => performance.measure('opened', 'chosen').duration);
	const ratio = (chosen / BUDGET_MS).toFixed(2);
	console.log(`A day of ${SHOTS} shots opens in ${chosen.toFixed(0)} ms = ${ratio} of a second.`);
	console.log(
		`With the whole page ${many.toFixed(0)} ms, ${(many / few).toFixed(1)} times as long as with 10 shots (${few.toFixed(0)} ms).`
	);

	/** Gaps between frames, ms, while the list moves so many pixels a frame; sorted. */
	const scrolled = (stepPx) =>
		other.evaluate(async (step) => {
			const list = document.querySelector('section.shots');
			const gaps = [];
			let last = performance.now();
			for (let y = 0; y < 16_000; y += 120) {
				list.scrollTop = step && y;
				await new Promise((resolve) => requestAnimationFrame(resolve));
				const now = performance.now();
				gaps.push(now - last);
				last = now;
			}
			return gaps.sort((a, b) => a - b);
		}, stepPx);
	for (const [what, stepPx] of [
		['Standing still', 0],
		['Scrolling all of it', 120]
	]) {
		const gaps = await scrolled(stepPx);
		const at = (share) => gaps[Math.floor(share * (gaps.length - 1))];
		const rate = (1000 * gaps.length) / gaps.reduce((sum, one) => sum + one, 0);
		console.log(
			`${what}, ${gaps.length} frames: ${rate.toFixed(0)} a second, median ${at(0.5).toFixed(1)} ms, 95 % within ${at(0.95).toFixed(1)} ms, worst ${at(1).toFixed(1)} ms.`
		);
	}
} finally {
	await browser.close();
	stop();
}

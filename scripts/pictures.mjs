/** Takes the pictures of docs/screenshots anew, from the sample day: all, or those named. */
import { mkdirSync } from 'node:fs';
import { served } from './served.mjs';

const FOLDER = 'docs/screenshots';
const named = process.argv.slice(2);
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const toCard = async (page) => {
	await toPlace(page, 'Card');
	await page.getByText(/frames to be/).waitFor();
};
const toUnplanned = async (page) => {
	await toPlace(page, 'Card');
	await page.getByRole('button', { name: 'Unplanned', exact: true }).click();
	for (const text of ['24–70 mm f/2.8', 'full length', 'two rows']) {
		await page.locator('label', { hasText: text }).first().click();
	}
	await page.getByRole('button', { name: /Keep it as a shot/ }).waitFor();
};

/** Takes so many practice frames of the open shot. */
async function shoot(page, frames) {
	await page.getByRole('button', { name: 'shoot it' }).click();
	const sheet = page.getByRole('dialog');
	await sheet.getByLabel('frames').fill(String(frames));
	await sheet.getByRole('button', { name: 'Shoot it', exact: true }).click();
	await sheet.getByText(`${frames} of ${frames} frames`).waitFor({ timeout: 120_000 });
	return sheet;
}
const toPlace = (page, name) => page.getByRole('navigation').getByRole('button', { name }).click();

/** Instead of a shot: nothing is kept yet. */
const FIRST = Symbol('the first visit');

/** Each: a file, the size, the look, the shot (null for the day), and what to do before the picture is taken. */
const PICTURES = [
	['welcome', DESK, 'day', FIRST],
	['day', DESK, 'day', null],
	['phone-day', PHONE, 'night', null],
	['card', DESK, 'day', /Two families/, toCard],
	['phone-card', PHONE, 'day', /Two families/, toCard],
	['unplanned', DESK, 'night', /Two families/, toUnplanned],
	['plan-day', DESK, 'day', /Two families/],
	['plan-night', DESK, 'night', /Two families/],
	[
		'plan-why',
		DESK,
		'day',
		/Two families/,
		async (page) => {
			await page.getByRole('button', { name: 'why', exact: true }).click();
			await page.locator('.js-plotly-plot .trace').first().waitFor();
		}
	],
	[
		'plan-compare',
		DESK,
		'day',
		/The couple/,
		(page) => page.getByLabel('Compare with').selectOption('f/1.4')
	],
	[
		'plan-shoot',
		DESK,
		'day',
		/The couple/,
		async (page) => {
			await page.getByRole('button', { name: 'shoot it' }).click();
			const sheet = page.getByRole('dialog');
			await sheet.getByLabel('frames').fill('5');
			await sheet.getByLabel('size').selectOption({ index: 0 });
			await sheet.getByRole('button', { name: 'Shoot it', exact: true }).click();
			await sheet.getByText('5 of 5 frames').waitFor({ timeout: 120_000 });
			await sheet.getByRole('button', { name: 'frame 3', exact: true }).click();
			await sheet.getByRole('radio', { name: '100 %' }).check({ force: true });
		}
	],
	[
		'photograph',
		DESK,
		'day',
		/Two families/,
		async (page) => {
			const sheet = await shoot(page, 1);
			await sheet.getByRole('button', { name: 'Stage from this frame…' }).click();
			await page.getByText(/faces found/).waitFor({ timeout: 60_000 });
		}
	],
	[
		'plan-eyes',
		DESK,
		'night',
		/The couple/,
		(page) => page.getByRole('button', { name: /^Ilinca at large/ }).click()
	],
	[
		'setup-wide',
		DESK,
		'day',
		/The couple/,
		async (page) => {
			await inSetup(page, 'framing');
			await page.getByText('Wide and shallow: many frames').click();
			await page.getByText('35 mm', { exact: true }).click();
			await page.getByRole('img', { name: /^The frames and the way/ }).waitFor();
			await page.getByText('most frames you want').evaluate((one) => one.scrollIntoView());
		}
	],
	[
		'bench',
		DESK,
		'day',
		/The couple/,
		async (page) => {
			await toPlace(page, 'Bench');
			await page.getByRole('button', { name: 'Choose a lens' }).click();
			for (const lens of ['50 mm f/1.4', '85 mm f/1.4', '135 mm f/1.8']) {
				await page.getByRole('button', { name: `shortlist ${lens}`, exact: true }).click();
			}
			await page.getByRole('group', { name: 'Working out the day' }).waitFor({ state: 'hidden' });
		}
	],
	['setup-light', DESK, 'day', /An elder/, (page) => inSetup(page, /^light/)],
	[
		'review',
		DESK,
		'day',
		/The couple/,
		async (page) => {
			for (const before of [0, 1]) {
				if (before > 0) {
					await toPlace(page, 'Plan');
					await page.getByRole('button', { name: 'next shot' }).click();
				}
				const sheet = await shoot(page, 4);
				await sheet.getByRole('button', { name: 'Judge them in Review' }).click();
				const all = page.getByText(/^4 · \d good$/).nth(before);
				await all.waitFor({ timeout: 60_000 });
			}
			await page.getByRole('button', { name: /^Two families/ }).click();
			await page.locator('.strip', { hasText: '…' }).waitFor({ state: 'hidden' });
			await page.evaluate(() => document.activeElement?.blur());
			// two frames are kept, the third is looked at
			for (const key of ['k', 'ArrowRight', 'k', 'ArrowRight']) await page.keyboard.press(key);
			await page.waitForFunction(() =>
				[...document.querySelectorAll('.piece canvas')].every(
					(one) =>
						one.getContext('2d').getImageData(one.width / 2, one.height / 2, 1, 1).data[3] > 0
				)
			);
		}
	],
	[
		'plan-where',
		DESK,
		'day',
		/The toast/,
		async (page) => {
			await page.getByRole('button', { name: 'where to stand' }).click();
			await page.getByRole('button', { name: /^Go to the arrow/ }).waitFor();
		}
	],
	[
		'phone-frame',
		PHONE,
		'night',
		/The ring bearer/,
		(page) => page.getByRole('radio', { name: 'Frame' }).check({ force: true })
	]
];

/** Opens one of the sheets of the set-up. */
const inSetup = (page, name) =>
	page.getByRole('group', { name: 'Set-up' }).getByRole('button', { name }).click();

mkdirSync(FOLDER, { recursive: true });
const { address, launch, stop } = await served(4199);
const browser = await launch();
try {
	for (const [name, viewport, look, title, prepare] of PICTURES) {
		if (named.length > 0 && !named.includes(name)) continue;
		const isPhone = viewport === PHONE;
		const page = await browser.newPage({
			viewport,
			colorScheme: look === 'night' ? 'dark' : 'light',
			hasTouch: isPhone,
			isMobile: isPhone,
			reducedMotion: 'reduce'
		});
		if (title === FIRST) {
			await page.goto(address);
			await page.getByRole('region', { name: 'Try it' }).waitFor();
		} else if (title) {
			await page.goto(`${address}/?sample=${encodeURIComponent(title.source)}`);
			await page.getByRole('region', { name: 'Verdict' }).waitFor();
		} else {
			await page.goto(`${address}/?sample&at=day`);
			await page.getByText('All fifteen').waitFor();
		}
		await page.mouse.move(0, 0);
		await prepare?.(page);
		await page.evaluate(() =>
			Promise.allSettled(document.getAnimations().map((one) => one.finished))
		);
		await page.waitForFunction(
			() =>
				[...document.querySelectorAll('[data-settled]')].every(
					(one) => one.getAttribute('data-settled') === 'true'
				),
			undefined,
			{ timeout: 120_000 }
		);
		await page.screenshot({ path: `${FOLDER}/${name}.png` });
		await page.close();
		console.log(`${FOLDER}/${name}.png`);
	}
} finally {
	await browser.close();
	stop();
}

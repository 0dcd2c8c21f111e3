import type { JSHandle, Locator } from '@playwright/test';
import { axe } from './support/axe';
import { expect, test } from './support/app';
import { begun, frame, picture, settled } from './support/pictures';

/** The rendered pictures on the Plan screen, drawn in software. */

test.setTimeout(90_000);

/** A number that changes with the contents of a picture. */
const hashOf = (pixels: JSHandle<Uint8ClampedArray>): Promise<number> =>
	pixels.evaluate((all) => all.reduce((hash, value) => (hash * 31 + value) % 1_000_003, 7));

const contents = async (one: Locator): Promise<number> =>
	hashOf(
		await one.locator('canvas').evaluateHandle((canvas: HTMLCanvasElement) => {
			const { width, height } = canvas;
			return (
				canvas.getContext('2d')?.getImageData(0, 0, width, height).data ?? new Uint8ClampedArray()
			);
		})
	);

/**
 * Watches a picture: gives a function that makes a change and tells the contents as it settles after
 * it. On a quick card it becomes finer still.
 */
async function watched(one: Locator) {
	const latest = await one.evaluateHandle((element) => {
		const canvas = element.querySelector('canvas');
		const found = { pixels: new Uint8ClampedArray(), times: 0 };
		new MutationObserver(() => {
			const context = canvas?.getContext('2d');
			if (!canvas || !context || element.dataset['settled'] !== 'true') return;
			found.pixels = context.getImageData(0, 0, canvas.width, canvas.height).data;
			found.times += 1;
		}).observe(element, { attributeFilter: ['data-settled'] });
		return found;
	});
	return async (change: () => Promise<void>): Promise<number> => {
		const times = () => latest.evaluate((found) => found.times);
		const before = await times();
		await change();
		// unsettled it may be for a moment only
		await expect.poll(times, { timeout: 30_000 }).toBeGreaterThan(before);
		// what is worked out meanwhile may change the size of the picture: it has come to rest
		let last = 0;
		await expect
			.poll(async () => last === (last = await times()), { intervals: [1500], timeout: 30_000 })
			.toBe(true);
		return hashOf(await latest.evaluateHandle(({ pixels }) => pixels));
	};
}

test('the frame is drawn, settles, and is drawn again after a change', async ({ app, page }) => {
	await app.openSample(/The couple/);
	// the last row of the ladder takes its place from the frame
	await expect(app.ladder.getByRole('row', { name: /^good of 100 frames/ })).toBeVisible();
	await settled(frame(page));
	const drawnAfter = await watched(frame(page));
	const fix = (fNumber: number) => async () => {
		await app.rung(fNumber).click();
		await page.mouse.move(5, 5);
	};
	const wide = await drawnAfter(fix(1.4));
	const narrow = await drawnAfter(fix(2));
	expect(narrow).not.toBe(wide);
	// the same points of the pupil give the same picture
	expect(await drawnAfter(() => page.keyboard.press('Control+z'))).toBe(wide);
});

test('what changes while nobody looks is drawn when somebody does', async ({ app, page }) => {
	await app.openSample(/The couple/);
	await settled(frame(page));
	const hide = (isHidden: boolean) =>
		page.evaluate((hidden) => {
			Object.defineProperty(document, 'hidden', { value: hidden, configurable: true });
			document.dispatchEvent(new Event('visibilitychange'));
		}, isHidden);
	await hide(true);
	// what was on its way still comes
	let before = await contents(frame(page));
	const isStill = async () => {
		const last = before;
		before = await contents(frame(page));
		return before === last;
	};
	await expect.poll(isStill).toBe(true);
	await app.rung(2.8).click();
	await page.mouse.move(5, 5);
	await expect(app.headline).toContainText('locked');
	await expect(frame(page)).toHaveAttribute('data-settled', 'false');
	expect(await contents(frame(page))).toBe(before);
	await hide(false);
	await settled(frame(page));
	expect(await contents(frame(page))).not.toBe(before);
});

test('without a canvas off the screen it is drawn on the page', async ({ app, page }) => {
	await page.addInitScript(() => Reflect.deleteProperty(window, 'OffscreenCanvas'));
	await app.openSample(/The bandleader/);
	await settled(frame(page));
	const workers = page.workers().map((worker) => worker.url());
	expect(workers.filter((url) => url.includes('preview'))).toEqual([]);
});

test('a click on a face in the picture focuses there, and the ring moves', async ({
	app,
	page
}) => {
	await app.openSample(/The couple/);
	await begun(frame(page));
	const ring = page.locator('.drawing circle.point');
	const before = await ring.getAttribute('cx');
	const tomas = app.frame.getByRole('option', { name: /^Tomás,/ });
	const { x, y } = await app.middleOf(tomas.locator('.skull'));
	await page.mouse.click(x, y);
	await expect(app.headline).toContainText('Tomás');
	await expect(ring).not.toHaveAttribute('cx', before ?? '');
});

test('what lies over the picture is switched on and off, and kept', async ({ app, page }) => {
	await app.openSample(/The couple/);
	await begun(frame(page));
	const marks = page.locator('.drawing [data-eye]');
	await expect(marks).toHaveCount(0);
	await page.getByRole('button', { name: /^show/ }).click();
	const choices = page.getByRole('dialog', { name: 'Show over the picture' });
	await choices.getByLabel('states of eyes and things').check();
	await expect(marks.first()).toBeVisible();
	await choices.getByLabel('thirds').check();
	await choices.getByLabel('margin to crop').check();
	await expect(page.locator('.drawing .guide')).toHaveCount(2);
	await choices.getByLabel('focus point', { exact: true }).uncheck();
	await expect(page.locator('.drawing circle.point')).toHaveCount(0);
	await page.reload();
	await begun(frame(page));
	await expect(page.locator('.drawing .guide')).toHaveCount(2);
	await expect(page.locator('.drawing circle.point')).toHaveCount(0);
});

test('compared with another f-number, another person and the state before, by a divider', async ({
	app,
	page
}) => {
	await app.openSample(/The couple/);
	await begun(frame(page));
	const compare = page.getByLabel('Compare with');
	await compare.selectOption('f/1.4');
	const second = picture(page, 'The picture with f/1.4');
	await settled(second);
	expect(await contents(second)).not.toBe(await contents(frame(page)));
	const clip = () => page.locator('.second').evaluate((one) => getComputedStyle(one).clipPath);
	await page.getByRole('slider', { name: /^Divider/ }).focus();
	const middle = await clip();
	await page.keyboard.press('ArrowLeft');
	await expect.poll(clip).not.toBe(middle);
	await page.getByRole('button', { name: 'only the plan' }).click();
	await expect.poll(clip).toContain('100%');

	await compare.selectOption('focused on Tomás');
	await settled(picture(page, 'The picture with focused on Tomás'));
	await page.getByRole('button', { name: 'Stop comparing' }).click();
	await expect(second).toBeHidden();

	await app.rung(1.4).click();
	await page.mouse.move(5, 5);
	await compare.selectOption('before the last change');
	await settled(picture(page, 'The picture with before the last change'));
});

test.describe('close-ups of the eyes', () => {
	test('those that fail come first; a click focuses, Enter opens four parts at one scale', async ({
		app,
		page
	}) => {
		await app.openSample(/Two families/);
		await app.rung(2.8).click();
		await page.mouse.move(5, 5);
		const tiles = page.getByRole('region', { name: 'Eyes' }).getByRole('button', {
			name: /Focus here/
		});
		await expect(tiles.first()).toHaveAccessibleName(/a stop short|soft/);
		// a bar each: how much of the blur that is allowed, in per cent
		const shares = await tiles
			.locator('.bar')
			.evaluateAll((bars) => bars.map((bar) => parseFloat((bar as HTMLElement).title)));
		const failing = shares.filter((share) => share > 100);
		expect(failing.length).toBeGreaterThan(0);
		expect(shares.slice(0, failing.length)).toEqual(failing.toSorted((a, b) => b - a));
		await settled(picture(page, /^Eyes of /).first());

		const name = ((await tiles.first().getAttribute('aria-label')) ?? '').split(',')[0] ?? '';
		await tiles.first().click();
		await expect(app.headline).toContainText(name);

		const own = tiles.filter({ hasText: name });
		await own.press('Enter');
		const large = page.getByRole('dialog');
		for (const part of ['near eye', 'far eye', 'nose', 'ear']) {
			await settled(large.getByRole('img', { name: new RegExp(`^${part} at`) }));
		}
		await axe(page, 'dialog[open]');
		await large.locator('figure').filter({ hasText: 'nose' }).getByRole('button').click();
		await page.keyboard.press('Escape');
		await expect(app.headline).toContainText(`${name}’s nose`);
	});
});

for (const look of ['day', 'night'] as const) {
	test.describe(`${look} look`, () => {
		test.use({ colorScheme: look === 'night' ? 'dark' : 'light' });
		test('axe finds nothing in the pictures, comparing, and the dialog to save', async ({
			app,
			page
		}) => {
			await app.openSample(/The couple/);
			await begun(frame(page));
			await page.getByLabel('Compare with').selectOption('f/1.4');
			await settled(picture(page, 'The picture with f/1.4'));
			await axe(page);
			await page.getByRole('button', { name: 'save…' }).click();
			await axe(page, 'dialog[open]');
		});
	});
}

test.describe('a phone', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

	test('eyes are a tab of their own, and open at large by a tap', async ({ app, page }) => {
		await app.openSample(/The couple/);
		await page.getByRole('radio', { name: 'Eyes' }).check({ force: true });
		await settled(picture(page, /^Eyes of Ilinca/));
		await axe(page);
		await page.getByRole('button', { name: /^Ilinca at large/ }).tap();
		await expect(page.getByRole('dialog')).toContainText('near eye');
		const surplus = await page.evaluate(
			() => document.documentElement.scrollWidth - document.documentElement.clientWidth
		);
		expect(surplus).toBe(0);
	});
});

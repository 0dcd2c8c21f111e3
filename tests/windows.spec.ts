import type { Page } from '@playwright/test';
import { atRest, axe } from './support/axe';
import { expect, test } from './support/app';

/** In every window: a desk's, a low one, a phone's, with large text. */

/** How far the page is wider than the window, px. */
const surplus = (page: Page) =>
	page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

test('the whole of Plan fits 1280 × 660 without scrolling', async ({ app, page }) => {
	for (const title of [/Two families/, /The couple/, /Everyone, from the balcony/]) {
		await app.openSample(title);
		await expect(app.ladder.getByRole('row', { name: /^good of 100 frames/ })).toBeVisible();
		const heights = await page.evaluate(() => [
			document.documentElement.scrollHeight,
			document.documentElement.clientHeight
		]);
		expect(heights[0]).toBeLessThanOrEqual(heights[1] ?? 0);
		expect(await surplus(page)).toBe(0);
	}
});

test.describe('a low window', () => {
	test.use({ viewport: { width: 1280, height: 540 } });

	test('the ladder stays where it is while a rung is pointed at', async ({ app, page }) => {
		await app.openSample(/The couple/);
		await expect(app.ladder.getByRole('row', { name: /^good of 100 frames/ })).toBeVisible();
		// what comes later makes room for itself
		await expect(page.getByRole('group', { name: 'Try instead' })).toContainText('in 100');
		for (const fNumber of [1.4, 2.8, 8]) {
			const rung = app.rung(fNumber);
			const topOf = async () => Math.round((await rung.boundingBox())?.y ?? 0);
			await page.mouse.move(2, 2);
			await expect(app.headline).not.toContainText('peek');
			const before = await topOf();
			await rung.hover({ position: { x: 12, y: 3 } });
			await expect(app.headline).toContainText(`f/${fNumber}`);
			expect(await topOf()).toBe(before);
			await page.mouse.down();
			await page.mouse.up();
			await page.mouse.move(2, 2);
			await expect(app.headline).toContainText('locked');
			await expect(app.headline).toContainText(`f/${fNumber}`);
			await page.keyboard.press('Control+z');
			await expect(app.headline).not.toContainText('locked');
		}
	});
});

test.describe('a phone', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

	test('verdict on top, stage and frame in turn, the f-number under the thumb', async ({
		app,
		page
	}) => {
		await app.openSample(/Two families/);
		expect(await surplus(page)).toBe(0);
		await axe(page);
		// what is in the text is large to the thumb, and lies over nothing else that is
		for (const [name, sheet] of [
			['why', 'Why'],
			[/^Lens and body/, 'Lens, body and distance'],
			['shoot it', 'Shoot it']
		] as const) {
			await app.verdict.getByRole('button', { name, exact: true }).tap();
			const opened = page.getByRole('dialog').filter({ hasText: sheet });
			await opened.getByRole('button', { name: 'Close' }).tap();
			await expect(opened).toBeHidden();
		}
		await expect(app.stage).toBeVisible();
		await page.getByRole('radio', { name: 'Frame' }).check({ force: true });
		await expect(app.frame).toBeVisible();
		await expect(app.stage).toBeHidden();

		const stepper = page.getByRole('group', { name: 'f-number' });
		const shown = stepper.locator('strong');
		const before = (await shown.textContent()) ?? '';
		await stepper.getByRole('button', { name: 'narrower' }).tap();
		await expect(shown).not.toHaveText(before);
		await expect(app.headline).toContainText('peek');
		await stepper.getByRole('button', { name: 'lock' }).tap();
		await expect(app.headline).toContainText('locked');
		await stepper.getByRole('button', { name: 'unlock' }).tap();
		await expect(app.headline).not.toContainText('locked');
	});

	test('what is touched is at least 44 px high or stands alone', async ({ app, page }) => {
		await app.openSample(/The couple/);
		const tooLow = () =>
			page.locator('button, input:not([type=radio], [type=file]), textarea').evaluateAll((all) =>
				all
					.filter((one) => one.checkVisibility())
					.map((one) => ({
						name: one.getAttribute('aria-label') ?? one.textContent?.trim(),
						height: one.getBoundingClientRect().height
					}))
					.filter(({ height }) => height > 0 && height < 43.5)
			);
		expect(await tooLow()).toEqual([]);
		await app.openMenu();
		await atRest(page);
		expect(await tooLow()).toEqual([]);
	});

	test('a finger takes hold of what is near, and the card comes from below', async ({
		app,
		page
	}) => {
		await app.openSample(/Two families/);
		const head = await app.middleOf(app.stage.locator('.head').nth(6));
		await page.touchscreen.tap(head.x + 4, head.y + 4);
		await expect(app.card).toBeVisible();
		// above the places of the work, and below the camera
		const card = await app.card.boundingBox();
		const places = await page.getByRole('navigation').boundingBox();
		const camera = await app.stage.locator('.camera').first().boundingBox();
		expect((card?.y ?? 0) + (card?.height ?? 0)).toBeCloseTo(places?.y ?? 0, -1);
		expect(card?.y ?? 0).toBeGreaterThan((camera?.y ?? Infinity) + (camera?.height ?? 0));
		await app.card.getByRole('button', { name: 'Close' }).tap();
		await expect(app.card).toBeHidden();
	});
});

test('320 px wide: nothing is cut off', async ({ app, page }) => {
	await page.setViewportSize({ width: 320, height: 640 });
	await app.openSample(/Two families/);
	expect(await surplus(page)).toBe(0);
	await axe(page);
	await app.openMenu();
	await atRest(page);
	expect(await surplus(page)).toBe(0);
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toBeHidden();
	await app.goTo('Card');
	expect(await surplus(page)).toBe(0);
	await page.getByRole('button', { name: 'Unplanned', exact: true }).click();
	expect(await surplus(page)).toBe(0);
	await app.goTo('Day');
	await expect(app.shots.first()).toBeVisible();
	expect(await surplus(page)).toBe(0);
});

test('text at 200 %: nothing is cut off, everything can be reached', async ({ app, page }) => {
	await app.openSample(/Two families/);
	await page.addStyleTag({ content: 'html { font-size: 200% !important; }' });
	await expect(app.headline).toBeVisible();
	// sizes settle while the odds arrive: looked at until they hold, both in one moment
	await expect.poll(() => surplus(page)).toBe(0);
	const tabs = await page.getByRole('radio', { name: 'Frame' }).locator('..').elementHandle();
	await expect
		.poll(() =>
			app.verdict.evaluate(
				(verdict, below) =>
					(below?.getBoundingClientRect().top ?? 0) - verdict.getBoundingClientRect().bottom,
				tabs
			)
		)
		.toBeGreaterThanOrEqual(0);
	await app.stage.scrollIntoViewIfNeeded();
	await expect.poll(async () => (await app.stage.boundingBox())?.height).toBeGreaterThan(150);
	await app.rung(8).click();
	await expect(app.headline).toContainText('locked');
});

import { readFile } from 'node:fs/promises';
import { App, expect, test } from './support/app';

/**
 * A family on stone steps from above: drag the back row half a metre away, read what that does, send
 * the shot to a second photographer, who opens it.
 */

const FAMILIES = /Two families/;

test('the families on the steps, by pointer', async ({ app, page, browser }) => {
	await app.openSample(FAMILIES);
	await expect(app.headline).toContainText(/Focus on .+’s (left|right) eye, middle row/);
	await expect(app.verdict).toContainText('All fifteen faces hold.');
	await expect(app.verdict).toContainText(/In hand: \d+ cm nearer or farther/);
	await expect(app.verdict).toContainText(/The lanterns? .+\./);
	const before = await app.headline.textContent();
	const pickBefore = await app.pick().textContent();

	await test.step('drag the back row half a metre away', async () => {
		const metre = await app.metrePx();
		await app.drag(await app.middleOf(app.row('back')), { x: metre / 2, y: 0 });
		await expect(app.headline).not.toHaveText(before ?? '');
		await expect(app.pick()).not.toHaveText(pickBefore ?? '');
	});
	const after = (await app.headline.textContent()) ?? '';

	await test.step('a reload in the middle keeps everything', async () => {
		await app.saved();
		await page.reload();
		await expect(app.headline).toHaveText(after);
	});

	await test.step('undo takes the whole drag back, redo brings it again', async () => {
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(app.headline).toHaveText(before ?? '');
		await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
		await page.getByRole('button', { name: 'Redo' }).click();
		await expect(app.headline).toHaveText(after);
	});

	await test.step('the file opens at a second photographer’s', async () => {
		await app.openMenu();
		const download = page.waitForEvent('download');
		await page.getByRole('button', { name: 'Save to a file' }).click();
		const file = await (await download).path();
		expect((await download).suggestedFilename()).toMatch(/^two-families.*\.focalis\.json$/);
		expect(JSON.parse(await readFile(file, 'utf8'))).toMatchObject({ format: 'focalis-shot' });

		const context = await browser.newContext();
		const other = new App(await context.newPage());
		await other.page.goto('/');
		await expect(other.page.getByRole('heading', { level: 1 })).toBeVisible();
		await other.page.getByLabel('Open a file').setInputFiles(file);
		await expect(other.headline).toHaveText(after);
		await context.close();
	});
});

test('the same by keyboard alone', async ({ app, page }) => {
	// many steps, each of which waits for the page
	test.setTimeout(120_000);
	const { keyboard } = page;
	const press = async (key: string, times = 1) => {
		for (let i = 0; i < times; i++) await keyboard.press(key);
	};
	const tabTo = async (isThere: () => Promise<boolean>) => {
		for (let i = 0; i < 60; i++) {
			if (await isThere()) return;
			await keyboard.press('Tab');
		}
		throw new Error('not reached by Tab');
	};
	const focused = () =>
		page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');

	await page.goto('/');
	await tabTo(() =>
		page.evaluate(() => document.activeElement?.textContent?.trim() === 'Open the sample day')
	);
	await press('Enter');
	await expect(app.headline).toBeVisible();
	// the next shots with the same button, until the families are there
	await tabTo(async () => (await focused()) === 'next shot');
	for (let i = 0; i < 12; i++) {
		const crumb = page.getByRole('banner').locator('.crumb');
		const there = (await crumb.textContent()) ?? '';
		if (FAMILIES.test(there)) break;
		await press('Enter');
		await expect(crumb).not.toHaveText(there);
	}
	await expect(page.getByRole('banner').getByText(FAMILIES)).toBeVisible();
	const before = (await app.headline.textContent()) ?? '';

	await test.step('take hold of the back row and move it half a metre away', async () => {
		await tabTo(async () => (await focused()).startsWith('Stage. Arrows'));
		const said = page.locator('.stage [aria-live=polite]');
		// from the camera over to the rows: the label of the last row lies farthest along the bottom
		await press('ArrowRight');
		for (let i = 0; i < 40 && !/^\s*back/.test((await said.textContent()) ?? ''); i++) {
			await press(i % 3 === 2 ? 'ArrowRight' : 'ArrowDown');
		}
		await expect(said).toContainText('back');
		await press('Enter');
		await expect(said).toContainText('held');
		await press('ArrowRight', 10);
		await press('Enter');
		await expect(said).not.toContainText('held');
	});
	const after = (await app.headline.textContent()) ?? '';
	expect(after).not.toBe(before);

	await test.step('all ten steps are one gesture', async () => {
		await press('Control+z');
		await expect(app.headline).toHaveText(before);
		await press('Control+y');
		await expect(app.headline).toHaveText(after);
	});

	await test.step('peek along the ladder, fix one, free it', async () => {
		await tabTo(async () => /^f\/[\d.]+/.test(await focused()));
		await press('ArrowLeft', 2);
		await expect(app.headline).toContainText('peek');
		await press('Escape');
		await expect(app.headline).toHaveText(after);
		await press('ArrowRight');
		await press('Enter');
		await expect(app.headline).toContainText('locked');
		await press('Enter');
		await expect(app.headline).not.toContainText('locked');
	});

	await test.step('save the file', async () => {
		const download = page.waitForEvent('download');
		await press('Control+s');
		expect((await download).suggestedFilename()).toMatch(/\.focalis\.json$/);
	});
});

import { readFile } from 'node:fs/promises';
import type { Locator, Page } from '@playwright/test';
import { decode } from 'fast-png';
import { expect, test, type App } from './support/app';
import { begun, frame } from './support/pictures';

/** Pictures saved as files. */

test.setTimeout(90_000);

const save = async (page: Page, prepare: (dialog: Locator) => Promise<void>) => {
	await page.getByRole('button', { name: 'save…' }).click();
	const dialog = page.getByRole('dialog');
	await prepare(dialog);
	const download = page.waitForEvent('download', { timeout: 80_000 });
	await dialog.getByRole('button', { name: 'Save as PNG' }).click();
	const file = await download;
	const bytes = await readFile(await file.path());
	return { name: file.suggestedFilename(), bytes, text: bytes.toString('utf8') };
};
const opened = async (app: App, page: Page) => {
	await app.openSample(/The bandleader/);
	// little blur settles with few samples
	await app.rung(16).click();
	await expect(app.headline).toContainText('locked');
	await begun(frame(page));
};

test('alone: the settings are in it, names and places are not', async ({ app, page }) => {
	await opened(app, page);
	const { name, bytes, text } = await save(page, async () => undefined);
	expect(name).toBe('picture.png');
	const { width, height } = decode(bytes, { checkCrc: true });
	expect([width, height]).toEqual([1500, 1000]);
	expect(text).toContain('f/16, focused on the right eye');
	expect(text).toContain('50 mm');
	expect(text).not.toContain('Sione');
	expect(text).not.toContain('bandleader');
});

test('a sheet: on the face, on the trumpet, both; names when asked', async ({ app, page }) => {
	await opened(app, page);
	const { bytes, text, name } = await save(page, async (dialog) => {
		await dialog.getByLabel('Choice 2 of the sheet').selectOption('about the trumpet');
		await dialog.getByLabel('Choice 3 of the sheet').selectOption('about both');
		await dialog.getByLabel('with names and the title').check();
	});
	expect(name).toBe('the-bandleader-and-the-trumpet.png');
	const { width, height } = decode(bytes, { checkCrc: true });
	expect(width).toBeGreaterThan(2 * 840);
	expect(height).toBeGreaterThan(2 * 560);
	expect(text).toContain('focused on Sione’s right eye');
	expect(text).toContain('focused on trumpet');
});

test('given up half way, nothing is saved', async ({ app, page }) => {
	await opened(app, page);
	await page.getByRole('button', { name: 'save…' }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByRole('button', { name: 'Save as PNG' }).click();
	await dialog.getByRole('button', { name: 'Stop' }).click();
	await expect(dialog.getByRole('button', { name: 'Save as PNG' })).toBeVisible();
	await expect(dialog.getByRole('alert')).toBeHidden();
});

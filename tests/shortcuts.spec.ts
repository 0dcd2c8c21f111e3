import { expect, test } from './support/app';

/** Single keys: listed under help, each can be changed, all can be off. */

test('keys go from place to place and from shot to shot', async ({ app, page }) => {
	await app.openSampleDay();
	await page.keyboard.press('p');
	await expect(app.verdict).toBeVisible();
	await page.keyboard.press(']');
	await expect(page.getByRole('banner')).toContainText('2 of 10');
	await page.keyboard.press('c');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Two families on the steps');
	await page.keyboard.press('d');
	await expect(app.shots).toHaveCount(10);
	await page.keyboard.press('f');
	await expect(page.getByRole('dialog')).toContainText('Everything on this device');
});

test('a key is changed where it is listed; one that is taken is refused; they can be off', async ({
	app,
	page
}) => {
	await app.openSampleDay();
	await page.keyboard.press('?');
	const dialog = page.getByRole('dialog');
	const card = dialog.getByLabel('go to the card');
	await card.press('p');
	await expect(dialog.getByRole('alert')).toContainText(
		'“p” is already the key for “go to the plan”'
	);
	await expect(card).toHaveValue('c');
	await card.press('g');
	await expect(card).toHaveValue('g');
	await page.keyboard.press('Escape');
	await expect(dialog).toBeHidden();

	await page.keyboard.press('c');
	await expect(app.shots).toHaveCount(10);
	await page.keyboard.press('g');
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('The couple under the arcade');

	// kept over a reload, and off for those who want them off
	await page.reload();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('The couple under the arcade');
	await page.keyboard.press('d');
	await expect(app.shots).toHaveCount(10);
	await page.keyboard.press('?');
	await expect(dialog.getByLabel('go to the card')).toHaveValue('g');
	await dialog.getByRole('button', { name: 'Back to the usual keys' }).click();
	await expect(dialog.getByLabel('go to the card')).toHaveValue('c');
	await dialog.getByRole('checkbox', { name: 'single-letter shortcuts' }).uncheck();
	await page.keyboard.press('Escape');
	await expect(dialog).toBeHidden();
	await page.keyboard.press('c');
	await expect(app.shots).toHaveCount(10);
});

test('what is typed is text, never a command', async ({ app, page }) => {
	await app.openSampleDay();
	await page.getByRole('searchbox').fill('');
	await page.keyboard.type('pcdfn');
	await expect(page.getByRole('searchbox')).toHaveValue('pcdfn');
	await expect(app.page.getByText('Nothing matches that.')).toBeVisible();
});

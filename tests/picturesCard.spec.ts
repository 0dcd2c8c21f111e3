import { readFileSync } from 'node:fs';
import { expect, test } from './support/app';

/** The picture with its real blur where one carries it along: on the card, and in the pocket file. */

test.setTimeout(120_000);

test('the card shows the picture, the ring over it', async ({ app, page }) => {
	await app.openSample(/The couple/);
	await app.goTo('Card');
	const sheet = page.locator('.card .picture');
	await expect
		.poll(() => sheet.locator('[data-samples]').getAttribute('data-samples'), { timeout: 45_000 })
		.not.toBe('0');
	const frame = page.getByRole('img', { name: /^The frame; a ring around Ilinca/ });
	await expect(frame.locator('circle')).toHaveCount(2);
	// the drawing made room for it
	await expect(frame.locator('path')).toHaveCount(0);
});

test('the pocket file carries pictures', async ({ app, page }) => {
	await app.openSampleDay();
	await page.getByRole('button', { name: 'Files', exact: true }).click();
	const download = page.waitForEvent('download', { timeout: 100_000 });
	await page.getByRole('dialog').getByRole('button', { name: 'Pocket file' }).click();
	const html = readFileSync(await (await download).path(), 'utf8');
	expect(html).toMatch(/<image [^>]*href="data:image\/jpeg;base64,[\w+/=]{2000,}"/);
	expect(html.match(/<article/g)).toHaveLength(10);
	// light enough to send
	expect(html.length).toBeLessThan(1_000_000);
});

import { truncateSync, writeFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { encode } from 'fast-png';
import { axe } from './support/axe';
import { expect, test, type App } from './support/app';
import { openPicture } from './support/openPictures.mjs';

/** A photograph becomes the stage, on the screen. The pictures are scikit-image's, from Debian's package of it. */

const ASTRONAUT = openPicture('astronaut.png');
const CAT = openPicture('chelsea.png');
/** Where her irises are, and the cat's: marked by hand on the enlarged pictures, px. */
const IRISES = [
	[203.8, 100.9],
	[246.6, 103.1]
] as const;
const CATS_EYES = [
	[170, 111],
	[316, 131]
] as const;

interface Given {
	readonly name?: string;
	readonly mimeType?: string;
	readonly buffer: Buffer;
}

/** Hands a file to the sheet's chooser. */
async function choose(page: Page, { name = 'p.png', mimeType = 'image/png', buffer }: Given) {
	const choosing = page.waitForEvent('filechooser');
	await page.getByRole('button', { name: 'Choose one…' }).click();
	await (await choosing).setFiles({ name, mimeType, buffer });
}

const sheetOf = (page: Page) => page.getByRole('dialog');
const rings = (sheet: Locator) => sheet.locator('.ring');

async function openAtPlan(app: App, page: Page) {
	await app.openSample(/Two families/);
	await page.getByRole('button', { name: '+ Add' }).click();
	await page.getByRole('button', { name: 'From a photograph…' }).click();
	await expect(page.getByRole('button', { name: 'Choose one…' })).toBeVisible();
	return sheetOf(page);
}

/** Middle of a ring, shares of the photograph. */
async function placeOf(sheet: Locator, ring: Locator) {
	const [pane, box] = await Promise.all([sheet.locator('img').boundingBox(), ring.boundingBox()]);
	if (!pane || !box) throw new Error('not on the page');
	return {
		x: (box.x + box.width / 2 - pane.x) / pane.width,
		y: (box.y + box.height / 2 - pane.y) / pane.height
	};
}

async function tapAt(
	sheet: Locator,
	[x, y]: readonly [number, number],
	width: number,
	height: number
) {
	const pane = await sheet.locator('img').boundingBox();
	if (!pane) throw new Error('not on the page');
	await sheet
		.page()
		.mouse.click(pane.x + (x / width) * pane.width, pane.y + (y / height) * pane.height);
}

test('from the first screen: a real face, its lens said by hand, becomes a shot', async ({
	app,
	page
}) => {
	await page.goto('/');
	await page.getByRole('button', { name: 'From a photograph' }).click();
	const sheet = sheetOf(page);
	await choose(page, { buffer: ASTRONAUT });
	await expect(sheet.getByRole('status')).toContainText('One face found.', { timeout: 30_000 });
	// as it was taken, neither stretched nor squeezed
	const shape = await sheet.locator('img').boundingBox();
	expect((shape?.width ?? 0) / (shape?.height ?? 1)).toBeCloseTo(1, 2);
	const at = await placeOf(sheet, rings(sheet).first());
	expect(at.x * 512).toBeGreaterThan(IRISES[0][0] - 5);
	expect(at.x * 512).toBeLessThan(IRISES[1][0] + 5);

	// a PNG says no lens: its distance follows from the one that is said
	await rings(sheet).first().click();
	const far = async () => Number(await sheet.getByLabel('measured distance').inputValue());
	const at26 = await far();
	await sheet.getByLabel('equivalent on full frame').fill('52');
	await expect.poll(far).toBeCloseTo(2 * at26, 1);
	// by hand: 63 mm of eyes, 42.9 px apart, through 52 mm on a diagonal of 43.27 mm and 724 px
	expect(await far()).toBeGreaterThan(1.1);
	expect(await far()).toBeLessThan(1.5);

	await sheet.getByRole('button', { name: 'Use it' }).click();
	await expect(app.headline).toContainText('Person 1');
	await expect(app.stage.locator('.head')).toHaveCount(1);
});

test('a face that was missed is added by its eyes, by pointer and by keyboard', async ({
	app,
	page
}) => {
	const sheet = await openAtPlan(app, page);
	await choose(page, { buffer: CAT });
	await expect(sheet.getByRole('status')).toContainText('No face was found.', { timeout: 30_000 });
	await expect(sheet.getByRole('button', { name: 'Use it' })).toBeDisabled();

	await sheet.getByRole('button', { name: 'Add a face' }).click();
	for (const eye of CATS_EYES) await tapAt(sheet, eye, 451, 300);
	await expect(sheet.getByRole('status')).toContainText('One face found.');
	const far = async () => Number(await sheet.getByLabel('measured distance').inputValue());
	const asAdult = await far();
	await sheet.getByLabel('who').selectOption('cat');
	// a cat's eyes are 36 mm apart, a grown-up's 63
	await expect.poll(async () => asAdult / (await far())).toBeCloseTo(63 / 36, 1);

	await sheet.getByRole('button', { name: 'Add a face' }).click();
	await expect(sheet.getByRole('button', { name: /arrows move the cross/ })).toBeFocused();
	await page.keyboard.press('Enter');
	for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
	await page.keyboard.press('Enter');
	await expect(sheet.getByRole('status')).toContainText('Two faces found');
	await sheet.getByRole('button', { name: 'Drop this face' }).click();
	await expect(sheet.getByRole('status')).toContainText('One face found.');

	await sheet.getByRole('button', { name: 'Use it' }).click();
	await expect(app.headline).toContainText('Cat');
	// one gesture, undone as one
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(app.stage.locator('.head')).toHaveCount(15);
});

test('a photograph is kept when that is asked, and goes with its job', async ({ app, page }) => {
	const sheet = await openAtPlan(app, page);
	await choose(page, { buffer: ASTRONAUT });
	await sheet.getByText('keep the photograph').click({ timeout: 30_000 });
	await sheet.getByRole('button', { name: 'Use it' }).click();
	await page.getByRole('button', { name: 'photograph ▾' }).click();
	await page.getByRole('button', { name: 'Show it over the picture' }).click();
	const shown = page.getByRole('img', { name: 'The photograph' });
	await expect(shown).toBeVisible();
	await page.reload();
	await page.getByRole('button', { name: 'photograph ▾' }).click();
	await page.getByRole('button', { name: 'Forget it' }).click();
	await expect(page.getByRole('button', { name: 'photograph ▾' })).toBeHidden();
	await page.reload();
	await expect(app.headline).toBeVisible();
	await expect(page.getByRole('button', { name: 'photograph ▾' })).toBeHidden();
});

/** A PNG that says it is so large, and is not. */
function boastingPng(widthPx: number, heightPx: number): Buffer {
	const png = Buffer.from(encode({ width: 1, height: 1, data: new Uint8Array(4), channels: 4 }));
	png.writeUInt32BE(widthPx, 16);
	png.writeUInt32BE(heightPx, 20);
	return png;
}

test('a file that is no photograph is said in one sentence, and nothing is lost', async ({
	app,
	page
}, testInfo) => {
	const sheet = await openAtPlan(app, page);
	await choose(page, { buffer: ASTRONAUT });
	await expect(rings(sheet)).toHaveCount(1, { timeout: 30_000 });
	for (const [buffer, words] of [
		[Buffer.alloc(0), 'This file is empty.'],
		[Buffer.from('no picture at all'), 'This is not a photograph.'],
		[ASTRONAUT.subarray(0, 4000), 'This picture is damaged'],
		[boastingPng(60_000, 60_000), 'more than 100 megapixels'],
		[boastingPng(0, 40), 'This picture is damaged'],
		[Buffer.from('II*\0\x08\0\0\0\0\0\0\0\0\0'), 'No picture was found in this raw file.'],
		[Buffer.concat([Buffer.from('\0\0\0\x18ftypheic'), Buffer.alloc(500)]), 'does not open HEIC']
	] as const) {
		await choose(page, { buffer });
		await expect(sheet.getByRole('alert')).toContainText(words);
		await expect(rings(sheet)).toHaveCount(1);
	}
	const huge = testInfo.outputPath('huge.jpg');
	writeFileSync(huge, '');
	truncateSync(huge, 2 ** 31);
	const choosing = page.waitForEvent('filechooser');
	await page.getByRole('button', { name: 'Choose one…' }).click();
	await (await choosing).setFiles(huge);
	await expect(sheet.getByRole('alert')).toContainText('larger than 400 MB');

	await page.keyboard.press('Escape');
	await expect(app.stage.locator('.head')).toHaveCount(15);
});

test('dropped anywhere it is looked at; WebP and JPEG, too', async ({ page }) => {
	await page.goto('/');
	await expect(page.getByRole('main')).toBeVisible();
	for (const type of ['image/webp', 'image/jpeg']) {
		await page.evaluate(
			async ([base64, kind]) => {
				const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
				const bitmap = await createImageBitmap(new Blob([bytes]));
				const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
				canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
				const blob = await canvas.convertToBlob({ type: kind, quality: 0.9 });
				const data = new DataTransfer();
				data.items.add(new File([blob], 'dropped', { type: kind }));
				window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, cancelable: true }));
			},
			[ASTRONAUT.toString('base64'), type] as const
		);
		await expect(sheetOf(page).getByRole('status')).toContainText('One face found.', {
			timeout: 30_000
		});
		await page.keyboard.press('Escape');
		await expect(sheetOf(page)).toBeHidden();
	}
});

for (const colorScheme of ['light', 'dark'] as const) {
	test.describe(`${colorScheme} look, a phone`, () => {
		test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, colorScheme });

		test('from Now by touch; axe finds nothing', async ({ app, page }) => {
			await app.openSample(/Two families/);
			await app.goTo('Card');
			await page.getByRole('button', { name: 'Unplanned', exact: true }).click();
			await page.getByRole('button', { name: 'From a photograph…' }).click();
			const sheet = sheetOf(page);
			await choose(page, { buffer: ASTRONAUT });
			await expect(rings(sheet)).toHaveCount(1, { timeout: 30_000 });
			await rings(sheet).first().tap();
			await expect(sheet.getByText(/give or take/).first()).toBeVisible();
			await axe(page, 'dialog[open]');
			await sheet.getByRole('button', { name: 'Use it' }).tap();
			await expect(page.getByRole('main')).toContainText('Person 1');
		});
	});
}

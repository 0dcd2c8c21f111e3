import { readFileSync } from 'node:fs';
import { unzipSync } from 'fflate';
import { sampleDay } from '$data/sample/sampleDay';
import { axe } from './support/axe';
import { expect, test } from './support/app';
import { solve } from './support/solved';

/** The practice camera on the screen. */

const JPEG = [0xff, 0xd8, 0xff, 0xe1];

test('the plan is shot: a strip of frames, each at full size, and all as a ZIP', async ({
	app,
	page
}) => {
	test.setTimeout(150_000);
	await app.openSample(/A profile at the window/);
	await app.verdict.getByRole('button', { name: 'shoot it' }).click();
	const sheet = page.getByRole('dialog');
	await sheet.getByLabel('frames').fill('3');
	await sheet.getByLabel('size').selectOption({ index: 0 });
	await sheet.getByLabel('shutter').selectOption({ label: '1/2000' });
	await expect(sheet).toContainText('1/2000');
	await sheet.getByRole('button', { name: 'Shoot it', exact: true }).click();

	// what is done stays when it is stopped, and the rest can be taken
	await expect(sheet.getByRole('button', { name: 'frame 1', exact: true })).toBeVisible({
		timeout: 60_000
	});
	await sheet.getByRole('button', { name: 'Stop' }).click();
	await expect(sheet.getByRole('status')).toContainText(/[12] of 3 frames/);
	await sheet.getByRole('button', { name: 'Go on' }).click();
	await expect(sheet.getByRole('status')).toContainText('3 of 3 frames', { timeout: 60_000 });
	await axe(page, 'dialog[open]');

	// the arrow goes from frame to frame; one pixel of the file is one of the screen
	await sheet.getByRole('button', { name: 'frame 1', exact: true }).press('ArrowRight');
	await expect(sheet.getByText('practice-0002.jpg')).toBeVisible();
	await sheet.getByRole('radio', { name: '100 %' }).check({ force: true });
	const large = sheet.getByRole('img', { name: 'Frame 2' });
	await expect
		.poll(() =>
			large.evaluate(
				(image: HTMLImageElement) => image.width * devicePixelRatio - image.naturalWidth
			)
		)
		.toBe(0);
	// an upright frame is turned by what its file says
	expect(await large.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(800);

	const saving = page.waitForEvent('download');
	await sheet.getByRole('button', { name: 'Save as ZIP' }).click();
	const path = await (await saving).path();
	const files = unzipSync(readFileSync(path));
	expect(Object.keys(files)).toEqual([1, 2, 3].map((i) => `practice-000${i}.jpg`));
	for (const bytes of Object.values(files)) expect([...bytes.slice(0, 4)]).toEqual(JPEG);

	// what is looked at can be handed on as a photograph
	await sheet.getByRole('button', { name: 'Stage from this frame…' }).click();
	const photograph = page.getByRole('dialog').filter({ hasText: 'From a photograph' });
	await expect(photograph.getByRole('status')).toContainText(/No face|One face/, {
		timeout: 30_000
	});

	// or all are judged as frames that came home, under their shot
	await page.keyboard.press('Escape');
	await app.verdict.getByRole('button', { name: 'shoot it' }).click();
	await sheet.getByRole('button', { name: 'Judge them in Review' }).click();
	await expect(page.getByRole('heading', { level: 2 })).toHaveText('A profile at the window', {
		timeout: 60_000
	});
	await expect(page.locator('.strip li')).toHaveCount(3);
	await expect(page.getByRole('group', { name: 'Measuring' })).toBeHidden({ timeout: 60_000 });

	// from the side no face is found: her eye is tapped in one frame, and judged in all
	await expect(page.getByText(/^Nobody who counts was found: faces from the side/)).toBeVisible();
	const planned = sampleDay(0).shots.find(({ shot }) => shot.title === 'A profile at the window');
	const place = planned && solve(planned.shot).plan.focus?.frame;
	await page.getByRole('button', { name: 'tap Ifeoma’s eye' }).click();
	const box = await page.getByRole('button', { name: /^Tap Ifeoma’s eye: arrows/ }).boundingBox();
	if (!box || !place) throw new Error('there is nothing to tap');
	await page.mouse.click(box.x + place.x * box.width, box.y + place.y * box.height);
	await expect(page.getByRole('heading', { name: 'Ifeoma’s right eye, 100 %' })).toBeVisible({
		timeout: 60_000
	});
	const row = page.getByRole('row', { name: /Ifeoma/ }).getByRole('cell');
	await expect(row.filter({ hasText: /[●◐○✕]/ })).toHaveCount(3, { timeout: 60_000 });
	await page.getByRole('button', { name: 'forget Ifeoma’s right eye' }).click();
	await expect(row.filter({ hasText: '–' })).toHaveCount(3);
});

test('a camera that cannot be loaded is said, and tried again', async ({ app, page }) => {
	await app.openSample(/A profile at the window/);
	await page.route(/practice\.worker/, (route) => route.abort());
	await app.goTo('Card');
	await page.getByRole('button', { name: /practice camera/ }).click();
	const sheet = page.getByRole('dialog');
	await sheet.getByLabel('frames').fill('1');
	await sheet.getByLabel('size').selectOption({ index: 0 });
	await sheet.getByRole('button', { name: 'Shoot it', exact: true }).click();
	await expect(sheet.getByRole('alert')).toContainText('What is done stays');
	await page.unroute(/practice\.worker/);
	await sheet.getByRole('button', { name: 'Go on' }).click();
	await expect(sheet.getByRole('status')).toContainText('1 of 1 frames', { timeout: 60_000 });
	await expect(sheet.getByRole('alert')).toBeHidden();
});

test('a whole day is taken from Files, and can be stopped', async ({ app, page }) => {
	await app.openSampleDay();
	await page.getByRole('button', { name: 'Files', exact: true }).click();
	const sheet = page.getByRole('dialog');
	await sheet.getByRole('button', { name: /Practice frames/ }).click();
	await expect(sheet.getByText(/[1-9] of 60 frames/)).toBeVisible({ timeout: 60_000 });
	await sheet.getByRole('button', { name: 'Stop' }).click();
	await expect(sheet.getByRole('button', { name: /Practice frames/ })).toBeVisible();
});

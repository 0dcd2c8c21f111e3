import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decode } from 'fast-png';
import { axe } from './support/axe';
import { expect, test as base } from './support/app';
import { labPage } from './support/labPage.mjs';
import type { Look, wideLab } from './support/wideLab';

/** Frames of a view wider than the lens, turned as one knows: whether they go together, and how they look so. */

const LONG_SIDE_PX = 720;
/** Three columns and two rows; the last one is exposed anew. */
const LOOKS: readonly Look[] = [
	{ panDeg: 0, tiltDeg: 4 },
	{ panDeg: 15, tiltDeg: 4 },
	{ panDeg: 15, tiltDeg: -6 },
	{ panDeg: 0, tiltDeg: -6 },
	{ panDeg: -15, tiltDeg: 4 },
	{ panDeg: -15, tiltDeg: -6 },
	{ panDeg: -15, tiltDeg: -6, shutterS: 1 / 400 }
];

const test = base.extend<object, { frames: readonly string[] }>({
	frames: [
		async ({ browser }, use) => {
			const lab = await labPage(browser, 'tests/support/wideLab.ts');
			const files = await lab.evaluate(
				([looks, longSidePx]) => {
					const page = globalThis as unknown as { wideLab: typeof wideLab };
					return page.wideLab.shoot(looks, longSidePx);
				},
				[LOOKS, LONG_SIDE_PX] as const
			);
			await lab.close();
			const folder = mkdtempSync(join(tmpdir(), 'wide-'));
			await use(
				files.map(({ name, base64 }) => {
					const path = join(folder, name);
					writeFileSync(path, Buffer.from(base64, 'base64'));
					return path;
				})
			);
			rmSync(folder, { recursive: true });
		},
		{ scope: 'worker', timeout: 180_000 }
	]
});

test.use({ viewport: { width: 1280, height: 800 } });

test('a gap is named while one is still there; together the frames are one picture', async ({
	app,
	page,
	frames
}) => {
	test.setTimeout(120_000);
	await app.openSample(/The two, wide/);
	await app.goTo('Review');
	const choose = async (indices: readonly number[]) => {
		const paths = indices.map((i) => frames[i] as string);
		await page.getByLabel('Choose frames').setInputFiles(paths);
		await expect(page.getByRole('group', { name: 'Measuring' })).toBeHidden({ timeout: 60_000 });
	};
	const look = page.getByRole('button', { name: /Do these \d frames fit together|Check again/ });
	const side = page.getByRole('group', { name: 'What it says' });

	// the lower left is missing
	await choose([0, 1, 2, 3, 4]);
	await side.getByText('As one wide picture').click();
	await look.click();
	await expect(
		page.getByText(/^5 frames, 5[345] by 2[567] degrees; neighbours share 3\d %/)
	).toBeVisible({ timeout: 60_000 });
	await expect(
		page.getByText('Nothing shows what lies below frame 5: take one there.')
	).toBeVisible();
	await axe(page, 'main');

	// taken, but exposed anew
	await choose([6]);
	await look.click();
	await expect(
		page.getByText('The shutter changed with frame 6: 1/400 instead of 1/250.')
	).toBeVisible({ timeout: 60_000 });
	await expect(page.getByText(/^Nothing shows/)).toBeHidden();

	// that one is dropped, and another taken in its place
	await page.getByRole('list', { name: 'Frames' }).getByRole('button').last().click();
	await page.keyboard.press('x');
	await choose([5]);
	await look.click();
	await expect(
		page.getByText('They fit together: no gap, focus and exposure as in the first.')
	).toBeVisible({ timeout: 60_000 });

	await page.getByRole('button', { name: 'See them together…' }).click();
	const sheet = page.getByRole('dialog');
	for (const way of ['flat, like one lens', 'on a cylinder', 'on a sphere']) {
		await sheet.getByText(way, { exact: true }).click();
		await expect(sheet.getByRole('img', { name: `All frames put together, ${way}` })).toBeVisible({
			timeout: 60_000
		});
	}
	await axe(page, 'dialog[open]');
	const download = page.waitForEvent('download');
	await sheet.getByRole('button', { name: 'Save as PNG' }).click();
	const saved = await download;
	expect(saved.suggestedFilename()).toMatch(/-wide\.png$/);
	const { width, height } = decode(readFileSync(await saved.path()));
	// round a sphere sides are as angles
	expect(width).toBe(2400);
	expect(width / height).toBeCloseTo(54 / 26, 1);
});

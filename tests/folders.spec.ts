import { expect, test } from './support/app';

/**
 * Frames from a folder that the browser lets one choose. It is one of the browser's own, the dialog that chooses it is
 * not asked.
 */

const CARD = 'Card 1';

test.use({ ownContext: true });

test('one press reads the folder of the frames again: when more have come, and after a reload', async ({
	app,
	page
}) => {
	await page.addInitScript((name) => {
		window.showDirectoryPicker = async () =>
			(await navigator.storage.getDirectory()).getDirectoryHandle(name);
	}, CARD);
	await page.goto('/?sample&at=review');
	const shoot = (colour: string) =>
		page.evaluate(
			async ([name, colour]) => {
				const root = await navigator.storage.getDirectory();
				const folder = await root.getDirectoryHandle(name, { create: true });
				const canvas = new OffscreenCanvas(900, 600);
				const context = canvas.getContext('2d');
				if (!context) throw new Error('no canvas');
				context.fillStyle = colour;
				context.fillRect(100, 100, 300, 300);
				const handle = await folder.getFileHandle(`${colour}.jpg`, { create: true });
				const writer = await handle.createWritable();
				await writer.write(await canvas.convertToBlob({ type: 'image/jpeg' }));
				await writer.close();
			},
			[CARD, colour] as const
		);
	await shoot('teal');
	await shoot('plum');

	const strip = page.getByRole('list', { name: 'Frames' });
	const again = page.getByRole('button', { name: CARD });
	await page.getByRole('button', { name: 'A folder…' }).click();
	await expect(strip.locator('img')).toHaveCount(2, { timeout: 30_000 });
	await shoot('olive');
	await again.click();
	await expect(strip.locator('img')).toHaveCount(3, { timeout: 30_000 });
	await expect(page.getByRole('group', { name: 'Measuring' })).toBeHidden({ timeout: 30_000 });

	await page.reload();
	await app.goTo('Review');
	await expect(strip.getByRole('button')).toHaveCount(3);
	await expect(strip.locator('img')).toHaveCount(0);
	await again.click();
	await expect(strip.locator('img')).toHaveCount(3);

	// the card was taken out
	await page.evaluate(
		async (name) => (await navigator.storage.getDirectory()).removeEntry(name, { recursive: true }),
		CARD
	);
	await page.reload();
	await app.goTo('Review');
	await again.click();
	await expect(page.getByText(`“${CARD}” is not there.`)).toBeVisible();
	await expect(again).toBeVisible();
});

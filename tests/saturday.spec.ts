import { expect, test } from './support/app';

/** What a working Saturday asks for besides: names, one's own limits, paper, the sun. */

test('names row by row, own limits, a lens’s table, the sun on the stage', async ({
	app,
	page
}) => {
	await app.openSample(/Two families/);
	const dialog = page.getByRole('dialog');

	await test.step('a list pasted into the first head names a row; whoever is known keeps their height', async () => {
		await page.getByRole('button', { name: '+ Add' }).click();
		await page.getByText('Names, row by row…').click();
		const first = dialog.getByLabel('Front row, 1 of 5');
		await first.focus();
		await first.evaluate((node) => {
			const clipboardData = new DataTransfer();
			clipboardData.setData('text', 'Wojtek, Somebody new');
			node.dispatchEvent(
				new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true })
			);
		});
		await expect(first).toHaveValue('Wojtek');
		await expect(dialog.getByLabel('Front row, 2 of 5')).toHaveValue('Somebody new');
		// from head to head with the keyboard
		await first.press('Tab');
		await page.keyboard.type('Solveig');
		await page.keyboard.press('Tab');
		await expect(dialog.getByLabel('Front row, 2 of 5')).toHaveValue('Solveig');
		await page.keyboard.press('Escape');
		await expect(dialog).toHaveCount(0);
	});

	await test.step('a shot says when it goes past my limits', async () => {
		await page.getByRole('button', { name: 'kit', exact: true }).click();
		await dialog.getByText('my way', { exact: true }).click();
		await dialog.getByLabel('slowest shutter for groups').selectOption('1/250');
		await page.keyboard.press('Escape');
		await expect(app.verdict).toContainText(
			/Past your limits for groups: 1\/\d+ is slower than 1\/250\./
		);
	});

	await test.step('the table of a lens goes out as PDF', async () => {
		await page.getByRole('button', { name: 'kit', exact: true }).click();
		await dialog.getByText('lenses', { exact: true }).click();
		await dialog.getByRole('button', { name: '85 mm f/1.4', exact: true }).click();
		await dialog.getByRole('button', { name: 'Depth-of-field table…' }).click();
		const table = dialog.filter({ hasText: 'Table of the 85 mm f/1.4' });
		await expect(table.getByRole('row', { name: /^2\.00 m/ })).toContainText(/− 1\.\d cm/);
		const download = page.waitForEvent('download');
		await table.getByRole('button', { name: 'Save as PDF' }).click();
		expect((await download).suggestedFilename()).toBe('85-mm-f-1-4-what-is-sharp.pdf');
		// the table, then the kit under it
		await expect(async () => {
			await page.keyboard.press('Escape');
			await expect(dialog).toHaveCount(0, { timeout: 500 });
		}).toPass();
	});

	await test.step('the sun stands where it stands', async () => {
		await page.getByRole('button', { name: /^light/ }).click();
		await dialog.getByLabel('show where the sun stands').check();
		await dialog.getByLabel('the direction the stage faces, from north').fill('200');
		await expect(dialog.getByText(/It stands \d+° high, in front of the camera\./)).toBeVisible();
		await page.keyboard.press('Escape');
		await expect(app.stage.getByRole('img', { name: /^sun, \d+° high$/ })).toBeVisible();
	});

	await test.step('lens and distance are changed beside the verdict', async () => {
		await page.getByRole('button', { name: /^Lens and body: 24–70 mm/ }).click();
		await dialog.getByLabel('from the sensor mark to what is focused on').fill('8');
		await page.keyboard.press('Escape');
		const gear = page.getByRole('button', { name: /^Lens and body: .* · 8\.00 m · / });
		await gear.click();
		await dialog.getByLabel('lens').selectOption('35 mm f/1.4');
		await page.keyboard.press('Escape');
		await expect(
			page.getByRole('button', { name: /^Lens and body: 35 mm f\/1\.4 · \d/ })
		).toBeVisible();
	});
});

import { axe } from './support/axe';
import { expect, test } from './support/app';

/** Choosing a lens: those of the kit and others, side by side on one body. */

test('lenses are weighed on the day, shortlisted with notes, and none is taken that one has not', async ({
	app,
	page
}) => {
	test.setTimeout(120_000);
	await app.openSample(/The couple under the arcade/);
	await app.goTo('Bench');
	await page.getByRole('button', { name: 'Choose a lens' }).click();
	const table = page.getByRole('region', { name: 'Lenses side by side' });
	const row = (name: RegExp) => table.getByRole('row', { name });
	// what each makes of the day is there
	await expect(row(/^85 mm f\/1\.4/)).toContainText(/\d of \d/, { timeout: 60_000 });
	await expect(row(/^24–70 mm/)).toBeVisible();

	// what opens as wide as that at 85 mm
	await page.getByLabel('reaches (mm)').fill('85');
	await page.getByLabel('opens at least to f/').fill('1.3');
	await page.getByLabel('opens at least to f/').press('Tab');
	await expect(table.getByRole('row')).toHaveCount(2);
	await page.getByLabel('reaches (mm)').fill('hundred');
	await page.getByLabel('reaches (mm)').press('Tab');
	await expect(page.getByText('from 4 to 800, or nothing')).toBeVisible();
	await page.getByLabel('reaches (mm)').fill('');
	await page.getByLabel('opens at least to f/').fill('');
	await page.getByLabel('opens at least to f/').press('Tab');

	// one that one has not, with numbers from elsewhere
	await page.getByRole('button', { name: 'Consider one you do not own' }).click();
	const numbers = page.getByRole('region', { name: 'Figures for A lens to consider' });
	await numbers.getByLabel('weight (g)').fill('640');
	await numbers.getByLabel('price').fill('1200');
	await numbers.getByLabel('centre at f/1.4').fill('1500');
	await numbers.getByLabel('centre at f/2', { exact: true }).fill('2000');
	await numbers.getByLabel('centre at f/2', { exact: true }).press('Tab');
	await expect(row(/A lens to consider/)).toContainText('not yours');
	await expect(row(/A lens to consider/)).toContainText('640 g');
	await expect(row(/A lens to consider/)).toContainText(/2000\s*typed in/);
	await axe(page, 'main');

	// three at most on the shortlist
	for (const name of ['A lens to consider', '85 mm f/1.2', '50 mm f/1.4']) {
		await page.getByRole('button', { name: `shortlist ${name}` }).click();
	}
	await expect(page.getByRole('button', { name: 'shortlist 24 mm f/1.4' })).toBeDisabled();
	const card = page.getByRole('region', { name: 'A lens to consider, on the shortlist' });
	await expect(card).toContainText(/at \d+ mm.*: \d+ of 100 good/, { timeout: 60_000 });
	await card.getByLabel('Complaints').fill('It hums.');
	await card.getByLabel('Complaints').blur();
	await app.saved();
	await page.reload();
	await page.getByRole('button', { name: 'Choose a lens' }).click();
	await expect(card.getByLabel('Complaints')).toHaveValue('It hums.');

	// no shot is taken with it
	await app.goTo('Plan');
	await expect(app.ladder.getByRole('row', { name: /^good of 100 frames/ })).toBeVisible();
	// what comes later makes room for itself before the camera is pressed
	await expect(async () => {
		await app.stage.locator('.camera').click({ force: true });
		await expect(app.card).toBeVisible({ timeout: 2000 });
	}).toPass({ timeout: 20_000 });
	const choices = app.card.getByLabel('lens', { exact: true });
	await expect(choices.locator('option', { hasText: '85 mm f/1.2' })).toHaveCount(1);
	await expect(choices.locator('option', { hasText: 'A lens to consider' })).toHaveCount(0);
});

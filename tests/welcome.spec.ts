import { axe } from './support/axe';
import { expect, test } from './support/app';

/** The first minute: what Focalis does, moved by hand; the way in; a tour; a stage that nobody stands on yet. */

test('the first screen answers to one’s hand', async ({ page }) => {
	await page.goto('/');
	const tried = page.getByRole('region', { name: 'Try it' });
	const answer = tried.locator('.verdict');
	await expect(answer).toContainText(/f\/[\d.]+, 1\/\d+/);
	const before = (await answer.textContent()) ?? '';
	const behind = tried.getByRole('slider', { name: /stands .* behind the others/ });
	await behind.fill('1.5');
	await expect(answer).not.toHaveText(before);
	// farther apart takes a smaller opening
	const fNumberOf = (text: string) => Number(/f\/([\d.]+)/.exec(text)?.[1]);
	expect(fNumberOf((await answer.textContent()) ?? '')).toBeGreaterThan(fNumberOf(before));
	await tried.getByRole('slider', { name: /chosen by Focalis/ }).fill('0');
	await expect(answer).toContainText('f/1.4');
	await tried.getByRole('button', { name: 'let Focalis choose' }).click();
	await expect(answer).not.toContainText('f/1.4,');

	// by pointer, on the stage
	const told = tried.getByText(/stands .* behind the others/);
	const was = (await told.textContent()) ?? '';
	const stage = await tried.locator('.stage').boundingBox();
	if (!stage) throw new Error('no stage');
	await page.mouse.move(stage.x + 300, stage.y + 40);
	await page.mouse.down();
	await page.mouse.move(stage.x + 240, stage.y + 40, { steps: 4 });
	await page.mouse.up();
	await expect(told).not.toHaveText(was);
	await axe(page, 'main');
});

test('the tour is four sentences, can be skipped, and does not come back', async ({
	app,
	page
}) => {
	await page.goto('/');
	await page.getByRole('button', { name: 'Open the sample day' }).click();
	const tour = page.getByRole('complementary', { name: 'Tour' });
	await expect(tour).toContainText('1 of 4');
	await axe(page, '[aria-label=Tour]');
	for (const step of [2, 3, 4]) {
		await tour.getByRole('button', { name: 'Next' }).click();
		await expect(tour).toContainText(`${step} of 4`);
	}
	await tour.getByRole('button', { name: 'Done' }).click();
	await expect(tour).toBeHidden();
	await app.saved();
	await page.reload();
	await expect(app.headline).toBeVisible();
	await expect(tour).toBeHidden();
});

test('an empty plan offers arrangements and a photograph', async ({ app, page }) => {
	await page.goto('/');
	await page.getByRole('button', { name: 'Start a shot' }).click();
	const offers = page.getByRole('group', { name: 'Nobody is there yet' });
	await expect(offers.getByRole('button', { name: 'From a photograph…' })).toBeVisible();
	await axe(page, 'main');
	await offers.getByRole('button', { name: 'Three rows on steps' }).click();
	await expect(offers).toBeHidden();
	await expect(app.stage.locator('.head')).toHaveCount(15);
	await expect(app.headline).toContainText('f/');
	await page.keyboard.press('Control+z');
	await expect(offers).toBeVisible();
});

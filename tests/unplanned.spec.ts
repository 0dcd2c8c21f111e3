import { expect, test } from './support/app';

test('an unplanned shot is answered before there is any shot, and keeps the first one', async ({
	app,
	page
}) => {
	await page.goto('/');
	await page.getByRole('button', { name: 'A verdict in three taps' }).click();
	for (const text of ['85 mm f/1.4', 'head and shoulders', 'one']) {
		await page.locator('label', { hasText: text }).first().click();
	}
	await expect(page.getByRole('main')).toContainText(/’s (left|right) eye/);
	await expect(page.getByRole('main')).toContainText(/f\/[\d.]+/);
	await page.getByRole('button', { name: 'Keep it as a shot of the day' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText('One, head and shoulders');
	await app.goTo('Day');
	await expect(app.shots).toHaveCount(1);
});

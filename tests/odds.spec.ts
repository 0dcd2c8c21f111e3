import { expect, test } from './support/app';

/** How many frames to take, what spoils them, and hands of one's own. */

test('the odds come by themselves, follow a change, and say what would help', async ({
	app,
	page
}) => {
	await app.openSample(/The bandleader/);
	const row = app.ladder.getByRole('row', { name: /^good frames, %/ });
	await expect(row).toBeVisible();
	await expect(app.verdict).toContainText(/Take \w+ frames to be 95 % sure of one good one\./);

	await app.verdict.getByRole('button', { name: 'why' }).click();
	const why = page.getByRole('dialog');
	await expect(why.getByText(/of the frames are lost because the camera shakes/)).toBeVisible();
	await expect(why.getByText(/is lost most often/)).toBeVisible();
	const tripod = why.getByRole('row', { name: /^take a tripod/ });
	await expect(tripod).toContainText(/\d+ more in a hundred/);
	await expect(why.locator('.js-plotly-plot').first().locator('.trace')).toHaveCount(3);

	await why.getByText('by the odds', { exact: true }).click();
	await page.keyboard.press('Escape');
	await expect(app.verdict).toHaveAttribute('data-feasible', 'true');
});

test('my hands: steadier ones need fewer frames; the assumptions come back', async ({
	app,
	page
}) => {
	await app.openSample(/The couple/);
	const row = app.ladder.getByRole('row', { name: /^good frames, %/ });
	await expect(row).toBeVisible();
	await expect(app.verdict).toContainText('Take');
	const shares = async () => (await row.getByRole('cell').allTextContents()).map(Number);
	const sum = async () => (await shares()).reduce((a, b) => a + b, 0);
	const before = await sum();

	const openHands = async () => {
		await page.getByRole('button', { name: 'kit', exact: true }).click();
		await page.getByRole('dialog').getByText('my hands', { exact: true }).click();
		return page.getByRole('dialog');
	};
	const hands = await openHands();
	await hands.getByLabel('I sway forward and back, camera in the hand').fill('2');
	await hands.getByLabel(/^my shake/).fill('0.1');
	await page.keyboard.press('Escape');
	await expect.poll(sum).toBeGreaterThan(before + 100);

	await page.reload();
	await expect.poll(sum).toBeGreaterThan(before + 100);
	await (await openHands()).getByRole('button', { name: 'Back to the assumptions' }).click();
	await page.keyboard.press('Escape');
	await expect.poll(sum).toBeLessThan(before + 20);
});

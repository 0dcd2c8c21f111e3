import { expect, test } from './support/app';

/** How many frames to take, what spoils them, and hands of one's own. */

test('the odds come by themselves, follow a change, and say what would help', async ({
	app,
	page
}) => {
	await app.openSample(/The couple/);
	const row = app.ladder.getByRole('row', { name: /^good of 100 frames/ });
	await expect(row).toBeVisible();
	await expect(app.verdict).toContainText(/Take \w+ frames to be 95 % sure of one good one\./);

	await app.verdict.getByRole('button', { name: 'why' }).click();
	const why = page.getByRole('dialog');
	await expect(
		why.getByText(/of the frames are lost because the focusing is a little off/)
	).toBeVisible();
	await expect(why.getByText(/is lost most often/)).toBeVisible();
	await expect(why.locator('.js-plotly-plot').first().locator('.trace')).toHaveCount(3);
	// each with what it brings, the most first; a click does it, undo takes it back
	const helps = why.locator('ul.advice').getByRole('button');
	const gains = (await helps.allTextContents()).map((text) =>
		Number(/(\d+) more good frames in a hundred/.exec(text)?.[1])
	);
	expect(gains.length).toBeGreaterThan(2);
	expect(gains).toEqual(gains.toSorted((a, b) => b - a));
	await helps.filter({ hasText: /^Take 1\/\d+ at ISO/ }).click();
	await expect(why.getByText('The shutter stays at 1/320, as you locked it.')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(why).toBeHidden();
	await page.keyboard.press('Control+z');
	await expect(app.headline).toContainText('1/160');
	await app.verdict.getByRole('button', { name: 'why' }).click();

	// the surer, the narrower; the school that asks for no odds is the widest of all
	const f = async () => parseFloat((await app.pick().textContent()) ?? '');
	const balanced = await f();
	await why.getByText('the sure end', { exact: true }).click();
	await expect.poll(f).toBeGreaterThan(balanced);
	await why.getByText('the wide end', { exact: true }).click();
	await expect.poll(f).toBeLessThanOrEqual(balanced);
	await why.getByText('the widest that holds everyone', { exact: true }).click();
	await expect(why.getByText('how sure')).toBeHidden();
	await page.keyboard.press('Escape');
	await expect(app.verdict).toHaveAttribute('data-feasible', 'true');
});

test('my hands: steadier ones and surer focusing need fewer frames; the assumptions come back', async ({
	app,
	page
}) => {
	await app.openSample(/The couple/);
	const row = app.ladder.getByRole('row', { name: /^good of 100 frames/ });
	await expect(row).toBeVisible();
	await expect(app.verdict).toContainText('Take');
	const picked = async () => Number(await row.locator('td.pick').textContent());
	const before = await picked();

	const openHands = async () => {
		await page.getByRole('button', { name: 'kit', exact: true }).click();
		await page.getByRole('dialog').getByText('my hands', { exact: true }).click();
		return page.getByRole('dialog');
	};
	const hands = await openHands();
	await hands.getByLabel('I sway forward and back, camera in the hand').fill('2');
	await hands.getByLabel(/^my shake/).fill('0.1');
	await hands.getByLabel(/^the camera on its best points/).fill('0.1');
	await page.keyboard.press('Escape');
	await expect.poll(picked).toBeGreaterThan(before + 5);
	await app.saved();

	await page.reload();
	await expect.poll(picked).toBeGreaterThan(before + 5);
	await (await openHands()).getByRole('button', { name: 'Back to the assumptions' }).click();
	await page.keyboard.press('Escape');
	await expect.poll(picked).toBe(before);
});

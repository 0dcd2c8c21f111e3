import { expect, test } from './support/app';

/** What one does on the Plan screen, each thing once. */

test.describe('the ladder', () => {
	test.beforeEach(({ app }) => app.openSample(/Two families/));

	test('pointing peeks and changes nothing; a click fixes, another frees', async ({
		app,
		page
	}) => {
		const picked = (await app.headline.textContent()) ?? '';
		await app.rung(2.8).hover();
		await expect(app.headline).toContainText(/f\/2.8,.*peek/);
		await expect(app.verdict).toContainText(/not sharp|short of sharp/);
		await page.mouse.move(5, 5);
		await expect(app.headline).toHaveText(picked);
		await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();

		await app.rung(11).click();
		await page.mouse.move(5, 5);
		await expect(app.headline).toContainText(/f\/11,.*locked/);
		await expect(app.pick()).not.toHaveText('11');
		await app.rung(11).click();
		await expect(app.headline).toHaveText(picked);
	});

	test('opens a row into single faces', async ({ app }) => {
		await app.ladder.getByRole('button', { name: 'back row' }).click();
		for (const name of ['Radu', 'Noor', 'Chiara', 'Mihai']) {
			await expect(app.ladder.getByRole('button', { name })).toBeVisible();
		}
	});

	test('is a table to who does not see it', async ({ app }) => {
		const row = app.ladder.getByRole('row').filter({ hasText: 'front row' });
		await expect(row.getByRole('rowheader')).toHaveText('front row');
		await expect(row.getByRole('cell').first()).toContainText(/\d of 5 sharp, worst/);
	});
});

test('the sharpness standard is changed in place, a print with its size', async ({ app, page }) => {
	await app.openSample(/Two families/);
	const choose = (name: string) => page.getByRole('radio', { name }).check({ force: true });
	const f = async () => parseFloat((await app.pick().textContent()) ?? '');
	const screen = await f();
	await choose('small print');
	await expect.poll(f).toBeLessThan(screen);
	await choose('every pixel');
	await expect.poll(f).toBeGreaterThan(screen);
	await choose('print of…');
	await page.getByLabel('width of the print').fill('20');
	await page.getByLabel('width of the print').press('Enter');
	await expect.poll(f).toBeLessThan(screen);
});

test('what it is about changes who is key and what is sharp', async ({ app, page }) => {
	await app.openSample(/The bandleader/);
	// what each would cost makes the choices wider
	await expect(page.getByRole('radio', { name: /^both f\// })).toBeAttached();
	await page.getByRole('radio', { name: 'the trumpet' }).check({ force: true });
	await expect(app.headline).toContainText('Focus on trumpet');
	await page.getByRole('radio', { name: 'the person' }).check({ force: true });
	await expect(app.headline).toContainText(/’s (left|right) eye/);
	await page.getByRole('radio', { name: 'both' }).check({ force: true });
	await expect(page.getByRole('radio', { name: 'both' })).toBeChecked();
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('radio', { name: 'the person' })).toBeChecked();
});

test.describe('the picture', () => {
	test('without graphics it is a drawing, and says why', async ({ app, page }) => {
		await app.openSample(/Two families/);
		const frame = page.getByRole('region', { name: 'Frame' });
		await expect(frame).toContainText('A drawing only: this browser does not offer WebGL 2.');
		await expect(frame.locator('[data-eye]').first()).toBeVisible();
		await expect(page.getByRole('region', { name: 'Eyes' })).toBeHidden();
	});

	test('click a face: focus there; choose its nose; leave it to Focalis again', async ({
		app,
		page
	}) => {
		await app.openSample(/Two families/);
		const picked = (await app.headline.textContent()) ?? '';
		const keiko = app.frame.getByRole('option', { name: /^Keiko,/ });
		await app.clickMiddleOf(keiko.locator('.skull'));
		await expect(app.headline).toContainText('Keiko’s');
		await page.getByRole('button', { name: 'nose', exact: true }).click();
		await expect(app.headline).toContainText('Keiko’s nose');
		await page.getByRole('button', { name: 'let Focalis choose' }).click();
		await expect(app.headline).toHaveText(picked);
	});

	test('by keyboard: one tab stop, arrows from face to face', async ({ app, page }) => {
		await app.openSample(/Two families/);
		await app.frame.focus();
		await page.keyboard.press('ArrowLeft');
		const active = await app.frame.getAttribute('aria-activedescendant');
		await page.keyboard.press('Enter');
		const chosen = page.locator(`[id="${active}"]`);
		await expect(chosen).toHaveAttribute('aria-selected', 'true');
		const name = ((await chosen.getAttribute('aria-label')) ?? '').split(',')[0] ?? '';
		await expect(app.headline).toContainText(name);
	});
});

test('why: what binds, the schools, every face over every f-number', async ({ app, page }) => {
	await app.openSample(/Two families/);
	await app.verdict.getByRole('button', { name: 'why' }).click();
	const dialog = page.getByRole('dialog');
	await expect(dialog).toContainText('is the hardest to hold');
	const where = dialog.getByRole('table').filter({ hasText: 'the front row' });
	await expect(where.getByRole('row')).toHaveCount(6);
	await expect(where.getByRole('row', { name: /the computed plane/ })).toContainText(
		'as good as any'
	);
	const chart = dialog.getByRole('img', { name: /^Blur of each face/ });
	await expect(chart.locator('.scatterlayer .trace')).toHaveCount(15);
	await expect(dialog).toContainText('keep people back from the edge');
	await page.keyboard.press('Escape');
	await expect(dialog).toBeHidden();
});

test('metres and feet, day and night, shortcuts that can be turned off', async ({ app, page }) => {
	await app.openSample(/Two families/);
	await page.keyboard.press('u');
	await expect(app.verdict).toContainText(/In hand: \d+(\.\d)? (in|ft)/);
	await page.keyboard.press('n');
	await expect(page.locator('html')).toHaveAttribute('data-look', 'night');
	await page.reload();
	await expect(page.locator('html')).toHaveAttribute('data-look', 'night');
	await expect(app.headline).toBeVisible();
	await page.keyboard.press('?');
	const help = page.getByRole('dialog');
	await help.getByRole('checkbox').uncheck();
	await page.keyboard.press('Escape');
	await page.keyboard.press('u');
	await expect(app.verdict).toContainText(/In hand: \d+(\.\d)? (in|ft)/);
});

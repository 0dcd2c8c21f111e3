import type { Locator } from '@playwright/test';
import { expect, test } from './support/app';

/** What one does by hand on the stage. */

test('distances and gaps are shown while something is held, and only then', async ({
	app,
	page
}) => {
	await app.openSample(/Two families/);
	const readout = app.stage.locator('.readout');
	const { x, y } = await app.middleOf(app.row('back'));
	await page.mouse.move(x, y);
	await page.mouse.down();
	await expect(readout).toBeHidden();
	await page.mouse.move(x + 20, y, { steps: 4 });
	await expect(readout).toHaveText(/^\s*\d\.\d\d m away · .+ behind the row before\s*$/);
	await expect(app.card).toBeHidden();
	await page.mouse.up();
	await expect(readout).toBeHidden();
});

test('while somebody is moved nothing moves away from under the pointer', async ({ app, page }) => {
	await page.setViewportSize({ width: 1024, height: 800 });
	await app.openSample(/The couple/);
	const at = await app.middleOf(app.stage.locator('.full').first());
	await page.mouse.move(at.x, at.y);
	await page.mouse.down();
	// a move is heard with the next frame
	await page.mouse.move(at.x + 20, at.y);
	await expect(app.stage.locator('.readout')).toBeVisible();
	const heightOf = (part: Locator) => part.evaluate((one) => one.getBoundingClientRect().height);
	const seen = { words: new Set(), ladder: new Set() };
	const [tops, feet]: [number[], number[]] = [[], []];
	for (let i = 1; i <= 24; i++) {
		await page.mouse.move(at.x + 60 * Math.sin(i / 3), at.y + 50 * (Math.cos(i / 5) - 1));
		const { y, height } = (await app.stage.boundingBox()) ?? { y: NaN, height: NaN };
		tops.push(y);
		feet.push(y + height);
		seen.words.add(await heightOf(app.verdict));
		seen.ladder.add(await app.ladder.getByRole('row').count());
	}
	await page.mouse.up();
	// what is said and the ladder take more room and less meanwhile
	expect(seen.words.size).toBeGreaterThan(1);
	expect(seen.ladder.size).toBeGreaterThan(1);
	for (const edges of [tops, feet]) {
		expect(Math.max(...edges) - Math.min(...edges)).toBeLessThanOrEqual(1);
	}
});

test.describe('the stage', () => {
	test.beforeEach(async ({ app }) => {
		await app.openSample(/The couple/);
		// the stage gives way to the last words of the verdict
		await expect(app.verdict).toContainText('Take');
	});

	test('select, turn a head by its handle, drag it, nudge it', async ({ app, page }) => {
		const marks = app.stage.locator('.head');
		await app.clickMiddleOf(marks.first());
		await expect(app.card.getByLabel('name')).toHaveValue(/Ilinca|Tomás/);
		const turn = app.card.getByLabel('head turned');
		const before = await turn.inputValue();
		await app.drag(await app.middleOf(app.stage.locator('.turn')), { x: 10, y: 60 });
		await expect(turn).not.toHaveValue(before);
		await app.card.getByRole('button', { name: 'move right' }).click();
		await app.card.getByRole('button', { name: 'turn one way' }).click();
		for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
		await expect(turn).toHaveValue(before);
		await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
	});

	test('need and keep are changed in the card', async ({ app, page }) => {
		await app.clickMiddleOf(app.stage.locator('.head').last());
		const pick = async () => parseFloat((await app.pick().textContent()) ?? '');
		const before = await pick();
		await app.card.getByLabel('must be').selectOption({ value: 'free' });
		await expect.poll(pick).toBeLessThan(before);
		await app.card.getByLabel('must be').selectOption({ value: 'key' });
		await expect.poll(pick).toBe(before);
		await app.card.getByLabel('keep').selectOption({ value: 'face' });
		await expect(app.card.getByLabel('keep')).toHaveValue('face');
		await app.card.getByRole('button', { name: 'Close' }).click();
		await expect(app.card).toBeHidden();
		for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
		await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
	});

	test('the camera is moved, turned, raised; everybody out of the picture is said', async ({
		app,
		page
	}) => {
		const camera = app.stage.locator('.camera');
		await app.clickMiddleOf(camera);
		await expect(app.card.getByRole('heading')).toHaveText('Camera');
		await app.drag(await app.middleOf(app.stage.locator('.turn')), { x: -20, y: 120 });
		await expect(app.verdict).toContainText('There is nothing in the picture to focus on.');
		await expect(app.verdict).toContainText(/outside the frame/);
		await page.keyboard.press('Control+z');
		await expect(app.headline).toContainText('Focus on');
	});

	test('the plane of focus is dragged, and snaps to an eye', async ({ app, page }) => {
		const handle = app.stage.locator('circle.handle');
		const at = await app.middleOf(handle);
		await app.drag(at, { x: 60, y: 0 });
		await expect(app.headline).toContainText(/a plane \d+\.\d\d m away/);
		await page.keyboard.press('Control+z');
		await expect(app.headline).toContainText('eye');
		await app.drag(at, { x: 3.5, y: 0 });
		await expect(app.headline).toContainText(/’s (left|right) eye/);
	});

	test('from the side, zoomed, panned, and all of it shown again', async ({ app, page }) => {
		await page.getByRole('radio', { name: 'from the side' }).check({ force: true });
		const head = app.stage.locator('.head').first();
		const before = await app.middleOf(head);
		await page.getByRole('button', { name: 'Zoom in' }).click();
		const box = await app.stage.boundingBox();
		if (!box) throw new Error('no stage');
		await app.drag({ x: box.x + 30, y: box.y + 30 }, { x: 40, y: 20 });
		const moved = await app.middleOf(head);
		expect(Math.hypot(moved.x - before.x, moved.y - before.y)).toBeGreaterThan(20);
		await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
		await page.getByRole('button', { name: 'Show everything' }).click();
		const shown = await app.middleOf(head);
		expect(shown.x).toBeCloseTo(before.x, 0);
	});

	test('the list does with numbers what the drawing does by hand', async ({ app, page }) => {
		await page.getByRole('radio', { name: 'list' }).check({ force: true });
		const before = (await app.headline.textContent()) ?? '';
		const row = page.getByRole('region', { name: 'Stage' }).getByRole('row', { name: /Tomás/ });
		const away = row.getByRole('textbox', { name: /away/ });
		await away.fill('4.5');
		await away.press('Enter');
		await expect(app.headline).not.toHaveText(before);
		await away.fill('nonsense');
		await expect(row).toContainText(/number/);
	});
});

test.describe('adding', () => {
	test.beforeEach(async ({ app, page }) => {
		await page.goto('/');
		await page.getByRole('button', { name: 'Start a shot' }).click();
		await expect(app.verdict).toContainText('Who is in front of the camera?');
	});

	const add = async (page: import('@playwright/test').Page, name: string) => {
		await page.getByRole('button', { name: '+ Add' }).click();
		await page.getByRole('dialog', { name: 'Add' }).getByText(name, { exact: true }).click();
	};

	test('a person, a couple, a dog, a thing', async ({ app, page }) => {
		await add(page, 'A person');
		await expect(app.headline).toContainText('Person 1');
		await add(page, 'A couple');
		await add(page, 'A dog');
		await expect(app.verdict).toContainText('All three faces hold.');
		// a dog stands on the floor, below this picture
		await expect(app.verdict).toContainText('Dog 4 is outside the frame.');
		await add(page, 'A thing');
		await expect(app.ladder.getByRole('button', { name: 'Thing' })).toBeVisible();
		await page.keyboard.press('Control+z');
		await expect(app.ladder.getByRole('button', { name: 'Thing' })).toBeHidden();
	});

	test('rows of 5, 6 and 4 on steps; too many are refused in words', async ({ app, page }) => {
		await add(page, 'Rows of people…');
		const dialog = page.getByRole('dialog');
		const counts = dialog.getByLabel('How many in each row');
		await counts.fill('50 40');
		await expect(dialog.getByRole('alert')).toContainText('There is room for 80 more people');
		await counts.fill('5, 6, 4');
		await dialog.getByRole('button', { name: 'Add 15 people' }).click();
		await expect(dialog).toBeHidden();
		await expect(app.headline).toContainText('middle row');
		for (const row of ['front row', 'middle row', 'back row']) {
			await expect(app.ladder.getByRole('button', { name: row })).toBeVisible();
		}
	});
});

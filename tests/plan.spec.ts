import type { Locator } from '@playwright/test';
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
		await page.mouse.click(...xy(await app.middleOf(keiko.locator('.skull'))));
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

test.describe('the stage', () => {
	test.beforeEach(async ({ app }) => {
		await app.openSample(/The couple/);
		// the stage gives way to the last words of the verdict
		await expect(app.verdict).toContainText('Take');
	});

	test('select, turn a head by its handle, drag it, nudge it', async ({ app, page }) => {
		const marks = app.stage.locator('.head');
		await page.mouse.click(...xy(await app.middleOf(marks.first())));
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
		await page.mouse.click(...xy(await app.middleOf(app.stage.locator('.head').last())));
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
		await page.mouse.click(...xy(await app.middleOf(camera)));
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

const xy = ({ x, y }: { x: number; y: number }): [number, number] => [x, y];

import { App, expect, test } from './support/app';

/** The day: its shots in order of time, its people. */

const FIRST = 'The couple under the arcade';
const SECOND = 'Two families on the steps';

const menuOf = async (app: App, title: string, item: string | RegExp) => {
	await app.page.getByRole('button', { name: `more for ${title}` }).click();
	await app.page.getByRole('dialog').getByRole('button', { name: item, exact: true }).click();
};
const undo = (app: App) => app.page.getByRole('button', { name: 'Undo' }).click();

test.beforeEach(({ app }) => app.openSampleDay());

test('shots stand in order of time, with verdict, status, pauses and overlaps', async ({ app }) => {
	await expect(app.shots).toHaveCount(10);
	await expect(app.shots.first()).toContainText('13:30');
	await expect(app.shotRow(SECOND)).toContainText(/eye, f\/[\d.]+, 1\/\d+, ISO \d+/);
	await expect(app.shotRow(SECOND)).toContainText('40 min free');
	await expect(app.page.getByText('overlaps by 5 min')).toBeVisible();
});

test('a shot is moved by keys, by the menu, and by dragging; undo brings it back', async ({
	app,
	page
}) => {
	const before = await app.titles();
	const swapped = [SECOND, FIRST, ...before.slice(2)];

	await page.getByRole('button', { name: `Move ${FIRST}` }).focus();
	await page.keyboard.press('Alt+ArrowDown');
	await expect.poll(() => app.titles()).toEqual(swapped);
	// the times follow: what comes first starts first
	await expect(app.shotRow(SECOND)).toContainText('13:30');
	// the handle keeps the focus, so that it goes on
	await page.keyboard.press('Alt+ArrowUp');
	await expect.poll(() => app.titles()).toEqual(before);

	await menuOf(app, FIRST, 'Later');
	await expect.poll(() => app.titles()).toEqual(swapped);
	await undo(app);

	const handle = await app.middleOf(page.getByRole('button', { name: `Move ${FIRST}` }));
	const below = await app.middleOf(page.getByRole('button', { name: `Move ${SECOND}` }));
	await page.mouse.move(handle.x, handle.y);
	await page.mouse.down();
	await page.mouse.move(handle.x, handle.y + 10, { steps: 3 });
	await page.mouse.move(below.x, below.y + 12, { steps: 12 });
	await page.mouse.up();
	await expect.poll(() => app.titles()).toEqual(swapped);
	await app.saved();
	await page.reload();
	await expect.poll(() => app.titles()).toEqual(swapped);
});

test('a locked time stays, a drop above the first counts, and says before what it moves', async ({
	app,
	page
}) => {
	await menuOf(app, SECOND, 'Lock the time');
	await expect(app.shotRow(SECOND)).toContainText('locked');
	await expect(page.getByRole('button', { name: `Move ${SECOND}` })).toHaveCount(0);
	const third = await app.middleOf(page.getByRole('button', { name: 'Move Rings, walking in' }));
	const first = await app.middleOf(page.getByRole('button', { name: `Move ${FIRST}` }));
	await page.mouse.move(third.x, third.y);
	await page.mouse.down();
	await page.mouse.move(third.x, third.y - 10, { steps: 3 });
	await page.mouse.move(first.x, first.y - 60, { steps: 12 });
	await expect(page.getByText('Here it starts at 13:25; one other shot moves.')).toBeVisible();
	await page.mouse.up();
	await expect
		.poll(async () => (await app.titles()).slice(0, 3))
		.toEqual(['Rings, walking in', FIRST, SECOND]);
	await expect(app.shotRow(SECOND)).toContainText('14:00');
	await expect(app.shotRow(FIRST)).toContainText('13:40');
});

test('a shot is duplicated, taken out and brought back; status is kept', async ({ app, page }) => {
	await menuOf(app, FIRST, 'Duplicate');
	await expect(app.shots).toHaveCount(11);
	await expect(app.shots.last()).toContainText(`${FIRST} (copy)`);
	await undo(app);
	await expect(app.shots).toHaveCount(10);

	await menuOf(app, SECOND, 'Remove');
	await expect(app.shotRow(SECOND)).toHaveCount(0);
	await undo(app);
	await expect(app.shotRow(SECOND)).toHaveCount(1);

	await page.getByLabel(`status of ${SECOND}`).selectOption('taken');
	await expect(page.getByText('1 of 10 taken.')).toBeVisible();
	await app.saved();
	await page.reload();
	await expect(page.getByText('1 of 10 taken.')).toBeVisible();
});

test('a shot moves to another day, at its time there', async ({ app, page }) => {
	await page.getByRole('button', { name: 'Jobs' }).click();
	await page.getByRole('dialog').getByRole('button', { name: 'A new day' }).click();
	await expect(page.getByText('No shots yet. Add one')).toBeVisible();
	await page.getByRole('button', { name: 'Jobs' }).click();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /Rope works/ })
		.click();
	await menuOf(app, SECOND, 'Move to “New day”');
	await expect(app.shots).toHaveCount(9);
	await page.getByRole('button', { name: 'Jobs' }).click();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /New day/ })
		.click();
	await expect(app.shots).toHaveCount(1);
	await expect(app.shots).toContainText('14:00');
});

test('a shot is added from an arrangement, and found again by a name or a place', async ({
	app,
	page
}) => {
	await page.getByRole('button', { name: '+ Shot' }).click();
	await app.pressAtRest(page.getByRole('dialog').getByRole('button', { name: /rows/i }).first());
	await expect(app.shots).toHaveCount(11);
	const search = page.getByRole('searchbox', { name: 'Find a shot' });
	await search.fill('halina');
	await expect(app.shots.first()).toContainText('An elder');
	await search.fill('loft');
	await expect(app.shots).toHaveCount(1);
	await search.fill('nobody of that name');
	await expect(page.getByText('Nothing matches that.')).toBeVisible();
});

test('time and place are changed, and the order follows', async ({ app, page }) => {
	await page.getByRole('button', { name: /^13:30/ }).click();
	await page.getByLabel('starts').fill('2026-09-26T19:30');
	await page.getByLabel('where').fill('the quay');
	await page.getByRole('button', { name: 'Done' }).click();
	await expect(app.shots.last()).toContainText('19:30');
	await expect(app.shots.last()).toContainText('the quay');
});

test('people are pasted once, placed in a shot from there, and renamed everywhere', async ({
	page
}) => {
	const people = page.getByRole('region', { name: 'People of the day' });
	await expect(people.getByRole('button', { name: '2 of 31 in no shot yet' })).toBeVisible();
	await people.getByRole('button', { name: 'Paste a list…' }).click();
	const dialog = page.getByRole('dialog');
	await dialog
		.getByRole('textbox')
		.fill(
			'1. Ximena, child, 1.2 m, flower girl\n• لیلا, glasses\nAino\n21:15 Last dance: Ximena, Radu'
		);
	// what was understood is shown, and somebody who is there already is asked about
	const understood = dialog.getByRole('list', { name: 'What was understood' });
	await expect(understood).toContainText('child, 1.20 m tall, eyes at 1.12 m, flower girl');
	await expect(understood).toContainText('21:15 Last dance');
	await expect(dialog.getByLabel('Aino: what to do')).toHaveValue('leave');
	await dialog.getByRole('button', { name: 'Add three lines' }).click();
	await expect(page.getByRole('button', { name: 'Last dance', exact: true })).toBeVisible();
	await expect(people.getByRole('button', { name: '3 of 33 in no shot yet' })).toBeVisible();

	await people.getByRole('button', { name: /^Ximena/ }).click();
	await people.getByRole('checkbox', { name: FIRST }).check();
	await expect(people.getByRole('button', { name: /^Ximena.*in 2 shots/ })).toBeVisible();
	await people.getByLabel('name', { exact: true }).fill('Jimena');
	await people.getByLabel('name', { exact: true }).press('Enter');
	await page.getByRole('button', { name: FIRST, exact: true }).click();
	await page.getByRole('radio', { name: 'list' }).check({ force: true });
	await expect(page.getByRole('main').getByText('Jimena').first()).toBeVisible();

	// and from the plan, out of the same list
	await page.getByRole('button', { name: '+ Add' }).click();
	await page.getByRole('button', { name: 'From the people of the day…' }).click();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /^Wojtek/ })
		.click();
	await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
	await expect(page.getByRole('main').getByText('Wojtek').first()).toBeVisible();
});

test('a day is erased from this device, and it says what went', async ({ app, page }) => {
	await app.saved();
	await page.getByRole('button', { name: 'Jobs' }).click();
	await page.getByRole('dialog').getByRole('button', { name: 'A new day' }).click();
	await page.getByRole('button', { name: 'Jobs' }).click();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /Rope works/ })
		.click();
	await page.getByRole('button', { name: 'Jobs' }).click();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /Erase this job/ })
		.click();
	await page.getByRole('button', { name: 'Erase it' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'was erased' })).toContainText(
		'10 shots, 10 steps of their history, 31 people'
	);
	await page.reload();
	await expect(page.getByText('No shots yet. Add one')).toBeVisible();
	await page.getByRole('button', { name: 'Jobs' }).click();
	await expect(page.getByRole('dialog').getByRole('button', { name: /Rope works/ })).toHaveCount(0);
});

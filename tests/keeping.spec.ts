import { axe } from './support/axe';
import { App, expect, test } from './support/app';

/** Nothing is lost: two windows, broken records, a store that is full or refused. */

const fix = async (app: App, fNumber: number) => {
	await app.rung(fNumber).click();
	await app.page.mouse.move(5, 5);
	await expect(app.headline).toContainText(new RegExp(`f/${fNumber},.*locked`));
};

test('two tabs show each other’s changes', async ({ app, page, context }) => {
	await app.openSample(/The couple/);
	await app.saved();
	const other = new App(await context.newPage());
	await other.page.goto(page.url());
	await expect(other.headline).toBeVisible();
	await fix(app, 8);
	await expect(other.headline).toContainText(/f\/8,.*locked/);
	await other.page.getByRole('button', { name: 'Undo' }).click();
	await expect(app.headline).not.toContainText('locked');
});

test('two tabs that change the same shot at once are asked, and both versions stay', async ({
	app,
	page,
	context
}) => {
	await app.openSample(/The couple/);
	await app.saved();
	const other = new App(await context.newPage());
	await other.page.goto(page.url());
	await expect(other.headline).toBeVisible();
	// the other tab hears of nothing for a moment, as when both act within a blink
	await other.page.evaluate(() => {
		const put = IDBObjectStore.prototype.put;
		let hold = true;
		IDBObjectStore.prototype.put = function (value: { revision?: number }, ...rest) {
			if (hold && value.revision !== undefined) {
				hold = false;
				throw new DOMException('', 'AbortError');
			}
			return put.call(this, value, ...rest);
		};
	});
	await fix(other, 11);
	await expect(other.page.getByRole('alert')).toContainText('changes are not kept');
	await fix(app, 8);
	await app.saved();

	await other.page.getByRole('button', { name: 'Try again' }).click();
	const alert = other.page.getByRole('alert');
	await expect(alert).toContainText('changed in another window');
	await expect(other.headline).toContainText(/f\/11,.*locked/);
	await alert.getByRole('button', { name: 'Mine' }).click();
	await expect(app.headline).toContainText(/f\/11,.*locked/);
	await other.page.getByRole('button', { name: 'Undo' }).click();
	await expect(other.headline).toContainText(/f\/8,.*locked/);
	await expect(app.headline).toContainText(/f\/8,.*locked/);
});

test('a record that no longer validates is set aside, reported and left where it is', async ({
	app,
	page
}) => {
	await app.openSample(/The couple/);
	await app.saved();
	const spoil = () =>
		page.evaluate(
			() =>
				new Promise<number>((resolve, reject) => {
					const opening = indexedDB.open('focalis');
					opening.onerror = () => reject(new Error('not opened'));
					opening.onsuccess = () => {
						const shots = opening.result.transaction('shots', 'readwrite').objectStore('shots');
						const reading = shots.getAll();
						reading.onsuccess = () => {
							const spoiled = reading.result.at(-1);
							if (typeof spoiled.shot.title === 'string') {
								spoiled.shot.title = 12;
								shots.put(spoiled);
							}
							resolve(reading.result.filter(({ shot }) => shot.title === 12).length);
						};
					};
				})
		);
	await spoil();
	await page.reload();
	const alert = page.getByRole('alert');
	await expect(alert).toContainText('One record in this browser cannot be read');
	await expect(alert).toContainText('shot.title: the title must be text');
	await expect(app.headline).toContainText('Focus on');
	// the rest of the work goes on, and the record is still there
	await fix(app, 8);
	await app.saved();
	expect(await spoil()).toBeGreaterThanOrEqual(1);
	await page.reload();
	await alert.getByRole('button', { name: 'Look at it…' }).click();
	const sheet = page.getByRole('dialog');
	const download = page.waitForEvent('download');
	await sheet.getByRole('button', { name: 'Save all of it to a file' }).click();
	expect((await download).suggestedFilename()).toBe('set-aside.json');
	await axe(page, 'dialog[open]');
	// put right in its place, and back in the day
	const title = sheet.getByLabel(/the title must be text/).last();
	await title.fill('');
	await title.blur();
	await sheet.getByRole('button', { name: 'Put it back' }).last().click();
	await expect(sheet.getByRole('status')).toContainText('still cannot be read');
	await sheet.getByRole('textbox').last().fill('Mended');
	await sheet.getByRole('button', { name: 'Put it back' }).last().click();
	await app.goTo('Day');
	await expect(app.shotRow('Mended')).toBeVisible();
	await page.reload();
	await expect(app.shotRow('Mended')).toBeVisible();
});

test.describe('a store that does not take it', () => {
	test('refused altogether: said plainly, and the work can be saved to a file', async ({
		app,
		page
	}) => {
		await page.addInitScript(() => {
			IDBFactory.prototype.open = () => {
				throw new DOMException('refused', 'SecurityError');
			};
		});
		await page.goto('/?sample');
		const alert = page.getByRole('alert');
		await expect(alert).toContainText('does not let Focalis keep anything');
		await expect(app.headline).toContainText('Focus on');
		await fix(app, 8);
		await page.keyboard.press('Control+z');
		await expect(app.headline).not.toContainText('locked');
		const download = page.waitForEvent('download');
		await alert.getByRole('button', { name: 'Save to a file' }).click();
		expect((await download).suggestedFilename()).toMatch(/\.focalis\.json$/);
	});

	test('full: said plainly, and kept as soon as there is room', async ({ app, page }) => {
		await app.openSample(/The couple/);
		await app.saved();
		await page.evaluate(() => {
			const put = IDBObjectStore.prototype.put;
			IDBObjectStore.prototype.put = () => {
				throw new DOMException('full', 'QuotaExceededError');
			};
			Object.assign(window, { makeRoom: () => (IDBObjectStore.prototype.put = put) });
		});
		await fix(app, 8);
		const alert = page.getByRole('alert');
		await expect(alert).toContainText('storage is full: changes are not kept');
		await page.evaluate(() => (window as unknown as { makeRoom: () => void }).makeRoom());
		await alert.getByRole('button', { name: 'Try again' }).click();
		await expect(alert).toBeHidden();
		await app.saved();
		await page.reload();
		await expect(app.headline).toContainText(/f\/8,.*locked/);
	});
});

test('the sample day stands beside the user’s own work', async ({ app, page }) => {
	await page.goto('/');
	await page.getByRole('button', { name: 'Start a shot' }).click();
	await app.openMenu();
	await page.getByRole('dialog').getByLabel('title of this shot').fill('My own shot');
	await page.getByRole('dialog').getByRole('button', { name: 'Sample day' }).click();
	await expect(page.getByRole('banner')).toContainText('Rope works wedding · 1 of 10');
	await app.openMenu();
	await page.getByRole('dialog').getByRole('button', { name: 'My shots' }).click();
	await expect(page.getByRole('banner')).toContainText('My own shot');
});

test('a shot that was taken out can be brought back', async ({ app, page }) => {
	await app.openSample(/The couple/);
	await app.openMenu();
	await page.getByRole('dialog').getByRole('button', { name: 'Remove' }).click();
	await expect(page.getByRole('banner')).toContainText('1 of 9');
	await app.openMenu();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /^Bring back/ })
		.click();
	await expect(page.getByRole('banner')).toContainText('The couple');
	await expect(page.getByRole('banner')).toContainText('of 10');
});

test('what was changed a blink before a reload is there, though the store had no time for it', async ({
	app,
	page
}) => {
	await app.openSampleDay();
	await app.saved();
	await page.evaluate(() => {
		// it is closed before anything reaches it
		IDBDatabase.prototype.transaction = () => {
			throw new DOMException('', 'InvalidStateError');
		};
	});
	await page.getByLabel('Notes of the day').fill('rain after four');
	await page.getByLabel('Name of somebody who is there').fill('Lamia');
	await page.getByLabel('Name of somebody who is there').press('Enter');
	await app
		.shotRow('Rings')
		.getByLabel(/^status of/)
		.selectOption('taken');
	// it says that it is not kept, and asks before one leaves
	page.once('dialog', (dialog) => void dialog.accept());
	await page.reload();
	await expect(page.getByLabel('Notes of the day')).toHaveValue('rain after four');
	await expect(page.locator('.people').getByText('Lamia')).toBeVisible();
	await expect(app.shotRow('Rings').getByLabel(/^status of/)).toHaveValue('taken');
	await app.saved();
	await page.reload();
	await expect(page.getByLabel('Notes of the day')).toHaveValue('rain after four');
});

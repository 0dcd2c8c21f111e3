import { App, expect, test } from './support/app';

/** Backups that write themselves. The folder is one of the browser's own, the dialog that chooses it is not asked. */

declare global {
	interface Window {
		showDirectoryPicker?: () => Promise<FileSystemDirectoryHandle>;
	}
}

test.use({ ownContext: true });

test.beforeEach(async ({ app, page }) => {
	await page.addInitScript(() => {
		window.showDirectoryPicker = async () =>
			(await navigator.storage.getDirectory()).getDirectoryHandle('Safe place', { create: true });
	});
	await page.goto('/');
	await page.getByRole('button', { name: 'Start a shot' }).click();
	await app.goTo('Day');
	await page.getByLabel('Title of the day').fill('My own day');
	await app.saved();
	await page.getByRole('button', { name: 'Files', exact: true }).click();
	await page.getByRole('button', { name: 'Automatically, into a folder…' }).click();
	await expect(page.getByText('Backed up into “Safe place” a minute after a change')).toBeVisible();
	await expect(page.getByRole('dialog').getByText(/Last backup: /)).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toBeHidden();
});

/** The files of the folder, by name; one that is just being written is there without a word. */
const written = (app: App): Promise<Record<string, string>> =>
	app.page.evaluate(async () => {
		const folder = await (
			await navigator.storage.getDirectory()
		).getDirectoryHandle('Safe place', { create: true });
		const texts: Record<string, string> = {};
		for await (const [name, handle] of folder as unknown as AsyncIterable<
			[string, FileSystemFileHandle]
		>) {
			// beside it lies what is just being written
			if (!name.endsWith('.json')) continue;
			const file = await handle.getFile();
			texts[name] = await file.text().catch(() => '');
		}
		return texts;
	});
/** The titles of the days in each file. */
const days = async (app: App) =>
	Object.values(await written(app)).map((text) =>
		text ? (JSON.parse(text) as { jobs: { title: string }[] }).jobs.map(({ title }) => title) : []
	);

test('a change is in the folder a minute later, also after a reload, in one file a day that opens elsewhere', async ({
	app,
	page,
	browser
}) => {
	expect(Object.keys(await written(app))).toEqual([
		expect.stringMatching(/^\d{4}-\d\d-\d\d-[0-9a-f]{4}\.focalis-backup\.json$/)
	]);
	expect((await days(app))[0]).toContain('My own day');

	await page.clock.install();
	await page.reload();
	await page.clock.runFor(500);
	await page.getByLabel('Title of the day').fill('The day after');
	await page.clock.runFor(1000);
	expect((await days(app))[0]).not.toContain('The day after');
	await page.clock.runFor(60_000);
	await expect.poll(() => days(app)).toEqual([expect.arrayContaining(['The day after'])]);

	const [entry] = Object.entries(await written(app));
	if (!entry) throw new Error('no backup');
	const context = await browser.newContext();
	const other = new App(await context.newPage());
	await other.page.goto('/');
	const [name, text] = entry;
	await other.page
		.getByLabel('Open a file')
		.setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
	await expect(other.page.getByRole('dialog')).toContainText('The day after');
	await context.close();
});

test('what the browser wants to be asked again is said, and asked', async ({ app, page }) => {
	await page.addInitScript(() => {
		let state = 'prompt';
		Object.assign(FileSystemHandle.prototype, {
			queryPermission: () => Promise.resolve(state),
			requestPermission: () => Promise.resolve((state = 'granted'))
		});
	});
	await page.reload();
	const notice = page
		.getByRole('status')
		.filter({ hasText: 'Backups into “Safe place” are waiting' });
	await page.locator('[data-ready=true]').waitFor();
	await expect(notice).toBeHidden();
	await page.getByLabel('Title of the day').fill('Asked again');
	await notice.getByRole('button', { name: 'Ask the browser' }).click();
	await expect.poll(() => days(app)).toEqual([expect.arrayContaining(['Asked again'])]);
	await expect(notice).toBeHidden();
});

test('a folder that is gone is said, and another can be chosen', async ({ app, page }) => {
	await page.evaluate(async () =>
		(await navigator.storage.getDirectory()).removeEntry('Safe place', { recursive: true })
	);
	await page.getByLabel('Title of the day').fill('Into another');
	await app.saved();
	// what is left is written at once
	await page.evaluate(() => {
		Object.defineProperty(document, 'hidden', { value: true });
		document.dispatchEvent(new Event('visibilitychange'));
	});
	const notice = page.getByRole('alert').filter({ hasText: 'The folder is not there any more.' });
	await notice.getByRole('button', { name: 'Look at it…' }).click();
	await page.getByRole('button', { name: 'Another folder…' }).click();
	await expect.poll(() => days(app)).toEqual([expect.arrayContaining(['Into another'])]);
	await expect(notice).toBeHidden();
	await page.getByRole('button', { name: 'Stop these backups' }).click();
	await expect(page.getByRole('button', { name: 'Automatically, into a folder…' })).toBeVisible();
});

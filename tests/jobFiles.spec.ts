import { readFileSync, writeFileSync } from 'node:fs';
import { decode } from 'fast-png';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { extractText, getDocumentProxy } from 'unpdf';
import type { JobFile } from '$core/format/job';
import { App, expect, test } from './support/app';

/** Files of a whole day, out and in again; what they leave out; paper. */

/** Makes a file with a button of the sheet, and reads it. */
async function made(app: App, button: string): Promise<{ name: string; bytes: Buffer }> {
	const download = app.page.waitForEvent('download');
	await app.page.getByRole('dialog').getByRole('button', { name: button }).click();
	const file = await download;
	return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
}
const openFiles = (app: App) =>
	app.page.getByRole('button', { name: 'Files', exact: true }).click();
const give = (app: App, name: string, bytes: Buffer) =>
	app.page
		.getByLabel('Open a file')
		.setInputFiles({ name, mimeType: 'application/json', buffer: bytes });

test.beforeEach(async ({ app }) => {
	await app.openSampleDay();
	await openFiles(app);
});

test('a day goes out, and comes in again on another device; a second time it brings nothing', async ({
	app,
	browser
}) => {
	const { name, bytes } = await made(app, 'The whole day');
	expect(name).toBe('rope-works-wedding.focalis-job.json');
	const context = await browser.newContext();
	const other = new App(await context.newPage());
	await other.page.goto('/');
	await give(other, name, bytes);
	const dialog = other.page.getByRole('dialog');
	await expect(dialog).toContainText('A new day with 10 shots.');
	await dialog.getByRole('button', { name: 'Add it' }).click();
	await other.goTo('Day');
	await expect(other.shots).toHaveCount(10);
	expect(await other.titles()).toEqual(await app.titles());

	await give(other, name, bytes);
	await expect(dialog).toContainText('Everything in this file is already here');
	await dialog.getByRole('button', { name: 'Close' }).last().click();

	// one shot is changed: it is told, and both are kept
	const changed = bytes.toString().replace('The couple under the arcade', 'The couple in the rain');
	await give(other, name, Buffer.from(changed));
	await expect(dialog).toContainText('0 new, 1 different, 9 the same');
	await expect(dialog).toContainText('different: title');
	await dialog.getByRole('button', { name: 'Add it' }).click();
	await expect(other.shots).toHaveCount(11);
	await context.close();
});

test('a file that takes long is looked at beside the page, and can be given up', async ({
	app,
	page
}) => {
	const { name, bytes } = await made(app, 'The whole day');
	const day = JSON.parse(bytes.toString()) as JobFile;
	await page.keyboard.press('Escape');
	const [shot] = day.shots;
	if (!shot) throw new Error('no shot');
	const people = Array.from({ length: 80 }, (_, i) => ({ ...shot.shot.people[0], id: `p${i}` }));
	const shots = Array.from({ length: 1000 }, (_, i) => ({
		...shot,
		id: `long ${i}`,
		shot: { ...shot.shot, people }
	}));
	const path = test.info().outputPath('long.json');
	writeFileSync(path, JSON.stringify({ ...day, title: 'A long day', shots }));
	const chooser = page.getByLabel('Open a file');
	const looking = page.getByRole('status').filter({ hasText: 'Looking at long.json' });
	const sheet = page.getByRole('dialog').filter({ hasText: 'What is in this file' });

	await chooser.setInputFiles(path);
	await looking.getByRole('button', { name: 'Stop' }).click();
	await expect(looking).toBeHidden();
	// another one takes its place
	await chooser.setInputFiles(path);
	await expect(looking).toBeVisible();
	await give(app, name, bytes);
	await expect(sheet).toContainText('Everything in this file is already here');
	await sheet.getByRole('button', { name: 'Close' }).last().click();
	// the page goes on while it is looked at, and what was given up does not come
	await chooser.setInputFiles(path);
	await expect(looking).toContainText(/[1-9]\d? %/);
	await app.goTo('Plan');
	await expect(sheet).toContainText('A new day with 1000 shots.');
	await sheet.getByRole('button', { name: 'Add nothing' }).click();
	await app.goTo('Day');
	await expect(app.shots).toHaveCount(10);
});

test('names, notes and places can be left out of all of them', async ({ app, page }) => {
	for (const what of ['names', 'notes', 'places']) {
		await page.getByRole('checkbox', { name: what }).check();
	}
	const secret = /Ilinca|Halina|Wojtek|late ferry|Count heads|harbour|stone steps/;
	for (const button of [
		'The whole day',
		'Pocket file',
		'Shot list (CSV)',
		'Schedule (calendar)',
		'The shot',
		'Stage (SVG)'
	]) {
		const { bytes } = await made(app, button);
		expect(bytes.toString(), button).not.toMatch(secret);
		expect(bytes.toString().length, button).toBeGreaterThan(200);
	}
	const { bytes } = await made(app, 'Cards (PDF)');
	const { text } = await extractText(await getDocumentProxy(new Uint8Array(bytes)), {
		mergePages: true
	});
	expect(text).not.toMatch(secret);
	expect(text).toMatch(/Person \d+’s/);
});

test('the schedule, the shot list and the cards are read by other programs', async ({ app }) => {
	const titles = await app.titles();
	const calendar = new ICAL.Component(
		ICAL.parse((await made(app, 'Schedule (calendar)')).bytes.toString()) as unknown[]
	);
	const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
	expect(events.map(({ summary }) => summary)).toEqual(titles);
	expect(events[0]?.description).toMatch(/eye, f\//);

	const table = (await made(app, 'Shot list (CSV)')).bytes.toString().replace('\uFEFF', '');
	const { data } = Papa.parse<Record<string, string>>(table, {
		header: true,
		skipEmptyLines: true
	});
	expect(data.map(({ title }) => title)).toEqual(titles);

	const pdf = await getDocumentProxy(new Uint8Array((await made(app, 'Cards (PDF)')).bytes));
	expect(pdf.numPages).toBe(3);
	const { text } = await extractText(pdf, { mergePages: true });
	for (const title of titles) expect(text.replace(/\s+/g, ' ')).toContain(title);
});

test('the stage goes out as a drawing and as pixels', async ({ app, page }) => {
	const svg = (await made(app, 'Stage (SVG)')).bytes.toString();
	const texts = await page.evaluate((text) => {
		const drawing = new DOMParser().parseFromString(text, 'image/svg+xml');
		return [...drawing.querySelectorAll('text, parsererror')].map((node) => node.textContent);
	}, svg);
	expect(texts).toEqual(expect.arrayContaining(['Ilinca', 'Tomás']));
	const png = decode((await made(app, 'Stage (PNG)')).bytes);
	expect([png.width, png.height]).toEqual([2400, 1520]);
	// it is drawn: more than one colour
	expect(new Set(png.data.slice(0, 4 * 2400 * 900)).size).toBeGreaterThan(20);
});

test('a shot list that was changed in a spreadsheet comes back', async ({ app, page }) => {
	const { bytes } = await made(app, 'Shot list (CSV)');
	await page.keyboard.press('Escape');
	const changed = bytes.toString().replace('2026-09-26 13:30', '2026-09-26 13:10');
	await give(app, 'list.csv', Buffer.from(changed));
	// the one that was left may still be fading
	const dialog = page.getByRole('dialog').filter({ hasText: 'What is in this file' });
	await expect(dialog).toContainText('different: time');
	await dialog.getByLabel('The couple under the arcade: what to do').selectOption('replace');
	await dialog.getByRole('button', { name: 'Add it' }).click();
	await expect(app.shotRow('The couple under the arcade')).toContainText('13:10');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(app.shotRow('The couple under the arcade')).toContainText('13:30');
});

test('the pocket file is read without a network and without scripts', async ({ app, browser }) => {
	const { bytes } = await made(app, 'Pocket file');
	const context = await browser.newContext({ javaScriptEnabled: false, offline: true });
	const page = await context.newPage();
	await page.goto(`data:text/html;base64,${bytes.toString('base64')}`);
	await expect(page.getByRole('article')).toHaveCount(10);
	const card = page.getByRole('article').nth(1);
	await expect(card).toContainText(/’s (left|right) eye/);
	await expect(card.getByRole('img')).toBeVisible();
	await expect(card.getByText('If it turns out different')).toBeVisible();
	await context.close();
});

test('cards go to the browser’s own print', async ({ app, page }) => {
	await page.evaluate(() => {
		Object.defineProperty(HTMLIFrameElement.prototype, 'contentWindow', {
			get(this: HTMLIFrameElement) {
				return {
					addEventListener: () => undefined,
					print: () => (document.body.dataset['printed'] = this.srcdoc)
				};
			}
		});
	});
	await page.getByRole('dialog').getByRole('button', { name: 'Print cards…' }).click();
	await expect(page.locator('body')).toHaveAttribute('data-printed', /Two families on the steps/);
	await expect(app.page.getByText('The cards went to the printer’s dialog.')).toBeVisible();
});

test('everything is backed up with one click, and comes back after it was erased', async ({
	app,
	page
}) => {
	const { name, bytes } = await made(app, 'Back up everything');
	// handed over is not written
	await expect(page.getByRole('dialog').getByText('No backup yet.')).toBeVisible();
	await page.getByRole('button', { name: 'It is saved' }).click();
	await expect(page.getByRole('dialog').getByText(/Last backup: /)).toBeVisible();
	await expect(page.getByRole('dialog').getByText(/MB used/)).toBeVisible();
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: 'Jobs' }).click();
	await page
		.getByRole('dialog')
		.getByRole('button', { name: /Erase this job/ })
		.click();
	await page.getByRole('button', { name: 'Erase it' }).click();
	await expect(page.getByRole('button', { name: 'Open the sample day' })).toBeVisible();
	await give(app, name, bytes);
	await page.getByRole('dialog').getByRole('button', { name: 'Add it' }).click();
	await expect(app.shots).toHaveCount(10);
});

test('a backup counts when it is written, where the browser says so', async ({ page }) => {
	const sheet = page.getByRole('dialog');
	await page.evaluate(() => {
		const given = window as unknown as { showSaveFilePicker: () => Promise<unknown> };
		given.showSaveFilePicker = () =>
			Promise.reject(new DOMException('closed by the user', 'AbortError'));
	});
	await sheet.getByRole('button', { name: 'Back up everything' }).click();
	await expect(sheet.getByText('Nothing was saved.')).toBeVisible();
	await expect(sheet.getByText('No backup yet.')).toBeVisible();

	await page.evaluate(() => {
		const given = window as unknown as { showSaveFilePicker: () => Promise<unknown> };
		given.showSaveFilePicker = async () =>
			(await navigator.storage.getDirectory()).getFileHandle('backup.json', { create: true });
	});
	await sheet.getByRole('button', { name: 'Back up everything' }).click();
	await expect(sheet.getByText(/Last backup: /)).toBeVisible();
	const text = await page.evaluate(async () => {
		const folder = await navigator.storage.getDirectory();
		return (await (await folder.getFileHandle('backup.json')).getFile()).text();
	});
	expect(JSON.parse(text)).toMatchObject({ format: 'focalis-backup', version: 1 });
	// nobody reads it: no indentation
	expect(text.split('\n')).toHaveLength(2);
});

test.describe('by the clock', () => {
	test.use({ ownContext: true });

	test('a day’s work without a backup is told, and may wait', async ({ app, page }) => {
		await app.saved();
		await page.clock.install();
		await page.reload();
		await page.clock.runFor(500);
		await page.getByRole('button', { name: 'Jobs' }).click();
		await page.clock.runFor(500);
		await page.getByRole('dialog').getByRole('button', { name: 'A new day' }).click();
		await page.clock.runFor(500);
		await page.getByLabel('Title of the day').fill('My own day');
		await page.clock.runFor(500);
		await expect(page.getByText('A day’s work is only in this browser.')).toBeHidden();
		await page.clock.fastForward('08:05:00');
		await expect(page.getByText('A day’s work is only in this browser.')).toBeVisible();
		await page.getByRole('button', { name: 'Not now' }).click();
		await expect(page.getByText('A day’s work is only in this browser.')).toBeHidden();
		await expect(app.page.getByLabel('Title of the day')).toHaveValue('My own day');
	});
});

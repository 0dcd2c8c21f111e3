import { truncateSync, writeFileSync } from 'node:fs';
import { expect, test } from './support/app';

/** Shot files in and out, good and bad. */

const shot = {
	format: 'focalis-shot',
	version: 1,
	title: 'Noor, Νίκη & <b>Раду</b> 🎺',
	body: {
		name: 'A body',
		sensor: { widthMm: 36, heightMm: 24, pixelsAcross: 6000, pixelsDown: 4000 }
	},
	lens: {
		name: 'A lens',
		focalMm: [85, 85],
		widestFNumber: [1.4, 1.4],
		smallestFNumber: 16,
		closestFocusM: 0.85
	},
	camera: { position: { x: 0, y: 1.6, z: 0 }, focalMm: 85 },
	people: [{ id: 'a b', name: '<img src=x onerror=alert(1)>', eyeMidpoint: { x: 0, y: 1.6, z: 2 } }]
};

const file = (content: unknown, name = 'shot.json') => ({
	name,
	mimeType: 'application/json',
	buffer: Buffer.from(typeof content === 'string' ? content : JSON.stringify(content))
});

test.beforeEach(({ app }) => app.openSample(/The couple/));

test('a file opens beside the open shot; what it holds is text and nothing else', async ({
	app,
	page
}) => {
	await page.getByLabel('Open a file').setInputFiles(file(shot));
	await expect(page.getByRole('banner')).toContainText(shot.title);
	await expect(app.headline).toContainText('<img src=x onerror=alert(1)>’s left eye');
	await app.verdict.getByRole('button', { name: 'why' }).click();
	const chart = page.getByRole('img', { name: /^Blur of each face/ });
	await expect(chart.locator('.trace')).toHaveCount(1);
	await expect(page.getByRole('dialog').locator('img')).toHaveCount(0);
	await page.keyboard.press('Escape');
	await app.openShot(/The couple/);
	await expect(app.headline).toContainText(/Ilinca|Tomás/);
});

for (const [what, content, message] of [
	['no JSON', '{"format":', 'damaged or is not one of Focalis'],
	['something else', { format: 'focalis-day' }, 'This file is not one of Focalis'],
	['a newer version', { ...shot, version: 2 }, 'saved by a newer Focalis'],
	[
		'a wrong number',
		{ ...shot, people: [{ ...shot.people[0], turnDeg: 400 }] },
		'people.0.turnDeg: the turn of the head must lie between -180 and 180 degrees'
	],
	['an unknown key', { ...shot, filter: 'sepia' }, 'something unknown here: “filter”'],
	[
		'a prototype key',
		'{"__proto__": {"format": "focalis-shot"}}',
		'This file is not one of Focalis'
	]
] as const) {
	test(`${what} is refused with the reason, and nothing changes`, async ({ app, page }) => {
		const before = (await app.headline.textContent()) ?? '';
		await page.getByLabel('Open a file').setInputFiles(file(content));
		const alert = page.getByRole('alert');
		await expect(alert).toContainText(message);
		await expect(alert).toContainText('Nothing was changed.');
		await expect(app.headline).toHaveText(before);
		await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
		await alert.getByRole('button', { name: 'Close' }).click();
		await expect(alert).toBeHidden();
	});
}

test('too much is refused with the reason, and nothing changes', async ({
	app,
	page
}, testInfo) => {
	const before = await app.headline.innerText();
	// from the disk, and empty there: through the test's own channel so much takes minutes
	const path = testInfo.outputPath('shot.json');
	writeFileSync(path, '');
	truncateSync(path, 257 * 1024 * 1024);
	await page.getByLabel('Open a file').setInputFiles(path);
	const alert = page.getByRole('alert');
	await expect(alert).toContainText('too large for a file of Focalis');
	await expect(alert).toContainText('Nothing was changed.');
	await expect(app.headline).toHaveText(before);
});

test('a file dropped on the window opens', async ({ app, page }) => {
	await page.evaluate(
		(text) => {
			const data = new DataTransfer();
			data.items.add(new File([text], 'dropped.json', { type: 'application/json' }));
			document.body.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true }));
		},
		JSON.stringify({ ...shot, title: 'Dropped' })
	);
	await expect(page.getByRole('banner')).toContainText('Dropped');
	await expect(app.headline).toContainText('Focus on');
});

test('the chooser opens by keyboard', async ({ app, page }) => {
	const chooser = page.waitForEvent('filechooser');
	// the browser hears of the waiting before the key
	await app.saved();
	await page.keyboard.press('Control+o');
	await (await chooser).setFiles(file({ ...shot, title: 'Chosen' }));
	await expect(page.getByRole('banner')).toContainText('Chosen');
});

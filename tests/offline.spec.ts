import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { appendFileSync, cpSync, rmSync } from 'node:fs';
import { expect, test } from './support/app';
import { openPicture } from './support/openPictures.mjs';

/** Without a network: the whole app, after one visit. */

test.use({ serviceWorkers: 'allow', ownContext: true });

test('after one visit one goes on without a network: planning, saving, cards, files', async ({
	app,
	page,
	context,
	complaints
}) => {
	await app.openSample(/Two families/);
	await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
	await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
	await app.saved();

	await context.setOffline(true);
	await page.reload();
	await expect(page.getByRole('banner').getByText('offline')).toBeVisible();
	await expect(app.headline).toContainText('eye');

	// planning: another f-number is fixed, advice comes from its worker
	const before = await app.headline.textContent();
	await app.ladder.getByRole('button', { name: /f\/11/ }).first().click();
	await expect(app.headline).not.toHaveText(before ?? '');
	await expect(app.headline).toContainText('f/11');

	// saving: it is there after another reload
	await app.saved();
	await page.reload();
	await expect(app.headline).toContainText('f/11');

	// the card, and paper: its worker and its fonts are on the device
	await page.getByRole('button', { name: 'Card', exact: true }).click();
	await expect(page.getByRole('main')).toContainText('f/11');
	await page.keyboard.press('f');
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Cards (PDF)' }).click();
	expect((await download).suggestedFilename()).toBe('rope-works-wedding-cards.pdf');

	await context.setOffline(false);
	await expect(page.getByRole('banner').getByText('offline')).toBeHidden();
	// the browser complains of the network that it is asked for
	expect(complaints.filter((one) => !one.includes('ERR_INTERNET_DISCONNECTED'))).toEqual([]);
	complaints.length = 0;
});

test('what finds faces is fetched when it is wanted, and is there without a network from then on', async ({
	app,
	page,
	context,
	complaints
}) => {
	const models: string[] = [];
	context.on('request', (request) => {
		if (request.url().endsWith('.bin')) models.push(request.url());
	});
	await page.goto('/');
	await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
	await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
	expect(models).toEqual([]);

	const sheet = page.getByRole('dialog');
	const look = async () => {
		await page.getByRole('button', { name: 'From a photograph' }).click();
		const choosing = page.waitForEvent('filechooser');
		await page.getByRole('button', { name: 'Choose one…' }).click();
		const buffer = openPicture('astronaut.png');
		await (await choosing).setFiles({ name: 'p.png', mimeType: 'image/png', buffer });
		await expect(sheet.getByRole('status')).toContainText('One face found.', { timeout: 30_000 });
	};
	await look();
	expect(new Set(models).size).toBe(3);

	await context.setOffline(true);
	await page.reload();
	await look();
	await sheet.getByRole('button', { name: 'Use it' }).click();
	await expect(app.headline).toContainText('Person 1');
	expect(complaints.filter((one) => !one.includes('ERR_INTERNET_DISCONNECTED'))).toEqual([]);
	complaints.length = 0;
});

test('the app can be installed', async ({ page }) => {
	await page.goto('/');
	const address = await page.locator('link[rel=manifest]').getAttribute('href');
	const manifest = (await (await page.request.get(address ?? '')).json()) as {
		display: string;
		start_url: string;
		icons: { src: string; sizes: string }[];
	};
	expect(manifest.display).toBe('standalone');
	expect(manifest.icons.map(({ sizes }) => sizes)).toEqual(
		expect.arrayContaining(['192x192', '512x512'])
	);
	for (const { src } of manifest.icons) {
		expect((await page.request.get(src)).ok()).toBe(true);
	}
});

test.describe('a newer version', () => {
	const PORT = 4195;
	const address = `http://127.0.0.1:${PORT}`;
	let folder: string;
	let server: ChildProcess;

	const serve = async () => {
		server = spawn(process.execPath, [folder], { env: { ...process.env, PORT: `${PORT}` } });
		const isUp = async () => (await fetch(`${address}/api/health`).catch(() => null))?.ok ?? false;
		await expect.poll(isUp).toBe(true);
	};
	const stop = async () => {
		server.kill();
		await once(server, 'exit');
	};

	// eslint-disable-next-line no-empty-pattern -- the runner wants its fixtures named
	test.beforeEach(async ({}, testInfo) => {
		folder = testInfo.outputPath('build');
		cpSync('build', folder, { recursive: true });
		await serve();
	});
	test.afterEach(stop);

	test('waits until one says so, and takes over with the work as it was', async ({ app, page }) => {
		await page.goto(`${address}/?sample`);
		await expect(app.headline).toBeVisible();
		await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
		await app.rung(8).click();
		await expect(app.headline).toContainText(/f\/8,.*locked/);

		// the same address serves a service worker that is not the same any more
		await stop();
		appendFileSync(`${folder}/client/service-worker.js`, '\n// a newer one\n');
		for (const kind of ['br', 'gz']) rmSync(`${folder}/client/service-worker.js.${kind}`);
		await serve();
		await page.evaluate(async () => (await navigator.serviceWorker.ready).update());

		const notice = page
			.getByRole('status')
			.filter({ hasText: 'A newer version of Focalis is ready' });
		await expect(notice).toBeVisible();
		await expect(app.headline).toContainText(/f\/8,.*locked/);
		await app.rung(11).click();
		const reloaded = page.waitForEvent('load');
		await notice.getByRole('button', { name: 'Use it now' }).click();
		await reloaded;
		await expect(app.headline).toContainText(/f\/11,.*locked/);
		await expect(notice).toBeHidden();
	});
});

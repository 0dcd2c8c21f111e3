import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import Papa from 'papaparse';
import { extractText, getDocumentProxy } from 'unpdf';
import type { MeasuredFrame } from '$core/format/review';
import { axe } from './support/axe';
import { App, expect } from './support/app';
import { reviewFigures } from './support/reviewFigures.mjs';
import { call, FRAMES, SEED, test } from './support/reviewRoll';

/** What came home, on the screen: frames of the practice camera, whose truth is known. */

test.describe.configure({ mode: 'serial' });
test.use({ viewport: { width: 1280, height: 800 } });

async function openReview(app: App) {
	await app.openSample(/Two families/);
	await app.goTo('Review');
	await expect(app.page.getByRole('heading', { name: 'Your frames' })).toBeVisible();
}

async function measured(page: Page, paths: readonly string[]) {
	await page.getByLabel('Choose frames').setInputFiles([...paths]);
	await expect(page.getByRole('list', { name: 'Frames' }).getByRole('listitem')).not.toHaveCount(
		0,
		{
			timeout: 60_000
		}
	);
	await expect(page.getByRole('group', { name: 'Measuring' })).toBeHidden({ timeout: 90_000 });
	await expect(page.getByText(/\d+ · (\d+ good|nobody found)/)).toBeVisible();
}

const strip = (page: Page) => page.getByRole('list', { name: 'Frames' }).getByRole('button');
const marks = (page: Page) => page.getByRole('group', { name: 'Mark this frame' });

test('is measured as it is', async ({ roll: { paths, truth, lab } }) => {
	test.setTimeout(120_000);
	const frames: MeasuredFrame[] = [];
	for (const path of paths) {
		const name = path.split('/').at(-1) ?? '';
		frames.push(await call(lab, 'measure', name, readFileSync(path).toString('base64')));
	}
	const set = await call(lab, 'judge', SEED, frames);
	const figures = reviewFigures([{ set, truth: truth.frames }]);
	expect(figures.eyes).toBeGreaterThan(20);
	// of thirty rolls: 95 % (npm run bench -- review)
	expect(figures.blurRight).toBeGreaterThan(0.8);
	expect(figures.cannotTell).toBeLessThan(0.05);
	expect(figures.shutFalse).toBeLessThan(0.05);
	expect(figures.keepersRight).toBeGreaterThanOrEqual(0.75);
	// without a plan everybody is somebody, too
	expect(set.people.map(({ name }) => name)).toEqual(
		truth.frames[0]?.faces.map((one) => one.personId)
	);
});

test('frames are judged by keys alone, kept without the pictures, and known again', async ({
	app,
	page,
	roll: { paths, folder }
}) => {
	test.setTimeout(150_000);
	const broken = join(folder, 'broken.jpg');
	writeFileSync(broken, readFileSync(paths[0] ?? '').subarray(0, 4000));
	const script = join(folder, '<img src=x onerror=alert(1)>.jpg');
	writeFileSync(script, 'not a picture');
	await openReview(app);
	await measured(page, [...paths, broken, script]);
	await expect(strip(page)).toHaveCount(FRAMES);
	// names are text, what is broken is listed, nothing runs
	await page.getByText('2 skipped').click();
	await expect(page.getByText('<img src=x onerror=alert(1)>.jpg')).toBeVisible();

	// without a plan everybody found is somebody
	const matrix = page.getByRole('group', { name: 'People and frames' });
	await expect(matrix.getByRole('row')).toHaveCount(1 + 4);
	await axe(page, 'main');

	// what is no face is pointed at once, and followed through the frames
	const point = page.getByRole('button', { name: 'point at something' });
	const cross = page.getByRole('button', { name: /^Tap what matters/ });
	const shown = strip(page).first();
	await shown.click();
	await point.click();
	await expect(cross).toBeFocused();
	// between the two the background is blurred: there is nothing to measure by
	await page.keyboard.press('Enter');
	await expect(page.getByText('tap an edge or some detail')).toBeVisible({ timeout: 60_000 });
	await point.click();
	const nearest = page.locator('.large .ring').first();
	const [left, top] = await nearest.evaluate(({ style }) =>
		[style.left, style.top].map(parseFloat)
	);
	const press = async (key: string, times: number) => {
		for (let i = 0; i < times; i++) await page.keyboard.press(key);
	};
	await press('ArrowLeft', Math.round(50 - (left ?? 0)));
	await press('ArrowUp', Math.round(50 - (top ?? 0)));
	// arrows go to no other frame meanwhile
	await expect(shown).toHaveAttribute('aria-pressed', 'true');
	await page.keyboard.press('Enter');
	await expect(matrix.getByRole('row', { name: /^point 1/ })).toBeVisible({ timeout: 60_000 });
	await expect(page.getByText('followed through the frames…')).toBeHidden({ timeout: 60_000 });
	await page.getByRole('button', { name: 'point 1', exact: true }).click();
	await page.getByRole('button', { name: 'forget point 1' }).click();
	await expect(matrix.getByRole('row')).toHaveCount(1 + 4);

	// one hand on the keys
	await page.getByRole('heading', { name: 'Your frames' }).click();
	await page.keyboard.press('k');
	await expect(marks(page).getByRole('button', { name: /Keep/ })).toHaveAttribute(
		'aria-pressed',
		'true'
	);
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('x');
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('m');
	await expect(page.getByText('1 kept, 1 maybe, 1 dropped')).toBeVisible();
	await page.keyboard.press('ArrowDown');
	await expect(
		page.getByRole('heading', { name: /face 2’s (left|right) eye, 100 %/ })
	).toBeVisible();
	await page.keyboard.press('Control+z');
	await expect(page.getByText('1 kept, 0 maybe, 1 dropped')).toBeVisible();
	await page.keyboard.press('Control+y');
	await expect(page.getByText('1 kept, 1 maybe, 1 dropped')).toBeVisible();

	// the same eye, a pixel of the file for a pixel of the screen
	const eyes = page.getByRole('region', { name: 'The same eye side by side' });
	const piece = eyes.getByRole('img').first().or(eyes.locator('canvas').first());
	await expect
		.poll(() =>
			piece.evaluate(
				(one: HTMLCanvasElement) => one.width - Math.round(one.clientWidth * devicePixelRatio)
			)
		)
		.toBe(0);

	// to a shot of the day by hand: its series comes along, and the clock is told
	await page.getByLabel('move this frame to').selectOption({ label: 'Two families on the steps' });
	await expect(
		page.getByRole('heading', { level: 2, name: 'Two families on the steps' })
	).toBeVisible();
	await expect(page.getByText(/The camera’s clock is .* (ahead|behind)/)).toBeVisible();
	await expect(page.getByRole('list', { name: 'Frames' }).getByRole('listitem')).toHaveCount(
		FRAMES
	);
	// or by one drag, onto a shot that has none yet; and back
	const shots = page.getByRole('complementary', { name: 'Shots with frames' });
	await page.locator('.strip [aria-pressed=true]').hover();
	await page.mouse.down();
	await page.mouse.move(400, 400, { steps: 4 });
	const toast = shots.getByRole('button', { name: /The toast, seen through glasses none yet/ });
	await toast.hover();
	await toast.hover();
	await expect(page.getByText('Drop the file here')).toBeHidden();
	await page.mouse.up();
	await expect(
		shots.getByRole('button', { name: /The toast, seen through glasses 4 ·/ })
	).toBeVisible();
	await page.keyboard.press('Control+z');
	await expect(
		page.getByRole('heading', { level: 2, name: 'Two families on the steps' })
	).toBeVisible();
	for (const name of ['Where the focus fell', 'Log', 'Plan and outcome']) {
		await page.getByRole('radio', { name }).check({ force: true });
		await axe(page, 'main');
	}
	await expect(page.getByText('Frames of the practice camera are left out')).toBeVisible();

	// all of it is there after a reload, but the pictures
	await expect(page.locator('[data-saved=true]')).toBeVisible();
	await page.reload();
	await expect(page.getByText('1 kept, 1 maybe, 1 dropped')).toBeVisible();
	await expect(page.getByText('choose it again to see it').first()).toBeVisible();
	await expect(
		page.getByRole('heading', { level: 2, name: 'Two families on the steps' })
	).toBeVisible();
	// chosen again they are known, and nothing is measured twice
	await page.getByLabel('Choose frames').setInputFiles([...paths]);
	await expect(page.locator('.strip img')).toHaveCount(FRAMES, { timeout: 30_000 });
	await expect(page.getByRole('group', { name: 'Measuring' })).toBeHidden();
	await expect(strip(page)).toHaveCount(FRAMES);
});

test('what was said goes out, and comes back: sidecars, a table, a contact sheet', async ({
	app,
	page,
	browser,
	roll: { paths, folder }
}, info) => {
	test.setTimeout(150_000);
	// one has a sidecar that says more than we know, one has one that nobody should open
	const mine = join(folder, 'practice-0002.xmp');
	writeFileSync(
		mine,
		`<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
		<rdf:Description rdf:about="" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmlns:dc="http://purl.org/dc/elements/1.1/" xmp:Rating="1">
		<dc:subject><rdf:Bag><rdf:li>harbour</rdf:li></rdf:Bag></dc:subject>
		<dc:description><rdf:Alt><rdf:li xml:lang="x-default">By the water</rdf:li></rdf:Alt></dc:description>
		</rdf:Description></rdf:RDF></x:xmpmeta>`
	);
	const hostile = join(folder, 'practice-0003.xmp');
	writeFileSync(hostile, `<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>`);
	await openReview(app);
	await measured(page, [...paths, mine, hostile]);
	await page.getByRole('heading', { name: 'Your frames' }).click();
	await page.keyboard.press('k');
	await page.keyboard.press('v');
	await page.keyboard.press('ArrowRight');
	await page.keyboard.press('m');
	await page.getByRole('button', { name: 'Save…' }).click();
	const sheet = page.getByRole('dialog');
	await axe(page, 'dialog[open]');
	const saved = async (button: string) => {
		const saving = page.waitForEvent('download');
		await sheet.getByRole('button', { name: button }).click();
		return readFileSync(await (await saving).path());
	};

	// asked first what becomes of those that are there
	await expect(sheet).toContainText('2 of these frames have a sidecar already');
	await expect(sheet.getByRole('button', { name: 'Save the sidecars' })).toBeDisabled();
	await sheet.getByRole('radio', { name: 'merge with them' }).check({ force: true });
	const sidecars = unzipSync(await saved('Save the sidecars'));
	await expect(sheet.getByRole('alert')).toContainText('practice-0003.xmp: it declares entities');
	expect(Object.keys(sidecars).sort()).toEqual([
		'practice-0001.xmp',
		'practice-0002.xmp',
		'practice-0004.xmp'
	]);
	const out = info.outputPath('out');
	mkdirSync(out, { recursive: true });
	const read = (name: string) => {
		const path = join(out, name);
		writeFileSync(path, sidecars[name] ?? new Uint8Array());
		const said = execFileSync('exiftool', ['-j', '-validate', '-warning', '-all', path], {
			encoding: 'utf8'
		});
		return (JSON.parse(said) as Record<string, unknown>[])[0] ?? {};
	};
	const first = read('practice-0001.xmp');
	expect(first).toMatchObject({ Rating: 5, Label: 'Keep' });
	expect(first['Warning']).toBeUndefined();
	expect(String(first['Description'])).toMatch(
		/^In focus: face \d’s (left eye|right eye|nose|hair)\. /
	);
	const merged = read('practice-0002.xmp');
	expect(merged).toMatchObject({ Rating: 2, Label: 'Maybe', Subject: 'harbour' });
	expect(String(merged['Description'])).toMatch(/^By the water[\s.]+In focus: /);
	expect(read('practice-0004.xmp')['Rating']).toBeUndefined();

	// on another device the frames are marked by them; what others wrote of a frame is theirs
	const elsewhere = new App(await (await browser.newContext()).newPage());
	await openReview(elsewhere);
	const brought = Object.keys(sidecars).map((name) => join(out, name));
	await elsewhere.page.getByLabel('Choose frames').setInputFiles([...paths, ...brought, hostile]);
	await expect(elsewhere.page.getByText('2 frames were marked by their sidecars.')).toBeVisible();
	await expect(elsewhere.page.getByText('1 kept, 1 maybe, 0 dropped')).toBeVisible();
	await elsewhere.page.context().close();

	const { data } = Papa.parse<Record<string, string>>(
		(await saved('Save the table'))
			.toString('utf8')
			.replace(/^\uFEFF/, '')
			.trimEnd(),
		{ header: true }
	);
	expect(data).toHaveLength(FRAMES * 4);
	expect(data[0]).toMatchObject({
		file: 'practice-0001.jpg',
		mark: 'keep',
		favourite: 'yes',
		person: 'face 1'
	});
	expect(Number(data[0]?.['focus fell m'])).toBeGreaterThan(1);

	const pdf = await getDocumentProxy(new Uint8Array(await saved('As PDF')));
	const { text } = await extractText(pdf, { mergePages: true });
	expect(text).toContain('In none of the day’s shots');
	for (const path of paths) expect(text).toContain(path.split('/').at(-1));
	expect(text).toMatch(/on face \d’s (left eye|right eye)/);
	const png = await saved('As picture');
	expect([...png.subarray(1, 4)].map((byte) => String.fromCharCode(byte)).join('')).toBe('PNG');
	expect(png.length).toBeGreaterThan(50_000);
});

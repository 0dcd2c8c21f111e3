import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';
import { apertureSeries, pxPerMmOf } from '$core/bench/apertureSeries';
import type { MeasuredChart } from '$core/bench/measuredChart';
import { focusTry } from '$core/bench/focusScale';
import { imageDistanceMm } from '$core/geometry/thinLens';
import { PRACTICE_MAKER } from '$core/tables/practiceCamera';
import { axe } from './support/axe';
import { expect, test as base, type App } from './support/app';
import type { benchLab } from './support/benchLab';
import { labPage } from './support/labPage.mjs';

/** The bench, with charts that the practice camera took: what they show is known. */

type Lab = typeof benchLab;
const OWN_MAKER = 'A camera of the kit';
interface Sitting {
	readonly shoot: (...given: Parameters<Lab['shoot']>) => ReturnType<Lab['shoot']>;
	readonly exercise: (...given: Parameters<Lab['exercise']>) => ReturnType<Lab['exercise']>;
	/** The files of what was shot, on disk, as a camera of one's own writes them. */
	readonly paths: (taken: readonly { name: string; base64?: string }[], maker?: string) => string[];
}

const test = base.extend<object, { sitting: Sitting }>({
	sitting: [
		async ({ browser }, use) => {
			const page = await labPage(browser, 'tests/support/benchLab.ts');
			const folder = mkdtempSync(join(tmpdir(), 'bench-'));
			await use({
				shoot: (...given) =>
					page.evaluate((all) => {
						const { benchLab: lab } = globalThis as unknown as { benchLab: Lab };
						return lab.shoot(...all);
					}, given),
				exercise: (...given) =>
					page.evaluate((all) => {
						const { benchLab: lab } = globalThis as unknown as { benchLab: Lab };
						return lab.exercise(...all);
					}, given),
				paths: (taken, maker = OWN_MAKER) =>
					taken.map(({ name, base64 = '' }) => {
						const path = join(folder, name);
						const bytes = Buffer.from(base64, 'base64');
						bytes.write(maker.padEnd(PRACTICE_MAKER.length), bytes.indexOf(PRACTICE_MAKER));
						writeFileSync(path, bytes);
						return path;
					})
			});
			rmSync(folder, { recursive: true });
			await page.close();
		},
		{ scope: 'worker' }
	]
});

test.use({ viewport: { width: 1280, height: 800 } });

const openBench = async (app: App, title: RegExp, bench: string) => {
	await app.openSample(title);
	await app.goTo('Bench');
	await app.page.getByRole('button', { name: bench }).click();
	await expect(app.page.getByRole('heading', { level: 2, name: bench })).toBeVisible();
};

async function measure(page: Page, paths: readonly string[]) {
	await page.getByLabel('Choose frames of the chart').setInputFiles([...paths]);
	await expect(page.getByRole('group', { name: 'Measuring the chart' })).toBeHidden({
		timeout: 60_000
	});
}

/** As small as each tells what it is for: drawing takes most of the time. */
const SCALE_PX = 2400;
const CHART_PX = 1200;
const EXERCISE_PX = 1000;
const AGAIN_SEED = 2;

test('a soft lens: its best aperture is found, kept with it, and marked on the ladder', async ({
	app,
	page,
	sitting
}) => {
	test.setTimeout(180_000);
	const taken = [];
	for (const [i, fNumber] of [1.4, 2.8, 5.6].entries()) {
		const own = { fNumber, softMm: 0.03, longSidePx: CHART_PX, firstNumber: 1 + 2 * i, frames: 2 };
		taken.push(...(await sitting.shoot('sharpness', own, true)));
	}
	expect(taken.flatMap(({ problem }) => problem ?? [])).toEqual([]);
	await openBench(app, /The couple under the arcade/, 'Best aperture');
	await axe(page, 'main');
	await page.getByLabel('Paper').selectOption('a3');
	await measure(page, sitting.paths(taken));
	const result = page.getByRole('region', { name: 'Best aperture' });
	// wide open it is far below its best
	await expect(
		result.getByText(/^Sharpest (at f\/5\.6|from f\/2\.8 to f\/5\.6)\. f\/1\.4 gives \d\d % of it;/)
	).toBeVisible();
	await expect(page.locator('.js-plotly-plot .trace').first()).toBeVisible();
	await axe(page, 'main');
	await page.getByRole('button', { name: 'Keep it with the lens' }).click();
	await expect(page.getByRole('button', { name: 'Kept with the lens' })).toBeDisabled();
	await expect(page.getByText(/sharpness measured on 2\d{3}-\d\d-\d\d, 6 frames/)).toBeVisible();
	// taken back, and done again
	await page.keyboard.press('Control+z');
	await expect(page.getByText(/sharpness measured on/)).toBeHidden();
	await page.keyboard.press('Control+y');
	await app.saved();
	await page.reload();
	await app.goTo('Plan');
	const row = app.ladder.getByRole('row', { name: /^lens, % of its best/ });
	await expect(row).toContainText('the lens itself is softer here');
	await expect(row).toContainText('100');

	// the other chart is none for this bench; nor is a picture of something else
	await app.goTo('Bench');
	const other = await sitting.shoot(
		'scale',
		{ frames: 1, longSidePx: CHART_PX, firstNumber: 90 },
		true
	);
	await measure(page, sitting.paths(other));
	await expect(page.getByText('This is the other chart. Each bench has its own.')).toBeVisible();
});

test('a lens that is off: found to two millimetres, used by the odds, and taken back', async ({
	app,
	page,
	sitting
}) => {
	test.setTimeout(180_000);
	const FOCAL_MM = 85;
	const lineMm = 28 * FOCAL_MM;
	const image = (depthMm: number) => imageDistanceMm(FOCAL_MM, depthMm / 1000);
	const taken = [];
	for (const [offMm, iso] of [
		[22, 100],
		[-30, 1600]
	] as const) {
		const spreads = { biasMm: image(lineMm - offMm) - image(lineMm), middlePoint: 0.05 };
		const own = { fNumber: 1.4, frames: 2, iso, spreads, longSidePx: SCALE_PX };
		const shots = await sitting.shoot('scale', { ...own, firstNumber: 1 + taken.length }, true);
		for (const { measured, focusedM, lineM } of shots) {
			if (!measured) throw new Error('the scale was not seen');
			const reading = focusTry(measured, FOCAL_MM, pxPerMmOf(measured, []) ?? 0);
			if (!reading.ok) throw new Error(reading.problem);
			const trueMm = 1000 * (lineM - focusedM);
			const error = Math.abs(reading.try.offMm - trueMm);
			expect(error).toBeLessThan(Math.max(2, 0.1 * Math.abs(trueMm)));
		}
		taken.push(...shots);
	}
	await openBench(app, /The couple under the arcade/, 'Front or back');
	await page.getByLabel('Paper').selectOption('a3');
	// what the practice camera took is judged, and not kept
	await measure(page, sitting.paths(taken.slice(0, 1), PRACTICE_MAKER));
	await expect(page.getByText('They say nothing about your own gear')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Use it for the odds' })).toBeHidden();
	await page.getByRole('button', { name: 'Clear' }).click();
	await measure(page, sitting.paths(taken.slice(0, 2)));
	await expect(page.getByText(/^It focuses 2\d mm in front of what it is told to/)).toBeVisible();
	await axe(page, 'main');
	await page.getByRole('button', { name: 'Use it for the odds' }).click();
	await expect(page.getByRole('button', { name: 'The odds use it' })).toBeDisabled();

	// the body’s own correction, by two series
	await page.getByRole('button', { name: 'Note this series' }).click();
	await page.getByRole('button', { name: 'Clear' }).click();
	await measure(page, sitting.paths(taken.slice(2)));
	await page.getByLabel('this series was shot at setting').fill('10');
	await page.getByRole('button', { name: 'Note this series' }).click();
	// 22 mm at 0, −30 mm at 10: nothing at four
	await expect(page.getByText('Noted: 0, 10. Set the body to 4.')).toBeVisible();

	await app.saved();
	await page.reload();
	await app.goTo('Plan');
	await page.getByRole('button', { name: 'kit', exact: true }).click();
	await page.getByRole('dialog').getByText('my hands', { exact: true }).click();
	const lenses = page.getByRole('list', { name: 'Lenses with a focus error of their own' });
	await expect(lenses).toContainText(
		/85 mm f\/1\.4: 0\.0[23]\d mm in front at the sensor \(measured, 2 frames\)/
	);
	await lenses.getByRole('button', { name: /^forget/ }).click();
	await expect(lenses).toBeHidden();
});

test('a wrong series is told, and gives no number', async ({ sitting }) => {
	test.setTimeout(240_000);
	let number = 1;
	const frame = async (
		fNumber: number,
		amiss: NonNullable<Parameters<Lab['shoot']>[1]['amiss']> = {},
		lens: 'portrait85' | 'normal50' = 'portrait85'
	) => {
		const own = { fNumber, lens, amiss, longSidePx: CHART_PX, firstNumber: number++ };
		const [taken] = await sitting.shoot('sharpness', own);
		return taken;
	};
	const measured = async (...given: Parameters<typeof frame>) => {
		const taken = await frame(...given);
		if (!taken?.measured) throw new Error(taken?.problem ?? 'nothing was taken');
		return taken.measured;
	};
	const codeOf = (...frames: readonly MeasuredChart[]) => {
		const reading = apertureSeries(frames);
		return reading.ok ? 'ok' : reading.problem.code;
	};
	const [first, second, third] = [await measured(4), await measured(5.6), await measured(8)];
	expect(codeOf(first, second, third)).toBe('ok');
	expect(codeOf(first, second)).toBe('few-apertures');
	expect(codeOf(first, await measured(5.6, { asideM: 0.01 }), third)).toBe('moved');
	expect(codeOf(first, await measured(4, { brighterStops: -0.8 }), second, third)).toBe('flicker');
	expect(codeOf(first, second, await measured(8, {}, 'normal50'))).toBe('two-lenses');
	expect(codeOf(first, second, await measured(8, { brighterStops: 2 }))).toBe('clipped');
	const far = { timesAsFar: 2.5 };
	expect(codeOf(await measured(4, far), await measured(5.6, far), await measured(8, far))).toBe(
		'too-small'
	);
	expect((await frame(4, { asideM: 0.12 }))?.problem).toMatch(/^(cut|no-chart)$/);
});

test('three objects, from files of one’s own: pointed at, judged, on a sheet, in the log', async ({
	app,
	page,
	sitting
}) => {
	test.setTimeout(180_000);
	const files = await sitting.exercise('three-objects', 3, EXERCISE_PX);
	await openBench(app, /The couple under the arcade/, 'Three objects');
	await axe(page, 'main');
	await page.getByLabel('Choose frames of the exercise').setInputFiles(sitting.paths(files));
	const objects = page.getByRole('button', { name: /^Tap the/ });
	const tap = async (place: number) => {
		await expect(objects).toBeVisible({ timeout: 60_000 });
		const box = await objects.boundingBox();
		if (!box) throw new Error('there is no picture');
		await objects.click({ position: { x: place * box.width, y: box.height / 2 } });
	};
	// what is black all over tells nothing
	await tap(0.25);
	await expect(page.getByText('tap an edge or some detail')).toBeVisible();
	for (const place of [0.285, 0.52]) await tap(place);
	// the last one by keyboard
	await expect(objects).toBeVisible({ timeout: 60_000 });
	await objects.focus();
	for (let i = 0; i < 22; i++) await page.keyboard.press('ArrowRight');
	for (let i = 0; i < 2; i++) await page.keyboard.press('Shift+ArrowRight');
	await expect(objects).toBeEnabled();
	await page.keyboard.press('Enter');
	const result = page.getByRole('region', { name: 'Three objects' });
	await expect(
		result.getByText(
			'The first is in focus in frames 1 and 2, the second in frames 3 and 4 and the third in frames 5 and 6.'
		)
	).toBeVisible({ timeout: 60_000 });
	await axe(page, 'main');
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'As PDF' }).click();
	const pdf = await getDocumentProxy(new Uint8Array(readFileSync(await (await download).path())));
	const { text } = await extractText(pdf, { mergePages: true });
	for (const caption of ['Three objects', 'on the first', 'on the second', 'on the third']) {
		expect(text.replace(/\s+/g, ' ')).toContain(caption);
	}

	await page.getByRole('button', { name: 'Put it in the log' }).click();
	const log = page.getByRole('region', { name: 'Log of this exercise' });
	await expect(log.getByRole('listitem')).toHaveCount(1);
	await expect(log).toContainText('3 of 3');
	await page.keyboard.press('Control+z');
	await expect(log).toBeHidden();
	await page.keyboard.press('Control+y');
	await expect(log.getByRole('listitem')).toHaveCount(1);
	// what was measured and what was put down stay; the pictures are not kept
	await page.reload();
	await page.getByRole('button', { name: 'Three objects' }).click();
	await expect(result.getByText(/^The first is in focus in frames 1 and 2/)).toBeVisible();
	await expect(log).toContainText('3 of 3');
});

test('four edges: the frame that focused again is told', async ({ sitting, app, page }) => {
	test.setTimeout(180_000);
	await openBench(app, /The couple under the arcade/, 'Four edges');
	// of this seed the camera focuses again in one of five
	const files = await sitting.exercise('four-edges', AGAIN_SEED, EXERCISE_PX);
	await page.getByLabel('Choose frames of the exercise').setInputFiles(sitting.paths(files));
	const result = page.getByRole('region', { name: 'Four edges' });
	await expect(
		result.getByText(/^Frame \d \(.*\) focused again, .* on the background\.$/)
	).toBeVisible({
		timeout: 90_000
	});
	await expect(result.getByText(/^The eye is sharp in frame/)).toBeVisible();
});

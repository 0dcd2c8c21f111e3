import { expect, test, type App } from './support/app';
import { metricLengths } from './support/lengths';

/** With feet chosen no length of the place is told in metres anywhere: every place is walked. */

/** Everything that is read or heard: texts, labels, titles, and what is typed in with its unit. */
const everything = (app: App): Promise<string> =>
	app.page.evaluate(() => {
		const heard = [
			'aria-label',
			'aria-description',
			'aria-valuetext',
			'title',
			'placeholder',
			'alt'
		];
		const all = [...document.body.querySelectorAll<HTMLElement>('*')];
		// focal lengths that stand alone are told in millimetres by everybody
		const focal = all.filter(
			(one) => one.matches('.floor .lens, td.lens') || one.textContent?.trim() === 'focal length'
		);
		const isFocal = (one: Element) =>
			focal.some((other) => other === one || other.parentElement === one.parentElement);
		const isOfTheLens = (one: HTMLInputElement) => {
			const label = one.getAttribute('aria-label') ?? one.labels?.[0]?.textContent ?? '';
			return /focal|at the sensor/i.test(label);
		};
		const texts = all
			.filter((one) => one.checkVisibility() && !isFocal(one))
			.flatMap((one) => [
				...heard.map((name) => one.getAttribute(name) ?? ''),
				one instanceof HTMLInputElement && !isOfTheLens(one)
					? `${one.value} ${one.nextElementSibling?.textContent}`
					: '',
				...[...one.childNodes]
					.filter(({ nodeType }) => nodeType === Node.TEXT_NODE)
					.map(({ textContent }) => textContent ?? '')
			]);
		return texts.join('\n');
	});

const noMetres = async (app: App, where: string) => {
	const text = await everything(app);
	expect(text.length, where).toBeGreaterThan(200);
	const left = text.split('\n').filter((line) => metricLengths(line).length > 0);
	expect(left, where).toEqual([]);
};

test.beforeEach(async ({ page }) => {
	await page.addInitScript(() => {
		if (sessionStorage.getItem('walked')) return;
		sessionStorage.setItem('walked', 'yes');
		localStorage.setItem('focalis-settings', JSON.stringify({ units: 'ft' }));
	});
});

for (const title of [/Two families/, /The bandleader/, /Everyone, from the balcony/]) {
	test(`Plan and its sheets are in feet: ${title.source}`, async ({ app, page }) => {
		await app.openSample(title);
		await expect(app.ladder.getByRole('row', { name: /^good of 100 frames/ })).toBeVisible();
		await expect(page.locator('body')).toContainText(/\d ft|\d′/);
		await noMetres(app, 'plan');
		await app.verdict.getByRole('button', { name: 'why' }).click();
		await expect(page.locator('.js-plotly-plot .trace').first()).toBeVisible();
		await noMetres(app, 'why');
		await page.keyboard.press('Escape');
		await expect(page.getByRole('dialog')).toBeHidden();
		await page.getByRole('button', { name: 'where to stand' }).click();
		await expect(page.getByText('Tap where to stand, framed the same.')).toBeVisible();
		await noMetres(app, 'where to stand');
		await app.eachSetupSheet(async (name) => {
			await noMetres(app, name);
			if (name !== 'kit') return;
			await page.getByRole('dialog').getByText('my hands', { exact: true }).click();
			await noMetres(app, 'my hands');
		});
	});
}

test('a selected person, the list, and the card are in feet', async ({ app, page }) => {
	await app.openSample(/Two families/);
	await app.selectFirst();
	await noMetres(app, 'selection');
	await page.getByRole('radio', { name: 'list' }).check({ force: true });
	await noMetres(app, 'list');
	await page.getByRole('button', { name: '+ Add' }).click();
	await noMetres(app, 'adding');
	await page.keyboard.press('Escape');
	await app.goTo('Card');
	await expect(page.locator('.settings')).toBeVisible();
	await noMetres(app, 'card');
	await page.getByRole('button', { name: 'Taken…' }).click();
	await expect(page.getByRole('dialog')).toBeVisible();
	await noMetres(app, 'taken');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toBeHidden();
	await app.answerNow('85 mm f/1.4', 'waist up', 'a row');
	await noMetres(app, 'now');
});

test('the day, its people and its files are in feet', async ({ app, page }) => {
	await app.openSampleDay();
	await expect(app.shotRow(/Two families/)).toContainText('All fifteen');
	await noMetres(app, 'day');
	await page.getByRole('button', { name: /^Ilinca/ }).click();
	await noMetres(app, 'people');
	await page.getByRole('button', { name: 'Files', exact: true }).click();
	await expect(page.getByRole('dialog')).toBeVisible();
	await noMetres(app, 'files');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toBeHidden();
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog')).toBeVisible();
	await noMetres(app, 'help');
});

test('the bench is in feet', async ({ app, page }) => {
	await app.openSample(/Two families/);
	await app.goTo('Bench');
	const benches = ['Best aperture', 'Front or back', 'My hands', 'Choose a lens'];
	for (const name of [...benches, 'Three objects', 'Four edges']) {
		await page.getByRole('button', { name }).click();
		await expect(page.getByRole('heading', { level: 2, name })).toBeVisible();
		await noMetres(app, name);
	}
	await page.getByRole('button', { name: 'My hands' }).click();
	const chart = page.waitForEvent('download');
	await page.getByRole('button', { name: 'The chart as PDF' }).click();
	await chart;
	await expect(page.getByText('The line on it must be 5.9 in long.')).toBeVisible();
	await noMetres(app, 'the chart');
});

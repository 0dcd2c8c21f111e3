import { expect, test } from './support/app';

/** The card, and what nobody planned: what is used with the camera in the other hand. */

const card = (page: import('@playwright/test').Page) => page.getByRole('main');

test.beforeEach(async ({ app }) => {
	await app.openSample(/Two families/);
	await app.goTo('Card');
});

test('the card says what to do, and where the face stands', async ({ page }) => {
	await expect(card(page)).toContainText(/\w+’s (left|right) eye/);
	await expect(card(page)).toContainText(/row, (first|second|third|fourth) from (left|right)/);
	await expect(card(page)).toContainText(/f\/[\d.]+/);
	await expect(card(page)).toContainText('from the sensor mark; a face fills');
	await expect(card(page)).toContainText(/Take \w+ frames to be 95 % sure/);
	await expect(page.getByRole('img', { name: /a ring around \w+’s/ })).toBeVisible();
});

test('what turned out different is answered at once, and is not the plan until accepted', async ({
	app,
	page
}) => {
	const fNumber = page.locator('.settings dd').first();
	const planned = (await fNumber.textContent()) ?? '';
	await page.getByRole('button', { name: 'rows: more' }).click();
	await expect(page.getByText('Changed on the spot. The plan stays as it is.')).toBeVisible();
	await expect(fNumber).not.toHaveText(planned);
	const different = (await fNumber.textContent()) ?? '';
	// a deeper group needs a smaller opening: depth of field, any handbook
	expect(Number(different.slice(2))).toBeGreaterThan(Number(planned.slice(2)));

	await app.goTo('Plan');
	await expect(app.headline).toContainText(`${planned},`);
	// what was said is still there
	await app.goTo('Card');
	await expect(fNumber).toHaveText(different);
	await page.getByRole('button', { name: 'Make it the plan' }).click();
	await app.goTo('Plan');
	await expect(app.headline).toContainText(`${different},`);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(app.headline).toContainText(`${planned},`);
});

test('more rows are more people, a distance is typed, and undo takes back each step', async ({
	page
}) => {
	const people = page.getByLabel('how many people');
	const from = page.getByLabel('distance from the sensor mark');
	const undo = page.getByRole('button', { name: 'Undo' });
	await expect(people).toHaveValue('15');
	await page.getByRole('button', { name: 'rows: more' }).click();
	await expect(people).toHaveValue('20');
	await from.fill('9');
	await expect(card(page)).toContainText('9.00 m from the sensor mark');
	await page.getByRole('button', { name: 'from the sensor mark: nearer' }).click();
	await expect(card(page)).toContainText('8.90 m from the sensor mark');
	await undo.click();
	await expect(card(page)).toContainText('9.00 m from the sensor mark');
	await undo.click();
	await expect(card(page)).not.toContainText('9.00 m from the sensor mark');
	await expect(people).toHaveValue('20');
	await undo.click();
	await expect(people).toHaveValue('15');
	await expect(page.getByText('Changed on the spot')).toBeHidden();
});

test('what was made the plan of one shot is taken back and done again there, whichever is open', async ({
	page
}) => {
	const title = page.getByRole('heading', { level: 1 });
	const people = page.getByLabel('how many people');
	await page.getByRole('button', { name: 'rows: more' }).click();
	await page.getByRole('button', { name: 'Make it the plan' }).click();
	await expect(people).toHaveValue('20');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('Changed on the spot')).toBeVisible();
	await page.getByRole('button', { name: 'next card' }).click();
	await expect(title).toHaveText('Rings, walking in');
	await page.getByRole('button', { name: 'Redo' }).click();
	await expect(title).toHaveText('Two families on the steps');
	await expect(people).toHaveValue('20');
	await page.getByRole('button', { name: 'next card' }).click();
	await expect(people).toHaveValue('2');
});

test('one goes from card to card by buttons and keys', async ({ page }) => {
	const title = page.getByRole('heading', { level: 1 });
	await page.getByRole('button', { name: 'next card' }).click();
	await expect(title).toHaveText('Rings, walking in');
	await page.keyboard.press('ArrowLeft');
	await expect(title).toHaveText('Two families on the steps');
	await page.keyboard.press('ArrowRight');
	await expect(title).toHaveText('Rings, walking in');
	await page.keyboard.press('[');
	await expect(title).toHaveText('Two families on the steps');
});

test('a shot is marked as taken, with what was really used', async ({ app, page }) => {
	await page.getByRole('button', { name: 'Taken…' }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel('f/').fill('6.3');
	await dialog.getByLabel('note').fill('Two versions, the second without the hat.');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	// the next one comes, and undo brings this one back
	const title = page.getByRole('heading', { level: 1 });
	await expect(title).toHaveText('Rings, walking in');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(title).toHaveText('Two families on the steps');
	await expect(card(page)).not.toContainText('✓ taken');
	await page.getByRole('button', { name: 'Redo' }).click();
	await expect(title).toHaveText('Two families on the steps');
	await expect(card(page)).toContainText('✓ taken with f/6.3');
	await app.goTo('Plan');
	await expect(app.verdict).toContainText('✓ taken with f/6.3, 1/125, ISO 100');
	await app.saved();
	await app.goTo('Day');
	await expect(app.shotRow(/Two families/)).toContainText('f/6.3');
	await expect(app.shotRow(/Two families/)).toContainText('the second without the hat');
	await app.goTo('Card');
	await page.getByRole('button', { name: 'Still to do' }).click();
	await expect(card(page)).not.toContainText('✓ taken');
});

test('unplanned: three taps to a verdict, then kept as a shot', async ({ app, page }) => {
	await page.getByRole('button', { name: 'Unplanned', exact: true }).click();
	await expect(page.getByRole('status').filter({ hasText: 'Choose the lens' })).toBeVisible();
	const tap = (text: string) => page.locator('label', { hasText: text }).first().click();
	await tap('35 mm f/1.4');
	await tap('full length');
	await tap('two rows');
	await expect(card(page)).toContainText(/’s (left|right) eye/);
	await expect(card(page)).toContainText(/f\/[\d.]+/);
	await page.getByRole('button', { name: 'Keep it as a shot of the day' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toContainText('Two rows, full length');
	await app.goTo('Day');
	await expect(app.shots).toHaveCount(11);
});

test.describe('on a phone', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

	test('one swipes from card to card, and the answer stays in sight of the steppers', async ({
		page
	}) => {
		const title = page.getByRole('heading', { level: 1 });
		const swipe = (fromX: number, toX: number) =>
			page.evaluate(
				([from, to]) => {
					const node = document.querySelector('main') as HTMLElement;
					const at = (type: string, clientX: number) =>
						node.dispatchEvent(
							new PointerEvent(type, {
								isPrimary: true,
								pointerType: 'touch',
								bubbles: true,
								clientX,
								clientY: 400
							})
						);
					at('pointerdown', from ?? 0);
					at('pointerup', to ?? 0);
				},
				[fromX, toX]
			);
		await expect(title).toHaveText('Two families on the steps');
		await swipe(320, 60);
		await expect(title).toHaveText('Rings, walking in');
		await swipe(60, 320);
		await expect(title).toHaveText('Two families on the steps');

		await page.getByRole('button', { name: 'light: brighter' }).scrollIntoViewIfNeeded();
		await expect(page.locator('.settings')).toBeInViewport();
		const sideways = await page.evaluate(
			() => document.documentElement.scrollWidth - document.documentElement.clientWidth
		);
		expect(sideways).toBe(0);
	});

	test('everything to press is large enough for a thumb', async ({ page }) => {
		const small = await page.getByRole('main').evaluate((main) =>
			[...main.querySelectorAll('button, select')]
				.filter((one) => one.getBoundingClientRect().height > 0)
				.filter((one) => one.getBoundingClientRect().height < 44)
				.map((one) => one.textContent?.trim())
		);
		expect(small).toEqual([]);
	});
});

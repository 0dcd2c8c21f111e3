import { axe } from './support/axe';
import type { Page } from '@playwright/test';
import { expect, test, type App } from './support/app';

/** The whole set-up: from an empty shot, or an arrangement that cannot be done as it is, to one that can. */

const setup = (page: Page, name: string | RegExp) =>
	page.getByRole('group', { name: 'Set-up' }).getByRole('button', { name });

async function openSheet(page: Page, name: string | RegExp) {
	await setup(page, name).click();
	const dialog = page.getByRole('dialog');
	await expect(dialog).toBeVisible();
	return dialog;
}

async function closeSheet(page: Page) {
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog')).toBeHidden();
}

const tryInstead = (page: Page) => page.getByRole('group', { name: 'Try instead' });

async function startEmpty(page: Page, app: App) {
	await page.goto('/');
	await page.getByRole('button', { name: 'Start a shot' }).click();
	await expect(app.headline).toHaveText('Who is in front of the camera?');
}

test('three rows in a small room, from nothing', async ({ app, page }) => {
	await startEmpty(page, app);

	await test.step('people, light, the room', async () => {
		await page.getByRole('button', { name: '+ Add' }).click();
		await app.pressAtRest(page.getByRole('dialog', { name: 'Add' }).getByText('Rows of people…'));
		await page.getByRole('dialog').getByRole('button', { name: 'Add 15 people' }).click();
		await expect(app.headline).toContainText('middle row');
		expect(await app.headline.textContent()).not.toContain('ISO');

		const light = await openSheet(page, /^light: not known/);
		await light.getByText('the light that is there').click();
		await light.getByLabel('in words').selectOption('well-lit room');
		await expect(light.getByRole('status')).toContainText(/1\/\d+, ISO \d+/);
		await closeSheet(page);
		await expect(app.headline).toContainText(/f\/[\d.]+, 1\/\d+, ISO \d+/);
		await expect(app.ladder.getByRole('row', { name: /^shutter/ })).toContainText(/\d/);
	});

	await test.step('a framing the room does not allow is explained', async () => {
		const lenses = await openSheet(page, 'other lenses');
		await lenses.getByLabel('the room behind the camera ends').check();
		await lenses.getByLabel('room behind the camera', { exact: true }).fill('0.4');
		await expect(lenses.getByText('no room for that').first()).toBeVisible();
		await closeSheet(page);

		const framing = await openSheet(page, 'framing');
		await framing.getByLabel('room at every edge').fill('30');
		await framing.getByRole('button', { name: 'Move the camera' }).click();
		await expect(framing.getByRole('alert')).toContainText('there are only 40 cm behind it');
		await closeSheet(page);
	});

	await test.step('another lens of the kit does it from here', async () => {
		const before = (await app.headline.textContent()) ?? '';
		const lenses = await openSheet(page, 'other lenses');
		const best = lenses.getByRole('row', { name: /35 mm f\/1.4/ });
		await expect(best).toContainText('all sharp');
		await best.getByRole('button', { name: 'Take this' }).click();
		await expect(app.verdict).toContainText('All fifteen faces hold.');
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(app.headline).toHaveText(before);
	});

	await test.step('fixed too wide, the best advice mends it, and does what it said', async () => {
		await app.rung(2.8).click();
		await expect(app.verdict).toHaveAttribute('data-feasible', 'false');
		const advice = tryInstead(page).getByTitle(/then holds everyone/);
		await advice.first().click();
		await expect(app.verdict).toHaveAttribute('data-feasible', 'true');
		await expect(app.headline).toContainText('f/2.8');
		await page.getByRole('button', { name: 'Undo' }).click();
		await expect(app.verdict).toHaveAttribute('data-feasible', 'false');
	});

	await test.step('where to stand, and where the back row must', async () => {
		await app.rung(2.8).click();
		await page.getByRole('button', { name: 'where to stand' }).click();
		await expect(page.getByText('Tap where to stand, framed the same.')).toBeVisible();
		const camera = app.stage.locator('.camera').first();
		const before = await app.middleOf(camera);
		// a step would gain less than a rung
		await expect(page.getByText('Nowhere in sight is better than here.')).toBeVisible();
		// but one may stand where one points
		await page.mouse.click(before.x, before.y - 50);
		await expect.poll(() => app.middleOf(camera)).not.toEqual(before);
		await page.getByRole('button', { name: 'Undo' }).click();
		await page.getByLabel('For this f-number').selectOption('for f/2');
		await expect(page.getByText(/back row must come .+ nearer|not even one row/)).toBeVisible();
	});
});

test('a turned head at a window, at f/2', async ({ app, page }) => {
	await app.openSample(/A profile at the window/);
	await app.stage.locator('.head').first().click({ force: true });
	await app.card.getByLabel('keep sharp').selectOption('both eyes');
	await app.card.getByLabel('turned').fill('40');
	await page.keyboard.press('Escape');
	await app.rung(2).click();
	await expect(app.verdict).toHaveAttribute('data-feasible', 'false');
	const turn = tryInstead(page).getByRole('button', { name: /turns \d+° towards the camera/ });
	await expect(turn).toContainText('all sharp');
	await expect(turn).toHaveAttribute('title', /f\/2 then holds everyone/);
	await turn.click();
	await expect(app.verdict).toHaveAttribute('data-feasible', 'true');
	await expect(app.verdict).toContainText('Ifeoma is sharp in about six of ten frames.');
	await app.verdict.getByRole('button', { name: 'why' }).click();
	const why = page.getByRole('dialog');
	await expect(why.getByText(/Put a focus point on Ifeoma’s .+ eye\./)).toBeVisible();
	await expect(why.getByRole('row', { name: /lock and turn the wrists/ })).toContainText('holds');
});

test('a trumpet held at the camera: the face, the trumpet, both', async ({ app, page }) => {
	await app.openSample(/The bandleader/);
	const about = page.getByRole('group', { name: 'about' });
	await expect(about.getByRole('radio', { name: /^the trumpet f\/[\d.]+$/ })).toBeVisible();
	// no eye and no trumpet holds the other at any f-number; the plane between them does
	await expect(about.getByRole('radio', { name: /^both f\/16$/ })).toBeVisible();
	const planeX = () => app.stage.locator('.plane').first().boundingBox();
	const before = await planeX();
	await about.getByRole('radio', { name: /^both/ }).check({ force: true });
	await expect(app.verdict).toHaveAttribute('data-feasible', 'true');
	await expect(app.headline).toContainText('Focus on trumpet');
	await expect(app.verdict).toContainText(/lock on trumpet, then lean \d+ cm forward/);
	// the plane is drawn between the two
	expect(await planeX()).not.toEqual(before);
	// nearer to each other it takes less
	const step = tryInstead(page).getByRole('button').first();
	await expect(step).toBeVisible();
	// and so it does from where they stand beside each other
	await page.getByRole('button', { name: 'where to stand' }).click();
	const arrow = page.getByRole('button', { name: /^Go to the arrow: f\/[\d.]+, .* away$/ });
	// what is said below the stage takes some of its height
	await expect(arrow).toBeVisible();
	const camera = app.stage.locator('.camera').first();
	// and so does what comes into the verdict a moment later
	await expect(app.verdict).toContainText(/Take \w+ frames to be 95 % sure/);
	await expect(page.getByText('The person: saves')).toBeVisible();
	const stood = await app.middleOf(camera);
	const said = (await app.verdict.textContent()) ?? '';
	await arrow.click();
	await expect(async () => {
		const { x, y } = await app.middleOf(camera);
		expect(Math.hypot(x - stood.x, y - stood.y)).toBeGreaterThan(10);
	}).toPass();
	await page.getByRole('button', { name: 'Undo' }).click();
	// back where it stood, by all that is said of it; on the stage, too, though that may have lost a line to what is above
	await expect(app.verdict).toHaveText(said);
	await expect(async () => {
		const { x, y } = await app.middleOf(camera);
		expect(Math.hypot(x - stood.x, y - stood.y)).toBeLessThan(5);
	}).toPass();
});

test('a flash too far away says so, and what it takes', async ({ app, page }) => {
	await app.openSample(/An elder/);
	await expect(app.headline).toContainText('flash at 1/16 power');
	const light = await openSheet(page, /^light: flash/);
	await light.getByLabel('from flash to people').fill('20');
	await expect(light.getByRole('status')).toContainText(/The flash is [\d.]+ stops short of power/);
	await light.getByText('may rise', { exact: true }).click();
	await expect(light.getByRole('status')).not.toContainText('short of power');
	await expect(light.getByRole('status')).toContainText(/ISO \d{3,}, flash at full power/);
});

test('the kit: a lens is changed, kept, and offered to the shot that uses it', async ({
	app,
	page
}) => {
	await app.openSample(/The couple/);
	const kit = await openSheet(page, 'kit');
	await kit.getByText('lenses', { exact: true }).click();
	await kit.getByRole('button', { name: '85 mm f/1.4', exact: true }).click();
	await kit.getByLabel('widest f/ at the long end').fill('4');
	await kit.getByLabel('widest f/ at the short end').fill('4');
	await kit.getByRole('button', { name: 'Duplicate 85 mm f/1.2' }).click();
	await expect(kit.getByRole('button', { name: '85 mm f/1.2 2', exact: true })).toBeVisible();
	await kit.getByRole('button', { name: 'Remove 85 mm f/1.2 2' }).click();
	await expect(kit.getByRole('button', { name: '85 mm f/1.2 2', exact: true })).toBeHidden();
	await kit.getByRole('button', { name: 'Bring it back' }).click();
	await expect(kit.getByRole('button', { name: '85 mm f/1.2 2', exact: true })).toBeVisible();
	await closeSheet(page);

	await page.reload();
	const headline = (await app.headline.textContent()) ?? '';
	expect(headline).toContain('f/3.5');
	await app.stage.locator('.camera').click({ force: true });
	await app.card.getByRole('button', { name: 'Bring it up to date' }).click();
	await expect(app.headline).toContainText('f/4');
});

test('two lenses of one name break nothing, and either can be chosen', async ({ app, page }) => {
	await app.openSample(/The couple/);
	const kit = await openSheet(page, 'kit');
	await kit.getByText('lenses', { exact: true }).click();
	await kit.getByRole('button', { name: '85 mm f/1.2', exact: true }).click();
	await kit.getByLabel('name').fill('85 mm f/1.4');
	await closeSheet(page);
	await app.stage.locator('.camera').click({ force: true });
	const lens = app.card.getByLabel('lens', { exact: true });
	const widest = app.ladder.getByRole('columnheader').first();
	await lens.selectOption({ label: '85 mm f/1.4 (2)' });
	await expect(widest).toContainText('1.2');
	await lens.selectOption({ label: '85 mm f/1.4' });
	await expect(widest).toContainText('1.4');
	const ways = await openSheet(page, 'other lenses');
	await expect(ways.getByRole('rowheader', { name: /^85 mm f\/1.4/ })).toHaveCount(2);
	await closeSheet(page);

	await app.goTo('Card');
	await page.getByLabel('lens', { exact: true }).selectOption({ label: '85 mm f/1.4 (2)' });
	await expect(page.getByText('Changed on the spot')).toBeVisible();
	await page.getByRole('button', { name: 'Unplanned', exact: true }).click();
	await page.getByText('85 mm f/1.4 (2)', { exact: true }).click();
	await page.getByText('head and shoulders', { exact: true }).click();
	await page.getByText('two', { exact: true }).click();
	await expect(page.getByRole('button', { name: /Keep it as a shot/ })).toBeVisible();
});

test('one’s own way is what a new shot begins with', async ({ app, page }) => {
	await app.openSample(/The couple/);
	const kit = await openSheet(page, 'kit');
	await kit.getByText('my way', { exact: true }).click();
	await kit.getByText('every pixel').click();
	await kit.getByText('1 over twice that').click();
	await closeSheet(page);
	await app.openMenu();
	await page.getByRole('button', { name: 'New shot' }).click();
	await expect(app.headline).toHaveText('Who is in front of the camera?');
	await expect(page.getByRole('radio', { name: 'every pixel' })).toBeChecked();
});

test('wide and shallow: many frames round the face, on the plan and step by step on the card', async ({
	app,
	page
}) => {
	await app.openSample(/The couple/);
	const framing = await openSheet(page, 'framing');
	await framing.getByText('Wide and shallow: many frames put together').click();
	await framing.getByText('35 mm', { exact: true }).click();
	await expect(framing.getByText('3 × 4, 12 frames: the view at 35 mm')).toBeVisible();
	await expect(
		framing.getByRole('img', { name: /^The frames and the way.*1 on Ilinca; 2 / })
	).toBeVisible();
	await expect(framing.getByText(/^Sharp .* wherever you turn/)).toBeVisible();
	await axe(page, 'dialog[open]');

	await framing.getByText('upright', { exact: true }).click();
	await expect(framing.getByText(/^\d × \d, \d+ frames: the view at 35 mm/)).not.toContainText(
		'3 × 4'
	);
	await framing.getByLabel('most frames you want').fill('4');
	await expect(framing.getByRole('alert')).toContainText('more than 4');
	await framing.getByLabel('most frames you want').fill('20');
	await framing.getByLabel('across').fill('180');
	await expect(framing.getByRole('alert')).toContainText('A flat picture ends before 180 degrees');
	await framing.getByLabel('across').fill('54');
	await framing.getByText('level', { exact: true }).click();
	await closeSheet(page);
	await expect(page.getByRole('button', { name: 'framing: many frames' })).toBeVisible();

	await app.saved();
	await page.reload();
	await app.goTo('Card');
	await expect(page.getByText(/^1 on Ilinca; 2 right; .*12 /)).toBeVisible();
	await expect(page.getByText(/Lock focus, exposure and white balance/)).toBeVisible();
});

test('the picture shows the place that is chosen, and no number changes', async ({ app, page }) => {
	await app.openSample(/The bandleader/);
	const said = await app.headline.textContent();
	await page.getByRole('button', { name: 'background', exact: true }).click();
	const place = page.getByLabel('around them the picture shows');
	await expect(place).toHaveValue('plain');
	await place.selectOption({ label: 'an arcade' });
	await page.keyboard.press('Escape');
	await app.saved();
	await page.reload();
	await page.getByRole('button', { name: 'background', exact: true }).click();
	await expect(place).toHaveValue('arcade');
	await page.keyboard.press('Escape');
	await expect(app.headline).toHaveText(said ?? '');
});

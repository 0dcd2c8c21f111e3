import type { Page } from '@playwright/test';
import { axe } from './support/axe';
import { expect, test } from './support/app';

/** For every eye, hand and screen. */

/** How light what is laid over the page behind an open sheet is, and the page itself, both opaque: 0 to 765. */
const behindSheet = (page: Page) =>
	page.evaluate(() => {
		const pen = new OffscreenCanvas(1, 1).getContext('2d');
		const dialog = document.querySelector('dialog[open]');
		if (!pen || !dialog) throw new Error('no sheet is open');
		const lightness = (colour: string) => {
			pen.clearRect(0, 0, 1, 1);
			pen.fillStyle = colour;
			pen.fillRect(0, 0, 1, 1);
			const [red = 0, green = 0, blue = 0] = pen.getImageData(0, 0, 1, 1).data;
			return red + green + blue;
		};
		return {
			veil: lightness(getComputedStyle(dialog, '::backdrop').backgroundColor),
			paper: lightness(getComputedStyle(document.documentElement).backgroundColor)
		};
	});

for (const look of ['day', 'night'] as const) {
	test.describe(`${look} look`, () => {
		test.use({ colorScheme: look === 'night' ? 'dark' : 'light' });

		test('axe finds nothing: welcome, plan, selection, list, adding', async ({ app, page }) => {
			test.setTimeout(150_000);
			await page.goto('/');
			await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
			await axe(page);

			await app.openSample(/Two families/);
			await axe(page);
			await app.selectFirst();
			// what is there already was looked at
			await axe(page, '[aria-label="Settings of the selection"]');

			await page.getByRole('radio', { name: 'list' }).check({ force: true });
			await axe(page, '.list');

			await page.getByRole('button', { name: '+ Add' }).click();
			await axe(page, '[popover]:popover-open, dialog[open]');
			await page.keyboard.press('Escape');
		});

		test('axe finds nothing: menu, why, help', async ({ app, page }) => {
			test.setTimeout(150_000);
			await app.openSample(/The couple/);
			await app.openMenu();
			await axe(page, 'dialog[open]');
			const { veil, paper } = await behindSheet(page);
			expect(veil).toBeLessThan(paper);
			await page.keyboard.press('Escape');

			await app.verdict.getByRole('button', { name: 'why' }).click();
			await expect(page.locator('.js-plotly-plot .trace').first()).toBeVisible();
			await axe(page, 'dialog[open]');
			await page.keyboard.press('Escape');
			await expect(page.getByRole('dialog')).toBeHidden();

			await page.keyboard.press('?');
			await expect(page.getByRole('dialog')).toBeVisible();
			await axe(page, 'dialog[open]');
		});

		test('axe finds nothing: day, people, files, card, now', async ({ app, page }) => {
			test.setTimeout(150_000);
			await app.openSampleDay();
			await page.getByRole('button', { name: /^Ilinca/ }).click();
			await expect(app.shotRow(/Two families/)).toContainText('All fifteen');
			await axe(page);
			await page.getByRole('button', { name: 'more for The couple under the arcade' }).click();
			await axe(page, '[popover]');
			await page.keyboard.press('Escape');
			await page.getByRole('button', { name: 'Files', exact: true }).click();
			await axe(page, 'dialog[open]');
			await page.keyboard.press('Escape');

			await app.goTo('Card');
			await expect(page.locator('.settings')).toBeVisible();
			await axe(page);
			await page.getByRole('button', { name: 'Taken…' }).click();
			await axe(page, 'dialog[open]');
			await page.keyboard.press('Escape');
			await expect(page.getByRole('dialog')).toBeHidden();
			await app.answerNow('85 mm f/1.4', 'waist up', 'a row');
			await axe(page);
		});

		test('axe finds nothing: light, framing, other lenses, kit, where to stand', async ({
			app,
			page
		}) => {
			test.setTimeout(150_000);
			await app.openSample(/The bandleader/);
			await page.getByRole('button', { name: 'where to stand' }).click();
			await expect(page.getByText('Tap where to stand, framed the same.')).toBeVisible();
			await axe(page);
			await app.eachSetupSheet(async () => {
				await axe(page, 'dialog[open]');
			});
		});

		test('the shape of a state is there beside its colour', async ({ app }) => {
			await app.openSample(/Two families/);
			await expect(app.ladder).toContainText('●');
			await expect(app.ladder).toContainText(/[◐○]/);
			await expect(app.ladder).toContainText('▲');
		});
	});
}

test.describe('forced colours', () => {
	test.use({ contextOptions: { forcedColors: 'active' } });

	test('everything that matters is drawn in colours of the system', async ({ app, page }) => {
		await app.openSample(/Two families/);
		await axe(page);
		const chosen = page.getByRole('radio', { name: 'full screen' }).locator('..');
		const colours = await chosen.evaluate((label) => {
			const { backgroundColor, color } = getComputedStyle(label);
			return [backgroundColor, color];
		});
		expect(colours[0]).not.toBe(colours[1]);
		const pick = app.ladder.locator('th.pick');
		expect(await pick.evaluate((cell) => getComputedStyle(cell).borderLeftStyle)).toBe('solid');
	});
});

test('motion respects the system’s setting', async ({ app, page }) => {
	await page.emulateMedia({ reducedMotion: 'reduce' });
	await app.openSample(/The couple/);
	const longest = await page.evaluate(() =>
		Math.max(
			...[...document.querySelectorAll('*')].map(
				(element) => parseFloat(getComputedStyle(element).transitionDuration) || 0
			)
		)
	);
	expect(longest).toBeLessThanOrEqual(0.01);
});

test('by keyboard one sees where one is, and comes back to what opened a sheet', async ({
	app,
	page
}) => {
	await app.openSample(/Two families/);
	/** What has the focus without being seen to: nothing, or its words. */
	const unseen = () =>
		page.evaluate(() => {
			const one = document.activeElement;
			if (!one || one === document.body) return null;
			const isRinged = (part: Element | null) => {
				if (!part) return false;
				const { outlineStyle, outlineWidth } = getComputedStyle(part);
				return outlineStyle !== 'none' && parseFloat(outlineWidth) >= 2;
			};
			// an option that is only for those who listen is seen by its label, a number by its box
			const isHidden = one.getBoundingClientRect().width <= 2;
			const isSeen = isHidden
				? isRinged(one.closest('label'))
				: isRinged(one) || isRinged(one.parentElement);
			return isSeen ? null : one.outerHTML.slice(0, 120);
		});
	const walk = async (stops: number) => {
		const found: string[] = [];
		for (let i = 0; i < stops; i++) {
			await page.keyboard.press('Tab');
			const one = await unseen();
			if (one) found.push(one);
		}
		return found;
	};
	expect(await walk(40)).toEqual([]);

	for (const name of ['light', 'framing', 'other lenses', 'kit']) {
		const opener = page
			.getByRole('group', { name: 'Set-up' })
			.getByRole('button', { name: new RegExp(`^${name}`) });
		await opener.focus();
		await page.keyboard.press('Enter');
		await expect(page.locator('dialog[open]')).toBeVisible();
		expect(await walk(name === 'light' ? 12 : 3)).toEqual([]);
		await page.keyboard.press('Escape');
		await expect(opener).toBeFocused();
	}
});

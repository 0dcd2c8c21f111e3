import { expect, type Locator, type Page } from '@playwright/test';
import { test as base } from './browser';

/** What has not moved for so many frames has come to rest. */
const RESTING_FRAMES = 4;

/** Lets so many frames be drawn; runs in the page. */
async function frames(count: number): Promise<void> {
	for (let i = 0; i < count; i++) await new Promise(requestAnimationFrame);
}

/** The app as a photographer meets it. */
export class App {
	constructor(readonly page: Page) {}

	get verdict(): Locator {
		return this.page.getByRole('region', { name: 'Verdict' });
	}
	get headline(): Locator {
		return this.verdict.getByRole('heading');
	}
	get stage(): Locator {
		return this.page.getByRole('application', { name: /^Stage/ });
	}
	get ladder(): Locator {
		return this.page.getByRole('region', { name: 'Ladder of f-numbers' });
	}
	get frame(): Locator {
		return this.page.getByRole('listbox', { name: /choose a face/ });
	}
	get card(): Locator {
		return this.page.getByRole('group', { name: 'Settings of the selection' });
	}

	/** Opens the sample day at one of its shots. */
	async openSample(title: RegExp): Promise<void> {
		await this.page.goto(`/?sample=${encodeURIComponent(title.source)}`);
		await expect(this.page.getByRole('banner').getByText(title)).toBeVisible();
		// the screen itself is loaded when one goes there
		await expect(this.page.getByRole('main')).toBeVisible();
	}

	async openShot(title: RegExp): Promise<void> {
		await this.openMenu();
		const dialog = this.page.getByRole('dialog');
		await dialog.getByRole('button', { name: title }).click();
		await expect(dialog).toBeHidden();
		await expect(this.page.getByRole('banner').getByText(title)).toBeVisible();
	}

	async openMenu(): Promise<void> {
		await this.page.getByRole('banner').locator('.crumb').click();
	}

	/** Opens the sample day where its shots are listed. */
	async openSampleDay(): Promise<void> {
		await this.page.goto('/?sample&at=day');
		await expect(this.shots.first()).toBeVisible();
	}

	/** The shots of the day, in order of time. */
	get shots(): Locator {
		return this.page.getByRole('list', { name: 'Shots of the day' }).getByRole('listitem');
	}
	shotRow(title: string | RegExp): Locator {
		return this.shots.filter({ hasText: title });
	}
	/** Title of each shot, in order. */
	async titles(): Promise<string[]> {
		return this.shots.locator('.title').allInnerTexts();
	}
	async goTo(place: 'Day' | 'Plan' | 'Card' | 'Review' | 'Bench'): Promise<void> {
		await this.page.getByRole('navigation').getByRole('button', { name: place }).click();
	}

	/** Opens a sheet of the set-up after another, each when what it has to say is there. */
	async eachSetupSheet(look: (name: string) => Promise<void>): Promise<void> {
		const bar = this.page.getByRole('group', { name: 'Set-up' });
		const dialog = this.page.getByRole('dialog');
		for (const [name, ready] of [
			['light', 'What may change'],
			['framing', 'nearest face'],
			['other lenses', 'best for faces'],
			['kit', 'Full-frame 45 MP']
		] as const) {
			await bar.getByRole('button', { name: new RegExp(`^${name}`) }).click();
			await expect(dialog.getByText(ready).first()).toBeVisible();
			await look(name);
			await this.page.keyboard.press('Escape');
			await expect(dialog).toBeHidden();
		}
	}

	/** Opens Now and taps its answers, up to its verdict. */
	async answerNow(...texts: string[]): Promise<void> {
		await this.page.getByRole('button', { name: 'Unplanned', exact: true }).click();
		for (const text of texts) await this.page.locator('label', { hasText: text }).first().click();
		await expect(this.page.getByRole('button', { name: /Keep it as a shot/ })).toBeVisible();
	}

	/** Selects the first head of the stage and waits for its card. */
	async selectFirst(): Promise<void> {
		await this.clickMiddleOf(this.stage.locator('.head').first());
		await expect(this.card).toBeVisible();
	}

	/** Clicks where a part of a drawing is, whatever lies over it there. */
	async clickMiddleOf(part: Locator): Promise<void> {
		const { x, y } = await this.middleOf(part);
		await this.page.mouse.click(x, y);
	}

	/** Waits until everything is in the browser's store. */
	async saved(): Promise<void> {
		await expect(this.page.locator('.app')).toHaveAttribute('data-saved', 'true');
	}

	/** Presses what has come to rest, as people do: a menu moves to its place after it has opened. */
	async pressAtRest(part: Locator): Promise<void> {
		await this.middleOf(part);
		await part.click();
	}

	/** The middle of a part of the stage, on the page, once it has come to rest. */
	async middleOf(part: Locator): Promise<{ x: number; y: number }> {
		const middle = async () => {
			const box = await part.boundingBox();
			if (!box) throw new Error('not on the page');
			return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
		};
		for (let before = await middle(); ;) {
			await this.page.evaluate(frames, RESTING_FRAMES);
			const now = await middle();
			if (now.x === before.x && now.y === before.y) return now;
			before = now;
		}
	}

	async drag(from: { x: number; y: number }, by: { x: number; y: number }): Promise<void> {
		const { mouse } = this.page;
		await mouse.move(from.x, from.y);
		await mouse.down();
		await mouse.move(from.x + by.x / 2, from.y + by.y / 2, { steps: 4 });
		await mouse.move(from.x + by.x, from.y + by.y, { steps: 4 });
		await mouse.up();
	}

	/** How many px of the stage a metre takes, read off its ruler. */
	async metrePx(): Promise<number> {
		const marks = this.stage.locator('.ruler text');
		await expect(marks.nth(1)).toBeVisible();
		const texts = await marks.allTextContents();
		const metres = texts.map((text) => parseFloat(text));
		const first = await this.middleOf(marks.first());
		const last = await this.middleOf(marks.last());
		return (last.x - first.x) / ((metres.at(-1) ?? 0) - (metres[0] ?? 0));
	}

	/** Label of a row on the stage. */
	row(name: string): Locator {
		return this.stage.locator('text').filter({ hasText: new RegExp(`^${name}$`) });
	}

	/** f-number of the ladder, as its column's button. */
	rung(fNumber: number): Locator {
		return this.ladder.getByRole('button', { name: new RegExp(`^f/${fNumber}(,|$)`) });
	}

	pick(): Locator {
		return this.ladder.getByRole('button', { name: /, the pick/ });
	}
}

/** A test with the app at hand, which fails on anything the page complains of. */
export const test = base.extend<{ app: App; complaints: string[] }>({
	app: async ({ page }, use) => {
		// a dialog of the system cannot be answered here: files come as downloads
		await page.addInitScript(() => Reflect.deleteProperty(window, 'showSaveFilePicker'));
		await use(new App(page));
	},
	complaints: [
		async ({ page }, use) => {
			const complaints: string[] = [];
			page.on('pageerror', (error) => complaints.push(String(error)));
			page.on('console', (message) => {
				if (message.type() === 'error') complaints.push(message.text());
			});
			await use(complaints);
			expect(complaints).toEqual([]);
		},
		{ auto: true }
	]
});

export { expect };

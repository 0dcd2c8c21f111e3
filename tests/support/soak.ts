import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext, BrowserType, LaunchOptions, Page } from '@playwright/test';
import { Random } from '$core/numeric/random';
import { App, expect } from './app';

/**
 * A day that is worked on at random, in two windows, with and without a network, with reloads, and killed in the middle;
 * beside it a plain account of what must be there.
 */

/** What the day must say. */
interface Account {
	title: string;
	notes: string;
	/** Written by the second window alone. */
	place: string;
	guests: string[];
	/** Status of each shot, in order. */
	statuses: string[];
}

type Field = 'title' | 'notes' | 'place';

/** One step of the first window, to be taken back and done again. */
interface Step {
	readonly back: (account: Account) => void;
	readonly again: (account: Account) => void;
}

const STATUSES = ['planned', 'taken', 'skipped'] as const;
const LABELS: Readonly<Record<Field, string>> = {
	title: 'Title of the day',
	notes: 'Notes of the day',
	place: 'Place of the day'
};
/** Every row is near enough for its controls. */
const VIEWPORT = { width: 1280, height: 1600 };

export class Soak {
	readonly #random: Random;
	readonly #type: BrowserType;
	readonly #options: LaunchOptions;
	readonly #address: string;
	readonly #folder = mkdtempSync(join(tmpdir(), 'soak-'));
	#context!: BrowserContext;
	#first!: Page;
	#second: Page | null = null;
	#account!: Account;
	/** Each state since all of it was last said to be kept, that one first. */
	#since: Account[] = [];
	#done: Step[] = [];
	#undone: Step[] = [];
	#count = 0;
	/** What was done, for whoever has to find out why. */
	readonly log: string[] = [];

	constructor(type: BrowserType, options: LaunchOptions, address: string, seed: number) {
		this.#random = new Random(seed);
		this.#type = type;
		this.#options = options;
		this.#address = address;
	}

	async begin(): Promise<void> {
		await this.#launch();
		await this.#first.goto(`${this.#address}/?sample&at=day`);
		await expect(new App(this.#first).shots.first()).toBeVisible();
		this.#account = await read(this.#first);
		await this.#confirm();
	}

	/** Does something at random. */
	async step(): Promise<void> {
		const name = this.#oneOf([
			...['title', 'notes', 'guest', 'guest', 'status', 'status', 'undo', 'undo', 'redo'],
			...['other guest', 'other place', 'confirm', 'look', 'offline', 'reload', 'kill']
		] as const);
		this.log.push(name);
		switch (name) {
			case 'title':
			case 'notes':
				return this.#write(this.#first, name);
			case 'guest':
				return this.#addGuest(this.#first, 'A');
			case 'status':
				return this.#mark();
			case 'undo':
				return this.#go(this.#done, this.#undone, 'back', 'Control+z');
			case 'redo':
				return this.#go(this.#undone, this.#done, 'again', 'Control+y');
			case 'other guest':
				return this.#addGuest(await this.#other(), 'B');
			case 'other place':
				return this.#write(await this.#other(), 'place');
			case 'confirm':
				return this.#confirm();
			case 'look':
				return this.look();
			case 'offline':
				await this.#context.setOffline(true);
				await this.#write(this.#first, 'notes');
				return this.#context.setOffline(false);
			case 'reload':
				await this.#first.reload();
				this.#forgetSteps();
				return this.look();
			case 'kill':
				return this.#kill();
		}
	}

	/** Both windows say what they must. */
	async look(): Promise<void> {
		for (const page of [this.#first, this.#second]) {
			if (!page) continue;
			await expect
				.poll(() => read(page), { message: this.log.slice(-12).join(', ') })
				.toEqual(sorted(this.#account));
		}
	}

	async end(): Promise<void> {
		await this.#context.close();
		rmSync(this.#folder, { recursive: true, force: true });
	}

	async #launch(): Promise<void> {
		this.#context = await this.#type.launchPersistentContext(this.#folder, {
			...this.#options,
			viewport: VIEWPORT,
			serviceWorkers: 'block',
			reducedMotion: 'reduce'
		});
		this.#first = this.#context.pages()[0] ?? (await this.#context.newPage());
		this.#second = null;
		this.#forgetSteps();
	}

	/** The whole browser dies without a word. What was said to be kept is there; what came after may be. */
	async #kill(): Promise<void> {
		const session = await this.#context.newCDPSession(this.#first);
		const gone = new Promise((resolve) => this.#context.once('close', resolve));
		await session.send('Browser.crash').catch(() => undefined);
		await gone;
		await this.#launch();
		await this.#first.goto(`${this.#address}/?at=day`);
		await expect(new App(this.#first).shots.first()).toBeVisible();
		const found = await read(this.#first);
		const since = this.#since;
		const told = `killed after ${this.log.slice(-12).join(', ')}`;
		for (const field of ['title', 'notes', 'place'] as const) {
			expect(
				since.map((one) => one[field]),
				told
			).toContain(found[field]);
		}
		for (const name of this.#account.guests) {
			if (since.every(({ guests }) => guests.includes(name))) {
				expect(found.guests, told).toContain(name);
			}
		}
		found.statuses.forEach((status, i) =>
			expect(
				since.map(({ statuses }) => statuses[i]),
				told
			).toContain(status)
		);
		this.#account = found;
		await this.#confirm();
	}

	async #other(): Promise<Page> {
		if (this.#second) return this.#second;
		// it opens what is kept
		await this.#confirm();
		this.#second = await this.#context.newPage();
		await this.#second.goto(`${this.#address}/?at=day`);
		await expect(new App(this.#second).shots.first()).toBeVisible();
		return this.#second;
	}

	/** Waits until both windows say that all is kept. */
	async #confirm(): Promise<void> {
		await new App(this.#first).saved();
		if (this.#second) await new App(this.#second).saved();
		this.#since = [structuredClone(this.#account)];
	}

	async #write(page: Page, field: Field): Promise<void> {
		const before = this.#account[field];
		const after = `${field} ${(this.#count += 1)}`;
		const input = page.getByLabel(LABELS[field]);
		await input.fill(after);
		await input.blur();
		this.#did(page, {
			again: (account) => (account[field] = after),
			back: (account) => (account[field] = before)
		});
	}

	async #addGuest(page: Page, initial: string): Promise<void> {
		const name = `${initial} ${(this.#count += 1)}`;
		const input = page.getByLabel('Name of somebody who is there');
		await input.fill(name);
		await input.press('Enter');
		await input.blur();
		this.#did(page, {
			again: ({ guests }) => guests.push(name),
			back: ({ guests }) => guests.splice(guests.indexOf(name), 1)
		});
	}

	async #mark(): Promise<void> {
		const i = Math.floor(this.#random.uniform() * this.#account.statuses.length);
		const before = this.#account.statuses[i] as string;
		const after = this.#oneOf(STATUSES.filter((status) => status !== before));
		await this.#first
			.getByLabel(/^status of /)
			.nth(i)
			.selectOption(after);
		this.#did(this.#first, {
			again: ({ statuses }) => (statuses[i] = after),
			back: ({ statuses }) => (statuses[i] = before)
		});
	}

	/** Undo is each window's own, and only the first one's is tried. */
	#did(page: Page, step: Step): void {
		step.again(this.#account);
		this.#since.push(structuredClone(this.#account));
		if (page !== this.#first) return;
		this.#done.push(step);
		this.#undone = [];
	}

	async #go(from: Step[], to: Step[], way: keyof Step, keys: string): Promise<void> {
		const step = from.pop();
		if (!step) return;
		await this.#first.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
		await this.#first.keyboard.press(keys);
		step[way](this.#account);
		this.#since.push(structuredClone(this.#account));
		to.push(step);
	}

	#forgetSteps(): void {
		this.#done = [];
		this.#undone = [];
	}

	#oneOf<T>(all: readonly T[]): T {
		return all[Math.floor(this.#random.uniform() * all.length)] as T;
	}
}

/** Two windows need not agree on the order of people that were added at the same moment. */
const sorted = (account: Account): Account => ({
	...account,
	guests: account.guests.toSorted()
});

/** What a window says. */
async function read(page: Page): Promise<Account> {
	// rows get their controls in the pauses
	await page.waitForFunction(
		() =>
			document.querySelectorAll('[data-shot]').length ===
			document.querySelectorAll('.status select').length
	);
	return sorted(
		await page.evaluate((labels) => {
			const value = (label: string) =>
				document.querySelector<HTMLInputElement>(`[aria-label="${label}"]`)?.value ?? '';
			const all = <T extends Element>(selector: string) => [
				...document.querySelectorAll<T>(selector)
			];
			return {
				title: value(labels.title),
				notes: value(labels.notes),
				place: value(labels.place),
				guests: all('.people li .name bdi').map(({ textContent }) => textContent),
				statuses: all<HTMLSelectElement>('.status select').map((select) => select.value)
			};
		}, LABELS)
	);
}

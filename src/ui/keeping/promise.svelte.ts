import { decimal } from '$words/numbers';
import { promiseText as say } from '$words/screens/keeping';
import { settings } from '../shared/settings.svelte';

/** How safe the work is in this browser: its promise to keep it, the space used, the last backup. */

/** So long after the first change since the last backup a backup is called for. */
const DAYS_WORK_MS = 8 * 3_600_000;
/** Said "not now", it asks again after so long. */
const LATER_MS = 24 * 3_600_000;

const MEGABYTE = 1024 * 1024;

export class Keeping {
	/** Whether the browser promises to keep everything; null while it has not said. */
	isPromised = $state<boolean | null>(null);
	#usedBytes = $state<number | null>(null);
	#roomBytes = $state<number | null>(null);
	#now = $state(Date.now());
	#hasAsked = false;
	/** When something was changed last, ms. */
	#changedLastAt = 0;

	/** Something was changed that no backup holds. */
	get isUnsaved(): boolean {
		return settings.changedAt !== null;
	}
	/** A day's work is kept on this device alone. */
	readonly isBackupDue = $derived.by(() => {
		const { changedAt, askAgainAt } = settings;
		return changedAt !== null && this.#now - changedAt >= DAYS_WORK_MS && this.#now >= askAgainAt;
	});
	readonly backupWords = $derived.by(() => {
		const { backedUpAt } = settings;
		if (backedUpAt === null) return say.noBackupYet;
		// asked for only here: the first format of dates takes a slow phone a tenth of a second
		const format = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
		return say.lastBackup(format.format(backedUpAt));
	});
	readonly storageWords = $derived.by(() => {
		const promise = {
			true: say.thisBrowserPromisesToKeep,
			false: say.thisBrowserMayClearEverythingWhen,
			null: say.thisBrowserDoesNotSayWhether
		}[`${this.isPromised}`];
		if (this.#usedBytes === null) return promise;
		const used = say.mbUsed(decimal(this.#usedBytes / MEGABYTE, 1));
		const room = this.#roomBytes ? say.ofMb(Math.round(this.#roomBytes / MEGABYTE)) : '';
		return `${promise} ${used}${room}.`;
	});

	/** Begins to look at the clock; returns how to stop. */
	start(): () => void {
		void this.look();
		const timer = setInterval(() => (this.#now = Date.now()), 60_000);
		return () => clearInterval(timer);
	}

	/** Reads what the browser says of its storage. */
	async look(): Promise<void> {
		// missing where the address is not https, and refused in some private windows
		try {
			this.isPromised = (await navigator.storage?.persisted?.()) ?? null;
			const { usage = null, quota = null } = (await navigator.storage?.estimate?.()) ?? {};
			this.#usedBytes = usage;
			this.#roomBytes = quota;
		} catch {
			this.isPromised = null;
		}
	}

	/** There is work of one's own: a good moment to ask the browser to keep it. Asks once. */
	async askToKeep(): Promise<void> {
		if (this.#hasAsked || this.isPromised) return;
		this.#hasAsked = true;
		try {
			await navigator.storage?.persist?.();
		} catch {
			// it stays unsaid
		}
		await this.look();
	}

	/** Something was changed that no backup holds. */
	noteChange(): void {
		this.#now = Date.now();
		this.#changedLastAt = this.#now;
		if (settings.changedAt === null) settings.set({ changedAt: this.#now });
	}

	/** @param asOfMs the backup holds what was there then */
	noteBackup(asOfMs = Date.now()): void {
		const changedAt = this.#changedLastAt > asOfMs ? this.#changedLastAt : null;
		settings.set({ backedUpAt: Date.now(), changedAt });
	}

	notNow(): void {
		this.#now = Date.now();
		settings.set({ askAgainAt: this.#now + LATER_MS });
	}
}

/* eslint-disable svelte/prefer-svelte-reactivity -- maps here are replaced whole, or nobody watches them */
import { troubleOf, type Trouble } from '$data/store/trouble';
import { Invalid } from '$data/store/valid';

/** What becomes of a letter: it is kept, or it waits for an answer of the user. */
export type Sent = 'kept' | 'held';

interface Letter {
	/** Names the record: a later letter for the same one takes its place. */
	readonly key: string;
	/** Writes the record as it stands when it is called. */
	readonly send: () => Promise<Sent>;
	readonly isHeld: boolean;
}

/** One record is written at most this often, ms: the first change of a gesture at once, then every now and then. */
const EVERY_MS = 200;
/** What the store refused is tried again after so long, ms. */
const AGAIN_MS = 5000;

/**
 * Everything on its way to the store, one letter a record, in the order in which they were first
 * changed. What the store refuses waits until it takes it; a letter that met another window's change
 * is held until the user has said what shall stand. Memory is what the screen shows, and nothing here
 * holds it up.
 */
export class Outbox {
	/** Why the store does not take it; null while it does. */
	trouble = $state<Trouble | null>(null);
	/** What could not be kept because it is not valid, in words; null while all is. */
	refusal = $state<string | null>(null);
	#letters = $state.raw<readonly Letter[]>([]);
	#running: Promise<void> | null = null;
	readonly #sentAt = new Map<string, number>();
	#timer: ReturnType<typeof setTimeout> | undefined;

	/** Something is not in the store yet. */
	get isBusy(): boolean {
		return this.#letters.length > 0;
	}

	/** Whether a record is on its way, or held. */
	has(key: string): boolean {
		return this.#letters.some((one) => one.key === key);
	}

	/** Puts a letter in the place of the one for the same record, or at the end. A held one stays held. */
	post(key: string, send: () => Promise<Sent>): void {
		const before = this.#letters.find((one) => one.key === key);
		const letter = { key, send, isHeld: before?.isHeld ?? false };
		this.#letters = before
			? this.#letters.map((one) => (one === before ? letter : one))
			: [...this.#letters, letter];
		const wait = (this.#sentAt.get(key) ?? 0) + EVERY_MS - Date.now();
		this.#later(Math.max(0, wait));
	}

	#later(ms: number): void {
		this.#timer ??= setTimeout(() => void this.flush(), ms);
	}

	/** Takes a letter back: the record is no concern of ours any more. */
	drop(key: string): void {
		this.#letters = this.#letters.filter((one) => one.key !== key);
	}

	/** Lets a held letter go. */
	release(key: string): void {
		this.#letters = this.#letters.map((one) => (one.key === key ? { ...one, isHeld: false } : one));
	}

	/** Sends everything now; resolves when all is kept, held, or refused by the store. */
	async flush(): Promise<void> {
		clearTimeout(this.#timer);
		this.#timer = undefined;
		while (this.#running) await this.#running;
		this.#running = this.#sendAll();
		await this.#running;
		this.#running = null;
	}

	async #sendAll(): Promise<void> {
		try {
			const tried = new Set<string>();
			for (;;) {
				const letter = this.#letters.find((one) => !one.isHeld && !tried.has(one.key));
				if (!letter) break;
				tried.add(letter.key);
				this.#settle(letter, await this.#send(letter));
				this.trouble = null;
			}
			// what was changed while it was being sent
			if (this.#letters.some((one) => !one.isHeld)) this.#later(EVERY_MS);
		} catch (error) {
			this.trouble = troubleOf(error);
			this.#later(AGAIN_MS);
		}
	}

	async #send({ key, send }: Letter): Promise<Sent> {
		try {
			return await send();
		} catch (error) {
			if (!(error instanceof Invalid)) throw error;
			// it would be refused for ever: said, and not tried again
			this.refusal = error.message;
			return 'kept';
		} finally {
			this.#sentAt.set(key, Date.now());
		}
	}

	/** A letter that was replaced meanwhile stays: it is the newer one. */
	#settle(letter: Letter, sent: Sent): void {
		this.#letters =
			sent === 'kept'
				? this.#letters.filter((one) => one !== letter)
				: this.#letters.map((one) => (one.key === letter.key ? { ...one, isHeld: true } : one));
	}
}

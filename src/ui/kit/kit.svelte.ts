import { getContext, setContext } from 'svelte';
import type { Lens } from '$core/format/shot';
import { ASSUMED, type Spreads } from '$core/tables/spreads';
import type { KitBody, KitLens } from '$data/database';
import { lensesFor, PRESET_KIT, type KitContents, type KitStore } from '$data/kitStore';
import { troubleOf, type Trouble } from '$data/store';

/** The kit as the screens show it. Where nothing can be kept it is changed in memory. */
export class Kit {
	contents = $state.raw<KitContents>(PRESET_KIT);
	trouble = $state<Trouble | null>(null);
	readonly #store: KitStore;
	/** Changes on their way to the store: until they are there, what it tells is older than this. */
	#pending = 0;

	constructor(store: KitStore) {
		this.#store = store;
	}

	/** Begins to follow the store; returns how to stop. */
	start(): () => void {
		return this.#store.watch(
			(contents) => {
				if (this.#pending === 0) this.contents = contents;
			},
			(error) => (this.trouble = troubleOf(error))
		);
	}

	/** The lenses that go on a body. */
	lensesFor(bodyName: string): readonly Lens[] {
		return lensesFor(this.contents, bodyName);
	}

	async put(entry: KitBody | KitLens): Promise<void> {
		this.contents = withEntry(this.contents, entry);
		await this.#keep(this.#store.put(entry));
	}

	async remove(entry: KitBody | KitLens): Promise<void> {
		const others = <T extends { id: string }>(list: readonly T[]) =>
			list.filter(({ id }) => id !== entry.id);
		const { contents } = this;
		this.contents =
			'body' in entry
				? { ...contents, bodies: others(contents.bodies) }
				: { ...contents, lenses: others(contents.lenses) };
		await this.#keep(this.#store.remove(entry));
	}

	/** Changes one's own spreads; null goes back to the assumptions. */
	async putSpreads(spreads: Spreads | null): Promise<void> {
		this.contents = { ...this.contents, spreads: spreads ?? ASSUMED };
		await this.#keep(this.#store.putSpreads(spreads));
	}

	async #keep(done: Promise<void>): Promise<void> {
		this.#pending += 1;
		try {
			await done;
			this.trouble = null;
		} catch (error) {
			this.trouble = troubleOf(error);
		} finally {
			this.#pending -= 1;
		}
	}
}

function withEntry(contents: KitContents, entry: KitBody | KitLens): KitContents {
	const put = <T extends { id: string; position: number }>(list: readonly T[], one: T) =>
		[...list.filter(({ id }) => id !== one.id), one].sort((a, b) => a.position - b.position);
	return 'body' in entry
		? { ...contents, bodies: put(contents.bodies, entry) }
		: { ...contents, lenses: put(contents.lenses, entry) };
}

const KEY = Symbol('kit');
export const provideKit = (kit: Kit): Kit => setContext(KEY, kit);
export const useKit = (): Kit => getContext<Kit>(KEY);

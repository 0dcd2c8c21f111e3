import { getContext, setContext } from 'svelte';
import type { Body, Lens } from '$core/format/shot';
import type { Spreads } from '$core/tables/spreads';
import type { KitBody, KitLens } from '$data/store/database';
import { lensesFor, type KitContents, type MeasuredFrames } from '$data/kitContents';
import type { Library } from '../keeping/library.svelte';

/** The kit as the screens show it; it is kept with everything else. */
export class Kit {
	readonly #library: Library;

	constructor(library: Library) {
		this.#library = library;
	}

	get contents(): KitContents {
		return this.#library.kit;
	}

	/** The lenses that go on a body. */
	lensesFor(body: Body): readonly Lens[] {
		return lensesFor(this.contents, body);
	}

	put(entry: Omit<KitBody, 'revision'> | Omit<KitLens, 'revision'>): void {
		this.#library.attempt(() => this.#library.putKit(entry));
	}

	remove(entry: KitBody | KitLens): void {
		this.#library.takeOutOfKit(entry);
	}

	/** Changes one's own spreads; null goes back to the assumptions. */
	putSpreads(spreads: Spreads | null, measured: MeasuredFrames = {}): void {
		this.#library.attempt(() => this.#library.putSpreads(spreads, measured));
	}
}

const KEY = Symbol('kit');
export const provideKit = (kit: Kit): Kit => setContext(KEY, kit);
export const useKit = (): Kit => getContext<Kit>(KEY);

import { liveQuery } from 'dexie';
import type { z } from 'zod';
import type { Lens } from '$core/format/shot';
import { ASSUMED, type Spreads } from '$core/tables/spreads';
import {
	KitBodySchema,
	KitLensSchema,
	MySpreadsSchema,
	presetBodies,
	presetLenses,
	type Database,
	type KitBody,
	type KitLens
} from './database';

/** The photographer's own bodies and lenses. */
export interface KitContents {
	readonly bodies: readonly KitBody[];
	readonly lenses: readonly KitLens[];
	/** How much one's own hands and focusing spread. */
	readonly spreads: Spreads;
}

/** The kit as it is where nothing can be kept. */
export const PRESET_KIT: KitContents = {
	bodies: presetBodies(),
	lenses: presetLenses(),
	spreads: ASSUMED
};

/** Keeps the kit. Every method may reject; `troubleOf` says why. */
export class KitStore {
	readonly #db: Database;

	constructor(db: Database) {
		this.#db = db;
	}

	/** The kit in its order. An entry that no longer validates is left where it is and not shown. */
	async read(): Promise<KitContents> {
		const [bodies, lenses, mine] = await Promise.all([
			this.#db.bodies.toArray(),
			this.#db.lenses.toArray(),
			this.#db.spreads.get('mine')
		]);
		const spreads = MySpreadsSchema.safeParse(mine);
		return {
			bodies: valid(KitBodySchema, bodies),
			lenses: valid(KitLensSchema, lenses),
			spreads: spreads.success ? spreads.data.spreads : ASSUMED
		};
	}

	/** Calls back now and whenever this or another window changes the kit. Returns how to stop. */
	watch(onKit: (kit: KitContents) => void, onTrouble: (error: unknown) => void): () => void {
		const subscription = liveQuery(() => this.read()).subscribe(onKit, onTrouble);
		return () => subscription.unsubscribe();
	}

	/** Adds an entry, or puts it in the place of the one with its id. */
	async put(entry: KitBody | KitLens): Promise<void> {
		if ('body' in entry) await this.#db.bodies.put(KitBodySchema.parse(entry));
		else await this.#db.lenses.put(KitLensSchema.parse(entry));
	}

	/** Keeps one's own spreads; null goes back to the assumptions. */
	async putSpreads(spreads: Spreads | null): Promise<void> {
		if (spreads) await this.#db.spreads.put(MySpreadsSchema.parse({ id: 'mine', spreads }));
		else await this.#db.spreads.delete('mine');
	}

	async remove(entry: KitBody | KitLens): Promise<void> {
		if ('body' in entry) await this.#db.bodies.delete(entry.id);
		else await this.#db.lenses.delete(entry.id);
	}
}

function valid<T extends { readonly position: number }>(
	schema: z.ZodType<T>,
	rows: readonly unknown[]
): T[] {
	return rows
		.flatMap((row) => {
			const result = schema.safeParse(row);
			return result.success ? [result.data] : [];
		})
		.sort((a, b) => a.position - b.position);
}

/** The lenses that go on a body: what is built into one goes on no other, and it takes no other. */
export function lensesFor({ lenses }: KitContents, bodyName: string): Lens[] {
	const own = lenses.filter(({ onlyOn }) => onlyOn === bodyName);
	return (own.length > 0 ? own : lenses.filter(({ onlyOn }) => onlyOn === null)).map(
		({ lens }) => lens
	);
}

import type { Lens } from '$core/format/shot';
import { ASSUMED, type Spreads } from '$core/tables/spreads';
import { presetBodies, presetLenses, type KitBody, type KitLens } from './database';

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

/** The lenses that go on a body: what is built into one goes on no other, and it takes no other. */
export function lensesFor({ lenses }: Pick<KitContents, 'lenses'>, bodyName: string): Lens[] {
	const own = lenses.filter(({ onlyOn }) => onlyOn === bodyName);
	return (own.length > 0 ? own : lenses.filter(({ onlyOn }) => onlyOn === null)).map(
		({ lens }) => lens
	);
}

import type { Body, Lens } from '$core/format/shot';
import { covers } from '$core/optics/crop';
import { ASSUMED, type SpreadKey, type Spreads } from '$core/tables/spreads';
import { presetBodies, presetLenses, type KitBody, type KitLens } from './store/database';

/** The photographer's own bodies and lenses. */
export interface KitContents {
	readonly bodies: readonly KitBody[];
	readonly lenses: readonly KitLens[];
	/** How much one's own hands and focusing spread. */
	readonly spreads: Spreads;
	/** Frames that stand behind those that were measured; the others are assumed. */
	readonly measured: MeasuredFrames;
}

export type MeasuredFrames = Readonly<Partial<Record<SpreadKey, number>>>;

/** The kit as it is where nothing can be kept. */
export const PRESET_KIT: KitContents = {
	bodies: presetBodies(),
	lenses: presetLenses(),
	spreads: ASSUMED,
	measured: {}
};

/**
 * The lenses of the kit that one has and that go on a body: what is built into one goes on no other, and it takes no other; none
 * whose picture does not reach the corners of its sensor.
 */
export function lensesFor(
	{ lenses }: Pick<KitContents, 'lenses'>,
	{ name, sensor }: Pick<Body, 'name' | 'sensor'>
): Lens[] {
	const owned = lenses.filter(({ isWanted }) => !isWanted);
	return goingOn(owned, { name, sensor }).map(({ lens }) => lens);
}

/** Those that go on a body, of some lenses. */
export function goingOn(
	lenses: readonly KitLens[],
	{ name, sensor }: Pick<Body, 'name' | 'sensor'>
): KitLens[] {
	const own = lenses.filter(({ onlyOn }) => onlyOn === name);
	const fitting = own.length > 0 ? own : lenses.filter(({ onlyOn }) => onlyOn === null);
	return fitting.filter(({ lens }) => covers(lens, sensor));
}

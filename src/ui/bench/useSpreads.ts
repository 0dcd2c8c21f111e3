import { ASSUMED, type SpreadKey, type Spreads } from '$core/tables/spreads';
import type { Kit } from '../kit/kit.svelte';
import type { Session } from '../keeping/session.svelte';

/** What an assumption counts for, frames (section 11, last). */
const ASSUMED_FRAMES = 20;

interface Found {
	readonly lensBias?: Spreads['lensBias'];
	readonly measured?: Partial<
		Record<SpreadKey, { readonly value: number; readonly frames: number }>
	>;
}

/** A spread as it was measured, together with what was assumed. */
export const withAssumed = (key: SpreadKey, value: number, frames: number): number =>
	(ASSUMED_FRAMES * ASSUMED[key] + frames * value) / (ASSUMED_FRAMES + frames);

/** Lets the odds use what was measured on a bench; it can be taken back. */
export function useSpreads(kit: Kit, session: Session, words: string, found: Found): void {
	const { spreads, measured } = kit.contents;
	const all = Object.entries(found.measured ?? {}) as [
		SpreadKey,
		{ value: number; frames: number }
	][];
	const next: Spreads = {
		...spreads,
		...(found.lensBias ? { lensBias: found.lensBias } : {}),
		...Object.fromEntries(
			all.map(([key, { value, frames }]) => [key, withAssumed(key, value, frames)])
		)
	};
	const counts = {
		...measured,
		...Object.fromEntries(all.map(([key, { frames }]) => [key, frames]))
	};
	const again = () => kit.putSpreads(next, counts);
	again();
	session.bench.did({
		words,
		gesture: crypto.randomUUID(),
		back: () => kit.putSpreads(spreads, measured),
		again
	});
}

import type { SpreadKey, Spreads } from '$core/tables/spreads';
import type { DoneSteps } from '../keeping/doneSteps.svelte';
import type { Kit } from './kit.svelte';

/** Spreads that were measured, and how many frames stand behind each; and lenses' own biases. */
export interface FoundSpreads {
	readonly spreads: Readonly<
		Partial<Record<SpreadKey, { readonly value: number; readonly frames: number }>>
	>;
	readonly lensBias?: Spreads['lensBias'];
}

/** Lets the odds use what was measured from now on; it can be taken back where it was done. */
export function letOddsUse(
	kit: Kit,
	steps: DoneSteps,
	words: string,
	{ spreads: found, lensBias }: FoundSpreads
): void {
	const { spreads, measured } = kit.contents;
	const all = Object.entries(found);
	const next: Spreads = {
		...spreads,
		...Object.fromEntries(all.map(([key, { value }]) => [key, value])),
		...(lensBias ? { lensBias: { ...spreads.lensBias, ...lensBias } } : {})
	};
	const counts = {
		...measured,
		...Object.fromEntries(all.map(([key, { frames }]) => [key, frames]))
	};
	const again = () => kit.putSpreads(next, counts);
	again();
	steps.did({
		words,
		gesture: crypto.randomUUID(),
		back: () => kit.putSpreads(spreads, measured),
		again
	});
}

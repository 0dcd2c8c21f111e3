import { describe, expect, it } from 'vitest';
import { RULE_TABLE, type RuleName } from '$core/tables/rules';
import { LENSES } from '$data/kit';

/** Rules of docs/model.md seen from outside: by what public functions say on either side of them. */

/** What a function says just below a threshold, and just above it. */
export interface Sides {
	readonly at: number;
	readonly of: (value: number) => unknown;
	readonly below: unknown;
	readonly above: unknown;
}
/** What a factor comes to. */
export interface Amount {
	readonly of: () => number;
	readonly is: number;
}

const HAIR = 1e-6;

export const sides = (
	at: number,
	of: (value: number) => unknown,
	below: unknown,
	above: unknown
): Sides => ({ at, of, below, above });
export const amount = (of: () => number, is: number): Amount => ({ of, is });

/** Checks every rule of some sections; the numbers are those of the document, not of the table. */
export function checkRules(
	sections: readonly number[],
	checks: Partial<Readonly<Record<RuleName, Sides | Amount>>>
): void {
	describe(`rules of sections ${sections.join(', ')}, from outside`, () => {
		it('leaves none out', () => {
			const all = Object.entries(RULE_TABLE).filter(([, { section }]) =>
				sections.includes(section)
			);
			expect(Object.keys(checks).sort()).toEqual(all.map(([name]) => name).sort());
		});
		it.each(Object.entries(checks))('%s', (_, check) => {
			if ('at' in check) {
				const { at, of, below, above } = check;
				expect([of(at * (1 - HAIR)), of(at * (1 + HAIR))]).toEqual([below, above]);
			} else {
				expect(check.of()).toBeCloseTo(check.is, 5);
			}
		});
	});
}

/** The argument at which a function of it changes, between two at which it differs. */
export function changesAt(of: (x: number) => unknown, low: number, high: number): number {
	const first = of(low);
	expect(of(high)).not.toEqual(first);
	for (let i = 0; i < 60; i++) {
		const middle = (low + high) / 2;
		if (of(middle) === first) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}

/** A lens of 50 mm with these ends of its f-numbers. */
export const zoom = (widest: number, smallest: number) => ({
	...LENSES.normal50,
	widestFNumber: [widest, widest] as [number, number],
	smallestFNumber: smallest
});

import { describe, expect, it } from 'vitest';
import { readShot } from '../format/shotFile';
import { PlanSchema } from '../format/plan';
import { toldPlan } from '$words/told';
import examples from './examples.json';
import { solve } from '$tests/support/solved';

/** Eight worked shots, computed by an independent program from the model's text. Invented scenes. */

/** Everything in `expected` must stand in `actual`, numbers to a relative 1e-6. */
function agree(actual: unknown, expected: unknown, path: string): void {
	if (typeof expected === 'number') {
		const error = Math.abs((actual as number) - expected);
		expect(error, `${path}: ${String(actual)}, not ${expected}`).toBeLessThanOrEqual(
			1e-6 * Math.max(Math.abs(expected), 1e-3)
		);
	} else if (Array.isArray(expected)) {
		expect((actual as unknown[]).length, `${path}.length`).toBe(expected.length);
		expected.forEach((value, i) => agree((actual as unknown[])[i], value, `${path}.${i}`));
	} else if (typeof expected === 'object' && expected !== null) {
		for (const [key, value] of Object.entries(expected)) {
			agree((actual as Record<string, unknown>)[key], value, `${path}.${key}`);
		}
	} else {
		expect(actual, path).toBe(expected);
	}
}

describe('worked examples', () => {
	it.each(examples.map((example) => [example.what, example] as const))('%s', (_, example) => {
		const reading = readShot(example.shot);
		if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
		const plan = toldPlan(solve(reading.shot));
		agree(plan, example.plan, 'plan');
		expect(PlanSchema.safeParse(plan).error).toBeUndefined();
	});
});

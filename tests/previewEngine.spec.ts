import { expect, test } from './support/lab';
import { person, shotInput } from './support/shots';

/** How the preview goes on when it is interrupted. */

test('a lost graphics context is taken up again', async ({ lab }) => {
	const input = shotInput({ people: [person('p', [0, 1.6, 2])] });
	const { before, after } = await lab.call('afterLoss', input, { widthPx: 240, heightPx: 160 });
	expect(before).toBeGreaterThanOrEqual(16);
	expect(after).toBeGreaterThanOrEqual(16);
});

test('nothing is drawn while it is stopped, and it goes on afterwards', async ({ lab }) => {
	const input = shotInput({ people: [person('p', [0, 1.6, 2])] });
	const result = await lab.call('whilePaused', input, { widthPx: 480, heightPx: 320 });
	expect(result.wasSettled).toBe(false);
	expect(result.ordered).toBe(result.stopped);
	expect(result.after).toBeGreaterThan(result.ordered);
});

for (const [fNumberExact, least, most] of [
	[8, 16, 16],
	[2, 20, 30],
	[1.4, 36, 48]
] as const) {
	test(`a settled picture at f/${fNumberExact} is hardly told from one with 256 samples`, async ({
		lab
	}) => {
		const people = [-0.8, 0, 0.8].flatMap((x) =>
			[5, 6].map((z) => person(`${x} ${z}`, [x, 1.6, z]))
		);
		const input = shotInput({ people, choices: { fNumberExact } });
		// the right half of the people, from their heads down
		const part = { left: 360, top: 120, widthPx: 360, heightPx: 240 };
		const drawing = { widthPx: 720, heightPx: 480, part };
		const result = await lab.call('settledAgainstMost', input, drawing);
		expect(result.samples).toBeGreaterThanOrEqual(least);
		expect(result.samples).toBeLessThanOrEqual(most);
		expect(result.mean).toBeLessThan(0.25);
		expect(result.ofAThousand).toBeLessThan(12);
	});
}

import { expect, test } from './support/lab';
import { person, shotInput } from './support/shots';

/** How the preview goes on when it is interrupted. */

test('a lost graphics context is taken up again', async ({ lab }) => {
	const input = shotInput({ people: [person('p', [0, 1.6, 2])] });
	const { before, after } = await lab.call('afterLoss', input, { widthPx: 240, heightPx: 160 });
	expect(before).toBeGreaterThanOrEqual(64);
	expect(after).toBeGreaterThanOrEqual(64);
});

test('nothing is drawn while it is stopped, and it goes on afterwards', async ({ lab }) => {
	const input = shotInput({ people: [person('p', [0, 1.6, 2])] });
	const result = await lab.call('whilePaused', input, { widthPx: 480, heightPx: 320 });
	expect(result.wasSettled).toBe(false);
	expect(result.ordered).toBe(result.stopped);
	expect(result.after).toBeGreaterThan(result.ordered);
});

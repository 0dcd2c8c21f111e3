import { test } from './support/app';
import { Soak } from './support/soak';

/** A day worked on at random; many more steps of more seeds with `npm run soak`. */

const STEPS = Number(process.env['SOAK_STEPS'] ?? 60);
const SEED = Number(process.env['SOAK_SEED'] ?? 1);

test(`nothing is lost in ${STEPS} steps at random: two windows, undo, reloads, no network, kills`, async ({
	browser,
	baseURL
}) => {
	test.setTimeout(60_000 + 2000 * STEPS);
	const { launchOptions = {} } = test.info().project.use;
	const soak = new Soak(browser.browserType(), launchOptions, baseURL ?? '', SEED);
	await soak.begin();
	try {
		for (let i = 0; i < STEPS; i++) await soak.step();
		await soak.look();
	} finally {
		await soak.end();
	}
});

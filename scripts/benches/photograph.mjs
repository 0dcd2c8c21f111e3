/**
 * What is found in photographs, on practice frames that nothing was tuned on, and how fast.
 *
 *     npm run bench -- photograph --groups=20 --empty=200
 */
import { parseArgs } from 'node:util';
import { figuresOf } from '../../tests/support/photographFigures.mjs';
import { withLab } from '../labBrowser.mjs';

const { values } = parseArgs({
	options: {
		groups: { type: 'string', default: '20' },
		empty: { type: 'string', default: '200' },
		first: { type: 'string', default: '1001' }
	}
});
/** Nothing was tuned on groups from here on. */
const FIRST = Number(values.first);
const FRAME_PX = 2400;
const EMPTY_PX = 1200;
const WHOLE_PX = 6000;

await withLab('tests/support/photographLab.ts', 'photographLab', async (call) => {
	const trips = [];
	for (let i = 0; i < Number(values.groups); i++) {
		trips.push(await call('group', FIRST + i, true, FRAME_PX));
	}
	console.log(`${trips.length} groups at ${FRAME_PX} px, heads that differ as people's do:`);
	for (const [name, value] of Object.entries(figuresOf(trips))) {
		const isShare = value <= 1 && name !== 'nobody';
		console.log(`  ${name}: ${isShare ? `${(100 * value).toFixed(1)} %` : value}`);
	}

	let faces = 0;
	for (let i = 0; i < Number(values.empty); i++) faces += await call('empty', FIRST + i, EMPTY_PX);
	console.log(`${values.empty} pictures of nobody: ${faces} faces`);

	const whole = await call('trip', 'Two families', WHOLE_PX, 3);
	console.log(
		`24 megapixels, ${whole.people.length} faces: ${(whole.msToLook / 1000).toFixed(2)} s`
	);
});

/**
 * A practice wedding: the sample day's shots, six frames each, as a camera would bring them home, into
 * `practice/frames`; what is true of them goes into `practice/truth.json`.
 *
 *     npm run practice -- --px=2400 --frames=6 --seed=1 --into=practice
 */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { withPracticeCamera } from './labBrowser.mjs';

const { values } = parseArgs({
	options: {
		px: { type: 'string', default: '2400' },
		frames: { type: 'string', default: '6' },
		seed: { type: 'string', default: '1' },
		into: { type: 'string', default: 'practice' }
	}
});
const wanted = {
	longSidePx: Number(values.px),
	framesOfEach: Number(values.frames),
	seed: Number(values.seed)
};
const folder = join(values.into, 'frames');
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });

await withPracticeCamera(async (call) => {
	const truth = await call('truth', wanted);
	writeFileSync(join(values.into, 'truth.json'), JSON.stringify(truth));
	for (const [roll, { title, frames }] of (await call('rolls', wanted)).entries()) {
		const startedAt = Date.now();
		for (let index = 0; index < frames; index++) {
			const { name, base64 } = await call('file', wanted, roll, index);
			writeFileSync(join(folder, name), Buffer.from(base64, 'base64'));
		}
		const seconds = ((Date.now() - startedAt) / 1000).toFixed(1);
		console.log(`${title}: ${frames} frames in ${seconds} s`);
	}
	console.log(`${truth.frames.length} frames in ${folder}, what is true of them beside it`);
});

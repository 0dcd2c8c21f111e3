/**
 * A practice wedding: the sample day's shots, six frames each, as a camera would bring them home, into
 * `practice/frames`; what is true of them goes into `practice/truth.json`.
 *
 *     npm run practice -- --px=2400 --frames=6 --seed=1 --into=practice
 */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { chromium } from '@playwright/test';
import { pageScript } from '../tests/support/harnessScript.mjs';
import { installChromium, installPackages } from './prepare.mjs';

const { values } = parseArgs({
	options: {
		px: { type: 'string', default: '2400' },
		frames: { type: 'string', default: '6' },
		seed: { type: 'string', default: '1' },
		into: { type: 'string', default: 'practice' }
	}
});
installPackages();
const executablePath = installChromium();
const wanted = {
	longSidePx: Number(values.px),
	framesOfEach: Number(values.frames),
	seed: Number(values.seed)
};
const folder = join(values.into, 'frames');
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });

const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
try {
	const page = await browser.newPage();
	// what makes ids is only there in a page of a place that is trusted
	await page.route('http://localhost/', (route) =>
		route.fulfill({ contentType: 'text/html', body: '' })
	);
	await page.goto('http://localhost/');
	await page.addScriptTag({ content: await pageScript('scripts/practicePage.ts') });
	const call = (name, ...given) =>
		page.evaluate(([method, all]) => globalThis.practice[method](...all), [name, given]);
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
} finally {
	await browser.close();
}

/** Works on a day at random for many steps, of as many seeds as it takes: `npm run soak -- --steps=2000 --each=200`. */
import { spawnSync } from 'node:child_process';
import { parseArgs } from 'node:util';
import { build, installChromium, installPackages } from './prepare.mjs';

const { values } = parseArgs({
	options: {
		steps: { type: 'string', default: '2000' },
		each: { type: 'string', default: '200' },
		first: { type: 'string', default: '100' }
	}
});
installPackages();
installChromium();
build();
const [steps, each] = [Number(values.steps), Number(values.each)];
let failed = 0;
for (let i = 0; i * each < steps; i++) {
	const { status } = spawnSync(
		'npx',
		['--no-install', 'playwright', 'test', '--project=app', '--retries=0', 'tests/soak.spec.ts'],
		{
			stdio: 'inherit',
			env: { ...process.env, SOAK_SEED: String(Number(values.first) + i), SOAK_STEPS: String(each) }
		}
	);
	if (status !== 0) failed += 1;
}
console.log(`${steps} steps at random, ${failed} of ${Math.ceil(steps / each)} seeds failed.`);
process.exit(failed === 0 ? 0 : 1);

/**
 * What one asks while working, in under a minute on two cores: format and lint of what changed since the last
 * commit (or in it, where nothing did), types, module boundaries, names, and the unit tests that reach what changed.
 * `npm test` asks everything of everything.
 */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { check, failedChecks, inLanes } from './checks.mjs';

const git = (...args) =>
	spawnSync('git', args, { encoding: 'utf8' }).stdout.split('\n').filter(existsSync);
const uncommitted = () => [
	...git('diff', '--name-only', 'HEAD'),
	...git('ls-files', '--others', '--exclude-standard')
];
const isClean = uncommitted().length === 0;
const changed = isClean ? git('diff', '--name-only', 'HEAD~1') : uncommitted();
const code = changed.filter((file) => /\.(ts|svelte|js|mjs)$/.test(file));

await inLanes(
	[
		() => check('types', 'svelte-check', '--tsconfig', './tsconfig.json', '--fail-on-warnings'),
		() =>
			check(
				'unit tests of what changed',
				...['vitest', 'run', '--passWithNoTests', '--reporter=dot'],
				`--changed=${isClean ? 'HEAD~1' : 'HEAD'}`
			),
		() =>
			check(
				'lint',
				'eslint',
				'--max-warnings',
				'0',
				'--no-warn-ignored',
				...code,
				'--pass-on-no-patterns'
			),
		() => check('format', 'prettier', '--check', '--ignore-unknown', 'package.json', ...changed),
		() => check('module boundaries', 'depcruise', 'src', 'tests', 'scripts'),
		() => check('names and glossary', 'node', 'scripts/names.mjs')
	],
	availableParallelism()
);
for (const name of failedChecks) console.log(`check failed: ${name}`);
process.exit(failedChecks.length === 0 ? 0 : 1);

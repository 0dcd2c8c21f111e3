/**
 * Everything that must hold: format, lint, types, module boundaries, dead code, unit tests, the
 * build, end-to-end tests. Goes on after a failure, so that one run tells all. The last line counts
 * tests from the runners' own reports; a check that fails, or a runner that leaves no report, counts
 * as one failure.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { build, installChromium, installPackages } from './prepare.mjs';

const REPORTS = 'test-results';
const UNIT_REPORT = `${REPORTS}/unit.json`;
const END_TO_END_REPORT = `${REPORTS}/end-to-end.json`;

installPackages();
installChromium();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

const failedChecks = [];

/** Runs a tool of this project; tells whether it was content. */
function run(name, command, ...args) {
	const startedAt = Date.now();
	console.log(`\n== ${name}`);
	const { status } = spawnSync('npx', ['--no-install', command, ...args], { stdio: 'inherit' });
	console.log(`== ${name}: ${status === 0 ? 'ok' : 'FAILED'}, ${Date.now() - startedAt} ms`);
	return status === 0;
}

/** A tool that is content or not. */
function check(name, ...command) {
	if (!run(name, ...command)) failedChecks.push(name);
}

/** A test runner: its tests are counted from the report it leaves. */
function runTests(name, file, countsOf, ...command) {
	const wasContent = run(name, ...command);
	try {
		const { passed, failed } = countsOf(JSON.parse(readFileSync(file, 'utf8')));
		// a run may fail outside any test
		return { passed, failed: !wasContent && failed === 0 ? 1 : failed };
	} catch (error) {
		console.error(`${name} left no report: ${error.message}`);
		return { passed: 0, failed: 1 };
	}
}

check('types of the framework', 'svelte-kit', 'sync');
check('format', 'prettier', '--check', '.');
check('lint', 'eslint', '--max-warnings', '0', '.');
check('types', 'svelte-check', '--tsconfig', './tsconfig.json', '--fail-on-warnings');
check('module boundaries', 'depcruise', 'src', 'tests', 'scripts');
check('dead code', 'knip');

const unit = runTests(
	'unit tests',
	UNIT_REPORT,
	(report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }),
	'vitest',
	'run',
	'--reporter=default',
	'--reporter=json',
	`--outputFile.json=${UNIT_REPORT}`
);

let endToEnd = { passed: 0, failed: 0 };
try {
	build();
	endToEnd = runTests(
		'end-to-end tests',
		END_TO_END_REPORT,
		({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
		'playwright',
		'test'
	);
} catch (error) {
	console.error(error.message);
	failedChecks.push('build');
}

for (const name of failedChecks) console.log(`check failed: ${name}`);
const passed = unit.passed + endToEnd.passed;
const failed = unit.failed + endToEnd.failed + failedChecks.length;
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

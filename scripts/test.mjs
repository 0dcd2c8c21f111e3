/**
 * Everything that must hold: format, lint, types, module boundaries, dead code, unit tests, the
 * build, end-to-end tests. What needs one core runs side by side, and says what it has to say when it
 * is done; the browsers come last and have the machine to themselves. Goes on after a failure, so that
 * one run tells all. The last line counts tests from the runners' own reports; a check that fails, or a
 * runner that leaves no report, counts as one failure. End-to-end tests that passed only when they were
 * run again are named; more than a few of them count as failed.
 */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { check, failedChecks, inLanes, run } from './checks.mjs';
import { installChromium, installExiftool, installPackages } from './prepare.mjs';

const REPORTS = 'test-results';
const UNIT_REPORT = `${REPORTS}/unit.json`;
const END_TO_END_REPORT = `${REPORTS}/end-to-end.json`;
/** So many end-to-end tests may need a second try on a busy machine. */
const UNSTEADY_ALLOWED = 2;

installPackages();
installChromium();
installExiftool();
rmSync(REPORTS, { recursive: true, force: true });
mkdirSync(REPORTS, { recursive: true });

/** A test runner: its tests are counted from the report it leaves. */
async function runTests(name, file, countsOf, ...command) {
	const wasContent = await run(name, ...command);
	try {
		const { passed, failed } = countsOf(JSON.parse(readFileSync(file, 'utf8')));
		// a run may fail outside any test
		return { passed, failed: !wasContent && failed === 0 ? 1 : failed };
	} catch (error) {
		console.error(`${name} left no report: ${error.message}`);
		return { passed: 0, failed: 1 };
	}
}

/** Of a report of the end-to-end tests; names those that needed a second try. */
function endToEndCounts({ stats, suites }) {
	const titles = ({ suites = [], specs = [] }, above) => [
		...specs
			.filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
			.map(({ title }) => [...above, title].join(' › ')),
		...suites.flatMap((suite) => titles(suite, [...above, suite.title]))
	];
	for (const title of titles({ suites }, [])) console.log(`passed at the second try: ${title}`);
	return stats.flaky > UNSTEADY_ALLOWED
		? { passed: stats.expected, failed: stats.unexpected + stats.flaky }
		: { passed: stats.expected + stats.flaky, failed: stats.unexpected };
}

let unit = { passed: 0, failed: 0 };
let endToEnd = { passed: 0, failed: 0 };

await check('types of the framework', 'svelte-kit', 'sync');
// the longest first
await inLanes(
	[
		async () => {
			unit = await runTests(
				'unit tests',
				UNIT_REPORT,
				(report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }),
				'vitest',
				'run',
				'--reporter=default',
				'--reporter=json',
				`--outputFile.json=${UNIT_REPORT}`
			);
		},
		() => check('types', 'svelte-check', '--tsconfig', './tsconfig.json', '--fail-on-warnings'),
		() => check('lint', 'eslint', '--max-warnings', '0', '.'),
		() => check('build', 'node', 'scripts/build.mjs'),
		() => check('format', 'prettier', '--check', '.'),
		() => check('module boundaries', 'depcruise', 'src', 'tests', 'scripts'),
		() => check('dead code', 'knip'),
		() => check('names and glossary', 'node', 'scripts/names.mjs')
	],
	availableParallelism()
);
if (!failedChecks.includes('build')) {
	endToEnd = await runTests(
		'end-to-end tests',
		END_TO_END_REPORT,
		endToEndCounts,
		'playwright',
		'test'
	);
}

for (const name of failedChecks) console.log(`check failed: ${name}`);
const passed = unit.passed + endToEnd.passed;
const failed = unit.failed + endToEnd.failed + failedChecks.length;
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

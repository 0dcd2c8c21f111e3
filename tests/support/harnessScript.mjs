import { fileURLToPath } from 'node:url';
import { build } from 'vite';

const at = (/** @type {string} */ path) => fileURLToPath(new URL(`../../${path}`, import.meta.url));

/**
 * A module with everything it needs, as one script for a page.
 * @param {string} entry its path in the project
 * @returns {Promise<string>}
 */
export async function pageScript(entry) {
	const built = await build({
		configFile: false,
		logLevel: 'error',
		root: at(''),
		resolve: { alias: { $core: at('src/core'), $data: at('src/data'), $tests: at('tests') } },
		build: {
			write: false,
			minify: false,
			lib: { entry: at(entry), formats: ['iife'], name: 'lab' }
		}
	});
	const [output] = Array.isArray(built) ? built : [built];
	if (!output || !('output' in output)) throw new Error(`${entry} was not built`);
	return output.output[0].code;
}

/** The harness of the tests. */
export const harnessScript = () => pageScript('tests/support/harness.ts');

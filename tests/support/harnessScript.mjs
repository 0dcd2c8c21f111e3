import { fileURLToPath } from 'node:url';
import { build } from 'vite';

const at = (/** @type {string} */ path) => fileURLToPath(new URL(`../../${path}`, import.meta.url));

/**
 * The harness with everything it needs, as one script for a page.
 * @returns {Promise<string>}
 */
export async function harnessScript() {
	const built = await build({
		configFile: false,
		logLevel: 'error',
		root: at(''),
		resolve: { alias: { $core: at('src/core'), $data: at('src/data'), $tests: at('tests') } },
		build: {
			write: false,
			minify: false,
			lib: { entry: at('tests/support/harness.ts'), formats: ['iife'], name: 'lab' }
		}
	});
	const [output] = Array.isArray(built) ? built : [built];
	if (!output || !('output' in output)) throw new Error('the harness was not built');
	return output.output[0].code;
}

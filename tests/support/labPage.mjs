import { fileURLToPath } from 'node:url';
import { build } from 'vite';

const at = (/** @type {string} */ path) => fileURLToPath(new URL(`../../${path}`, import.meta.url));

/**
 * A page with a module in it, everything it needs, and nothing else. What makes ids is only there in a page of a
 * place that is trusted.
 * @param {import('@playwright/test').Browser} browser
 * @param {string} entry path of the module in the project
 * @returns {Promise<import('@playwright/test').Page>}
 */
export async function labPage(browser, entry) {
	const page = await browser.newPage();
	await page.route('http://localhost/', (route) =>
		route.fulfill({ contentType: 'text/html', body: '' })
	);
	await page.goto('http://localhost/');
	await page.addScriptTag({ content: await scriptOf(entry) });
	return page;
}

/** @param {string} entry */
async function scriptOf(entry) {
	const built = await build({
		configFile: false,
		logLevel: 'error',
		root: at(''),
		resolve: {
			alias: {
				$core: at('src/core'),
				$data: at('src/data'),
				$models: at('node_modules/@vladmandic/human/models'),
				$tests: at('tests')
			}
		},
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

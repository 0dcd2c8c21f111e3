import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { copyFile, rename } from 'node:fs/promises';
import { resolve } from 'node:path';
import adapterNode from '@sveltejs/adapter-node';
import { build } from 'vite';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { compress } from './scripts/compress.mjs';

/** Hash of the one script that stands in the page itself, for its policy. */
const [, inline = ''] =
	/<script>([\s\S]*?)<\/script>/.exec(readFileSync('src/app.html', 'utf8')) ?? [];
const inlineHash = createHash('sha256').update(inline).digest('base64');

/** What answers requests beside the server's own thread, in one file. */
const buildServerWorker = () =>
	build({
		configFile: false,
		logLevel: 'warn',
		resolve: {
			alias: {
				$core: resolve('src/core'),
				$data: resolve('src/data'),
				$words: resolve('src/words')
			}
		},
		ssr: { noExternal: true },
		build: {
			ssr: 'src/server/worker.ts',
			outDir: 'build/worker',
			rolldownOptions: { output: { entryFileNames: 'worker.js' } }
		}
	});

function adapter() {
	const inner = adapterNode();
	return {
		...inner,
		async adapt(builder) {
			await inner.adapt({ ...builder, compress: async () => undefined });
			await compress('build/client');
			await buildServerWorker();
			await rename('build/index.js', 'build/server.js');
			await copyFile('scripts/start.mjs', 'build/index.js');
		}
	};
}

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	kit: {
		adapter: adapter(),
		alias: {
			$core: 'src/core',
			$data: 'src/data',
			$files: 'src/files',
			$models: 'node_modules/@vladmandic/human/models',
			$words: 'src/words',
			$ui: 'src/ui',
			$tests: 'tests'
		},
		csp: {
			// hashes, not nonces: the page is kept by the service worker, and a nonce that is kept is none
			mode: 'hash',
			directives: {
				'default-src': ['self'],
				'script-src': ['self', `sha256-${inlineHash}`],
				// Plotly and the drawings set styles on elements; scripts stay strict
				'style-src': ['self', 'unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'connect-src': ['self'],
				'worker-src': ['self', 'blob:'],
				'object-src': ['none'],
				'base-uri': ['none'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		},
		// There are no forms and no cookies; Host and Origin are checked in hooks.server.ts instead,
		// so that a script with the wrong content type is told so.
		csrf: { trustedOrigins: ['*'] },
		// once the first screen is there: fetching the whole app would keep it waiting
		serviceWorker: { register: false },
		version: { pollInterval: 0 }
	}
};

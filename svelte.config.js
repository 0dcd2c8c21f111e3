import { rename, writeFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import adapterNode from '@sveltejs/adapter-node';
import { build } from 'vite';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';
import { compress } from './scripts/compress.mjs';

/**
 * adapter-node listens on every interface unless HOST is set. Focalis stays on this computer unless
 * told otherwise, and the routes bound the size of a request themselves.
 */
const START = `process.env.HOST ??= '127.0.0.1';
process.env.PORT ??= '4180';
process.env.BODY_SIZE_LIMIT ??= 'Infinity';
process.env.FOCALIS_WORKER = new URL('./worker/worker.js', import.meta.url).href;
process.on('uncaughtException', (error) => {
	const { HOST, PORT } = process.env;
	const isTaken = error.code === 'EADDRINUSE';
	console.error(isTaken ? \`Something else uses port \${PORT} of \${HOST}: choose another with PORT=…\` : error);
	process.exit(1);
});
await import('./server.js');
`;

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
			await writeFile('build/index.js', START);
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
			$words: 'src/words',
			$ui: 'src/ui',
			$tests: 'tests'
		},
		csp: {
			mode: 'nonce',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
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
		version: { pollInterval: 0 }
	}
};

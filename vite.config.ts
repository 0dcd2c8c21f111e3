import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import manifest from './package.json' with { type: 'json' };
import { licences } from './scripts/licences.mjs';

const fonts = Object.keys(manifest.devDependencies).filter((name) =>
	name.startsWith('@fontsource')
);
const gathered = licences(fonts);

export default defineConfig({
	plugins: [tailwindcss(), sveltekit(), gathered.page],
	worker: { plugins: () => [gathered.worker()] },
	define: { __FOCALIS_VERSION__: JSON.stringify(manifest.version) },
	build: { chunkSizeWarningLimit: 5000 },
	test: {
		// a test that hangs is stopped; how fast it is says nothing, and machines differ tenfold
		testTimeout: 30_000,
		// tests share nothing that changes; starting anew for each file took as long as all of them
		isolate: false,
		include: ['src/**/*.test.ts'],
		setupFiles: ['tests/support/setup.ts'],
		benchmark: { include: ['tests/**/*.bench.ts'] }
	}
});

import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vitest/config';
import { version } from './package.json' with { type: 'json' };

export default defineConfig({
	plugins: [tailwindcss(), sveltekit()],
	define: { __FOCALIS_VERSION__: JSON.stringify(version) },
	build: { chunkSizeWarningLimit: 5000 },
	test: { include: ['src/**/*.test.ts'], setupFiles: ['fake-indexeddb/auto'] }
});

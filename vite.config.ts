import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';
import manifest from './package.json' with { type: 'json' };
import { licences } from './scripts/licences.mjs';

const fonts = Object.keys(manifest.devDependencies).filter((name) =>
	name.startsWith('@fontsource')
);
const gathered = licences(fonts);

interface ModuleGraph {
	getModuleInfo(id: string): { isEntry: boolean; importers: string[] } | null;
}

/** What belongs together comes as one file: the dozens that it would be take a phone longer. */
const FILES: readonly { name: string; isRoot: (id: string, isEntry: boolean) => boolean }[] = [
	// the styles of all screens together are less than a picture
	{ name: 'first-screen', isRoot: (id, isEntry) => isEntry || id.endsWith('.css') },
	{ name: 'try-it', isRoot: (id) => id.endsWith('/TryIt.svelte') },
	{ name: 'plan', isRoot: (id) => id.endsWith('/PlanScreen.svelte') }
];

/** Each holds what can be reached from its root without being asked for later; what several need is in the first of them. */
const groups = FILES.map(({ name, isRoot }, i) => ({
	debugName: name,
	priority: FILES.length - i,
	name(id: string, graph: ModuleGraph): string | null {
		const reached = new Set([id]);
		for (const one of reached) {
			const found = graph.getModuleInfo(one);
			if (isRoot(one, found?.isEntry ?? false)) return name;
			found?.importers.forEach((importer) => reached.add(importer));
		}
		return null;
	}
}));

/**
 * piexif-ts evaluates a string to learn whether there is a window, which no policy of ours allows. There is none
 * where it is used: in a worker.
 */
const noEvaluatedString: Plugin = {
	name: 'no-evaluated-string',
	transform(code, id) {
		if (!id.includes('piexif-ts')) return null;
		return code.replace(/new Function\('try \{return this===window;.*?'\)\(\)/, 'false');
	}
};

export default defineConfig({
	plugins: [tailwindcss(), sveltekit(), gathered.page],
	worker: { plugins: () => [gathered.worker(), noEvaluatedString] },
	define: { __FOCALIS_VERSION__: JSON.stringify(manifest.version) },
	build: {
		chunkSizeWarningLimit: 5000,
		rolldownOptions: {
			// its components import all of it by one file; the looks of those that are not used would be worked out at every start
			treeshake: { moduleSideEffects: (id) => !id.includes('/flowbite-svelte/dist/') },
			output: { codeSplitting: { groups } }
		}
	},
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

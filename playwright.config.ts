import { defineConfig } from '@playwright/test';
import { findChromium } from './scripts/prepare.mjs';

/** End-to-end in Debian's Chromium, against the built app on a port of its own. */

const PORT = 4196;
const executablePath = findChromium();

/** Tests of the rendered pictures. */
const PICTURES = /(preview\w*|pictures\w*|practice\w*|photographTrip)\.spec\.ts/;
const ARGS = [
	'--no-sandbox',
	'--disable-quic',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync',
	'--no-first-run',
	// pages of one context share what was compiled for the first
	'--renderer-process-limit=1'
];

export default defineConfig({
	testDir: 'tests',
	outputDir: 'test-results/pages',
	// generous: two browsers share two cores, and some draw in software
	timeout: 60_000,
	expect: { timeout: 15_000 },
	workers: 2,
	fullyParallel: true,
	forbidOnly: true,
	// a busy machine; what needed it is named at the end of `npm test`, and more than a few fail it
	retries: 1,
	reporter: [['line'], ['json', { outputFile: 'test-results/end-to-end.json' }]],
	use: {
		baseURL: `http://127.0.0.1:${PORT}`,
		viewport: { width: 1280, height: 660 },
		// it would fetch the whole app in every test; the tests without a network let it in
		serviceWorkers: 'block',
		trace: 'off',
		// nothing is waited for that only moves
		contextOptions: { reducedMotion: 'reduce' }
	},
	projects: [
		// without graphics: drawn in software, the pictures would slow everything else down
		{
			name: 'app',
			testIgnore: PICTURES,
			use: {
				launchOptions: {
					executablePath,
					args: [...ARGS, '--disable-gpu', '--disable-software-rasterizer']
				}
			}
		},
		{
			name: 'pictures',
			testMatch: PICTURES,
			use: {
				// a fifth of the pixels to draw in software
				viewport: { width: 1024, height: 660 },
				deviceScaleFactor: 0.5,
				launchOptions: { executablePath, args: ARGS }
			}
		}
	],
	webServer: {
		command: 'node build',
		env: { PORT: String(PORT) },
		url: `http://127.0.0.1:${PORT}/api/health`,
		reuseExistingServer: false
	}
});

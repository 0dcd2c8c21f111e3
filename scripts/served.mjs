import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';
import { build, installChromium, installPackages } from './prepare.mjs';

/** Chromium as everything here is measured and shown in it. */
const ARGS = [
	'--no-sandbox',
	'--disable-quic',
	'--disable-background-networking',
	'--no-first-run'
];

/**
 * The built app on a port of its own, for what is measured or shown in a browser.
 * @returns its address, what launches a browser (with more arguments, if any), what stops the app
 */
export async function served(port) {
	installPackages();
	const executablePath = installChromium();
	build();
	const server = spawn(process.execPath, ['build'], {
		env: { ...process.env, PORT: String(port) }
	});
	const address = `http://127.0.0.1:${port}`;
	while (!(await fetch(`${address}/api/health`).catch(() => null))?.ok) {
		await new Promise((resolve) => setTimeout(resolve, 100));
	}
	return {
		address,
		launch: (more = []) => chromium.launch({ executablePath, args: [...ARGS, ...more] }),
		stop: () => server.kill()
	};
}

import { spawn } from 'node:child_process';
import { build, installChromium, installPackages } from './prepare.mjs';

/** The built app on a port of its own, for what is measured or shown in a browser. */
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
	return { address, executablePath, stop: () => server.kill() };
}

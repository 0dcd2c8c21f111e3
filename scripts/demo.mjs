/** Installs what is missing, builds, and serves the app with the sample day. */
import { spawn } from 'node:child_process';
import { build, installPackages } from './prepare.mjs';

installPackages();
build();

const host = process.env.HOST ?? '127.0.0.1';
const port = process.env.PORT ?? '4180';
const server = spawn(process.execPath, ['build'], {
	stdio: 'inherit',
	env: { ...process.env, HOST: host, PORT: port }
});
server.on('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));

const shown = host.includes(':') ? `[${host}]` : host;
const address = `http://${shown === '0.0.0.0' ? 'localhost' : shown}:${port}`;
for (let attempt = 0; attempt < 100; attempt++) {
	const answer = await fetch(`${address}/api/health`).catch(() => null);
	if (answer?.ok) {
		console.log(`\nFocalis, with the sample day: ${address}/?sample\n`);
		break;
	}
	await new Promise((resolve) => setTimeout(resolve, 100));
}

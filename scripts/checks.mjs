/** Runs the tools that check the code, one after the other or side by side. */
import { spawn } from 'node:child_process';
import { delimiter, resolve } from 'node:path';

/** The tools of this project come first. */
const TOOLS = {
	...process.env,
	PATH: [resolve('node_modules/.bin'), process.env.PATH].join(delimiter)
};
/** Names of those that were not content. */
export const failedChecks = [];

/** Runs a tool of this project and shows what it said when it is done; tells whether it was content. */
export async function run(name, command, ...args) {
	const startedAt = Date.now();
	const said = [];
	const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env: TOOLS });
	for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => said.push(text));
	const status = await new Promise((resolve) => {
		child.on('error', resolve);
		child.on('close', resolve);
	});
	console.log(`\n== ${name}\n${Buffer.concat(said)}`);
	console.log(`== ${name}: ${status === 0 ? 'ok' : 'FAILED'}, ${Date.now() - startedAt} ms`);
	return status === 0;
}

/** A tool that is content or not. */
export async function check(name, ...command) {
	if (!(await run(name, ...command))) failedChecks.push(name);
}

/** Takes the next of the jobs whenever one of the lanes is free. */
export async function inLanes(jobs, lanes) {
	const waiting = [...jobs];
	const lane = async () => {
		for (let job = waiting.shift(); job; job = waiting.shift()) await job();
	};
	await Promise.all(Array.from({ length: lanes }, lane));
}

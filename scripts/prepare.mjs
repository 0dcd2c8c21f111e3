/**
 * What `npm run demo` and `npm test` need on a fresh machine with Node.js and apt only. Every step
 * is skipped when its result is there already.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const CACHE = 'node_modules/.cache/focalis';
const run = (command, args, options = {}) => {
	console.log(`> ${command} ${args.join(' ')}`);
	execFileSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], ...options });
};

/** A hash of files and folders: their names and contents. */
function hashOf(paths) {
	const hash = createHash('sha256');
	const add = (path) => {
		if (!existsSync(path)) return;
		if (statSync(path).isDirectory()) {
			for (const name of readdirSync(path).sort()) add(join(path, name));
		} else {
			hash.update(path).update(readFileSync(path));
		}
	};
	paths.forEach(add);
	return hash.digest('hex');
}

/** Does a step unless it was done for the same contents before. */
function once(name, paths, isThere, step) {
	const stamp = join(CACHE, name);
	const hash = hashOf(paths);
	if (isThere() && existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
	step();
	mkdirSync(CACHE, { recursive: true });
	writeFileSync(stamp, hash);
}

export function installPackages() {
	once(
		'packages',
		['package.json', 'package-lock.json'],
		() => existsSync('node_modules/vite'),
		() => run('npm', ['ci', '--no-audit', '--no-fund'])
	);
}

export function build() {
	once(
		'build',
		['src', 'static', 'package-lock.json', 'svelte.config.js', 'vite.config.ts'],
		() => existsSync('build/index.js'),
		() => run('npm', ['run', 'build'])
	);
}

/** Path of Debian's Chromium, installed when it is missing. */
export function installChromium() {
	const find = () =>
		spawnSync('sh', ['-c', 'command -v chromium'], { encoding: 'utf8' }).stdout.trim();
	if (find() === '') {
		const apt = (...args) =>
			run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
		apt('update', '-qq');
		apt('install', '-y', '-qq', '--no-install-recommends', 'chromium', 'fonts-dejavu-core');
	}
	return find();
}

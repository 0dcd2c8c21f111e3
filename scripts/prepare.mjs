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

/**
 * Path of Debian's Chromium: without windows of its own where that is there, which starts in a
 * fraction of the time. Empty when there is none.
 */
export const findChromium = () =>
	spawnSync('sh', ['-c', 'command -v chromium-headless-shell || command -v chromium'], {
		encoding: 'utf8'
	}).stdout.trim();

/** The reader of photographs' Exif that tests ask besides our own, from Debian; installed when it is missing. */
export function installExiftool() {
	if (spawnSync('sh', ['-c', 'command -v exiftool']).status === 0) return;
	apt('update', '-qq');
	apt('install', '-y', '-qq', '--no-install-recommends', 'libimage-exiftool-perl');
}

const apt = (...args) =>
	run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });

/** Path of Debian's Chromium, installed when it is missing. */
export function installChromium() {
	if (findChromium().endsWith('shell')) return findChromium();
	try {
		apt('update', '-qq');
		const packages = ['chromium-headless-shell', 'fonts-dejavu-core'];
		apt('install', '-y', '-qq', '--no-install-recommends', ...packages);
	} catch (error) {
		if (findChromium() === '') throw error;
		console.warn(`The tests run in the whole Chromium, which is slower: ${error.message}`);
	}
	return findChromium();
}

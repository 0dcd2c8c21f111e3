import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Gathers the licences of everything that ships: every package a module comes from, in the page and in
 * its workers, and the fonts. Written beside the app as `licences.json` and shown under help.
 */

const PACKAGE = /node_modules\/((?:@[^/]+\/)?[^/]+)\//g;

/** @param {string} id @returns {string | null} the package a module belongs to; null for our own */
function packageOf(id) {
	const names = [...id.matchAll(PACKAGE)].map(([, name]) => name);
	return names.at(-1) ?? null;
}

/** @param {string} name */
function licenceOf(name) {
	const folder = join('node_modules', name);
	if (!existsSync(join(folder, 'package.json'))) return null;
	const { version, license } = JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));
	const file = readdirSync(folder).find((one) => /^(licen[cs]e|copying|ofl)(\.|$)/i.test(one));
	const text = file ? readFileSync(join(folder, file), 'utf8').trim() : '';
	return { name, version, licence: license ?? 'see its text', text };
}

/**
 * @param {readonly string[]} fonts packages whose files are shipped without being modules
 * @returns {{ page: import('vite').Plugin, worker: () => import('vite').Plugin }} plugins that share
 *   what they have seen: for the page, and for its workers
 */
export function licences(fonts) {
	const seen = new Set(fonts);
	/** @param {{ id: string }} info */
	const gather = (info) => {
		const name = packageOf(info.id.replaceAll('\\', '/'));
		if (name) seen.add(name);
	};
	return {
		worker: () => ({ name: 'licences-of-workers', moduleParsed: gather }),
		page: {
			name: 'licences',
			apply: 'build',
			moduleParsed: gather,
			generateBundle() {
				if (this.environment?.name === 'ssr') return;
				const all = [...seen].sort().flatMap((name) => licenceOf(name) ?? []);
				this.emitFile({
					type: 'asset',
					fileName: 'licences.json',
					source: JSON.stringify(all)
				});
			}
		}
	};
}

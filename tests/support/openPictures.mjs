import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Published open pictures that tests look at: those of scikit-image, from Debian's package of it, which is
 * only unpacked (an astronaut, public domain; a cat, CC0). Fetched when first asked for; never kept with the code.
 */

const FOLDER = 'node_modules/.cache/focalis/pictures';
const DATA = join(FOLDER, 'usr/lib/python3/dist-packages/skimage/data');

/**
 * @param {string} name of the file
 * @returns {Buffer}
 */
export function openPicture(name) {
	if (!existsSync(DATA)) fetchAll();
	return readFileSync(join(DATA, name));
}

function fetchAll() {
	mkdirSync(FOLDER, { recursive: true });
	const apt = (/** @type {string[]} */ ...args) =>
		execFileSync('apt-get', args, { cwd: FOLDER, stdio: ['ignore', 'ignore', 'inherit'] });
	try {
		apt('download', '-qq', 'python3-skimage');
	} catch {
		apt('update', '-qq');
		apt('download', '-qq', 'python3-skimage');
	}
	const file = readdirSync(FOLDER).find((name) => name.endsWith('.deb'));
	if (!file) throw new Error('the package of pictures was not fetched');
	execFileSync('dpkg-deb', ['-x', file, '.'], { cwd: FOLDER });
}

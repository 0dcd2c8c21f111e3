import { readFile, readdir, writeFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

const { BROTLI_PARAM_QUALITY, BROTLI_MAX_QUALITY } = constants;
const TEXTS = ['.html', '.js', '.json', '.css', '.svg', '.txt', '.webmanifest'];
/** Above this the last few per cent would take most of the time of a build, bytes. */
const LARGE = 1e6;
const QUICKER = 9;

/** Puts the compressed form of every text of a folder beside it, as it is served. */
export async function compress(folder) {
	const names = await readdir(folder, { recursive: true });
	const paths = names.filter((name) => TEXTS.includes(extname(name))).map((n) => join(folder, n));
	const one = async (path) => {
		const bytes = await readFile(path);
		const quality = bytes.length > LARGE ? QUICKER : BROTLI_MAX_QUALITY;
		const params = { [BROTLI_PARAM_QUALITY]: quality };
		await writeFile(`${path}.br`, await promisify(brotliCompress)(bytes, { params }));
		await writeFile(`${path}.gz`, await promisify(gzip)(bytes));
	};
	await Promise.all(paths.map(one));
}

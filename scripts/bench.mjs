/** Measures one thing and prints it: `npm run bench -- drag`. What each measures stands at the top of its file in `benches`. */
import { readdirSync } from 'node:fs';

const names = readdirSync(new URL('benches', import.meta.url)).map((file) => file.slice(0, -4));
// what follows the name is the bench's own
const [name = ''] = process.argv.splice(2, 1);
if (names.includes(name)) await import(`./benches/${name}.mjs`);
else {
	console.error(`npm run bench -- ${names.join(' | ')}`);
	process.exitCode = 1;
}

/**
 * Checks the vocabulary of the code:
 *
 * - no name is exported by two modules of `src`, so that a name means one thing wherever it is read;
 * - every name that docs/glossary.md gives for a word exists in `src`;
 * - every term of the field that the glossary gives is found in the core, where a reader would search for it.
 *
 * Prints what is wrong, one line each, and exits with 1 if anything is.
 */
import { readFileSync, readdirSync } from 'node:fs';
import { argv, exit } from 'node:process';
import { fileURLToPath } from 'node:url';

/** Exports that SvelteKit asks for by name, and each worker's own. */
const FRAMEWORK = /^src\/(routes|hooks|service-worker)/;
const EXPORTED =
	/^\s*export (?:declare )?(?:async )?(?:abstract )?(?:const|let|function\*?|class|interface|type|enum) (\w+)/gm;

/**
 * Names exported by more than one file.
 *
 * @param sources pairs of path and text
 * @returns lines in words
 */
function doubleNames(sources) {
	const places = new Map();
	for (const [path, text] of sources) {
		if (FRAMEWORK.test(path) || path.endsWith('.test.ts')) continue;
		for (const [, name] of text.matchAll(EXPORTED)) {
			places.set(name, new Set([...(places.get(name) ?? []), path]));
		}
	}
	return [...places]
		.filter(([, paths]) => paths.size > 1)
		.map(([name, paths]) => `${name} is exported by ${[...paths].join(' and ')}`);
}

/** The rows of the glossary's table, without its heading and the line below that. */
const rowsOf = (glossary) =>
	glossary
		.split('\n')
		.filter((line) => line.startsWith('| '))
		.slice(2)
		.map((line) =>
			line
				.split('|')
				.slice(1, -1)
				.map((cell) => cell.trim())
		);

/**
 * Where glossary and code disagree.
 *
 * @param glossary text of docs/glossary.md; the third column holds names of the code in backticks, the
 *   fourth the term of the field
 * @param sources pairs of path and text
 */
function glossaryProblems(glossary, sources) {
	const code = sources.map(([, text]) => text).join('\n');
	const core = sources
		.filter(([path]) => path.startsWith('src/core/') && !path.endsWith('.test.ts'))
		.map(([, text]) => text.replace(/\s*\n\s*\*?\s*/g, ' '))
		.join('\n')
		.toLowerCase();
	return rowsOf(glossary).flatMap(([word, , names = '', terms = '']) => [
		...[...names.matchAll(/`([\w.]+)`/g)]
			.map(([, name]) => name)
			.filter((name) => !new RegExp(`\\b${name.replaceAll('.', '\\.')}\\b`).test(code))
			.map((name) => `glossary, “${word}”: there is no ${name} in src`),
		...terms
			.split(',')
			.map((term) => term.trim().toLowerCase())
			.filter((term) => term !== '' && !core.includes(term))
			.map((term) => `glossary, “${word}”: “${term}” is not found in src/core`)
	]);
}

if (argv[1] === fileURLToPath(import.meta.url)) {
	const sources = readdirSync('src', { recursive: true })
		.filter((path) => /\.(ts|svelte)$/.test(path))
		.map((path) => [`src/${path}`, readFileSync(`src/${path}`, 'utf8')]);
	const problems = [
		...doubleNames(sources),
		...glossaryProblems(readFileSync('docs/glossary.md', 'utf8'), sources)
	];
	for (const problem of problems) console.log(problem);
	exit(problems.length > 0 ? 1 : 0);
}

/**
 * Changes the core in one place at a time and asks whether the tests of that room notice.
 *
 *     npm run mutants -- --seed 7 --count 20 --room study
 *
 * Three kinds of change, picked at random by the seed: a constant (a tenth more, or one more where it is a whole
 * number), a comparison (with or without equality, or turned round), a sign (plus for minus). Works on a copy, so that
 * a run that is broken off leaves nothing behind. Prints a row for each mutant, and the survivors last.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import {
	cpSync,
	mkdirSync,
	mkdtempSync,
	readFileSync,
	rmSync,
	symlinkSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import ts from 'typescript';

const { values } = parseArgs({
	options: {
		seed: { type: 'string', default: '1' },
		count: { type: 'string', default: '20' },
		room: { type: 'string', default: '' }
	}
});
/** A mutant that makes tests run on for ever is noticed, too. */
const LONGEST_MS = 240_000;

/** Mulberry32: the same seed picks the same mutants everywhere. */
function randomOf(seed) {
	let state = seed >>> 0;
	return () => {
		state = (state + 0x6d2b79f5) >>> 0;
		let t = Math.imul(state ^ (state >>> 15), state | 1);
		t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
		return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
	};
}

const COMPARISONS = new Map([
	[ts.SyntaxKind.LessThanToken, ['<=', '>=']],
	[ts.SyntaxKind.LessThanEqualsToken, ['<', '>']],
	[ts.SyntaxKind.GreaterThanToken, ['>=', '<=']],
	[ts.SyntaxKind.GreaterThanEqualsToken, ['>', '<']],
	[ts.SyntaxKind.EqualsEqualsEqualsToken, ['!==']],
	[ts.SyntaxKind.ExclamationEqualsEqualsToken, ['===']]
]);
const SIGNS = new Map([
	[ts.SyntaxKind.PlusToken, '-'],
	[ts.SyntaxKind.MinusToken, '+']
]);

/** What a number becomes: whole ones one more, others a tenth more. */
function otherNumber(text) {
	const value = Number(text.replaceAll('_', ''));
	return String(Number.isInteger(value) ? value + 1 : value * 1.1);
}

/** Every place of a file that can be changed. */
function placesIn(path, text) {
	const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
	const places = [];
	const add = (kind, node, becomes) =>
		places.push({ path, kind, start: node.getStart(), end: node.getEnd(), becomes });
	const isProse = (node) =>
		ts.isStringLiteralLike(node) || ts.isTemplateExpression(node) || ts.isTypeNode(node);
	const visit = (node) => {
		if (isProse(node)) return;
		if (ts.isNumericLiteral(node)) add('constant', node, [otherNumber(node.getText())]);
		if (ts.isBinaryExpression(node)) {
			const { operatorToken } = node;
			const turned = COMPARISONS.get(operatorToken.kind);
			if (turned) add('comparison', operatorToken, turned);
			const sign = SIGNS.get(operatorToken.kind);
			if (sign) add('sign', operatorToken, [sign]);
		}
		ts.forEachChild(node, visit);
	};
	visit(source);
	return places;
}

const files = execFileSync('git', ['ls-files'], { encoding: 'utf8' }).trim().split('\n');
const mutable = files.filter(
	(path) => path.startsWith(join('src/core', values.room)) && /(?<!\.test)\.ts$/.test(path)
);
const texts = new Map(mutable.map((path) => [path, readFileSync(path, 'utf8')]));
const places = mutable.flatMap((path) => placesIn(path, texts.get(path)));

const copy = mkdtempSync(join(tmpdir(), 'mutants-'));
process.on('exit', () => rmSync(copy, { recursive: true, force: true }));
for (const path of files) {
	mkdirSync(join(copy, dirname(path)), { recursive: true });
	cpSync(path, join(copy, path));
}
for (const folder of ['node_modules', '.svelte-kit'])
	symlinkSync(resolve(folder), join(copy, folder));

const random = randomOf(Number(values.seed));
const pick = (list) => list[Math.floor(random() * list.length)];
const survivors = [];
const count = Number(values.count);
for (let i = 0; i < count; i++) {
	// each kind as often: constants are many, signs few
	const kind = pick(['constant', 'comparison', 'sign']);
	const place = pick(places.filter((one) => one.kind === kind));
	const becomes = pick(place.becomes);
	const text = texts.get(place.path);
	writeFileSync(
		join(copy, place.path),
		text.slice(0, place.start) + becomes + text.slice(place.end)
	);
	const [, , room] = place.path.split('/');
	const { status } = spawnSync(
		'node_modules/.bin/vitest',
		['run', `src/core/${room}/`, '--bail=1', '--reporter=dot'],
		{ cwd: copy, stdio: 'ignore', timeout: LONGEST_MS }
	);
	writeFileSync(join(copy, place.path), text);
	const line = text.slice(0, place.start).split('\n').length;
	const row = `${place.path}:${line} ${kind} ${text.slice(place.start, place.end)} → ${becomes}`;
	console.log(`${status === 0 ? 'SURVIVED' : 'noticed '} ${row}`);
	if (status === 0) survivors.push(row);
}
console.log(
	`\n${count - survivors.length} of ${count} noticed by their room's own tests (seed ${values.seed})`
);
for (const row of survivors) console.log(`survived: ${row}`);

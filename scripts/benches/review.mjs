/**
 * How what came home is judged, on rolls of practice frames that nothing was tuned on; beside it the usual measures of
 * sharpness on the same frames; and how fast, in the app. Frames are kept in `--into` and drawn once; `--px=2400` has them
 * made smaller, so that the eyes of groups are small.
 *
 *     npm run bench -- review --rolls=30 --frames=6 --px=6000 --into=practice/rolls
 */
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { reviewFigures } from '../../tests/support/reviewFigures.mjs';
import { withLab } from '../labBrowser.mjs';

const { values } = parseArgs({
	options: {
		rolls: { type: 'string', default: '30' },
		frames: { type: 'string', default: '6' },
		px: { type: 'string', default: '6000' },
		into: { type: 'string', default: 'practice/rolls' },
		first: { type: 'string', default: '1001' }
	}
});
const FRAMES = Number(values.frames);
const MOST_PX = Number(values.px);

/** Draws a roll unless it was drawn before. */
async function folderOf(call, seed) {
	const folder = join(values.into, String(MOST_PX), String(seed));
	if (existsSync(join(folder, 'truth.json'))) return folder;
	const { files, truth } = await call('roll', seed, FRAMES, MOST_PX);
	mkdirSync(folder, { recursive: true });
	for (const { name, base64 } of files)
		writeFileSync(join(folder, name), Buffer.from(base64, 'base64'));
	writeFileSync(join(folder, 'truth.json'), JSON.stringify(truth));
	return folder;
}

const KINDS = ['ours', 'laplacian', 'tenengrad', 'crete'];
const named = Object.fromEntries(KINDS.map((kind) => [kind, 0]));
let pairs = 0;
let measuringMs = 0;
const judged = [];
await withLab('tests/support/reviewLab.ts', 'reviewLab', async (call) => {
	for (let i = 0; i < Number(values.rolls); i++) {
		const seed = Number(values.first) + i;
		const folder = await folderOf(call, seed);
		const truth = JSON.parse(readFileSync(join(folder, 'truth.json'), 'utf8')).frames;
		const frames = [];
		const usual = [];
		for (const name of readdirSync(folder)
			.filter((one) => one.endsWith('.jpg'))
			.sort()) {
			const base64 = readFileSync(join(folder, name)).toString('base64');
			const startedAt = Date.now();
			const frame = await call('measure', name, base64);
			measuringMs += Date.now() - startedAt;
			frames.push(frame);
			usual.push(await call('standard', base64, frame));
		}
		const set = await call('judge', seed, frames);
		judged.push({ set, truth });
		count(set, truth, usual);
	}
});

/** Of two frames in which the same open eye is blurred 1.5 times differently, which measure names the sharper one. */
function count(set, truth, usual) {
	const eyes = new Map();
	set.frames.forEach((reviewed, f) => {
		const known = truth.find(({ file }) => file === reviewed.frame.name);
		reviewed.faces.forEach((face, i) => {
			const whose = known?.faces.find(({ personId }) => personId === set.people[i]?.id);
			if (!face || !whose || whose.isShut) return;
			for (const side of ['left', 'right']) {
				const eye = whose.landmarks.find(({ landmark }) => landmark === `${side}-eye`);
				const px =
					(known.widthPx / known.widthMm) *
					Math.hypot(eye.defocusMm, eye.streakMm.x, eye.streakMm.y);
				const { x, y } = face.face[side];
				const other = usual[f].find((one) => Math.hypot(one.x - x, one.y - y) < 1);
				if (px > 12 || !other || !face.blurs[side]) continue;
				const key = `${i} ${side}`;
				const sharp = { ...other, ours: -face.blurs[side].order, px: Math.hypot(px, 1.15) };
				eyes.set(key, [...(eyes.get(key) ?? []), sharp]);
			}
		});
	});
	for (const all of eyes.values()) {
		for (const a of all) {
			for (const b of all) {
				if (b.px <= 1.5 * a.px) continue;
				pairs += 1;
				for (const kind of KINDS) if (a[kind] > b[kind]) named[kind] += 1;
			}
		}
	}
}

const percent = (value) => `${(100 * value).toFixed(1)} %`;
console.log(`${judged.length} rolls of ${FRAMES} frames:`);
for (const [name, value] of Object.entries(reviewFigures(judged))) {
	console.log(`  ${name}: ${value <= 1 ? percent(value) : value}`);
}
console.log(`the sharper of two named, of ${pairs} pairs:`);
for (const kind of KINDS) console.log(`  ${kind}: ${percent(named[kind] / pairs)}`);
const all = judged.length * FRAMES;
console.log(
	`one frame, one thread: ${(measuringMs / all / 1000).toFixed(2)} s, with its way into the page`
);

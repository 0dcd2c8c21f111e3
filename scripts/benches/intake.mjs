/**
 * A hundred frames of 24 megapixels and four faces each come home, in the built app: how soon the first is in the strip,
 * how long all take, and how soon a key is answered meanwhile. The frames are drawn once and kept in `--into`; some that
 * differ stand for all, since drawing takes half a minute each. Then one goes from frame to frame.
 *
 *     npm run bench -- intake --frames=100 --into=practice/whole
 */
import {
	copyFileSync,
	existsSync,
	mkdirSync,
	mkdtempSync,
	readdirSync,
	rmSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { withPracticeCamera } from '../labBrowser.mjs';
import { served } from '../served.mjs';

const { values } = parseArgs({
	options: {
		frames: { type: 'string', default: '100' },
		into: { type: 'string', default: 'practice/whole' }
	}
});
const FRAMES = Number(values.frames);
const PEOPLE = 4;
const DRAWN = 8;
const BUDGET_S = 0.6 * FRAMES;
const BUDGET_MS = 50;
const WAIT_MS = 130;
/** So often one goes on to the next frame, after looking for so long; it is wanted within so long. */
const STEPS = 6;
const LOOKED_MS = 2000;
const SHOWN_MS = 100;
/** One that nothing is done for, one that draws the eyes of somebody else. */
const KEYS = ['q', 'ArrowDown'];

if (!existsSync(values.into)) await draw();
const folder = mkdtempSync(join(tmpdir(), 'homecoming-'));
const drawn = readdirSync(values.into).sort();
for (let i = 0; i < FRAMES; i++) {
	const name = `frame-${String(i).padStart(4, '0')}.jpg`;
	copyFileSync(join(values.into, drawn[i % drawn.length]), join(folder, name));
}
const { address, launch, stop } = await served(4194);
const browser = await launch();
try {
	await comeHome(await browser.newPage({ viewport: { width: 1280, height: 800 } }));
} finally {
	await browser.close();
	stop();
	rmSync(folder, { recursive: true });
}

/** Frames of the rear row of two families, which is four people. */
async function draw() {
	await withPracticeCamera(async (call) => {
		const only = { title: 'Two families on the steps', row: 3, focalMm: 85 };
		const wanted = { longSidePx: 6000, framesOfEach: DRAWN, seed: 1, only };
		const [{ people }] = await call('rolls', wanted);
		if (people !== PEOPLE) throw new Error(`${people} people instead of ${PEOPLE}`);
		mkdirSync(values.into, { recursive: true });
		for (let index = 0; index < DRAWN; index++) {
			const { name, base64 } = await call('file', wanted, 0, index);
			writeFileSync(join(values.into, name), Buffer.from(base64, 'base64'));
		}
	});
}

async function comeHome(page) {
	await page.goto(`${address}/?sample=Two%20families&at=review`);
	await page.getByRole('heading', { name: 'Your frames' }).waitFor();
	await page.evaluate(() => {
		globalThis.handledMs = [];
		globalThis.paintedMs = [];
		const heard = ({ timeStamp }) => globalThis.handledMs.push(performance.now() - timeStamp);
		addEventListener('keydown', heard, { capture: true });
		const painted = (list) => {
			for (const { name, duration } of list.getEntries())
				if (name === 'keydown') globalThis.paintedMs.push(duration);
		};
		new PerformanceObserver(painted).observe({ type: 'event', durationThreshold: 16 });
	});
	const startedAt = Date.now();
	await page
		.getByLabel('Choose frames')
		.setInputFiles(readdirSync(folder).map((name) => join(folder, name)));
	await page.locator('.strip li').first().waitFor();
	const strip = Date.now() - startedAt;
	for (let i = 0; await isMeasuring(page); i++) {
		await page.keyboard.press(KEYS[i % KEYS.length]);
		await page.waitForTimeout(WAIT_MS);
	}
	const seconds = (Date.now() - startedAt) / 1000;
	console.log(`The first of ${FRAMES} frames in the strip: ${strip} ms.`);
	console.log(
		`All of them measured: ${seconds.toFixed(0)} s = ${(seconds / BUDGET_S).toFixed(2)} of ${BUDGET_S}.`
	);
	const { handled, painted } = await page.evaluate(() => ({
		handled: globalThis.handledMs,
		painted: globalThis.paintedMs
	}));
	told('A key was heard', handled, handled.length);
	told('The page was painted after it', painted, handled.length);
	const shown = [];
	for (let i = 0; i < STEPS; i++) {
		await page.waitForTimeout(LOOKED_MS);
		shown.push(await page.evaluate(nextShown));
	}
	told(
		'The next frame stood there',
		shown.map(({ frameMs }) => frameMs),
		STEPS,
		SHOWN_MS
	);
	told(
		'The eyes beside it',
		shown.map(({ eyesMs }) => eyesMs),
		STEPS,
		SHOWN_MS
	);
}

/** Goes on to the next frame; how long until it and every eye beside it are drawn. Runs in the page. */
async function nextShown() {
	const picture = () => document.querySelector('.picture img');
	const isDrawn = (canvas) =>
		canvas
			.getContext('2d')
			.getImageData(0, 0, canvas.width, canvas.height)
			.data.some((value) => value > 0);
	const before = picture().src;
	const startedAt = performance.now();
	document.activeElement.dispatchEvent(
		new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true })
	);
	let frameMs = null;
	for (;;) {
		await new Promise(requestAnimationFrame);
		const eyes = [...document.querySelectorAll('.piece canvas')];
		const tookMs = performance.now() - startedAt;
		if (picture().src !== before && picture().complete) frameMs ??= tookMs;
		if (frameMs !== null && eyes.length > 0 && eyes.every(isDrawn)) {
			return { frameMs, eyesMs: tookMs };
		}
	}
}

/** By its element: looking for a part by its role would keep the page busy. */
function isMeasuring(page) {
	return page.evaluate(() => document.querySelector('[aria-label=Measuring]') !== null);
}

function told(what, times, of, budgetMs = BUDGET_MS) {
	const worst = Math.max(0, ...times);
	const late = times.filter((ms) => ms > budgetMs).length;
	console.log(
		`${what} after ${worst.toFixed(0)} ms at worst = ${(worst / budgetMs).toFixed(1)} of ${budgetMs}, later than that ${late} of ${of} times.`
	);
}

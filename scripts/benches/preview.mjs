/**
 * What the preview costs, drawn in software by headless Chromium: samples a second, the first
 * picture and the settled one, for 1, 12 and 40 figures at 960 × 640, and for the tiles of eyes.
 */
import { withLab } from '../labBrowser.mjs';

const SIZE = { widthPx: 960, heightPx: 640 };
const TILE = { widthPx: 104, heightPx: 50 };
/** f/1.2: blur that asks for all the samples that a picture settles with. */
const WIDE_OPEN = 2 ** (1 / 3);
const FIRST_MS = 150;
const SETTLED_MS = 1500;

/** People in rows of at most ten, a string of lamps behind them, on full frame. */
function group(count, fNumberExact = 2.8) {
	const rows = count === 1 ? 1 : count === 12 ? 3 : 4;
	const perRow = Math.ceil(count / rows);
	const people = Array.from({ length: count }, (_, i) => {
		const row = Math.floor(i / perRow);
		const x = (i % perRow) - (perRow - 1) / 2;
		const eyeMidpoint = { x: x * 0.6 + (row % 2) * 0.3, y: 1.3 + row * 0.3, z: 5 + row * 0.8 };
		return { id: `person ${i}`, name: `Person ${i}`, eyeMidpoint };
	});
	return {
		format: 'focalis-shot',
		version: 1,
		title: `${count} figures`,
		body: {
			name: 'Full-frame 24 MP',
			sensor: { widthMm: 36, heightMm: 24, pixelsAcross: 6000, pixelsDown: 4000 }
		},
		lens: {
			name: '50 mm f/1.2',
			focalMm: [50, 50],
			widestFNumber: [1.2, 1.2],
			smallestFNumber: 16,
			closestFocusM: 0.45
		},
		camera: { position: { x: 0, y: 1.6, z: count > 20 ? -4 : 0 }, focalMm: 50 },
		people,
		things: [
			{
				id: 'lamps',
				label: 'lamps',
				position: { x: 0, y: 2.9, z: 12 },
				widthM: 5,
				heightM: 0.4,
				detailMm: 20,
				look: 'lights'
			}
		],
		choices: { fNumberExact }
	};
}

/** The same with everybody a hair aside: another picture of what is sculpted already. */
const again = (shot) => ({
	...shot,
	camera: { ...shot.camera, position: { ...shot.camera.position, x: 0.001 } }
});

/** The windows of the sensor around the eyes of the first five. */
const eyes = (shot) =>
	shot.people.slice(0, 5).map(({ eyeMidpoint: { x, y, z } }) => {
		const perM = 50.5 / (z - shot.camera.position.z);
		const widthMm = Math.max(104 * 0.006, 0.063 * 1.75 * perM);
		return { x: x * perM, y: (y - 1.6) * perM, widthMm, heightMm: (widthMm * 50) / 104 };
	});

await withLab('tests/support/harness.ts', 'harness', async (call) => {
	const ratio = (ms, budget) => `${Math.round(ms)} ms = ${(ms / budget).toFixed(2)} of ${budget}`;

	for (const count of [1, 12, 40]) {
		const shot = group(count);
		const [cold, warm] = await call('times', [shot, again(shot)], SIZE);
		const naive = await call('anewForEachSample', shot, { ...SIZE, samples: 8 });
		const blurred = group(count, WIDE_OPEN);
		const [, wide] = await call('times', [blurred, again(blurred)], SIZE);
		const perSample = wide.settledMs / wide.samples;
		console.log(
			`\n${count} ${count === 1 ? 'figure' : 'figures'}, ${SIZE.widthPx} × ${SIZE.heightPx}`
		);
		console.log(
			`  first picture        ${ratio(warm.firstMs, FIRST_MS)}; the very first, with sculpting, ${Math.round(cold.firstMs)} ms`
		);
		console.log(
			`  settled, ${warm.samples} samples  ${ratio(warm.settledMs, SETTLED_MS)}; the very first ${Math.round(cold.settledMs)} ms`
		);
		console.log(
			`  settled, ${wide.samples} samples  ${ratio(wide.settledMs, SETTLED_MS)}, at f/1.2; ${(1000 / perSample).toFixed(1)} a second`
		);
		console.log(`  all anew for each    ${(naive / perSample).toFixed(1)} times as long`);
	}

	const shot = group(12);
	const [cold, warm] = await call('times', [shot, again(shot)], TILE, eyes(shot));
	console.log(`\nfive tiles of eyes, ${TILE.widthPx} × ${TILE.heightPx} each, of 12 figures`);
	console.log(
		`  first pictures ${Math.round(warm.firstMs)} ms, settled ${Math.round(warm.settledMs)} ms, ${((1000 * warm.samples) / warm.settledMs).toFixed(0)} samples a second; the very first ${Math.round(cold.firstMs)} and ${Math.round(cold.settledMs)} ms`
	);
});

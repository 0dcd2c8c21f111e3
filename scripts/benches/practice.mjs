/**
 * What practice frames cost, drawn in software by headless Chromium: the first frame of fifteen people
 * with everything to be sculpted, and frames a minute at several sizes.
 */
import { withPracticeCamera } from '../labBrowser.mjs';

const FAMILIES = 1;
const SIZES = [480, 1200, 2400, 6000];
const FIRST_MS = 2000;

await withPracticeCamera(async (call) => {
	const take = async (longSidePx, index) => {
		const startedAt = Date.now();
		const wanted = { longSidePx, framesOfEach: 6, seed: 1 };
		await call('file', wanted, FAMILIES, index);
		return Date.now() - startedAt;
	};
	const small = await take(480, 0);
	const first = await take(2400, 0);
	console.log(`the very first look, 480 px, with sculpting: ${small} ms`);
	console.log(
		`the first frame at 2400 × 1600 after it: ${first} ms = ${(first / FIRST_MS).toFixed(1)} of ${FIRST_MS}`
	);
	for (const px of SIZES) {
		const times = [];
		for (const index of px > 3000 ? [1] : [1, 2, 3]) times.push(await take(px, index));
		const mean = times.reduce((sum, one) => sum + one, 0) / times.length;
		console.log(
			`${px} px: ${(60_000 / mean).toFixed(1)} frames a minute, ${Math.round(mean)} ms each`
		);
	}
});

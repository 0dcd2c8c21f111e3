/**
 * How often the page shows something new while somebody is dragged: each frame moves one of the 28 people in the
 * sample day's crowd, so the gap between two frames is how long a move takes to be seen, verdict, ladder and odds
 * with it. With pictures drawn beside it, and in a browser that draws none.
 */
import { served } from '../served.mjs';

const { address, launch, stop } = await served(4196);

const FRAME_MS = 1000 / 60;
const BUDGETS_MS = { median: FRAME_MS, most: 2 * FRAME_MS };
const MOVES = 200;
const ROUNDS = 5;
const WITHOUT_PICTURES = ['--disable-gpu', '--disable-3d-apis'];

async function dragged(more) {
	const browser = await launch(more);
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${address}/?sample=Everyone&at=plan`);
		await page.getByRole('heading', { name: /^Focus on/ }).waitFor();
		if (more.length === 0) await page.locator('.frame [data-settled="true"]').first().waitFor();
		const heads = page.getByRole('application', { name: /^Stage/ }).locator('.head');
		const box = await heads.nth(Math.floor((await heads.count()) / 2)).boundingBox();
		const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
		await page.evaluate(() =>
			addEventListener('pointerdown', ({ target }) => (globalThis.held = target), true)
		);
		await page.mouse.move(x, y);
		await page.mouse.down();
		await page.mouse.move(x + 3, y + 2);
		return await page.evaluate(
			async ([x, y, moves]) => {
				const gaps = [];
				const said = new Set();
				for (let i = 0, last = 0; i < moves; i++) {
					const now = await new Promise(requestAnimationFrame);
					if (last) gaps.push(now - last);
					last = now;
					const [clientX, clientY] = [x + 30 * Math.sin(i / 9), y + 18 * Math.sin(i / 5)];
					const options = { pointerId: 1, bubbles: true, isPrimary: true, buttons: 1 };
					globalThis.held.dispatchEvent(
						new PointerEvent('pointermove', { ...options, clientX, clientY })
					);
					said.add(document.querySelector('.readout')?.textContent);
				}
				return { gaps, said: said.size };
			},
			[x, y, MOVES]
		);
	} finally {
		await browser.close();
	}
}

try {
	for (const [what, more] of [
		['With pictures', []],
		['Without', WITHOUT_PICTURES]
	]) {
		const gaps = [];
		for (let round = 0; round < ROUNDS; round++) {
			const one = await dragged(more);
			if (one.said < 10) throw new Error('nobody was moved');
			gaps.push(...one.gaps);
		}
		gaps.sort((a, b) => a - b);
		const told = (share, budget) => {
			const ms = gaps[Math.floor(share * (gaps.length - 1))];
			return `${ms.toFixed(1)} ms = ${(ms / budget).toFixed(2)} of ${budget.toFixed(1)}`;
		};
		console.log(
			`${what}, ${gaps.length} moves: median ${told(0.5, BUDGETS_MS.median)}, 95 % within ${told(0.95, BUDGETS_MS.most)}.`
		);
	}
} finally {
	stop();
}

/**
 * What a plan costs (tests/plan.bench.ts), then how soon a drag is on the screen: with 30 people in
 * the scene, from the pointer's move to the frame that shows the new verdict, ladder and drawings.
 */
import { spawnSync } from 'node:child_process';
import { installPackages } from '../prepare.mjs';
import { served } from '../served.mjs';

installPackages();
spawnSync('npx', ['--no-install', 'vitest', 'bench', '--run'], { stdio: 'inherit' });

const { address, launch, stop } = await served(4198);

const FRAME_MS = 16;
const MOVES = 300;
const browser = await launch();
try {
	const page = await browser.newPage({ viewport: { width: 1280, height: 660 } });
	await page.goto(address);
	await page.getByRole('button', { name: 'Start a shot' }).click();
	await page.getByRole('button', { name: '+ Add' }).click();
	await page.getByText('Rows of people…').click();
	await page.getByLabel('How many in each row').fill('10, 10, 10');
	await page.getByRole('button', { name: 'Add 30 people' }).click();
	await page.getByRole('dialog').waitFor({ state: 'hidden' });
	await page.getByRole('button', { name: 'Close', exact: true }).click();
	// it stands still before one can point at it
	const someone = page.locator('.stage .full').nth(15);
	await someone.hover();
	const head = await someone.boundingBox();
	const start = { x: head.x + head.width / 2, y: head.y + head.height / 2 };
	await page.mouse.move(start.x, start.y);
	await page.mouse.down();

	const { costs, late } = await page.evaluate(
		async ({ start, moves }) => {
			const stage = document.querySelector('[role=application]');
			const headline = () => document.querySelector('.verdict').textContent;
			const frame = () => new Promise((resolve) => requestAnimationFrame(resolve));
			const costs = [];
			let late = 0;
			for (let i = 0; i < moves; i++) {
				await frame();
				const x = start.x + 60 * Math.sin(i / 20);
				const y = start.y + 20 * Math.cos(i / 13);
				const before = stage.innerHTML + headline();
				const startedAt = performance.now();
				const init = { pointerId: 1, bubbles: true, clientX: x, clientY: y };
				stage.dispatchEvent(new PointerEvent('pointermove', init));
				// what is changed is on the page within the microtasks that follow; then lay it out
				await Promise.resolve();
				await Promise.resolve();
				document.body.getBoundingClientRect();
				costs.push(performance.now() - startedAt);
				await frame();
				if (stage.innerHTML + headline() === before) late += 1;
			}
			return { costs: costs.sort((a, b) => a - b), late };
		},
		{ start, moves: MOVES }
	);
	await page.mouse.up();
	if (late > MOVES / 2) throw new Error('nobody was dragged');
	const at = (share) => costs[Math.floor(share * (costs.length - 1))];
	console.log(`\nA drag with 30 people, ${MOVES} moves, from the move to a page laid out anew:`);
	for (const [name, share] of Object.entries({ median: 0.5, '95 %': 0.95, worst: 1 })) {
		const ratio = (at(share) / FRAME_MS).toFixed(2);
		console.log(
			`  ${name.padEnd(7)} ${at(share).toFixed(1)} ms = ${ratio} of a frame of ${FRAME_MS} ms`
		);
	}
	console.log(`  moves not on the page in the next animation frame: ${late}`);
} finally {
	await browser.close();
	stop();
}

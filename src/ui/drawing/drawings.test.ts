import { describe, expect, it } from 'vitest';
import { solve } from '$tests/support/solved';
import { ahead, EYE_M, person, shotOf, thing } from '$tests/support/shots';
import { drawFrame, type DrawnHead } from './frameScene';
import { drawableOf } from './drawable';
import { ladderTable } from '../plan/ladder/ladderTable';

const drawn = (sketch: Parameters<typeof shotOf>[0]) => {
	const solution = solve(shotOf(sketch));
	return { solution, all: drawFrame(drawableOf(solution)) };
};
const headOf = (all: ReturnType<typeof drawFrame>, id: string) =>
	all.find((one) => one.kind === 'head' && one.id === id) as DrawnHead;

describe('the drawing of what the camera sees', () => {
	it('puts every eye where the plan says it falls in the picture', () => {
		const { solution, all } = drawn({
			people: [person('a', [0.4, EYE_M + 0.2, 3], { turnDeg: 25, nodDeg: 10, leanDeg: -8 })],
			camera: { tiltDeg: 4, panDeg: 5 }
		});
		const { focus } = solution.plan;
		const eye = headOf(all, 'a').eyes.find(({ landmark }) => landmark === focus?.landmark);
		expect(0.5 + (eye?.x ?? 0) / 36).toBeCloseTo(focus?.frame.x ?? NaN, 9);
		expect(0.5 + (eye?.y ?? 0) / 24).toBeCloseTo(focus?.frame.y ?? NaN, 9);
	});

	it('draws the farthest first, so that nearer heads and things cover it', () => {
		const { all } = drawn({
			people: [ahead('near', 3), person('far', [0.3, EYE_M, 6])],
			things: [thing('wall', [0, EYE_M, 8], { look: 'wall' }), thing('post', [0.8, EYE_M, 2])]
		});
		expect(all.map(({ id }) => id)).toEqual(['wall', 'far', 'near', 'post']);
	});

	it('marks each eye by its state, and those nothing is asked of by none', () => {
		const { all } = drawn({
			people: [
				ahead('a', 3),
				person('b', [0.6, EYE_M, 3.8]),
				person('c', [-0.6, EYE_M, 3], { need: 'free' })
			],
			choices: { focus: { personId: 'a' }, fNumberExact: 1.4 }
		});
		expect(headOf(all, 'a').eyes.map(({ state }) => state)).toEqual(['sharp', 'sharp']);
		expect(headOf(all, 'b').eyes.map(({ state }) => state)).toEqual(['soft', 'soft']);
		expect(headOf(all, 'c').eyes.map(({ state }) => state)).toEqual([null, null]);
	});

	it('shows people who are turned away, and nobody behind the camera', () => {
		const { all } = drawn({
			people: [
				ahead('a', 3),
				person('away', [0.5, EYE_M, 3], { turnDeg: 180 }),
				ahead('behind', -3)
			]
		});
		expect(headOf(all, 'away')).toMatchObject({ face: null, nose: null });
		expect(headOf(all, 'a').face).not.toBeNull();
		expect(headOf(all, 'behind')).toBeUndefined();
	});

	it('draws a head as large as it is: 230 mm of an adult at 3 m through 50 mm', () => {
		const { skull } = headOf(drawn({ people: [ahead('a', 3)] }).all, 'a');
		const across = Math.min(skull.rx, skull.ry);
		const high = Math.max(skull.rx, skull.ry);
		// the skull's middle lies 90 mm behind the eyes; v is 50.85 mm with the focus at 3 m
		expect(2 * high).toBeCloseTo((230 * 50.847) / 3090, 2);
		expect(2 * across).toBeCloseTo((156 * 50.847) / 3090, 2);
	});

	it('still draws everybody when there is nothing to focus on', () => {
		const { solution, all } = drawn({ people: [ahead('away', 3, { turnDeg: 180 })] });
		expect(solution.plan.focus).toBeNull();
		expect(all).toHaveLength(1);
		const { scene } = solve(shotOf({ people: [ahead('a', 3, { need: 'free' })] })).study;
		expect(drawFrame({ scene, plan: null, take: null })).toHaveLength(1);
	});
});

describe('the ladder as a table', () => {
	const sketch = {
		people: [
			person('a', [-0.5, EYE_M, 4], { row: 1 }),
			person('b', [0.5, EYE_M, 4], { row: 1 }),
			person('c', [0, EYE_M + 0.4, 4.8], { row: 2 })
		],
		things: [
			thing('lanterns', [0.8, 2, 9], { intent: 'dissolved' }),
			thing('steps', [0, 0.5, 5]),
			thing('gate', [30, 1, 9], { intent: 'readable' })
		]
	} as const;
	const solution = solve(shotOf(sketch));

	it('has a column for every f-number and brackets the pick', () => {
		const { columns } = ladderTable(solution, null);
		expect(columns).toHaveLength(solution.plan.ladder.length);
		const picks = columns.filter(({ isPick }) => isPick);
		expect(picks.map(({ fNumber }) => fNumber)).toEqual([solution.plan.fNumber]);
	});

	it('has the back row on top, then the front row, then things that should become something', () => {
		const { lines } = ladderTable(solution, null);
		expect(lines.map(({ label }) => label)).toEqual([
			'back row: c',
			'front row',
			'lanterns',
			'gate'
		]);
		expect(lines.at(-1)?.cells.every((cell) => cell === null)).toBe(true);
	});

	it('counts the faces held per row, judged by the worst', () => {
		const { lines } = ladderTable(solution, null);
		const front = lines[1]?.cells ?? [];
		expect(front[0]).toMatchObject({ kind: 'faces', of: 2 });
		expect(front.at(-1)).toEqual({ kind: 'faces', held: 2, of: 2, state: 'sharp' });
	});

	it('opens the row or person that is selected into single faces', () => {
		for (const ref of [
			{ kind: 'row', id: 'a' },
			{ kind: 'person', id: 'b' }
		] as const) {
			const { lines } = ladderTable(solution, ref);
			expect(lines.map(({ label }) => label).slice(0, 4)).toEqual([
				'back row: c',
				'front row',
				'a',
				'b'
			]);
			expect(lines.filter(({ isSingle }) => isSingle)).toHaveLength(2);
		}
	});

	it('shows at each rung what would be chosen there', () => {
		const { lines, columns } = ladderTable(solution, null);
		columns.forEach(({ fNumberExact }, i) => {
			const at = solve(shotOf({ ...sketch, choices: { fNumberExact } }));
			const ratios = at.plan.targets
				.filter(({ personId }) => personId === 'c')
				.map(({ ratio }) => ratio);
			const cell = lines[0]?.cells[i];
			expect(cell).toMatchObject({ kind: 'face', ratio: expect.closeTo(Math.max(...ratios), 9) });
		});
	});
});

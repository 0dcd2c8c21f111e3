import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LENSES } from '$data/kit';
import { sampleDay } from '$data/sample/sampleDay';
import { ahead, planOf, rowsInRoom, shotOf, thing } from '$tests/support/shots';
import type { Lens, Shot } from '../format/shot';
import { closedUp } from '../arrange/regroup';
import { groundDistanceM, pivotOf, sameFraming } from '../arrange/standpoint';
import { ASSUMED, type Spreads } from '../tables/spreads';
import { adviceFor as adviceOf } from './advice';
import { solve, study } from '$tests/support/solved';
import { prospectOf } from './prospect';
import { backRowNearerM, floorPlan, standpointAt } from './standing';
import { focalsOf } from '../optics/zoom';
import { lensWays } from './lensWays';

const kit: readonly Lens[] = Object.values(LENSES);

const outcomeOf = (shot: Shot) => prospectOf(study(shot));
const adviceFor = (shot: Shot, lenses: readonly Lens[] = [], spreads: Spreads = ASSUMED) =>
	adviceOf(study(shot, spreads), lenses).map(({ data, shot: changed }) => ({
		...data,
		move: data.moves[0],
		shot: changed
	}));
const waysOf = (shot: Shot, lenses: readonly Lens[], spreads: Spreads = ASSUMED) =>
	lensWays(study(shot, spreads), lenses);

const turned = shotOf({
	lens: LENSES.portrait85Fast,
	people: [ahead('p', 1.6, { turnDeg: 40 })],
	camera: { orientation: 'portrait' },
	choices: { fNumberExact: 2 }
});

describe('advice', () => {
	const shots: readonly Shot[] = [
		...sampleDay(0).shots.map(({ shot }) => shot),
		{ ...rowsInRoom(), choices: { ...rowsInRoom().choices, fNumberExact: 2.8 } },
		turned
	];

	it.each(shots.map((shot) => [shot.title, shot] as const))(
		'applied, it gives exactly what it promised: %s',
		(_, shot) => {
			for (const advice of adviceFor(shot, kit)) {
				const { plan } = solve(advice.shot);
				expect(plan.fNumberExact).toBe(advice.fNumberExact);
				expect(plan.feasible).toBe(advice.feasible);
			}
		}
	);

	it('keeps its promise with other hands than the assumed, picked by odds', () => {
		const spreads: Spreads = { ...ASSUMED, handheldMm: 40, shake: 1.5 };
		const byOdds: Shot = {
			...rowsInRoom(),
			choices: { safetyStops: 0, shutterRule: 1, pickBy: 'odds', focusBy: 'point' }
		};
		const all = adviceFor(byOdds, kit, spreads);
		expect(all.length).toBeGreaterThan(0);
		for (const advice of all) {
			expect(solve(advice.shot, spreads).plan.fNumberExact).toBe(advice.fNumberExact);
		}
		// the hands matter: others would have promised something else
		expect(adviceFor(byOdds, kit).map(({ fNumberExact }) => fNumberExact)).not.toEqual(
			all.map(({ fNumberExact }) => fNumberExact)
		);
		for (const way of waysOf(byOdds, kit, spreads)) {
			expect(solve(way.shot, spreads).plan.fNumberExact).toBe(way.fNumber);
		}
	});

	it('a turned head that fails is asked to turn by the smallest step that holds both eyes', () => {
		expect(outcomeOf(turned)?.feasible).toBe(false);
		const turn = adviceFor(turned).find(({ code }) => code === 'turn-head');
		if (turn?.move?.code !== 'turn-head') throw new Error('no advice to turn');
		expect(turn.feasible).toBe(true);
		const turnDeg = 40 - turn.move.byDeg + 5;
		const less = { ...turned, people: [{ ...turned.people[0], turnDeg }] };
		expect(outcomeOf(less as Shot)?.feasible).toBe(false);
	});

	it('never asks to step back farther than the room, nor to raise the camera above its limit', () => {
		const shot = rowsInRoom({ choices: { fNumberExact: 2.8 } });
		const room = { ...shot, place: { clearBehindCameraM: 0.7, highestCameraM: 2 } };
		const all = adviceFor(room, kit);
		expect(all.length).toBeGreaterThan(0);
		const sizes = (wanted: string) =>
			all.flatMap(({ move }) => (move?.code.startsWith(wanted) && 'byM' in move ? move.byM : []));
		expect([...sizes('step-back'), ...sizes('raise-camera')].length).toBeGreaterThan(0);
		for (const byM of sizes('step-back')) expect(byM).toBeLessThanOrEqual(0.7);
		for (const byM of sizes('raise-camera')) expect(byM).toBeLessThanOrEqual(0.4 + 1e-9);
	});

	it('raising the camera brings the rows nearer to one plane (common practice, no source)', () => {
		const shot = rowsInRoom({ choices: { fNumberExact: 4 } });
		const needed = (y: number) => {
			const raised = adviceFor({ ...shot, place: { highestCameraM: y } });
			return raised.some(({ code }) => code === 'raise-camera');
		};
		expect(needed(1.61)).toBe(false);
		expect(needed(4)).toBe(true);
	});

	it('when nothing single works there is a pair, and when nothing works what to give up', () => {
		const hard = { ...rowsInRoom(), place: { clearBehindCameraM: 0.25, highestCameraM: 1.75 } };
		const at = (fNumberExact: number) =>
			adviceFor({ ...hard, choices: { ...hard.choices, fNumberExact } });
		const mends = (f: number) => at(f).filter(({ gain }) => gain.kind === 'holds-everyone');
		const kinds = [4, 3.2, 2.8, 2.5, 2.2, 2, 1.4].map((f) => mends(f)[0]?.code ?? 'none');
		expect(kinds).toContain('pair');
		expect(kinds.at(-1)).toBe('give-up');
		for (const f of [2.8, 2, 1.4]) {
			for (const advice of mends(f)) expect(outcomeOf(advice.shot)?.feasible).toBe(true);
		}
	});

	it('a background that is too sharp: everyone moves off it, and it dissolves', () => {
		const shot = shotOf({
			people: [ahead('p', 3)],
			things: [thing('sign', [0.5, 1.6, 4], { detailMm: 12, intent: 'dissolved' })]
		});
		expect(outcomeOf(shot)?.intents).toEqual({ met: 0, of: 1 });
		const off = adviceFor(shot).find(({ code }) => code === 'off-background');
		expect(off?.intentsMet).toBe(1);
		expect(off?.move).toMatchObject({ byM: expect.any(Number) });
		expect(off?.move && 'byM' in off.move && off.move.byM).toBeLessThan(3);
	});

	it('says nothing where nothing can be gained', () => {
		expect(adviceFor(shotOf({ people: [ahead('p', 12, { keep: 'near-eye' })] }))).toEqual([]);
	});
});

describe('ways to take the same framing', () => {
	it('distance follows focal length nearly in proportion, and the face stays as large', () => {
		const shot = shotOf({ people: [ahead('p', 3)] });
		const law = fc.property(fc.double({ min: 24, max: 200, noNaN: true }), (focalMm) => {
			const camera = sameFraming(shot, focalMm);
			if (!camera) throw new Error('no place');
			const ratio = groundDistanceM(camera, pivotOf(shot)) / 3;
			// exact for a thin lens on the axis: D - f keeps in proportion to f
			expect(ratio).toBeCloseTo((((3 - 0.05) * focalMm) / 50 + focalMm / 1000) / 3, 2);
		});
		fc.assert(law, { numRuns: 30 });
	});

	it('a zoom is tried at its ends and between, a prime once', () => {
		expect(focalsOf(LENSES.zoom2470, 50)).toEqual([24, 34, 49, 50, 70]);
		expect(focalsOf(LENSES.portrait85, 50)).toEqual([85]);
	});

	it('a longer lens from farther takes in less background and flattens faces', () => {
		const ways = waysOf(shotOf({ people: [ahead('p', 3)] }), kit);
		const at = (name: string) => ways.find(({ lens }) => lens.name === name);
		const [wide, long] = [at('24 mm f/1.4'), at('135 mm f/1.8')];
		expect(long?.backgroundWidthM).toBeLessThan((wide?.backgroundWidthM ?? 0) / 2);
		expect(long?.perspective).toBeLessThan(wide?.perspective ?? 0);
		expect(wide?.backM).toBeLessThan(0);
		expect(long?.backM).toBeGreaterThan(0);
	});

	it('the place limits them; the best are named among those it allows', () => {
		const shot = { ...rowsInRoom(), place: { clearBehindCameraM: 0.3 } };
		const ways = waysOf(shot, kit);
		expect(ways.some(({ isOutOfRoom }) => isOutOfRoom)).toBe(true);
		for (const goal of ['faces', 'background', 'light'] as const) {
			const named = ways.filter(({ bestFor }) => bestFor.includes(goal));
			expect(named).toHaveLength(1);
			expect(named[0]?.isOutOfRoom).toBe(false);
		}
	});

	it('taking one gives exactly the plan it showed', () => {
		for (const way of waysOf(rowsInRoom(), kit)) {
			const { plan } = solve(way.shot);
			expect(plan.fNumberExact).toBe(way.fNumber);
			// a way that loses somebody is none, however sharp the rest
			const isSeen = plan.unseen.length === solve(rowsInRoom()).plan.unseen.length;
			expect(way.feasible).toBe(plan.feasible && isSeen);
			expect(plan.exposure?.iso ?? null).toBe(way.exposure?.iso ?? null);
		}
	});

	it('says what drops out of the frame with a longer lens', () => {
		const shot = shotOf({
			lens: LENSES.wide35,
			people: [ahead('p', 2)],
			things: [thing('bin', [2.6, 1.2, 7], { widthM: 0.5, heightM: 0.8 })]
		});
		const long = waysOf(shot, kit).find(({ lens }) => lens.name === '135 mm f/1.8');
		expect(long?.droppedIds).toEqual(['bin']);
	});
});

describe('where to stand', () => {
	const shot = rowsInRoom();

	it('where the camera is now, the floor says what the plan says', () => {
		const { x, z } = shot.camera.position;
		const here = standpointAt(study(shot), kit, outcomeOf(shot), { x, z });
		expect(here.focalMm).toBeCloseTo(35, 9);
		expect(here.fNumber).toBe(study(shot).pick?.fNumber);
	});

	it('the floor is a whole grid, and only part of it is possible', () => {
		const area = { left: -4, right: 4, near: -4, far: 6 };
		const states = [...floorPlan(study(shot), kit, area, 60)];
		const floor = states.at(-1);
		expect(floor?.points).toHaveLength((floor?.columns ?? 0) * (floor?.rows ?? 0));
		expect(states[0]?.points).toHaveLength(floor?.columns ?? 0);
		const possible = floor?.points.filter(({ fNumber }) => fNumber !== null);
		expect(possible?.length).toBeGreaterThan(5);
		expect(possible?.length).toBeLessThan(floor?.points.length ?? 0);
	});

	it('the reverse: how near the back row must stand for an f-number', () => {
		const { rows: standing } = study(shot).scene;
		const nearer = (f: number) => backRowNearerM(study(shot), f);
		const { needed } = study(shot);
		expect(nearer(needed * 1.01)).toBe(0);
		const byM = nearer(needed * 0.8) ?? NaN;
		expect(byM).toBeGreaterThan(0.05);
		expect(study(closedUp(shot, standing, byM)).needed).toBeCloseTo(needed * 0.8, 3);
	});
});

it('cautions are part of the plan, once each and only where they apply', () => {
	const codes = (sketch: Parameters<typeof planOf>[0]) =>
		planOf(sketch).cautions.map(({ code }) => code);
	const flash = { mode: 'flash', guideNumberM: 30, distanceM: 2, ambientEv100: 5 } as const;
	expect(codes({ people: [ahead('p', 3, { build: 'infant' })], light: flash })).toEqual([
		'flash-infant',
		'flash-people',
		'permission'
	]);
	expect(codes({ people: [ahead('p', 3)], light: { mode: 'ambient', ev100: 15 } })).toContain(
		'sun'
	);
	expect(codes({ people: [ahead('p', 3)] })).toEqual(['permission-people']);
});

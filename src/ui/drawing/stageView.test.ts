import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solve, takeOf } from '$tests/support/solved';
import { sampleDay } from '$data/sample/sampleDay';
import { ahead, EYE_M, person, shotOf } from '$tests/support/shots';
import { dragWords } from '../plan/stage/dragWords';
import {
	fittedPoints,
	focusLine,
	headMarks,
	planeHandle,
	sliceThrough,
	stageObjects
} from './stageScene';
import {
	fit,
	moveInWorld,
	panBy,
	rulerStep,
	toPx,
	toWorld,
	zoomAt,
	type StageView
} from './stageView';
import { zoneOf } from './zone';

const coordinate = fc.double({ min: -30, max: 30, noNaN: true });
const point = fc.record({ x: coordinate, y: coordinate, z: coordinate });
const PANES = [
	{ side: 'above', isTall: false, widthPx: 700, heightPx: 340 },
	{ side: 'above', isTall: true, widthPx: 374, heightPx: 420 },
	{ side: 'side', isTall: false, widthPx: 700, heightPx: 340 }
] as const;

describe.each(PANES)('seen from $side, tall: $isTall', (pane) => {
	const view: StageView = fit(pane, [
		{ x: 0, y: EYE_M, z: 0 },
		{ x: 2, y: 2, z: 7 }
	]);

	it('shows everything that is fitted, clear of the edges', () => {
		fc.assert(
			fc.property(fc.array(point, { minLength: 1, maxLength: 9 }), (points) => {
				const fitted = fit(pane, points);
				for (const each of points) {
					const { x, y } = toPx(fitted, each);
					expect(x).toBeGreaterThan(10);
					expect(x).toBeLessThan(pane.widthPx - 10);
					expect(y).toBeGreaterThan(10);
					expect(y).toBeLessThan(pane.heightPx - 10);
				}
			})
		);
	});

	it('what is drawn somewhere is found there again', () => {
		fc.assert(
			fc.property(point, (place) => {
				const { x, y } = toPx(view, place);
				const back = toWorld(view, x, y, place);
				expect(back.x).toBeCloseTo(place.x, 9);
				expect(back.y).toBeCloseTo(place.y, 9);
				expect(back.z).toBeCloseTo(place.z, 9);
			})
		);
	});

	it('a drag moves an object as far as the pointer went', () => {
		const from = { x: 0, y: EYE_M, z: 5 };
		const by = moveInWorld(view, 30, -20);
		const before = toPx(view, from);
		const after = toPx(view, { x: from.x + by.x, y: from.y + by.y, z: from.z + by.z });
		expect(after.x - before.x).toBeCloseTo(30, 9);
		expect(after.y - before.y).toBeCloseTo(-20, 9);
	});

	it('zooming leaves the place under the pointer where it was', () => {
		const before = toWorld(view, 120, 80, view.middle);
		const after = toWorld(zoomAt(view, 120, 80, 1.7), 120, 80, view.middle);
		expect(after.x).toBeCloseTo(before.x, 9);
		expect(after.z).toBeCloseTo(before.z, 9);
		expect(zoomAt(view, 0, 0, 1e9).pxPerM).toBe(900);
	});

	it('panning pushes the drawing along', () => {
		const place = { x: 1, y: 1, z: 4 };
		const [before, after] = [toPx(view, place), toPx(panBy(view, 15, 9), place)];
		expect([after.x - before.x, after.y - before.y].map((n) => Math.round(n))).toEqual([15, 9]);
	});
});

it('the camera is at the left in a wide pane and at the bottom in a tall one', () => {
	const shot = shotOf({ people: [ahead('a', 5)] });
	const [wide, tall] = PANES.slice(0, 2).map((pane) => fit(pane, fittedPoints(shot)));
	if (!wide || !tall) throw new Error('no pane');
	const [camera, someone] = [shot.camera.position, { x: 0, y: EYE_M, z: 5 }];
	expect(toPx(wide, camera).x).toBeLessThan(toPx(wide, someone).x);
	expect(toPx(tall, camera).y).toBeGreaterThan(toPx(tall, someone).y);
});

it.each([
	[100, 1],
	[30, 5],
	[600, 0.2],
	[0.1, 200]
])('the ruler at %d px a metre marks every %d m', (pxPerM, step) => {
	expect(rulerStep(pxPerM)).toBe(step);
});

describe('what is on the stage', () => {
	const shot = shotOf({
		people: [
			person('a', [-0.5, EYE_M, 4], { row: 1 }),
			person('b', [0.5, EYE_M, 4], { row: 1, turnDeg: 30 }),
			person('c', [0, EYE_M + 0.4, 4.8], { row: 2 })
		]
	});
	const { study, take, plan } = solve(shot);
	const { scene } = study;
	if (!take) throw new Error('no pick');
	const view = fit(PANES[0], fittedPoints(shot));

	it('the line of focus goes through the eye that is focused on', () => {
		const through = sliceThrough(shot, view.side);
		const line = focusLine(view, zoneOf(take), { ...through, y: EYE_M });
		const xs = line.map(({ x }) => x);
		// a level camera and a flat field: a straight line across at the focused depth
		expect(Math.max(...xs) - Math.min(...xs)).toBeLessThan(0.01);
		const focused = toPx(view, { x: 0, y: EYE_M, z: plan.focus?.planeM ?? 0 });
		expect(xs[0]).toBeCloseTo(focused.x, 3);
		const handle = planeHandle(view, line);
		expect(handle?.x).toBeCloseTo(focused.x, 3);
	});

	it('from the side it leans with a tilted camera', () => {
		const tilted = takeOf(
			shotOf({
				people: [ahead('a', 5)],
				camera: { position: { x: 0, y: 3.5, z: 0 }, tiltDeg: -20 }
			})
		);
		const side = fit(PANES[2], fittedPoints(tilted.scene.shot));
		const line = focusLine(side, zoneOf(tilted), sliceThrough(tilted.scene.shot, 'side'));
		const [first, last] = [line[0], line.at(-1)];
		if (!first || !last) throw new Error('no line');
		// the higher end lies farther away: 20 degrees off the vertical
		const lean = Math.atan2(first.x - last.x, first.y - last.y) * (180 / Math.PI);
		expect(Math.abs(lean)).toBeCloseTo(20, 1);
	});

	it('heads keep a size one can see, and near eyes are marked', () => {
		const far = { ...view, pxPerM: 5 };
		for (const mark of headMarks(far, scene, take)) {
			expect(mark.outline.ry).toBeGreaterThanOrEqual(5.4);
			expect(mark.nearEye).not.toBeNull();
		}
		expect(headMarks(view, scene, take).filter(({ isFocus }) => isFocus)).toHaveLength(1);
	});

	it('everything that can be taken hold of: camera, people, rows, the plane', () => {
		const heads = headMarks(view, scene, take);
		const objects = stageObjects(view, scene, heads, { x: 1, y: 1 });
		expect(objects.map(({ ref, label }) => `${ref.kind} ${label}`)).toEqual([
			'camera camera',
			'person a',
			'person b',
			'person c',
			'row front',
			'row back',
			'plane plane of focus'
		]);
	});

	it('labels of rows do not cover each other, however close the rows', () => {
		const { shots } = sampleDay(0);
		for (const { shot: each } of shots) {
			const solution = solve(each);
			for (const pane of PANES) {
				const small = fit(pane, fittedPoints(each));
				const heads = headMarks(small, solution.study.scene, solution.take);
				const labels = stageObjects(small, solution.study.scene, heads, null).filter(
					({ ref }) => ref.kind === 'row'
				);
				labels.slice(1).forEach(({ at }, i) => {
					const before = labels[i]?.at ?? at;
					const isClear = Math.abs(at.x - before.x) >= 48 || Math.abs(at.y - before.y) >= 20;
					expect(isClear, each.title).toBe(true);
				});
			}
		}
	});

	it('says where an object is while it is held, and how far from its neighbours', () => {
		expect(dragWords({ kind: 'person', id: 'b' }, shot, scene, 'm').join(' · ')).toMatch(
			/^4\.00 m away · turned 30° to the right · \d+ cm to the row behind$/
		);
		expect(dragWords({ kind: 'person', id: 'c' }, shot, scene, 'm').join(' · ')).toMatch(
			/behind the row before$/
		);
		expect(dragWords({ kind: 'camera', id: 'camera' }, shot, scene, 'ft').join(' · ')).toBe(
			'5.2 ft up, turned 0°, tilted 0°'
		);
	});
});

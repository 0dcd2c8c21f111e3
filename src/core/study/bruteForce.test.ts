import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bruteForce, look, ratioAt } from '$tests/support/bruteForce';
import { patchMm } from '$tests/support/rayTrace';
import { person, shotOf, thing, type Place } from '$tests/support/shots';
import { LENSES } from '$data/kit';
import type { Shot } from '../format/shot';
import { toleranceMm } from '../sharpness/tolerance';
import { lookAt } from './scene';
import { solve } from '$tests/support/solved';

/** Random scenes, solved twice: by the program and by trying everything. */

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const somebody = fc.record({
	x: between(-1.4, 1.4),
	y: between(0.9, 2.2),
	z: between(3, 6.5),
	turnDeg: between(-70, 70),
	nodDeg: between(-30, 30),
	leanDeg: between(-30, 30),
	build: fc.constantFrom('adult', 'child', 'infant', 'cat', 'dog'),
	need: fc.constantFrom('key', 'sharp', 'sharp', 'soft', 'free'),
	keep: fc.constantFrom('near-eye', 'both-eyes', 'face')
});

const scenes: fc.Arbitrary<Shot> = fc
	.record({
		people: fc.array(somebody, { minLength: 1, maxLength: 7 }),
		object: fc.option(fc.record({ z: between(2.5, 6), x: between(-0.3, 0.3) })),
		panDeg: between(-8, 8),
		tiltDeg: between(-12, 12),
		cameraY: between(1.2, 2.4),
		orientation: fc.constantFrom('landscape', 'portrait'),
		lens: fc.constantFrom(LENSES.wide35, LENSES.normal50, LENSES.portrait85),
		fieldBend: fc.constantFrom(0, 0, 0.5, 1, -0.6),
		standard: fc.constantFrom('album', 'screen', 'pixel'),
		safetyStops: fc.constantFrom(0, 1 / 3, 1)
	})
	.map(({ people, object, lens, fieldBend, standard, safetyStops, cameraY, ...camera }) =>
		shotOf({
			people: people.map(({ x, y, z, ...more }, i) => person(`p${i}`, [x, y, z] as Place, more)),
			things: object
				? [
						thing('object', [object.x, 1.2, object.z], {
							intent: 'sharp',
							look: 'object',
							widthM: 0.2,
							heightM: 0.2
						})
					]
				: [],
			lens: { ...lens, fieldBend },
			camera: { ...camera, position: { x: 0, y: cameraY, z: 0 } },
			sharpness: { standard },
			choices: { safetyStops }
		})
	)
	// an object at the very edge of the frame is the business of another test
	.filter((shot) => lookAt(shot).things.every(({ inFrame }) => inFrame));

const RUNS = { numRuns: 250 };

describe('against trying everything', () => {
	it('sees the same eyes and asks the same of them', () => {
		fc.assert(
			fc.property(scenes, (shot) => {
				const { plan, study } = solve(shot);
				const { scene } = study;
				const expected = look(shot);
				const unseen = expected.filter(({ near }) => !near).map(({ person: { id } }) => id);
				expect(plan.unseen.map(({ personId }) => personId)).toEqual(unseen);
				const targets = scene.targets.filter(({ personId }) => personId);
				const points = expected.flatMap((one) => one.points);
				expect(targets.map(({ landmark }) => landmark)).toEqual(
					points.map(({ landmark }) => landmark)
				);
				targets.forEach(({ seen, factor }, i) => {
					const [x, y, depth] = points[i]?.seen ?? [];
					expect(seen.rightM).toBeCloseTo(x ?? NaN, 9);
					expect(seen.upM).toBeCloseTo(y ?? NaN, 9);
					expect(seen.depthM).toBeCloseTo(depth ?? NaN, 9);
					expect(factor).toBeCloseTo(points[i]?.factor ?? NaN, 9);
				});
			}),
			RUNS
		);
	});

	it('picks the same focus and f-number, with the same ratios', () => {
		fc.assert(
			fc.property(scenes, (shot) => {
				const { plan } = solve(shot);
				const tolerance = toleranceMm(shot.sharpness, shot.body.sensor);
				const { pick, feasible, isBetween, targets, ladder, pairs } = bruteForce(shot, tolerance);
				// a plane found by search is not as exact as an eye's
				const digits = isBetween ? 4 : 8;
				expect(plan.feasible).toBe(feasible && targets.length > 0);
				if (!pick) {
					expect(plan.focus).toBeNull();
					return;
				}
				expect(plan.focus?.kind === 'plane').toBe(isBetween);
				expect(plan.fNumberExact).toBeCloseTo(pick.n, 9);
				expect(plan.focus?.personId ?? plan.focus?.thingId).toBe(pick.candidate.owner);
				expect(plan.worstRatio).toBeCloseTo(pick.worst, digits);
				plan.targets.forEach(({ ratio }, i) => {
					const target = targets[i];
					if (!target) throw new Error('more targets than expected');
					expect(ratio).toBeCloseTo(ratioAt(shot, tolerance, pick.s, pick.n, target), digits);
				});
				expect(plan.ladder.map(({ worstRatio }) => worstRatio)).toEqual(
					ladder.map((n) =>
						expect.closeTo(
							Math.min(...pairs.filter((pair) => pair.n === n).map((pair) => pair.worst)),
							digits
						)
					)
				);
			}),
			RUNS
		);
	});

	it('finds the free plane that a search finds, and the slack that stepping finds', () => {
		fc.assert(
			fc.property(scenes, (shot) => {
				const { plan } = solve(shot);
				const tolerance = toleranceMm(shot.sharpness, shot.body.sensor);
				const { free, worst, targets, pick } = bruteForce(shot, tolerance);
				fc.pre(pick !== null && free !== null);
				if (!pick || free === null || !plan.free) throw new Error('no free plane');
				expect(worst(plan.free.depthM, 1)).toBeLessThanOrEqual(worst(free, 1) * (1 + 1e-9) + 1e-12);
				if (!plan.slack) throw new Error('no slack');

				const asidesKept = (byM: number) =>
					targets.map((target) => {
						const [x, y, depth] = target.seen;
						return { ...target, seen: [x, y, depth + byM] as const };
					});
				const holds = (byM: number) =>
					asidesKept(byM).every(
						(target) => ratioAt(shot, tolerance, pick.s, pick.n, target) <= 1 + 1e-6
					);
				const { cameraBackM, cameraForwardM } = plan.slack;
				if (plan.feasible && cameraBackM === null) {
					expect(holds(1e5)).toBe(true);
				} else if (plan.feasible && cameraBackM !== null) {
					for (const share of [0.25, 0.5, 0.75, 0.999]) {
						expect(holds(cameraBackM * share)).toBe(true);
						expect(holds(-(cameraForwardM ?? 0) * share)).toBe(true);
					}
					expect(holds(cameraBackM * 1.01 + 0.001)).toBe(false);
				} else {
					expect(cameraBackM).toBe(0);
				}
			}),
			RUNS
		);
	});

	it('every reported defocus is what rays make of the target', () => {
		fc.assert(
			fc.property(scenes, (shot) => {
				const { plan, study } = solve(shot);
				const { focus } = plan;
				fc.pre(focus !== null);
				if (!focus || plan.fNumberExact === null) throw new Error('no focus');
				const lens = {
					focalMm: shot.camera.focalMm,
					fNumber: plan.fNumberExact,
					planeMm: focus.planeM * 1000,
					fieldCurvature: shot.lens.fieldBend
				};
				plan.targets.forEach(({ defocusMm }, i) => {
					const { rightM = 0, upM = 0, depthM = 1 } = study.scene.targets[i]?.seen ?? {};
					const traced = patchMm(lens, rightM * 1000, upM * 1000, depthM * 1000);
					expect(Math.abs(defocusMm - traced)).toBeLessThan(1e-4 * traced + 1e-9);
				});
			}),
			{ numRuns: 80 }
		);
	});
});

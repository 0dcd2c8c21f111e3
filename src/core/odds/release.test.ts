import { describe, expect, it } from 'vitest';
import type { Shot } from '../format/shot';
import { settingsOf } from '../study/settings';
import { ASSUMED } from '../tables/spreads';
import { ahead, shotOf, type Sketch } from '$tests/support/shots';
import { solve } from '$tests/support/solved';
import { drawsOf } from './draws';
import { DECIDING_FRAMES } from './chanceOf';
import { FrameSets } from './frameSets';
import { releasesOf } from './release';
import { facesOf } from './truth';

const SEED = 7;
const FRAMES = 200;

function taken(sketch: Sketch) {
	const shot: Shot = shotOf(sketch);
	const { take } = solve(shot);
	if (!take) throw new Error('nothing to focus on');
	const settings = settingsOf(take);
	const set = new FrameSets(ASSUMED, () => drawsOf(SEED, DECIDING_FRAMES)).of(take);
	return { take, settings, set, releases: releasesOf(take, settings, FRAMES, SEED, ASSUMED) };
}

const COUPLE: Sketch = {
	people: [ahead('a', 3), { ...ahead('b', 3.3), motion: 'restless' as const }],
	focalMm: 50,
	choices: { fNumberExact: 2 ** 2.5 }
};

describe('frames as they were released', () => {
	it('have the defocus and the streaks that the odds count, within a pixel or 5%', () => {
		const { take, settings, set, releases } = taken(COUPLE);
		const pixelMm = take.scene.pixelMm;
		for (const release of releases.filter(({ isElsewhere }) => !isElsewhere)) {
			const faces = new Map(facesOf(release, settings).map((face) => [face.personId, face]));
			take.scene.targets.forEach((target, i) => {
				const landmark = faces
					.get(target.personId ?? '')
					?.landmarks.find((one) => one.landmark === target.landmark);
				if (!landmark) throw new Error('a target without a landmark');
				const allowedMm = target.factor * take.scene.toleranceMm;
				const defocusMm = allowedMm * Math.sqrt(set.excess(release.frame, i, settings.fNumber, 0));
				expect(Math.abs(landmark.defocusMm - defocusMm)).toBeLessThanOrEqual(
					Math.max(pixelMm, 0.05 * defocusMm)
				);
				// the odds add shake and motion as squares; in a frame each has its direction
				const { fNumber, blurS } = settings;
				const streak2 =
					set.excess(release.frame, i, fNumber, blurS) - set.excess(release.frame, i, fNumber, 0);
				const shake = release.shakeMmPerS;
				const runMm = landmark.streakMm.x - shake.x * blurS;
				const streakMm = Math.hypot(shake.x * blurS, shake.y * blurS, runMm);
				expect(streakMm).toBeCloseTo(allowedMm * Math.sqrt(streak2), 4);
			});
		}
	});

	it('are good as often as the odds say, from the very same frames', () => {
		const { settings, set, releases } = taken(COUPLE);
		const good = releases.filter(({ isGood }) => isGood).length;
		const share = set.keeperShare(settings.fNumber, settings.blurS);
		// 200 of the 1000 frames: three standard errors
		expect(Math.abs(good / FRAMES - share)).toBeLessThan(3 * Math.sqrt(0.25 / FRAMES));
		expect(releases.filter(({ isSharp }) => isSharp).length).toBeGreaterThanOrEqual(good);
	});

	it('are the same for a seed, and others for another', () => {
		const { take, settings, releases } = taken(COUPLE);
		expect(releasesOf(take, settings, FRAMES, SEED, ASSUMED)).toEqual(releases);
		const other = releasesOf(take, settings, 1, SEED + 1, ASSUMED);
		expect(other[0]?.focus.imageDistanceMm).not.toBe(releases[0]?.focus.imageDistanceMm);
	});

	it('shut eyes, turn heads and move people who decide nothing, too', () => {
		const { releases } = taken({
			...COUPLE,
			people: [ahead('a', 3), { ...ahead('b', 4), need: 'free', motion: 'walking' }]
		});
		const of = (id: string) =>
			releases.flatMap(({ people }) => people.filter((one) => one.personId === id));
		// 10 blinks a minute of a quarter of a second: 1 of 24 frames (Svenson and Barnes, 2006; from memory)
		const shut = of('b').filter(({ isShut }) => isShut).length / FRAMES;
		expect(shut).toBeGreaterThan(0.005);
		expect(shut).toBeLessThan(0.1);
		expect(new Set(of('b').map(({ acrossMPerS }) => Math.sign(acrossMPerS)))).toEqual(
			new Set([-1, 1])
		);
		const turns = releases.map(({ shot }) => shot.people[0]?.turnDeg ?? 0);
		expect(Math.max(...turns.map(Math.abs))).toBeLessThan(8);
		expect(new Set(turns).size).toBe(FRAMES);
	});

	it('that were focused elsewhere are as many as assumed, and somebody is soft in each', () => {
		const { take, settings, releases } = taken({
			...COUPLE,
			choices: { ...COUPLE.choices, focusBy: 'whole-frame' }
		});
		const elsewhere = releases.filter(({ isElsewhere }) => isElsewhere);
		expect(elsewhere.length / FRAMES).toBeGreaterThan(0.17);
		expect(elsewhere.length / FRAMES).toBeLessThan(0.37);
		for (const release of elsewhere) {
			const eyes = facesOf(release, settings).flatMap(({ landmarks }) =>
				landmarks.filter(({ landmark }) => landmark.endsWith('-eye'))
			);
			const worstMm = Math.max(...eyes.map(({ defocusMm }) => defocusMm));
			expect(worstMm).toBeGreaterThan(take.scene.toleranceMm);
		}
	});
});

describe('settings', () => {
	const sunny: Sketch = { ...COUPLE, light: { mode: 'ambient', ev100: 12 } };

	it('expose rightly as planned; a stop more of ISO is a stop more of light', () => {
		const { take } = taken(sunny);
		const planned = settingsOf(take);
		expect(planned.gain).toBeCloseTo(1, 6);
		const brighter = settingsOf(take, { shutterS: planned.shutterS, iso: 2 * planned.iso });
		expect(brighter.gain).toBeCloseTo(2, 6);
		expect(settingsOf(take, { iso: 2 * planned.iso }).shutterS).toBeCloseTo(
			planned.shutterS / 2,
			9
		);
	});

	it('a body that can go no higher leaves the picture dark', () => {
		const { take } = taken({ ...COUPLE, light: { mode: 'ambient', ev100: -4 } });
		const { iso, gain } = settingsOf(take, { shutterS: 1 / 500 });
		expect(iso).toBe(take.scene.shot.body.iso[1]);
		expect(gain).toBeLessThan(0.2);
	});
});

import { describe, expect, it } from 'vitest';
import { BODIES, LENSES } from '$data/kit';
import { sampleDay } from '$data/sample/sampleDay';
import { adviceWords } from '$words/advice';
import { ahead, person, shotOf, type Sketch } from '$tests/support/shots';
import { study } from '$tests/support/solved';
import type { Shot } from '../format/shot';
import { readShot } from '../format/shotFile';
import { lightAllows } from '../study/light';
import { adviceFor } from './advice';
import { prospectOf } from './prospect';

/** Advice in good frames, and the ways of working among it. */

const byOdds = (sketch: Sketch): Shot =>
	shotOf({
		...sketch,
		choices: { pickBy: 'odds', shutterRule: 'computed', ...sketch.choices }
	});
const goodShare = (shot: Shot): number => {
	const { taken } = study(shot);
	return taken ? taken.candidate.chance.keeperShare(taken) : 0;
};
const advise = (shot: Shot) => adviceFor(study(shot), []);
const made = (shot: Shot, code: string) =>
	advise(shot).find(({ data }) => data.moves[0]?.code === code);

const children = (choices: Sketch['choices'] = {}) =>
	byOdds({
		people: [-0.4, 0.4].map((x, i) =>
			person(`c${i}`, [x, 1.1, 3], { build: 'child', motion: 'restless' })
		),
		light: { mode: 'ambient', ev100: 8 },
		choices
	});

describe('advice in good frames', () => {
	const shots = sampleDay(0).shots.map(({ shot }) => [shot.title, shot] as const);

	it.each(shots)('says what it brings, and is ordered by it: %s', (_, shot) => {
		const now = goodShare(shot);
		const met = prospectOf(study(shot))?.intents.met ?? 0;
		const all = advise(shot);
		for (const { data, shot: after } of all) {
			expect(data.goodShare).toBeCloseTo(goodShare(after), 12);
			expect(data.gainFrames).toBeCloseTo(100 * (goodShare(after) - now), 9);
		}
		const worth = all.map(
			({ data }) => Math.round(data.gainFrames) + 10 * Math.max(0, data.intentsMet - met)
		);
		expect(worth).toEqual(worth.toSorted((a, b) => b - a));
	});

	it('a stop may cost a few frames, less than a stop none', () => {
		for (const [, shot] of shots) {
			for (const { data } of advise(shot)) {
				if (data.gain.kind !== 'stops') continue;
				expect(data.gainFrames).toBeGreaterThan(data.gainStops < 1 ? -0.5 : -4);
			}
		}
	});
});

describe('ways of working', () => {
	it('restless children at a slow shutter: a faster one, with the ISO that it takes', () => {
		const faster = made(children({ shutterS: 1 / 60 }), 'faster-shutter');
		const [move] = faster?.data.moves ?? [];
		expect(move).toMatchObject({ code: 'faster-shutter', shutterS: 1 / 125 });
		expect(faster?.data.gainFrames).toBeGreaterThan(10);
		expect(faster?.shot.choices.shutterS).toBe(1 / 125);
	});

	it('nothing is told that the body cannot do', () => {
		const dim = byOdds({
			people: [ahead('p', 0.8, { build: 'infant', motion: 'restless' })],
			light: { mode: 'ambient', ev100: 7 }
		});
		for (const { shot } of advise(dim)) {
			const { taken } = study(shot);
			expect(taken && lightAllows(taken)).toBe(true);
		}
	});

	it('without a stabiliser in dim light something to lean on, a tripod, or a flash', () => {
		const dim = byOdds({
			body: BODIES.reflex24,
			lens: LENSES.portrait135,
			people: [ahead('p', 3)],
			light: { mode: 'ambient', ev100: 3 },
			choices: { shutterS: 1 / 60 }
		});
		const gain = (code: string, support?: string) =>
			advise(dim).find(({ data: { moves } }) => {
				const [move] = moves;
				return move?.code === code && (!support || ('support' in move && move.support === support));
			})?.data.gainFrames ?? 0;
		expect(gain('hold', 'braced')).toBeGreaterThan(5);
		expect(gain('hold', 'tripod')).toBeGreaterThan(gain('hold', 'braced'));
		expect(gain('flash')).toBeGreaterThan(5);
	});

	it('no flash into the eyes of infants and animals', () => {
		for (const build of ['infant', 'cat', 'dog'] as const) {
			const dim = byOdds({
				body: BODIES.reflex24,
				people: [ahead('p', 2, { build })],
				light: { mode: 'ambient', ev100: 3 }
			});
			expect(advise(dim).length).toBeGreaterThan(0);
			expect(made(dim, 'flash')).toBeUndefined();
		}
	});

	it('left to the camera, a point placed by hand saves frames (common practice, no source)', () => {
		const left = byOdds({ people: [ahead('p', 2)], choices: { focusBy: 'whole-frame' } });
		const point = advise(left).find(({ shot }) => shot.choices.focusBy === 'point');
		expect(point?.data.gainFrames).toBeGreaterThan(10);
	});

	it('a head turned 40 degrees close up: most take f/4 and the near eye (common practice, no source)', () => {
		const turned = byOdds({
			lens: LENSES.portrait85Fast,
			people: [ahead('p', 1.6, { turnDeg: 40 })],
			camera: { orientation: 'portrait' },
			light: { mode: 'ambient', ev100: 10 }
		});
		expect(study(turned).taken?.fNumber).toBeGreaterThan(6);
		const near = made(turned, 'near-eye');
		expect(near?.data.fNumber).toBeLessThanOrEqual(4);
		expect(near && adviceWords(near.data, turned, 'm').text).toMatch(
			/^Ask only for p’s near eye: /
		);
	});

	it('a third of a stop more where it is fixed too wide', () => {
		const two = byOdds({
			people: [ahead('a', 2.5), person('b', [0.5, 1.6, 2.6])],
			choices: { fNumberExact: 2.8 }
		});
		const third = made(two, 'third-more');
		expect(third?.data.fNumber).toBe(3.2);
		expect(third?.data.gainFrames).toBeGreaterThan(4);
	});

	it('what is advised can be kept: every shot is a valid one', () => {
		for (const shot of [children(), children({ shutterS: 1 / 60 })]) {
			for (const { shot: changed } of advise(shot)) {
				expect(readShot(JSON.parse(JSON.stringify(changed)))).toMatchObject({ ok: true });
			}
		}
	});
});

import { expect, it } from 'vitest';
import { adviceFor } from '$core/advice/advice';
import type { Shot } from '$core/format/shot';
import { LENSES } from '$data/kit';
import { sampleDay } from '$data/sample/sampleDay';
import { metricLengths } from '$tests/support/lengths';
import { ahead, person, shotOf } from '$tests/support/shots';
import { solve } from '$tests/support/solved';
import { adviceWords } from './advice';
import { cardOf } from './card';
import { framingProblemText } from './framing';
import { lightInShort } from './light';
import { reasonText } from './reasons';
import { verdictOf } from './verdict';

/** With feet chosen no metre, centimetre or millimetre of distance is left in anything that is said. */

const hard = shotOf({
	lens: LENSES.wide35,
	people: [0, 1, 2].map((row) =>
		person(`${row}`, [0.4 * row, 1.4 + 0.2 * row, 2.4 + row], { row })
	),
	choices: { fNumberExact: 2 }
});
const near = shotOf({ people: [ahead('near', 0.3)] });
const aside = shotOf({
	lens: LENSES.portrait85,
	people: [person('p', [0.5, 1.6, 1.8])],
	choices: { fNumberExact: 1.4 }
});
const shots: readonly Shot[] = [...sampleDay(0).shots.map(({ shot }) => shot), hard, near, aside];

it('the test itself finds metres', () => {
	expect(metricLengths('Step back 1.5 m with the 85 mm f/1.4')).toEqual(['1.5 m']);
	expect(metricLengths('at 70 mm, 30 mm behind it, 12 cm')).toEqual(['30 mm', '12 cm']);
	expect(metricLengths('12 ft, 3 in, EV 12, 1/160, 4 minutes')).toEqual([]);
});

function said(shot: Shot, units: 'm' | 'ft'): string[] {
	const solution = solve(shot);
	return [
		...solution.plan.reasons.map((reason) => reasonText(reason, shot, units)),
		...verdictOf(solution, units).sentences,
		JSON.stringify(cardOf(solution, null, units)),
		lightInShort(shot, units),
		...adviceFor(solution.study, Object.values(LENSES)).map(
			({ data }) => adviceWords(data, shot, units).text
		)
	];
}

it.each(shots.map((shot) => [shot.title, shot] as const))(
	'%s is told in feet and inches',
	(_, shot) => expect(said(shot, 'ft').flatMap(metricLengths)).toEqual([])
);

it('and in metres when metres are read', () => {
	expect(shots.flatMap((shot) => said(shot, 'm')).flatMap(metricLengths).length).toBeGreaterThan(
		20
	);
});

it('so is why a framing cannot be had', () => {
	const problems = [
		{ why: 'no-room', backM: 2.5, clearM: 0.5 },
		{ why: 'too-near', depthM: 0.4, closestFocusM: 0.45 },
		{ why: 'lens-too-long', shortestMm: 85, neededMm: 50 }
	] as const;
	const texts = problems.map((problem) => framingProblemText(problem, 'ft'));
	expect(texts.flatMap(metricLengths)).toEqual([]);
	expect(texts.join(' ')).toMatch(/8\.2 ft.*50 mm/);
});

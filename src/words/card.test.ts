import { describe, expect, it } from 'vitest';
import { sampleDay } from '$data/sample/sampleDay';
import { solve } from '$tests/support/solved';
import { asksForSomething } from '$core/study/study';
import { cardOf } from './card';
import { drawableOf } from '$ui/drawing/drawable';
import { frameShapes } from '$ui/drawing/frameShapes';

const solutions = sampleDay(0).shots.map(({ shot }) => {
	if (!asksForSomething(shot)) throw new Error('every shot of the sample day asks for something');
	return { title: shot.title, solution: solve(shot) };
});

describe.each(solutions)('the card of $title', ({ solution }) => {
	const card = cardOf(solution, null, 'm');
	const { plan, study } = solution;

	it('says the plan’s own f-number, shutter, ISO and flash', () => {
		expect(card.settings[0]).toEqual({ label: 'aperture', value: `f/${plan.fNumber}` });
		const labels = card.settings.map(({ label }) => label);
		expect(labels.includes('shutter')).toBe(plan.exposure !== null);
		expect(labels.includes('flash')).toBe((plan.exposure?.flashPower ?? null) !== null);
		expect(card.state === 'soft').toBe(!plan.feasible);
	});

	it('says how far, from the mark on the body, and how a face judges it', () => {
		const from = card.facts.find(({ label }) => label === 'from')?.value ?? '';
		expect(from).toMatch(/^[\d.]+ m from the sensor mark/);
		expect(from.includes('a face fills')).toBe((plan.focus?.personId ?? null) !== null);
	});

	it('names whom to look at: those with the least to spare, only where there are several', () => {
		const people = new Set(plan.targets.flatMap(({ personId }) => personId ?? []));
		expect(card.checks).toHaveLength(people.size < 2 ? 0 : 2);
		const worst = plan.targets
			.filter(({ personId }) => personId)
			.reduce((a, b) => (b.ratio > a.ratio ? b : a));
		const name = study.shot.people.find(({ id }) => id === worst.personId)?.name ?? '?';
		if (card.checks.length > 0) expect(card.checks[0]).toContain(name);
	});

	it('rings what is in focus, within the frame', () => {
		const { ring, width, height } = frameShapes(drawableOf(solution));
		const at = plan.focus?.frame ?? { x: NaN, y: NaN };
		const [dx, dy] = [
			(ring?.x ?? NaN) / width + 0.5 - at.x,
			(ring?.y ?? NaN) / height + 0.5 - at.y
		];
		// an eye lies on its head: nearer to the middle of the ring than its edge
		expect(Math.hypot(dx * width, dy * height)).toBeLessThan(ring?.radius ?? 0);
	});
});

import { describe, expect, it } from 'vitest';
import { Answer } from './answer.svelte';

interface Question {
	readonly n: number;
}

/** Work that is finished by hand. */
function byHand() {
	const waiting: { question: Question; done: (answer: string) => void; fail: () => void }[] = [];
	const answer = new Answer<Question, string>(
		(question) =>
			new Promise((resolve, reject) =>
				waiting.push({ question, done: resolve, fail: () => reject(new Error('it broke')) })
			)
	);
	const settle = async (how: (one: (typeof waiting)[number]) => void) => {
		const one = waiting.shift();
		if (!one) throw new Error('nothing is being worked on');
		how(one);
		await new Promise((resolve) => setTimeout(resolve, 0));
	};
	return { answer, waiting, settle };
}

describe('an answer', () => {
	const [one, two, three] = [{ n: 1 }, { n: 2 }, { n: 3 }];

	it('is given for its own question only', async () => {
		const { answer, settle } = byHand();
		answer.ask(one);
		expect(answer.to(one)).toBeNull();
		await settle(({ done }) => done('first'));
		expect(answer.to(one)).toBe('first');
		expect(answer.to(two)).toBeNull();
		expect(answer.to({ n: 1 })).toBeNull();
	});

	it('the newest question is worked on next, those between are dropped', async () => {
		const { answer, settle, waiting } = byHand();
		answer.ask(one);
		answer.ask(two);
		answer.ask(three);
		expect(waiting.map(({ question }) => question.n)).toEqual([1]);
		await settle(({ done }) => done('first'));
		expect(waiting.map(({ question }) => question.n)).toEqual([3]);
		await settle(({ done }) => done('third'));
		expect(answer.to(three)).toBe('third');
		expect(answer.to(one)).toBeNull();
	});

	it('work that breaks says so and leaves room for the next', async () => {
		const { answer, settle } = byHand();
		answer.ask(one);
		await settle(({ fail }) => fail());
		expect(answer.problem).toBe('it broke');
		answer.ask(two);
		await settle(({ done }) => done('second'));
		expect([answer.problem, answer.to(two)]).toEqual(['', 'second']);
	});
});

import { describe, expect, it } from 'vitest';
import { shared } from './shared';

const later = <T>(value: T) => new Promise<T>((resolve) => setTimeout(() => resolve(value), 1));
const sorted = (all: readonly number[]) => all.toSorted((a, b) => a - b);

describe('a list that two work at', () => {
	it('each is done once, by either', async () => {
		const by: string[] = [];
		const work = (who: string) => (one: number) => {
			by.push(who);
			return later(2 * one);
		};
		const done = await shared([1, 2, 3, 4, 5], work('first'), work('second'));
		expect(sorted(done)).toEqual([2, 4, 6, 8, 10]);
		expect(new Set(by).size).toBe(2);
	});

	it('what the second fails at, the first does, even when it was the last', async () => {
		let asked = 0;
		const done = await shared([1, 2], later<number>, async () => {
			asked++;
			await later(0);
			await later(0);
			await later(0);
			throw new Error('gone');
		});
		expect(sorted(done)).toEqual([1, 2]);
		expect(asked).toBe(1);
	});

	it('what the first fails at ends it for both', async () => {
		let helped = 0;
		const second = async (one: number) => {
			helped++;
			return later(one);
		};
		const broken = () => Promise.reject(new Error('broken'));
		await expect(shared([1, 2, 3, 4, 5, 6], broken, second)).rejects.toThrow('broken');
		const before = helped;
		await later(0);
		await later(0);
		expect(helped).toBe(before);
	});

	it('what the first fails at is thrown; alone it does everything', async () => {
		expect(await shared([3], later<number>, null)).toEqual([3]);
		await expect(shared([1], () => Promise.reject(new Error('broken')), null)).rejects.toThrow(
			'broken'
		);
	});
});

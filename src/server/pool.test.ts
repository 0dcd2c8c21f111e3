import { describe, expect, it, vi } from 'vitest';
import { Busy, Pool, TooLong, type PoolLimits, type Thread } from './pool';
import type { Answered, Asked } from './work';

/** A thread that answers when it is told to. */
class SlowThread implements Thread {
	asked: Asked | null = null;
	isTerminated = false;
	readonly #heard: ((answered: Answered) => void)[] = [];
	readonly #failed: ((error: Error) => void)[] = [];

	postMessage(asked: Asked) {
		this.asked = asked;
	}
	on(event: 'message' | 'error', heard: unknown) {
		if (event === 'message') this.#heard.push(heard as (answered: Answered) => void);
		else this.#failed.push(heard as (error: Error) => void);
	}
	unref() {
		// nothing to do
	}
	terminate() {
		this.isTerminated = true;
	}
	answer(body = 'done') {
		this.#heard.forEach((heard) => heard({ status: 200, body }));
	}
	fail() {
		this.#failed.forEach((heard) => heard(new Error('out of memory')));
	}
}

const BOUNDS: PoolLimits = {
	threads: 2,
	mostWaiting: 3,
	mostWaitingBytes: 100,
	mostMs: { plan: 1e6, 'plan-with-advice': 1e6, batch: 1e6, odds: 1e6 }
};

function somePool(more: Partial<PoolLimits> = {}) {
	const threads: SlowThread[] = [];
	const pool = new Pool(
		() => {
			const thread = new SlowThread();
			threads.push(thread);
			return thread;
		},
		{ ...BOUNDS, ...more }
	);
	const thread = (i: number) => threads[i] ?? new SlowThread();
	return { pool, threads, thread };
}

const asks = (kind: Asked['kind'] = 'plan', length = 1): Asked => ({
	kind,
	bytes: new Uint8Array(length)
});

describe('the pool', () => {
	it('has as many at work as it has threads; the next one begins when one is done', async () => {
		const { pool, threads, thread } = somePool();
		const [first, second, third] = [pool.run(asks()), pool.run(asks()), pool.run(asks('odds'))];
		expect(threads).toHaveLength(2);
		thread(1).answer('second');
		expect(await second).toMatchObject({ body: 'second' });
		expect(thread(1).asked?.kind).toBe('odds');
		thread(1).answer('third');
		thread(0).answer('first');
		expect([(await first).body, (await third).body]).toEqual(['first', 'third']);
		expect(threads).toHaveLength(2);
	});

	it('a queue has an end, in number and in bytes', async () => {
		const { pool } = somePool();
		const all = Array.from({ length: 5 }, () => pool.run(asks()));
		await expect(pool.run(asks())).rejects.toBeInstanceOf(Busy);
		expect(all).toHaveLength(5);
		const other = somePool().pool;
		for (let i = 0; i < 3; i++) void other.run(asks('plan', 60));
		await expect(other.run(asks('plan', 60))).rejects.toBeInstanceOf(Busy);
	});

	it('one thread is always left for what is short', () => {
		const { pool, threads, thread } = somePool();
		void pool.run(asks('batch'));
		void pool.run(asks('batch'));
		void pool.run(asks('plan'));
		expect(threads.map(({ asked }) => asked?.kind)).toEqual(['batch', 'plan']);
		thread(1).answer();
		expect(threads).toHaveLength(2);
		thread(0).answer();
		expect(threads.map(({ asked }) => asked?.kind)).toContain('batch');
	});

	it('gives up what nobody waits for any more, at work or waiting', async () => {
		const { pool, threads, thread } = somePool({ threads: 1 });
		const control = new AbortController();
		const working = pool.run(asks(), control.signal);
		const waiting = pool.run(asks('odds'), control.signal);
		const other = pool.run(asks('plan-with-advice'));
		control.abort(new Error('gone'));
		await expect(working).rejects.toThrow('gone');
		await expect(waiting).rejects.toThrow('gone');
		expect(thread(0).isTerminated).toBe(true);
		// another thread goes on with what is left; a late word of the first is nobody's
		const last = thread(threads.length - 1);
		expect(last.asked?.kind).toBe('plan-with-advice');
		thread(0).answer('late');
		last.answer('right');
		expect((await other).body).toBe('right');
	});

	it('what takes too long is given up', async () => {
		vi.useFakeTimers();
		const { pool, thread } = somePool({ threads: 1 });
		const long = pool.run(asks());
		const refused = expect(long).rejects.toBeInstanceOf(TooLong);
		vi.advanceTimersByTime(1e6 + 1);
		await refused;
		expect(thread(0).isTerminated).toBe(true);
		vi.useRealTimers();
	});

	it('a thread that dies at rest is not asked again', async () => {
		const { pool, thread } = somePool({ threads: 1 });
		const first = pool.run(asks());
		thread(0).answer();
		await first;
		thread(0).fail();
		const second = pool.run(asks('odds'));
		expect(thread(1).asked?.kind).toBe('odds');
		thread(1).answer('fine');
		expect((await second).body).toBe('fine');
	});

	it('a thread that dies takes its own task with it and no other', async () => {
		const { pool, thread } = somePool({ threads: 1 });
		const [lost, next] = [pool.run(asks()), pool.run(asks())];
		thread(0).fail();
		await expect(lost).rejects.toThrow('out of memory');
		thread(1).answer('fine');
		expect((await next).body).toBe('fine');
	});
});

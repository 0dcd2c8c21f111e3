import { proxy, wrap } from 'comlink';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { WorkerPort } from './port';
import { serve, type Service } from './protocol';

/** The page's half and the worker's half of the protocol, at the two ends of a real channel. */

type Sums = {
	sum: { question: readonly number[]; partial: number; answer: number };
	forever: { question: null; partial: number; answer: never };
	broken: { question: null; partial: never; answer: never };
	list: { question: number; partial: never; answer: readonly number[] };
};

/** What became of the work that never ends. */
let ended: string[] = [];
const workers: (MessagePort & { terminate(): void })[] = [];

function start(): Worker {
	const { port1, port2 } = new MessageChannel();
	port2.start();
	serve<Sums>(
		{
			sum: (numbers, { tell }) =>
				numbers.reduce((sum, one) => {
					tell(sum);
					return sum + one;
				}, 0),
			async forever(_, { breathe }) {
				try {
					for (;;) {
						await breathe();
						await new Promise((resolve) => setTimeout(resolve, 1));
					}
				} catch (error) {
					ended.push((error as Error).message);
					throw error;
				}
			},
			broken() {
				throw new Error('no such shot');
			},
			list: (length) => Array.from({ length }, (_, i) => i)
		},
		port2
	);
	const worker = Object.assign(port1, {
		terminate() {
			port1.close();
			port2.close();
		}
	});
	workers.push(worker);
	return worker as unknown as Worker;
}

afterEach(() => {
	for (const worker of workers.splice(0)) worker.terminate();
	ended = [];
});

describe('a worker that is asked', () => {
	it('answers when all that it knew meanwhile has been heard', async () => {
		const port = new WorkerPort<Sums>(start);
		const told: number[] = [];
		expect(await port.ask('sum', [1, 2, 3], { tell: (one) => told.push(one) })).toBe(6);
		expect(told).toEqual([0, 1, 3]);
		// also when that takes longer on its way than the answer
		const slow = wrap<Service>(start());
		const heard: unknown[] = [];
		const hear = async (one: unknown) => {
			await new Promise((resolve) => setTimeout(resolve, 5));
			heard.push(one);
		};
		expect(await slow.ask('sum', [1, 2, 3], 1, proxy(hear))).toBe(6);
		expect(heard).toEqual([0, 1, 3]);
	});

	it('is started once, for all questions', async () => {
		const port = new WorkerPort<Sums>(start);
		expect(await Promise.all([port.ask('sum', [1]), port.ask('sum', [2, 2])])).toEqual([1, 4]);
		expect(workers).toHaveLength(1);
	});

	it('says why it has no answer, and goes on answering', async () => {
		const port = new WorkerPort<Sums>(start);
		await expect(port.ask('broken', null)).rejects.toThrow('no such shot');
		expect(await port.ask('sum', [4])).toBe(4);
	});

	it('stops when the question is taken back; other questions go on', async () => {
		const port = new WorkerPort<Sums>(start);
		const control = new AbortController();
		const asked = port.ask('forever', null, { signal: control.signal });
		await new Promise((resolve) => setTimeout(resolve, 30));
		expect(await port.ask('sum', [1, 1])).toBe(2);
		expect(ended).toEqual([]);
		control.abort(new Error('another question came'));
		await expect(asked).rejects.toThrow('another question came');
		await vi.waitFor(() => expect(ended).toEqual(['taken back']));
	});

	it('keeps no answer that nobody needs any more', async () => {
		setFlagsFromString('--expose-gc');
		const collect = runInNewContext('gc') as () => void;
		const port = new WorkerPort<Sums>(start);
		const control = new AbortController();
		const asked = async () => new WeakRef(await port.ask('list', 1000, { signal: control.signal }));
		const answers = [await asked(), await asked()];
		await vi.waitFor(() => {
			collect();
			expect(answers.filter((one) => one.deref() !== undefined)).toHaveLength(0);
		});
		// the worker and whoever may take a question back are still there
		expect(workers).toHaveLength(1);
		expect(control.signal.aborted).toBe(false);
	});

	it('is not even started for a question that was taken back before', async () => {
		const port = new WorkerPort<Sums>(start);
		const signal = AbortSignal.abort(new Error('too late'));
		await expect(port.ask('sum', [1], { signal })).rejects.toThrow('too late');
		expect(workers).toHaveLength(0);
	});

	it('that dies says so to everybody who waits, and the next question starts another', async () => {
		const port = new WorkerPort<Sums>(start);
		const control = new AbortController();
		const waiting = port.ask('forever', null, { signal: control.signal });
		workers[0]?.dispatchEvent(new Event('error'));
		await expect(waiting).rejects.toThrow('this part of the app could not be loaded');
		expect(await port.ask('sum', [5])).toBe(5);
		expect(workers).toHaveLength(2);
		// nobody is there any more who could be told; that is no error
		control.abort();
		await new Promise((resolve) => setTimeout(resolve, 5));
	});
});

import { describe, expect, it } from 'vitest';
import { readBody } from './bodies';

const requestOf = (body: BodyInit | ReadableStream) =>
	new Request('http://focalis.test/', {
		method: 'POST',
		body,
		duplex: 'half'
	} as RequestInit);
const never = () => new ReadableStream({ pull: () => new Promise(() => undefined) });

describe('what clients send', () => {
	it('is read up to its bound, and not a byte more', async () => {
		const read = await readBody(requestOf('x'.repeat(100)), 100);
		expect(read.kind === 'read' && read.bytes.length).toBe(100);
		expect((await readBody(requestOf('x'.repeat(101)), 100)).kind).toBe('too-large');
	});

	it('is not waited for without end', async () => {
		expect((await readBody(requestOf(never()), 100, 20)).kind).toBe('too-slow');
	});

	it('is refused when too many are being read; afterwards there is room again', async () => {
		const slow = Array.from({ length: 128 }, () => readBody(requestOf(never()), 100, 50));
		expect((await readBody(requestOf('x'), 100)).kind).toBe('busy');
		for (const { kind } of await Promise.all(slow)) expect(kind).toBe('too-slow');
		expect((await readBody(requestOf('x'), 100)).kind).toBe('read');
	});

	it('is refused when too many bytes of it are held', async () => {
		const megabyte = new Uint8Array(1024 * 1024);
		const stuck = () => {
			let sent = 0;
			return new ReadableStream({
				pull(controller) {
					if (sent++ < 7) controller.enqueue(megabyte);
					else return new Promise(() => undefined);
				}
			});
		};
		const held = Array.from({ length: 10 }, () =>
			readBody(requestOf(stuck()), 8 * 1024 * 1024, 300)
		);
		const kinds = (await Promise.all(held)).map(({ kind }) => kind);
		expect(kinds).toContain('busy');
		expect((await readBody(requestOf(megabyte), 8 * 1024 * 1024)).kind).toBe('read');
	});
});

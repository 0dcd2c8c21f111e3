import { unzipSync, strFromU8 } from 'fflate';
import { describe, expect, it } from 'vitest';
import { zipped, type Zipped } from './zip';

const bytesOf = (files: AsyncIterable<Zipped>) => new Response(zipped(files)).bytes();

describe('a ZIP', () => {
	it('gives back what went in, as it came', async () => {
		const read: string[] = [];
		async function* files() {
			for (const name of ['one.jpg', 'two.jpg']) {
				read.push(name);
				await Promise.resolve();
				yield { name, content: new Blob([`what is in ${name}`]) };
			}
		}
		const bytes = await bytesOf(files());
		const found = unzipSync(bytes);
		expect(Object.keys(found)).toEqual(read);
		expect(strFromU8(found['two.jpg'] ?? new Uint8Array())).toBe('what is in two.jpg');
	});

	it('asks its source for no more than is read, and stops it with the reader', async () => {
		let [given, isStopped] = [0, false];
		async function* files() {
			try {
				for (;;) {
					given += 1;
					await Promise.resolve();
					yield { name: `${given}.jpg`, content: new Blob(['x'.repeat(1000)]) };
				}
			} finally {
				isStopped = true;
			}
		}
		const reader = zipped(files()).getReader();
		for (let i = 0; i < 6; i++) await reader.read();
		expect(given).toBeLessThan(5);
		await reader.cancel();
		expect(isStopped).toBe(true);
	});

	it('fails when its source does, instead of being cut short', async () => {
		async function* broken() {
			yield { name: 'one', content: new Blob(['1']) };
			await Promise.resolve();
			throw new Error('the camera stopped');
		}
		await expect(bytesOf(broken())).rejects.toThrow();
	});
});

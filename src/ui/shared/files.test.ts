import { describe, expect, it } from 'vitest';
import { writeShotText } from '$core/format/shotFile';
import { ahead, shotOf } from '$tests/support/shots';
import { readShotFile } from './files';

describe('a file that was chosen or dropped', () => {
	it('is read as the shot it holds', async () => {
		const shot = shotOf({ people: [ahead('Noor', 3)] });
		const file = new File([writeShotText(shot)], 'steps.focalis.json');
		expect(await readShotFile(file)).toEqual({ ok: true, shot });
	});

	it('is refused by its size before anything of it is read', async () => {
		const file = new File([new Uint8Array(1024 * 1024 + 1)], 'film.mov');
		Object.defineProperty(file, 'text', { value: () => Promise.reject(new Error('was read')) });
		expect(await readShotFile(file)).toMatchObject({
			ok: false,
			message: '“film.mov” is too large for a shot file (over 1 MB).'
		});
	});

	it('that cannot be read says so', async () => {
		const file = new File(['{}'], 'gone.json');
		Object.defineProperty(file, 'text', { value: () => Promise.reject(new Error('gone')) });
		expect(await readShotFile(file)).toMatchObject({
			ok: false,
			message: '“gone.json” cannot be read from this device.'
		});
	});
});

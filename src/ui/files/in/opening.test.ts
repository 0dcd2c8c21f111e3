import { describe, expect, it } from 'vitest';
import { writeShotText } from '$core/format/shotFile';
import { ahead, shotOf } from '$tests/support/shots';
import { readChosen } from './opening';

describe('a file that was chosen or dropped', () => {
	it('is read as the shot it holds', async () => {
		const shot = shotOf({ people: [ahead('Noor', 3)] });
		const file = new File([writeShotText(shot)], 'steps.focalis.json');
		expect(await readChosen(file)).toEqual({ ok: true, opened: { kind: 'shot', shot } });
	});

	it('is refused by its size before anything of it is read', async () => {
		const file = new File([new Uint8Array(256 * 1024 * 1024 + 1)], 'film.mov');
		Object.defineProperty(file, 'text', { value: () => Promise.reject(new Error('was read')) });
		expect(await readChosen(file)).toMatchObject({
			ok: false,
			message: '“film.mov” is too large for a file of Focalis (over 256 MB).'
		});
	});

	it('that cannot be read says so', async () => {
		const file = new File(['{}'], 'gone.json');
		Object.defineProperty(file, 'text', { value: () => Promise.reject(new Error('gone')) });
		expect(await readChosen(file)).toMatchObject({
			ok: false,
			message: '“gone.json” cannot be read from this device.'
		});
	});
});

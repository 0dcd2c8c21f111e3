import { problemsOf, type Problem } from './problems';
import { ShotSchema, type Shot } from './shot';

/** Reading and writing shot files. Nothing here throws; a bad file is told apart by its code. */

/** Largest shot file or request, bytes. */
export const SHOT_BYTES = 1024 * 1024;

export type Refusal = {
	readonly ok: false;
	readonly code: 'not-json' | 'not-a-shot' | 'newer-version' | 'invalid';
	readonly message: string;
	readonly problems: readonly Problem[];
};

export type ShotReading = { readonly ok: true; readonly shot: Shot } | Refusal;

export const refuse = (
	code: Refusal['code'],
	message: string,
	problems: readonly Problem[] = []
): Refusal => ({ ok: false, code, message, problems });

/**
 * Reads the text of a shot file.
 * @example readShotText('{') // { ok: false, code: 'not-json', … }
 */
export function readShotText(text: string): ShotReading {
	let value: unknown;
	try {
		value = JSON.parse(text.replace(/^\uFEFF/, ''));
	} catch {
		return refuse('not-json', 'This file is damaged or is not a shot file: it cannot be read.');
	}
	if (!isObject(value) || value['format'] !== 'focalis-shot') {
		return refuse('not-a-shot', 'This file is not a Focalis shot.');
	}
	return readShot(value);
}

/** Validates a parsed value as a shot and fills in the defaults. */
export function readShot(value: unknown): ShotReading {
	if (isObject(value) && typeof value['version'] === 'number' && value['version'] > 1) {
		return refuse(
			'newer-version',
			'This shot was saved by a newer Focalis. Bring this one up to date to open it.'
		);
	}
	const result = ShotSchema.safeParse(value);
	if (result.success) return { ok: true, shot: result.data };
	return refuse('invalid', 'Something in this shot is not right.', problemsOf(result.error));
}

/** The text of a shot file. */
export function writeShotText(shot: Shot): string {
	return JSON.stringify(shot, null, '\t') + '\n';
}

export function isObject(value: unknown): value is Record<string, unknown> {
	return typeof value === 'object' && value !== null && !Array.isArray(value);
}

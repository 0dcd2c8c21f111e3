import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ahead, shotInput, shotOf, thing } from '$tests/support/shots';
import { readBatch } from './batch';
import { planJsonSchema, shotJsonSchema } from './jsonSchema';
import { readShot, readShotText, writeShotText } from './shotFile';

const valid = () =>
	shotInput({ people: [ahead('a', 3), ahead('b', 4)], things: [thing('t', [0, 1, 5])] });

/** The valid shot with one place changed, by its path. */
function withChange(path: string, value: unknown): unknown {
	const shot = structuredClone(valid()) as Record<string, unknown>;
	const keys = path.split('.');
	const last = keys.pop() as string;
	let at: Record<string, unknown> = shot;
	for (const key of keys) at = (at[key] ??= {}) as Record<string, unknown>;
	at[last] = value;
	return shot;
}

function problems(value: unknown) {
	const reading = readShot(value);
	return reading.ok ? [] : reading.problems.map(({ path, message }) => `${path}: ${message}`);
}

describe('reading a shot', () => {
	it('fills in every default', () => {
		const shot = shotOf({ people: [ahead('a', 3)] });
		expect(shot).toMatchObject({
			notes: '',
			sharpness: { standard: 'screen' },
			choices: { safetyStops: 1 / 3, shutterRule: 1, pickBy: 'widest' },
			camera: { panDeg: 0, tiltDeg: 0, orientation: 'landscape', support: 'handheld' }
		});
		expect(shot.people[0]).toMatchObject({
			build: 'adult',
			turnDeg: 0,
			need: 'sharp',
			keep: 'both-eyes',
			motion: 'still'
		});
		const minimal = readShot({
			...valid(),
			body: { name: 'b', sensor: valid().body.sensor },
			lens: {
				name: 'l',
				focalMm: [50, 50],
				widestFNumber: [1.4, 1.4],
				smallestFNumber: 16,
				closestFocusM: 0.45
			}
		});
		expect(minimal).toMatchObject({
			ok: true,
			shot: {
				body: { focusGrid: { columns: 25, rows: 17 }, iso: [100, 12800], syncSpeedS: 1 / 200 },
				lens: { fieldBend: 0, stabiliserStops: 0 }
			}
		});
	});

	it('comes back from its own text as it was', () => {
		const shot = shotOf({ people: [ahead('Noor', 3)], things: [thing('Τέντα 🎪', [0, 1, 5])] });
		expect(readShotText(writeShotText(shot))).toEqual({ ok: true, shot });
		expect(readShotText('\uFEFF' + writeShotText(shot))).toEqual({ ok: true, shot });
	});

	// each: where, what stands there, what is said
	it.each([
		['title', undefined, 'the title is missing'],
		['title', '', 'the title must not be empty'],
		['title', 'x'.repeat(121), 'the title may be at most 120 characters long'],
		['title', 7, 'the title must be text'],
		['body', undefined, 'the body is missing'],
		['body.sensor.widthMm', 2, 'the sensor’s long side must lie between 3 and 60 mm'],
		[
			'body.sensor.heightMm',
			40,
			'the sensor’s height must not exceed its width: the long side counts as the width'
		],
		['body.sensor.pixelsAcross', 600.5, 'the pixels along the long side must be a whole number'],
		['body.iso', [400, 100], 'the lowest ISO must not exceed the highest'],
		['lens.focalMm', [200, 70], 'the short end of the zoom must come first'],
		['lens.focalMm', [50], 'the focal length must be a list of two numbers'],
		['lens.widestFNumber', [0.5, 0.5], null],
		['lens.smallestFNumber', 65, 'the smallest aperture must lie between 0.7 and 64'],
		[
			'lens',
			{ ...valid().lens, widestFNumber: [8, 8], smallestFNumber: 5 },
			'the smallest aperture must not be wider than the widest one'
		],
		['lens.closestFocusM', 0, 'the closest focus must lie between 0.05 and 10 m'],
		['lens.fieldBend', 1.5, 'the bend of the focus surface must lie between -1 and 1'],
		['camera.focalMm', 85, 'the focal length used must lie within the lens’s own range'],
		['camera.tiltDeg', 90, 'the tilt must lie between -85 and 85 degrees'],
		['camera.position.x', 501, 'the camera’s position: x must lie between -500 and 500 m'],
		[
			'camera.support',
			'drone',
			'the support must be one of: handheld, braced, kneeling, monopod, tripod'
		],
		['people.1.turnDeg', 181, 'the turn of the head must lie between -180 and 180 degrees'],
		['people.1.turnDeg', '45', 'the turn of the head must be a number'],
		['people.0.row', 1.5, 'the row must be a whole number'],
		['people.0.build', 'horse', 'the build must be one of: adult, child, infant, cat, dog'],
		['people.1.id', 'a', 'two people or things share the id “a”; each needs its own'],
		['things.0.id', 'b', 'two people or things share the id “b”; each needs its own'],
		[
			'things.0.detailMm',
			0.1,
			'the size of the detail that matters must lie between 0.5 and 5000 mm'
		],
		[
			'sharpness',
			{ standard: 'poster' },
			'what counts as sharp must be one of: album, screen, pixel, print'
		],
		['sharpness', { standard: 'print' }, null],
		['light', { mode: 'candle' }, 'the light must be ambient or flash'],
		['choices.focus', { personId: 'zoe' }, null],
		['choices.focus', { thingId: 'a' }, null],
		[
			'choices.focus',
			{ personId: 'a', depthM: 3 },
			'the focus must name a person, a thing or a depth, and nothing else'
		],
		['choices.safetyStops', 3, 'the margin must lie between 0 and 2 stops'],
		['body.comfortIso', 25600, 'the highest ISO you like must lie within what the body has'],
		['choices.shutterS', 1 / 16000, 'the shutter must not be faster than the body’s fastest'],
		['choices.isoRule', 50, 'the ISO must lie between the body’s 100 and 12800'],
		['choices.sureness', 0.3, 'how sure must lie between 0.5 and 0.99'],
		['choices.shutterRule', 3, 'the shutter rule must be 1, 2 or computed'],
		['version', 0, 'this version of the shot file is not known here'],
		['people', 'everyone', 'the people must be a list']
	])('%s: %j', (path, value, message) => {
		const found = problems(withChange(path, value));
		expect(found.length).toBeGreaterThan(0);
		expect(found[0]?.startsWith(path)).toBe(true);
		if (message) expect(found[0]?.endsWith(`: ${message}`)).toBe(true);
	});

	it('says who is not there to focus on', () => {
		expect(problems(withChange('choices.focus', { personId: 'zoe' }))).toEqual([
			'choices.focus.personId: nobody in this shot has the id “zoe” to focus on'
		]);
		expect(problems(withChange('choices.focus', { thingId: 'a' }))).toEqual([
			'choices.focus.thingId: nothing in this shot has the id “a” to focus on'
		]);
	});

	it.each(['zoom', 'people.1.hat', 'body.maker', 'choices.iso'])(
		'refuses the unknown key %s',
		(path) => {
			const [found] = problems(withChange(path, 1));
			expect(found?.startsWith(`${path}: `)).toBe(true);
			expect(found).toContain(`has something unknown here: “${path.split('.').at(-1)}”`);
		}
	);

	it('bounds what there can be', () => {
		const people = Array.from({ length: 81 }, (_, i) => ahead(`p${i}`, 3 + i));
		expect(problems({ ...valid(), people })).toEqual(['people: the people may hold at most 80']);
		const things = Array.from({ length: 41 }, (_, i) => thing(`x${i}`, [0, 1, 3]));
		expect(problems({ ...valid(), things })).toEqual(['things: the things may hold at most 40']);
	});

	it.each([NaN, Infinity, -Infinity])('refuses %d wherever a number is wanted', (value) => {
		expect(problems(withChange('people.0.eyeMidpoint.z', value))).not.toEqual([]);
		expect(problems(withChange('lens.closestFocusM', value))).not.toEqual([]);
	});

	it('a focal length that went through a slider is let pass', () => {
		expect(problems(withChange('camera.focalMm', 50 + 1e-12))).toEqual([]);
	});

	it('tells at most fifty problems, on paths of bounded length', () => {
		const people = Array.from({ length: 80 }, () => ({}));
		expect(problems({ ...valid(), people })).toHaveLength(50);
		const [found] = problems({ ...valid(), ['x'.repeat(5000)]: 1 });
		expect(found?.length).toBeLessThan(400);
	});
});

describe('a bad file', () => {
	const code = (text: string) => {
		const reading = readShotText(text);
		return reading.ok ? 'ok' : reading.code;
	};

	it.each([
		['', 'not-json'],
		['{', 'not-json'],
		['a letter', 'not-json'],
		['[]', 'not-a-shot'],
		['null', 'not-a-shot'],
		['42', 'not-a-shot'],
		['{"format":"something-else"}', 'not-a-shot'],
		['{"format":"focalis-shot","version":2}', 'newer-version'],
		['{"format":"focalis-shot","version":1}', 'invalid'],
		['{"format":"focalis-shot","version":"1"}', 'invalid'],
		['{"format":"focalis-shot","version":1,"__proto__":{"title":"x"}}', 'invalid']
	])('%s: %s', (text, expected) => {
		expect(code(text)).toBe(expected);
	});

	it('of a newer version says what to do', () => {
		const reading = readShot({ ...valid(), version: 2 });
		expect(reading).toMatchObject({ ok: false, message: expect.stringContaining('newer Focalis') });
	});

	it('nested ten thousand deep does no harm', () => {
		const deep = '{"a":'.repeat(10_000) + '1' + '}'.repeat(10_000);
		expect(['not-a-shot', 'not-json']).toContain(code(deep));
		const inShot = writeShotText(shotOf({ people: [] })).replace('"A test shot"', deep);
		expect(['invalid', 'not-json']).toContain(code(inShot));
	});

	it('of any content is refused or read, never thrown', () => {
		fc.assert(
			fc.property(fc.jsonValue(), (value) => {
				expect(readShot(value).ok).toBe(false);
				expect(readShotText(JSON.stringify(value)).ok).toBe(false);
			})
		);
	});
});

describe('a batch', () => {
	it('takes up to 200 shots of any content', () => {
		expect(readBatch({ shots: [1, 'x', null] })).toEqual({ ok: true, shots: [1, 'x', null] });
		const many = readBatch({ shots: Array.from({ length: 201 }, () => 0) });
		expect(many).toMatchObject({ ok: false, problems: [{ path: 'shots' }] });
	});

	it.each([null, {}, { shots: 3 }, { shots: [], more: 1 }])('refuses %j', (value) => {
		expect(readBatch(value).ok).toBe(false);
	});
});

describe('the published schemas', () => {
	it('the shot’s needs only what has no default', () => {
		const schema = shotJsonSchema() as { required?: string[]; additionalProperties?: boolean };
		expect(schema.required).toEqual(['format', 'version', 'title', 'body', 'lens', 'camera']);
		expect(schema.additionalProperties).toBe(false);
	});

	it('the plan’s names every key of the plan', () => {
		const { properties = {} } = planJsonSchema() as { properties?: Record<string, unknown> };
		expect(Object.keys(properties)).toEqual(
			expect.arrayContaining(['focus', 'fNumberExact', 'ladder', 'free', 'schools', 'slack'])
		);
	});
});

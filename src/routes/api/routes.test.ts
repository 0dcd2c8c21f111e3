import { describe, expect, it } from 'vitest';
import { ahead, shotInput } from '$tests/support/shots';
import { OddsSchema } from '$core/format/odds';
import { PlanSchema } from '$core/format/plan';
import { oddsOf } from '$core/odds/odds';
import { readShot } from '$core/format/shotFile';
import { takeOf } from '$tests/support/solved';
import { ASSUMED } from '$core/tables/spreads';
import * as odds from './odds/+server';
import * as health from './health/+server';
import * as openapi from './openapi.json/+server';
import * as plan from './plan/+server';
import * as batch from './plan/batch/+server';
import * as shotSchema from './schema/shot/+server';

/** The handlers as they answer requests; tests/server.spec.ts drives the real server. */

type Handler = (event: { request: Request; url: URL }) => Response | Promise<Response>;

async function post(handler: unknown, body: BodyInit, type = 'application/json', query = '') {
	const url = new URL(`http://focalis.test/${query}`);
	const request = new Request(url, {
		method: 'POST',
		body,
		headers: { 'content-type': type }
	});
	const response = await (handler as Handler)({ request, url });
	return { status: response.status, body: await response.json() };
}

const shot = (title = 'A shot') => ({ ...shotInput({ people: [ahead('Noor', 3)] }), title });

describe('a plan', () => {
	it('comes back for a shot, as its schema says', async () => {
		const { status, body } = await post(plan.POST, JSON.stringify(shot()));
		expect(status).toBe(200);
		expect(PlanSchema.parse(body)).toEqual(body);
		expect(body.focus.personId).toBe('Noor');
		// advice takes longer than all the rest: it is there where it was asked for
		expect(body).not.toHaveProperty('advice');
	});

	it('has exposure, technique, advice and cautions, and explains what cannot be', async () => {
		const dark = {
			...shotInput({
				people: [ahead('Noor', 1.5, { turnDeg: 40 })],
				choices: { fNumberExact: 1.4 }
			}),
			light: { mode: 'flash', guideNumberM: 12, distanceM: 14, ambientEv100: 2 }
		};
		const { status, body } = await post(plan.POST, JSON.stringify(dark), undefined, '?advice=1');
		expect(status).toBe(200);
		expect(PlanSchema.parse(body)).toEqual(body);
		expect(body.exposure).toMatchObject({ flashPower: 1, flags: ['no-power'] });
		expect(body.focus).toMatchObject({ technique: 'move-point', point: { column: 11, row: 8 } });
		expect(body.advice.map(({ code }: { code: string }) => code)).toContain('turn-head');
		expect(body.advice.every((one: object) => !('shot' in one))).toBe(true);
		expect(body.cautions.map(({ code }: { code: string }) => code)).toContain('flash-people');
		const short = body.reasons.find(({ code }: { code: string }) => code === 'no-power');
		expect(short.text).toMatch(/short of power/);
	});

	it.each([
		['{', 400, 'not-json'],
		[new Uint8Array([0x22, 0xff, 0xfe, 0x22]), 400, 'not-json'],
		['', 400, 'not-json'],
		['null', 422, 'invalid'],
		['[1]', 422, 'invalid'],
		[JSON.stringify({ ...shotInput(), version: 3 }), 422, 'newer-version'],
		[JSON.stringify(shotInput()), 422, 'asks-for-nothing']
	])('%s: %d %s', async (body, status, code) => {
		const answer = await post(plan.POST, body);
		expect(answer.status).toBe(status);
		expect(answer.body.error).toMatchObject({ code, message: expect.any(String) });
		expect(answer.body.error.issues).toBeInstanceOf(Array);
	});

	it('says where and why, as in people.0.turnDeg', async () => {
		const bad = shot();
		const [person] = bad.people ?? [];
		const body = JSON.stringify({ ...bad, people: [{ ...person, turnDeg: 400 }] });
		expect((await post(plan.POST, body)).body.error.issues).toEqual([
			{
				path: 'people.0.turnDeg',
				message: 'the turn of the head must lie between -180 and 180 degrees'
			}
		]);
	});

	it('refuses another content type', async () => {
		for (const type of ['text/plain', 'multipart/form-data', '']) {
			expect((await post(plan.POST, JSON.stringify(shot()), type)).status).toBe(415);
		}
		const withCharset = 'Application/JSON; charset=utf-8';
		expect((await post(plan.POST, JSON.stringify(shot()), withCharset)).status).toBe(200);
	});

	it('refuses more than 1 MiB, whether it says its size or not', async () => {
		const large = JSON.stringify({ ...shot(), notes: 'x'.repeat(1024 * 1024) });
		expect((await post(plan.POST, large)).status).toBe(413);
		const stream = new Blob([large]).stream();
		const init = { method: 'POST', body: stream, duplex: 'half' };
		const request = new Request('http://focalis.test/', {
			...(init as RequestInit),
			headers: { 'content-type': 'application/json' }
		});
		const url = new URL(request.url);
		expect((await (plan.POST as Handler)({ request, url })).status).toBe(413);
	});
});

describe('a batch', () => {
	it('answers in order, and one bad shot does not sink the rest', async () => {
		const shots = [shot('one'), { nonsense: true }, shot('three')];
		const { status, body } = await post(batch.POST, JSON.stringify({ shots }));
		expect(status).toBe(200);
		expect(body.results).toHaveLength(3);
		expect(body.results[0].format).toBe('focalis-plan');
		expect(body.results[1].error.code).toBe('invalid');
		expect(body.results[2].feasible).toBe(true);
	});

	it('is bounded in number and in size', async () => {
		const many = { shots: Array.from({ length: 201 }, () => 0) };
		const answer = await post(batch.POST, JSON.stringify(many));
		expect(answer.status).toBe(422);
		expect(answer.body.error.issues).toEqual([
			{ path: 'shots', message: 'the batch may hold at most 200' }
		]);
		expect((await post(batch.POST, ' '.repeat(8 * 1024 * 1024 + 1))).status).toBe(413);
	});
});

describe('what is only read', () => {
	const get = async (handler: unknown) => {
		const response = await (handler as () => Response)();
		return { status: response.status, headers: response.headers, body: await response.json() };
	};

	it('health', async () => {
		expect((await get(health.GET)).body).toEqual({ status: 'ok', version: expect.any(String) });
	});

	it('the shot as JSON Schema', async () => {
		expect((await get(shotSchema.GET)).body).toMatchObject({ type: 'object' });
	});

	it('the description of all routes resolves its references', async () => {
		const { body } = await get(openapi.GET);
		expect(Object.keys(body.paths)).toEqual([
			'/api/health',
			'/api/plan',
			'/api/plan/batch',
			'/api/odds',
			'/api/schema/shot',
			'/api/schema/plan',
			'/api/openapi.json'
		]);
		const references = [...JSON.stringify(body).matchAll(/"#\/components\/schemas\/(\w+)"/g)];
		expect(references.length).toBeGreaterThan(3);
		for (const [, name] of references) expect(body.components.schemas).toHaveProperty([name ?? '']);
	});

	it('another method is told which one is meant', async () => {
		const answer = await get(health.fallback);
		expect([answer.status, answer.headers.get('allow')]).toEqual([405, 'GET, HEAD']);
		expect((await get(plan.fallback)).headers.get('allow')).toBe('POST');
	});
});

describe('odds', () => {
	const ask = (more: object = {}) => post(odds.POST, JSON.stringify({ shot: shot(), ...more }));

	it('are the same numbers as the browser counts for the same seed', async () => {
		const { status, body } = await ask({ frames: 500, seed: 9 });
		expect(status).toBe(200);
		expect(OddsSchema.parse(body)).toEqual(body);
		const reading = readShot(shot());
		if (!reading.ok) throw new Error(reading.message);
		const take = takeOf(reading.shot);
		expect(body).toMatchObject({ seed: 9, ...oddsOf(take, 500, 9, ASSUMED) });
		expect((await ask({ frames: 500, seed: 10 })).body.share).not.toBe(body.share);
	});

	it('rest on one’s own spreads where they are given', async () => {
		const steady = {
			handheldMm: 0.5,
			shake: 0,
			blinksPerMinute: 0,
			middlePoint: 0,
			lensBias: { 'A lens': { biasMm: 0.01, frames: 9 } }
		};
		const own = await ask({ frames: 500, spreads: steady });
		expect(own.body.share).toBeGreaterThan((await ask({ frames: 500 })).body.share);
	});

	it.each([
		[{ frames: 20_001 }, 'frames'],
		[{ frames: 0 }, 'frames'],
		[{ seed: 0.5 }, 'seed'],
		[{ spreads: { handheldMm: -1 } }, 'spreads.handheldMm'],
		[
			{ spreads: { lensBias: { 'A lens': { biasMm: 2, frames: 9 } } } },
			'spreads.lensBias.A lens.biasMm'
		],
		[{ shot: { ...shot(), title: '' } }, 'shot.title'],
		[{ tries: 3 }, 'tries']
	])('%o is refused in words: %s', async (more, path) => {
		const { status, body } = await ask(more);
		expect(status).toBe(422);
		expect(body.error.issues[0].path).toBe(path);
	});

	it('a shot that asks for nothing has none', async () => {
		const { status, body } = await ask({ shot: shotInput() });
		expect([status, body.error.code]).toEqual([422, 'asks-for-nothing']);
	});
});

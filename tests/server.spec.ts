import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { expect, test } from '@playwright/test';

/** The built server as scripts and studios meet it. */

const [example] = JSON.parse(readFileSync('src/core/study/examples.json', 'utf8')) as {
	shot: object;
	plan: { fNumberExact: number };
}[];
if (!example) throw new Error('no example');

test('plans a shot, alone and in a batch', async ({ request }) => {
	const one = await request.post('/api/plan', { data: example.shot });
	expect(one.status()).toBe(200);
	const exactly: unknown = expect.closeTo(example.plan.fNumberExact, 6);
	expect(await one.json()).toMatchObject({ fNumberExact: exactly });
	const many = await request.post('/api/plan/batch', { data: { shots: [example.shot, {}] } });
	const { results } = (await many.json()) as { results: object[] };
	expect(results[0]).toMatchObject({ fNumberExact: exactly });
	expect(results[1]).toHaveProperty('error.code', 'invalid');
});

test('answers every kind of bad input as it says, and goes on', async ({ request }) => {
	const json = { 'content-type': 'application/json' };
	const statuses = [
		await request.post('/api/plan', { data: Buffer.from('{'), headers: json }),
		await request.post('/api/plan', { data: 'title', headers: { 'content-type': 'text/plain' } }),
		await request.post('/api/plan', { data: Buffer.alloc(1024 * 1024 + 1, 32), headers: json }),
		await request.post('/api/plan', { data: { format: 'focalis-shot' } }),
		await request.get('/api/plan'),
		await request.delete('/api/health'),
		await request.get('/api/nothing'),
		await request.post('/api/nothing', { data: {} }),
		await request.post('/api/plan', { data: Buffer.alloc(500_000, '['), headers: json })
	];
	expect(statuses.map((answer) => answer.status())).toEqual([
		400, 415, 413, 422, 405, 405, 404, 404, 400
	]);
	for (const answer of statuses) {
		expect(await answer.json()).toHaveProperty('error.message');
	}
	expect((await request.get('/api/health')).ok()).toBe(true);
});

test('publishes its schemas', async ({ request }) => {
	for (const path of ['/api/schema/shot', '/api/schema/plan', '/api/openapi.json']) {
		const answer = await request.get(path);
		expect(answer.headers()['content-type']).toContain('application/json');
		expect(typeof (await answer.json())).toBe('object');
	}
});

test('sends a strict policy with every page', async ({ request }) => {
	const { 'content-security-policy': policy = '', ...headers } = (await request.get('/')).headers();
	const scripts = /script-src ([^;]+)/.exec(policy)?.[1] ?? '';
	expect(scripts).toMatch(/^'self' 'nonce-[^']+'$/);
	expect(policy).not.toContain('unsafe-eval');
	expect(policy).toContain("default-src 'self'");
	expect(policy).toContain("object-src 'none'");
	expect(headers['x-content-type-options']).toBe('nosniff');
});

test.describe('bound to more than this computer', () => {
	// one server for both
	test.describe.configure({ mode: 'serial' });
	const PORT = 4197;
	let server: ChildProcess;
	let log = '';

	test.beforeAll(async () => {
		server = spawn(process.execPath, ['build'], {
			env: { ...process.env, HOST: '0.0.0.0', PORT: String(PORT) }
		});
		server.stdout?.on('data', (data) => (log += data));
		server.stderr?.on('data', (data) => (log += data));
		await expect
			.poll(() =>
				fetch(`http://127.0.0.1:${PORT}/api/health`).then(
					({ ok }) => ok,
					() => false
				)
			)
			.toBe(true);
	});
	test.afterAll(async () => {
		server.kill();
		await once(server, 'exit');
	});

	/** A request with headers that a browser or fetch would not let one set. */
	const statusFor = (headers: Record<string, string>) =>
		new Promise<number>((resolve, reject) => {
			const asked = httpRequest(
				{ port: PORT, host: '127.0.0.1', path: '/api/health', headers },
				(answer) => {
					answer.resume();
					resolve(answer.statusCode ?? 0);
				}
			);
			asked.on('error', reject).end();
		});

	test('says so in the log', () => {
		expect(log).toContain('anyone who can reach this computer there can use it');
	});

	test('checks Host and Origin', async () => {
		expect(await statusFor({ host: `localhost:${PORT}` })).toBe(200);
		expect(await statusFor({ host: 'elsewhere.example' })).toBe(403);
		const own = { host: `127.0.0.1:${PORT}` };
		expect(await statusFor({ ...own, origin: `http://127.0.0.1:${PORT}` })).toBe(200);
		expect(await statusFor({ ...own, origin: 'https://elsewhere.example' })).toBe(403);
	});
});

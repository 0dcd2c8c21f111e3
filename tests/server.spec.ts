import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { connect } from 'node:net';
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

test('sends a strict policy with every page, and one of their own with workers', async ({
	request,
	page
}) => {
	const answer = await request.get('/');
	const { 'content-security-policy': policy = '' } = answer.headers();
	const scripts = /script-src ([^;]+)/.exec(policy)?.[1] ?? '';
	expect(scripts).toMatch(/^'self'( 'sha256-[^']+')+$/);
	expect(policy).not.toContain('unsafe-eval');
	expect(policy).toContain("default-src 'self'");
	expect(policy).toContain("object-src 'none'");
	// nothing that must be new each time stands in a page that is kept
	expect(await answer.text()).not.toContain('nonce');

	const worker = page.waitForResponse(/\/workers\/[^/]+\.js$/);
	await page.goto('/?sample');
	const { 'content-security-policy': own = '' } = (await worker).headers();
	expect(own).toContain("default-src 'none'");
	expect(own).not.toContain("'unsafe-eval'");
});

test('says with every answer what it may be used for, and how long it may be kept', async ({
	request
}) => {
	const page = await (await request.get('/')).text();
	const script = /"(?:\.\/)?(_app\/immutable\/[^"]+\.js)"/.exec(page)?.[1] ?? '';
	for (const [path, kept] of [
		['/', 'no-cache'],
		['/service-worker.js', 'no-cache'],
		['/manifest.webmanifest', 'no-cache'],
		['/icon.svg', 'no-cache'],
		[`/${script}`, 'public,max-age=31536000,immutable'],
		['/api/health', /no-/],
		['/nowhere/at/all', /no-/]
	] as const) {
		const headers = (await request.get(path)).headers();
		expect(headers, path).toMatchObject({
			'x-content-type-options': 'nosniff',
			'cross-origin-resource-policy': 'same-origin',
			'referrer-policy': 'no-referrer'
		});
		expect(headers['permissions-policy'], path).toContain('camera=()');
		expect(headers['cache-control'], path).toMatch(kept);
	}
});

test('compresses long answers where that is understood', async ({ request }) => {
	const plain = await request.get('/api/openapi.json', {
		headers: { 'accept-encoding': 'identity' }
	});
	expect(plain.headers()['content-encoding']).toBeUndefined();
	const short = await request.get('/api/openapi.json', { headers: { 'accept-encoding': 'gzip' } });
	expect(short.headers()['content-encoding']).toBe('gzip');
	expect(await short.json()).toEqual(await plain.json());
	const health = await request.get('/api/health', { headers: { 'accept-encoding': 'gzip' } });
	expect(health.headers()['content-encoding']).toBeUndefined();
});

test('an address that there is not is a page that says so', async ({ page }) => {
	await page.goto('/nowhere/at/all');
	await expect(page.getByRole('heading')).toHaveText('There is nothing here.');
	await page.getByRole('link', { name: 'Back to it' }).click();
	await expect(page.getByRole('button', { name: 'Start a shot' })).toBeVisible();
});

test('refuses a request with two hosts', async ({ baseURL }) => {
	const { hostname, port } = new URL(baseURL ?? '');
	const socket = connect(Number(port), hostname);
	const [answer] = (
		await new Promise<Buffer>((resolve, reject) => {
			socket.on('error', reject).once('data', resolve);
			socket.write(
				'GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\nHost: elsewhere.example\r\n\r\n'
			);
		}).finally(() => socket.destroy())
	)
		.toString()
		.split('\r\n');
	expect(answer).toContain('400');
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

import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { connect, type Socket } from 'node:net';
import { expect, test } from '@playwright/test';
import { ahead, person, shotInput } from './support/shots';

/** The built server when much is asked of it at once. One of its own, so that it keeps nobody else waiting. */

const PORT = 4195;
const base = `http://127.0.0.1:${PORT}`;
let server: ChildProcess;

test.describe.configure({ mode: 'serial' });
test.beforeAll(async () => {
	server = spawn(process.execPath, ['build'], {
		env: { ...process.env, PORT: String(PORT) },
		stdio: 'ignore'
	});
	const isUp = () =>
		fetch(`${base}/api/health`).then(
			({ ok }) => ok,
			() => false
		);
	await expect.poll(isUp).toBe(true);
});
test.afterAll(async () => {
	server.kill();
	await once(server, 'exit');
});

const post = (path: string, body: string) =>
	fetch(base + path, { method: 'POST', body, headers: { 'content-type': 'application/json' } });
/** Forty people by odds: advice for them draws frames for every try. */
const families = JSON.stringify(
	shotInput({
		people: Array.from({ length: 40 }, (_, i) =>
			person(
				`p${i}`,
				[0.6 * (i % 10) - 2.7, 1.4 + 0.3 * Math.floor(i / 10), 8 + 0.8 * Math.floor(i / 10)],
				{
					keep: 'face'
				}
			)
		),
		choices: { pickBy: 'odds', shutterRule: 'computed' },
		light: { mode: 'ambient', ev100: 8 }
	})
);
const simple = JSON.stringify(shotInput({ people: [ahead('p', 3)] }));

test('whoever asks for little does not wait for those who ask for much', async () => {
	let done = 0;
	const long = Array.from({ length: 4 }, () =>
		post('/api/plan?advice=1', families).then((answer) => {
			done += 1;
			return answer.json() as Promise<{ advice: object[] }>;
		})
	);
	// questions, one after the other, before the first of the long ones is answered
	for (let i = 0; i < 5; i++) expect((await fetch(`${base}/api/health`)).ok).toBe(true);
	expect(done).toBe(0);
	for (const { advice } of await Promise.all(long)) expect(advice.length).toBeGreaterThan(0);
});

test('the queue has an end, which is said; afterwards all is as before', async () => {
	const answers = await Promise.all(Array.from({ length: 600 }, () => post('/api/plan', families)));
	const statuses = new Set(answers.map(({ status }) => status));
	expect([...statuses].sort()).toEqual([200, 503]);
	const refused = answers.find(({ status }) => status === 503);
	expect(Number(refused?.headers.get('retry-after'))).toBeGreaterThan(0);
	expect(await refused?.json()).toMatchObject({ error: { code: 'busy' } });
	expect((await post('/api/plan', simple)).status).toBe(200);
});

test('work is given up with its client', async () => {
	const control = new AbortController();
	const ask = () =>
		fetch(`${base}/api/plan?advice=1`, {
			method: 'POST',
			body: families,
			headers: { 'content-type': 'application/json' },
			signal: control.signal
		}).then(
			({ status }) => status,
			() => null
		);
	const soon = () =>
		fetch(`${base}/api/plan`, {
			method: 'POST',
			body: simple,
			headers: { 'content-type': 'application/json' },
			signal: AbortSignal.timeout(500)
		}).then(
			({ status }) => status,
			() => 'waits'
		);
	const left: Promise<number | null>[] = [];
	// not all at once: too many bodies together are turned away before they come into the queue
	const more = () => {
		left.push(...Array.from({ length: 60 }, ask));
		return soon();
	};
	// until the queue is full, with minutes of work; what came into it just before waits as long
	await expect.poll(more, { timeout: 40_000 }).toBe(503);
	control.abort();
	expect(await Promise.all(left)).toContain(null);
	// nobody waits for it any more: there is room at once, and an answer long before minutes have gone
	await expect.poll(async () => (await post('/api/plan', simple)).status).toBe(200);
});

test('bodies that never end are not kept, and keep nobody out', async () => {
	const head = [
		'POST /api/plan/batch HTTP/1.1',
		`Host: 127.0.0.1:${PORT}`,
		'Content-Type: application/json',
		`Content-Length: ${8 * 1024 * 1024}`,
		'',
		''
	].join('\r\n');
	const sockets: Socket[] = [];
	const heard: string[] = [];
	for (let i = 0; i < 20; i++) {
		const socket = connect(PORT, '127.0.0.1');
		socket.on('error', () => undefined);
		socket.on('data', (data) => heard.push(String(data)));
		socket.write(head + ' '.repeat(6 * 1024 * 1024));
		sockets.push(socket);
	}
	// more than is held at once: some are turned away, the others when their time is up (bodies.test.ts)
	await expect.poll(() => heard.some((answer) => answer.includes(' 503 '))).toBe(true);
	expect((await post('/api/plan', simple)).status).toBe(200);
	expect((await fetch(`${base}/api/health`)).ok).toBe(true);
	for (const socket of sockets) socket.destroy();
});

import { describe, expect, it } from 'vitest';
import { isForUs, isLoopback, ownNames } from './hosts';

describe('loopback', () => {
	it.each([
		['127.0.0.1', true],
		['127.8.9.1', true],
		['localhost', true],
		['::1', true],
		['0.0.0.0', false],
		['::', false],
		['192.168.1.20', false],
		['localhost.example', false],
		['127.0.0.1.example', false]
	])('%s: %s', (host, expected) => {
		expect(isLoopback(host)).toBe(expected);
	});
});

describe('whom the server answers when others can reach it', () => {
	const names = ownNames('0.0.0.0', 'https://studio.example');
	const asked = (headers: Record<string, string>) => isForUs(new Headers(headers), names);

	it.each([
		[{ host: 'localhost:4180' }, true],
		[{ host: '127.0.0.1:4180', origin: 'http://127.0.0.1:4180' }, true],
		[{ host: '[::1]:4180' }, true],
		[{ host: 'studio.example' }, true],
		[{ host: 'STUDIO.example', origin: 'https://studio.example' }, true],
		// a foreign name that was pointed at this computer
		[{ host: 'elsewhere.example' }, false],
		// a foreign page that asks this computer
		[{ host: 'localhost:4180', origin: 'https://elsewhere.example' }, false],
		[{ host: 'localhost:4180', origin: 'null' }, false],
		[{ host: 'localhost:bad:port' }, false],
		[{}, false]
	])('%j: %s', (headers, expected) => {
		expect(asked(headers as Record<string, string>)).toBe(expected);
	});
});

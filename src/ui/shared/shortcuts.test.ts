import { beforeEach, describe, expect, it } from 'vitest';
import { settings } from './settings.svelte';
import { ACTION_NAMES, actionOf, shortcutKey, setKey, usualKeys } from './shortcuts';

beforeEach(() => {
	usualKeys();
	settings.set({ shortcuts: true });
});

describe('single keys', () => {
	it('are each the key of one action', () => {
		expect(new Set(ACTION_NAMES.map(shortcutKey)).size).toBe(ACTION_NAMES.length);
		for (const action of ACTION_NAMES) expect(actionOf(shortcutKey(action))).toBe(action);
	});

	it('can be changed, and then the old one does nothing', () => {
		expect(setKey('card', 'g')).toBeNull();
		expect([actionOf('g'), actionOf('c')]).toEqual(['card', null]);
	});

	it('that are taken are refused, with who has them', () => {
		expect(setKey('card', 'p')).toBe('plan');
		expect(shortcutKey('card')).toBe('c');
	});

	it('that were given up are free for others', () => {
		expect(setKey('plan', '')).toBeNull();
		expect(setKey('card', 'p')).toBeNull();
		expect([actionOf('p'), shortcutKey('plan')]).toEqual(['card', '']);
		// no key is no key: two actions may both have none
		expect(setKey('day', '')).toBeNull();
		expect(actionOf('')).toBeNull();
	});

	it('do nothing when they are off', () => {
		settings.set({ shortcuts: false });
		expect(ACTION_NAMES.map(shortcutKey).map(actionOf)).toEqual(ACTION_NAMES.map(() => null));
	});
});

import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, type Page } from '@playwright/test';
import type { RunOptions } from 'axe-core';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
const SOURCE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/**
 * Axe finds nothing. Between the two looks only colours differ, so that by night contrast alone is
 * looked at: the page is the same.
 *
 * @param within looks only there: what lies behind an open dialog was looked at before
 */
export async function axe(page: Page, within = 'html'): Promise<void> {
	await expect(page.locator(within).first()).toBeVisible();
	await atRest(page);
	const isThere = await page.evaluate(() => 'axe' in window);
	if (!isThere) await page.evaluate(SOURCE);
	const isNight = await page.evaluate(() => document.documentElement.dataset['look'] === 'night');
	const options: RunOptions = {
		runOnly: isNight ? { type: 'rule', values: ['color-contrast'] } : { type: 'tag', values: TAGS },
		// what passed is not written out
		resultTypes: ['violations']
	};
	const found = await page.evaluate(
		async ([selector, asked]) => {
			const { violations } = await window.axe.run(selector, asked);
			return violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`);
		},
		[within, options] as const
	);
	expect(found).toEqual([]);
}

/** Waits for what opens to have come to rest: half faded in it has no contrast. */
export const atRest = (page: Page) =>
	page.waitForFunction(() =>
		document.getAnimations().every(({ playState }) => playState !== 'running')
	);

declare global {
	interface Window {
		axe: typeof import('axe-core');
	}
}

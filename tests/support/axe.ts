import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

/**
 * Axe finds nothing. Between the two looks only colours differ, so that by night contrast alone is
 * looked at: the page is the same.
 *
 * @param within looks only there: what lies behind an open dialog was looked at before
 */
export async function axe(page: Page, within = 'html'): Promise<void> {
	const isNight = await page.evaluate(() => document.documentElement.dataset['look'] === 'night');
	const { violations } = await new AxeBuilder({ page })
		.include(within)
		.setLegacyMode(true)
		.options({
			runOnly: isNight
				? { type: 'rule', values: ['color-contrast'] }
				: { type: 'tag', values: TAGS },
			// what passed is not written out
			resultTypes: ['violations']
		})
		.analyze();
	expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([]);
}

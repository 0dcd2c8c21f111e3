import { expect, type Locator, type Page } from '@playwright/test';

/** The rendered pictures, as a test finds them. */

export const picture = (page: Page, label: RegExp | string) =>
	page.getByRole('img', { name: label });
export const frame = (page: Page) => picture(page, 'The picture with its real blur');
export const settled = (one: Locator) =>
	expect(one).toHaveAttribute('data-settled', 'true', { timeout: 45_000 });

/** Drawn, if not well yet. */
export const begun = (one: Locator) =>
	expect.poll(() => one.getAttribute('data-samples'), { timeout: 30_000 }).not.toBe('0');

import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import type { PracticeTruth } from '$core/format/practiceTruth';
import { test as base } from './app';
import { labPage } from './labPage.mjs';
import type { reviewLab } from './reviewLab';

/** A roll of the practice camera as files, for Review. */

/** Four people in two rows; one of the rolls that nothing was tuned on. */
export const SEED = 1002;
export const FRAMES = 4;

export interface Roll {
	readonly paths: readonly string[];
	readonly truth: PracticeTruth;
	readonly lab: Page;
	readonly folder: string;
}

type Lab = typeof reviewLab;
export const call = <M extends keyof Lab>(page: Page, method: M, ...given: Parameters<Lab[M]>) =>
	page.evaluate(
		([name, all]) => {
			const { reviewLab: lab } = globalThis as unknown as {
				reviewLab: Record<string, (...args: unknown[]) => unknown>;
			};
			return lab[name as string]?.(...(all as unknown[]));
		},
		[method, given] as const
	) as Promise<Awaited<ReturnType<Lab[M]>>>;

export const test = base.extend<object, { roll: Roll }>({
	roll: [
		async ({ browser }, use) => {
			const lab = await labPage(browser, 'tests/support/reviewLab.ts');
			const { files, truth } = await call(lab, 'roll', SEED, FRAMES);
			const folder = mkdtempSync(join(tmpdir(), 'came-home-'));
			const paths = files.map(({ name, base64 }) => {
				const path = join(folder, name);
				writeFileSync(path, Buffer.from(base64, 'base64'));
				return path;
			});
			await use({ paths, truth, lab, folder });
			rmSync(folder, { recursive: true });
			await lab.close();
		},
		{ scope: 'worker', timeout: 180_000 }
	]
});

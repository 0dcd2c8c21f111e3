import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { boundsOf } from './bounds';

describe('the bounds of the files, by path', () => {
	it.each([
		['shot.lens.closestFocusM', { low: 0.05, high: 10, unit: 'm', isLength: true }],
		['shot.camera.focalMm', { low: 4, high: 800, unit: 'mm', isLength: false }],
		['shot.people.turnDeg', { low: -180, high: 180, unit: 'degrees', isWhole: false }],
		['shot.body.focusGrid.columns', { low: 1, high: 64, isWhole: true }],
		['shot.lens.widestFNumber.1', { low: 0.7, high: 32 }],
		['shot.light.guideNumberM', { low: 0.5, high: 500, isLength: true }],
		['shot.sharpness.printWidthCm', { low: 5, high: 500, unit: 'cm', isLength: true }],
		['shot.choices.isoRule', { low: 1, high: 10_000_000 }],
		['job.people.eyeHeightM', { low: 0.05, high: 2.5, isLength: true }],
		['spreads.walkingMmPerS', { low: 0, high: 5000, unit: 'mm/s', isLength: true }],
		['spreads.biasMm', { low: -0.5, high: 0.5, unit: 'mm', isLength: false }]
	])('%s', (path, expected) => {
		expect(boundsOf(path)).toMatchObject(expected);
	});

	it.each(['shot.title', 'shot.lens.nothing', 'nowhere.at', 'shot'])(
		'there is none at %s',
		(path) => {
			expect(() => boundsOf(path)).toThrow(`there is no number at ${path}`);
		}
	);

	it('every number that a form asks for has some', () => {
		const forms = readdirSync('src/ui', { recursive: true, encoding: 'utf8' })
			.filter((name) => name.endsWith('.svelte'))
			.map((name) => readFileSync(join('src/ui', name), 'utf8'));
		const paths = forms.flatMap((form) =>
			[...form.matchAll(/\sof="((?:shot|job|spreads)\.[\w.]+)"/g)].map(([, path = '']) => path)
		);
		expect(paths.length).toBeGreaterThan(40);
		for (const path of paths) expect(() => boundsOf(path), path).not.toThrow();
	});
});

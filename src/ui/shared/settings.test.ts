import { describe, expect, it } from 'vitest';
import { settingsFrom } from './settings.svelte';

describe('settings as they were kept', () => {
	const usual = settingsFrom(null);

	it('a value that is not known falls back alone', () => {
		const kept = settingsFrom(
			JSON.stringify({
				units: 'ft',
				look: 'neon',
				lastPlace: 'moon',
				keys: { day: 'q' },
				myWay: { marginStops: 99, sharpness: 'pixel' },
				overlays: { thirds: 'yes', margin: true }
			})
		);
		expect(kept).toMatchObject({
			units: 'ft',
			lastPlace: usual.lastPlace,
			keys: { day: 'q' },
			myWay: { marginStops: usual.myWay.marginStops, sharpness: 'pixel' },
			overlays: { thirds: usual.overlays.thirds, margin: true }
		});
		expect(kept.look).toBeUndefined();
	});

	it.each(['', '{', '[]', 'null', '7'])('%j is as good as none', (text) => {
		expect(settingsFrom(text)).toEqual(usual);
	});
});

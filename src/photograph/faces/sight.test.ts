import { describe, expect, it } from 'vitest';
import { likelyIn, sightAfter, type FacesBefore } from './sight';

const face = (x: number) => ({ x, y: 500, sidePx: 200, turnRad: 0, score: 1 });
const two = [face(1000), face(2000)];
const at = (seconds: number | null) => ({
	widthPx: 6000,
	localMs: seconds === null ? null : 1000 * seconds
});
const seen: FacesBefore = { ...at(0), faces: two, since: 0 };

describe('where faces are likely', () => {
	it('is where they were a moment ago', () => {
		expect(likelyIn(at(2), seen)).toEqual({ faces: two, isEverywhere: false });
	});

	it.each([
		['nothing was seen', at(2), null],
		['nobody was there', at(2), { ...seen, faces: [] }],
		['it is long ago', at(20), seen],
		['the frame is of another size', { ...at(2), widthPx: 3000 }, seen],
		['nobody knows when it was', at(null), seen],
		['nor when the other was', at(2), { ...seen, localMs: null }]
	] as const)('is not known when %s', (_, frame, before) => {
		expect(likelyIn(frame, before)).toBeNull();
	});
});

describe('what the next frame is to know', () => {
	it('is where they are now, and everywhere is looked at after six frames', () => {
		let sight = sightAfter(at(0), two, null);
		expect(sight).toEqual(seen);
		const everywhere: number[] = [];
		for (let i = 1; i <= 16; i++) {
			if (likelyIn(at(i), sight)?.isEverywhere) everywhere.push(i);
			sight = sightAfter(at(i), two, sight);
		}
		expect(everywhere).toEqual([7, 14]);
	});

	it('keeps who is hidden for a frame, until everywhere was looked at', () => {
		const hidden = sightAfter(at(1), two.slice(1), seen);
		expect(hidden).toEqual({ ...seen, since: 1 });
		const gone = sightAfter(at(1), two.slice(1), { ...seen, since: 6 });
		expect(gone).toEqual({ ...at(1), faces: two.slice(1), since: 0 });
	});
});

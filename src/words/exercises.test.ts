import { describe, expect, it } from 'vitest';
import { exerciseCaption, exerciseWords } from './exercises';
import { frameNumbers, listed } from './listed';
import { lensOnShotWords } from './choosing';

describe('lists', () => {
	it.each([
		[[0], 'frame 1'],
		[[0, 1], 'frames 1 and 2'],
		[[0, 1, 2, 4], 'frames 1 to 3 and 5'],
		[[1, 3, 5, 6, 7], 'frames 2, 4 and 6 to 8']
	])('of frames %j', (indices, words) => {
		expect(frameNumbers(indices)).toBe(words);
	});

	it('of words', () => {
		expect(listed([])).toBe('');
		expect(listed(['a', 'b', 'c'])).toBe('a, b and c');
	});
});

describe('an exercise in words', () => {
	it('three objects: what is in focus where, and what was missed', () => {
		const reading = {
			exercise: 'three-objects',
			inFocus: [0, 0, 0, 1, null],
			framesOf: [[0, 1, 2], [3], []],
			score: { good: 2, of: 3 },
			best: [0, 3]
		} as const;
		expect(exerciseWords(reading, 'm')).toEqual([
			'The first is in focus in frames 1 to 3, the second in frame 4 and the third in none.',
			'The third got no frame: was the point moved onto it?',
			'Nothing is sharp in frame 5: take it again.'
		]);
		expect(exerciseCaption(reading, 3, 'm')).toBe('on the second');
	});

	it('aperture ladder: from which stop on, and both mistakes', () => {
		const round = {
			frames: [0, 1, 2],
			object: 0,
			sharpFrom: [1.8, 11, null],
			twice: [5.6],
			lost: []
		};
		const score = { good: 3, of: 3 };
		expect(
			exerciseWords(
				{ exercise: 'aperture-ladder', rounds: [round], moved: [2], untold: [], score, best: [0] },
				'm'
			)
		).toEqual([
			'Focused on the first: the second is sharp from f/11 on and the third is never sharp.',
			'Now the same again, focused on the one in the middle.',
			'Two frames at one stop: f/5.6. The ring or the dial did not turn.',
			'The camera or a block moved in frame 3.'
		]);
	});

	it('eyes, then nose: by lens, in one’s own units', () => {
		const reading = {
			exercise: 'eyes-then-nose',
			looks: [{ frame: 0, focalMm: 85, distanceM: 0.9, sharp: 'eye' }],
			lenses: [{ focalMm: 85, apartUpToM: 0.9, togetherFromM: 5 }],
			score: { good: 1, of: 1 },
			best: [0]
		} as const;
		expect(exerciseWords(reading, 'm')).toEqual([
			'At 85 mm up to 0.90 m one is soft while the other is sharp; from 5.00 m on both are sharp.'
		]);
		expect(exerciseWords(reading, 'ft')[0]).not.toMatch(/\d m\b/);
		expect(exerciseCaption(reading, 0, 'm')).toBe('on the eye, from 0.90 m');
	});

	it('four edges: the frame that focused again', () => {
		const reading = {
			exercise: 'four-edges',
			frames: [
				{ place: 'left', outcome: 'sharp', behindM: null },
				{ place: 'top', outcome: 'focused-behind', behindM: 3 },
				{ place: 'bottom', outcome: 'soft', behindM: null }
			],
			missing: ['right', 'upright'],
			score: { good: 1, of: 5 },
			best: [0]
		} as const;
		expect(exerciseWords(reading, 'm')).toEqual([
			'The eye is sharp in frame 1 (left edge).',
			'Frame 2 (top) focused again, 3.00 m behind the eye: on the background.',
			'The eye is soft in frame 3: it focused again, or the body turned instead of the wrists.',
			'Still to be taken: right edge and upright.'
		]);
	});
});

describe('a lens on a shot', () => {
	const made = {
		focalMm: 50,
		fNumber: 2.8,
		goodShare: 0.69,
		intentsMet: 1,
		intents: 1,
		isOutOfRoom: false,
		backM: -1.24,
		sharpShare: 0.92
	};
	it('is one line', () => {
		expect(lensOnShotWords(made, 'm')).toBe(
			'at 50 mm, 1.24 m nearer, f/2.8: 69 of 100 good, background as wanted, 92 % of its best'
		);
		expect(lensOnShotWords({ ...made, isOutOfRoom: true, backM: 3 }, 'm')).toBe(
			'at 50 mm, 3.00 m farther back: no room for that'
		);
		expect(lensOnShotWords({ ...made, fNumber: null }, 'm')).toContain('too near to focus');
		expect(lensOnShotWords(null, 'm')).toBe('it cannot be framed so');
	});
});

import { describe, expect, it } from 'vitest';
import { setProblemWords, setWords } from './wideSet';

describe('a set that is to be one picture, in words', () => {
	it('says how wide it is and how much neighbours share', () => {
		const check = {
			problems: [],
			acrossDeg: 73.6,
			downDeg: 48.2,
			leastOverlap: 0.312,
			tellsFocus: true
		};
		expect(setWords(check, 12)).toBe(
			'12 frames, 74 by 48 degrees; neighbours share 31 % at least.'
		);
		expect(setWords({ ...check, leastOverlap: null }, 2)).toBe('2 frames, 74 by 48 degrees.');
	});

	it('names each problem by the numbers that are seen, and what to do', () => {
		const words = setProblemWords(
			[
				{ code: 'alone', frame: 3 },
				{ code: 'alone', frame: 4 },
				{ code: 'hole', beside: 0, way: { across: 1, up: -1 }, turnDeg: 9, tiltDeg: -5 },
				{ code: 'thin', frames: [1, 2], overlap: 0.14 },
				{ code: 'not-locked', frame: 2, setting: 'shutterS', was: 1 / 250, is: 1 / 400 },
				{ code: 'not-locked', frame: 2, setting: 'subjectM', was: 3.5, is: 6.5 }
			],
			'm',
			(frame) => frame
		);
		expect(words[0]).toMatch(/^Frames 4 and 5 show nothing that another frame shows, too/);
		expect(words.slice(1)).toEqual([
			'Nothing shows what lies below, to the right of frame 1: take one there.',
			'Frames 2 and 3 share 14 % of their sides: less than 20 % often does not hold together. Take one between.',
			'The shutter changed with frame 3: 1/400 instead of 1/250.',
			'The focus moved with frame 3: 6.50 m instead of 3.50 m.'
		]);
	});

	it('counts frames as they are seen, dropped ones and another order among them', () => {
		const problems = [
			{ code: 'alone', frame: 0 },
			{ code: 'alone', frame: 1 },
			{ code: 'thin', frames: [0, 2], overlap: 0.1 }
		] as const;
		const words = setProblemWords(problems, 'm', (frame) => [5, 2, 0][frame] ?? NaN);
		expect(words[0]).toMatch(/^Frames 3 and 6 /);
		expect(words[1]).toMatch(/^Frames 1 and 6 share 10 %/);
	});

	it('leaves no metre where feet are asked for', () => {
		const [words] = setProblemWords(
			[{ code: 'not-locked', frame: 1, setting: 'subjectM', was: 3, is: 6 }],
			'ft',
			(frame) => frame
		);
		expect(words).not.toMatch(/\d (m|cm|mm)\b/);
	});
});

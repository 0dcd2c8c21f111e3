import { describe, expect, it } from 'vitest';
import { measuredFace, measuredFrame } from '$tests/support/frames';
import { person, shotOf } from '$tests/support/shots';
import { reviewSet } from '$core/review/reviewSet';
import { absentWords, fewestWords, takingWords, othersWords, vantageWords } from './review';

describe('the fewest frames that hold everybody', () => {
	// half a metre apart, 4 m away, by 50 mm on 36 mm of 6000 px; heads are 14 cm wide
	const PX_PER_M = (50 / 36 / 4) * 6000;
	const names = ['Ana', 'Ben', 'Cleo', 'Dag', 'Eve'];
	const shot = shotOf({
		people: names.map((name, i) => ({ ...person(name, [(i - 2) / 2, 1.6, 4]), name }))
	});
	const face = (i: number, px: number) => ({
		...measuredFace({ x: 3000 + ((i - 2) / 2) * PX_PER_M, eyes: [px, px] }),
		widthPx: 0.14 * PX_PER_M
	});
	const sharp = (...who: readonly number[]) => who.map((i) => face(i, 1));
	const set = (...frames: readonly ReturnType<typeof sharp>[]) =>
		reviewSet(
			frames.map((faces, i) => ({
				...measuredFrame(`f${i}`, faces),
				facts: { focalMm: 50, fNumber: 2.8 }
			})),
			shot,
			[]
		);

	it('hold everybody', () => {
		const whole = set(sharp(0, 1, 2, 3, 4));
		expect(fewestWords(whole)).toBe('Frame 1 holds everybody.');
		expect(absentWords(whole)).toBe('');
	});

	it('do not hold who is nowhere, and that is said apart', () => {
		const some = set([face(0, 9), ...sharp(1)], [...sharp(0), face(1, 9)]);
		expect(fewestWords(some)).toBe('Frames 1 and 2 together hold everybody who was found.');
		expect(absentWords(some)).toBe('Nowhere in these frames: Cleo, Dag and Eve.');
	});

	it('name who is soft in all of them', () => {
		const soft = set([...sharp(0, 1, 3, 4), face(2, 9)]);
		expect(fewestWords(soft)).toBe('Frame 1 holds all but Cleo: not good in any frame.');
	});

	it('are none where nobody is sharp, or there', () => {
		expect(fewestWords(set([face(0, 9)]))).toBe(
			'Nobody who counts is sharp with open eyes in any frame.'
		);
		expect(fewestWords(set([]))).toMatch(/^Nobody who counts was found/);
		expect(absentWords(set([]))).toBe('');
	});

	it('say nothing of somebody else, who is told apart', () => {
		// between Ana and Ben, who are half a metre from each other
		const more = set([...sharp(0, 1, 2, 3, 4), face(0.5, 9)]);
		expect(fewestWords(more)).toBe('Frame 1 holds everybody.');
		expect(othersWords(more)).toBe('Face 1 is nobody of the plan, and does not count.');
		expect(othersWords(set([...sharp(0, 1, 2, 3, 4), face(0.5, 9), face(5, 1)]))).toBe(
			'Face 1 and face 2 are nobody of the plan, and do not count.'
		);
		expect(othersWords(set(sharp(0, 1, 2, 3, 4)))).toBe('');
	});
});

it('says from how far a frame was taken where it was not as planned', () => {
	const from = (fartherM: number) =>
		vantageWords({ vantage: { fartherM, sigmaM: 0.1 } } as never, 'm');
	expect(from(0)).toBe('');
	expect(from(-2.13)).toBe('Taken from about 2.1 m nearer than planned.');
	expect(from(1.5)).toBe('Taken from about 1.5 m farther away than planned.');
});

it('says what became of the files that were chosen', () => {
	const said = (noPictures: number, besideJpegs: number, chosen = 20, marks = 0) =>
		takingWords({ noPictures, besideJpegs, marks }, chosen);
	expect(said(0, 0)).toBe('');
	expect(said(0, 0, 0)).toBe('There is no picture in it.');
	expect(said(0, 0, 20, 1)).toBe('One frame was marked by its sidecar.');
	expect(said(0, 0, 20, 8)).toBe('8 frames were marked by their sidecars.');
	expect(said(1, 12)).toBe(
		'12 files lie beside a JPEG of the same name, as raw files do: the JPEGs are used. One file is not a picture that can be opened here. It was left alone.'
	);
	expect(said(2, 1)).toBe(
		'One file lies beside a JPEG of the same name, as raw files do: the JPEG is used. 2 files are not pictures that can be opened here. They were left alone.'
	);
});

import type { ExerciseName } from '$core/format/exerciseLog';

/** What to set up, in which order, and what usually goes wrong. */
interface ExerciseText {
	readonly title: string;
	readonly what: string;
	readonly steps: readonly string[];
	readonly mistakes: string;
}

export const EXERCISE_TEXTS: Readonly<Record<ExerciseName, ExerciseText>> = {
	'three-objects': {
		title: 'Three objects',
		what: 'The focus point goes where you want it, three times.',
		steps: [
			'Three small things that stand by themselves, on a diagonal, a hand’s breadth or two apart; nothing behind them that catches the eye.',
			'Camera level with them: lie down. Widest aperture, ISO automatic.',
			'Move the point onto the first and take a few frames more than you need; then onto the second, then the third.'
		],
		mistakes:
			'Clutter; leaving the point where it was. If it did not come out, go back and take it again.'
	},
	'aperture-ladder': {
		title: 'Aperture ladder',
		what: 'What becomes sharp before and behind, stop by stop.',
		steps: [
			'Three like things on a diagonal, a lens of about 50 mm on a tripod or something firm, ordinary room light.',
			'Aperture priority, ISO 1600 (by hand 3200 to 6400). Focus on the first: widest, 5.6, 8, 11, 14, 18, 22.',
			'Focus on the one in the middle: the same again.'
		],
		mistakes: 'Two frames at one stop; the camera moved.'
	},
	'eyes-then-nose': {
		title: 'Eyes, then nose',
		what: 'How far away a face is sharp from nose to eye.',
		steps: [
			'Somebody who sits still. Widest aperture, a long lens.',
			'From a close portrait: one frame focused on an eye, one on the tip of the nose. Then from twice as far, then from across the room.',
			'The same with a short lens.'
		],
		mistakes:
			'Leaning between focus and release; a point so large that it takes the nose for the eye.'
	},
	'four-edges': {
		title: 'Four edges',
		what: 'Focus locked in the middle holds when the camera is turned.',
		steps: [
			'Somebody who stands still, something with detail behind them. One point, in the middle.',
			'Point on the eye, hold, turn the wrists only: the eye to the left, right, upper, lower edge, a frame each.',
			'Then with the camera upright.'
		],
		mistakes:
			'Turning the body instead of the wrists. You hear one sound of focus; a second one means it focused again, on the background.'
	}
};

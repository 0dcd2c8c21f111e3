import { textsText as say } from '$words/screens/bench/exercises';
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
		title: say.threeObjects,
		what: say.theFocusPointGoesWhereYou,
		steps: [
			say.threeSmallObjectsOnADiagonal,
			say.cameraLevelWithThemLieDown,
			say.moveThePointOntoTheFirst
		],
		mistakes: say.clutterLeavingThePointWhereIt
	},
	'aperture-ladder': {
		title: say.apertureLadder,
		what: say.whatBecomesSharpInFrontAnd,
		steps: [
			say.threeSimilarObjectsOnADiagonal,
			say.aperturePriorityIso1600ByHand,
			say.focusOnTheOneInThe
		],
		mistakes: say.twoFramesAtOneStopThe
	},
	'eyes-then-nose': {
		title: say.eyesThenNose,
		what: say.howFarAwayAFaceHas,
		steps: [
			say.somebodyWhoSitsStillWidestAperture,
			say.fromAClosePortraitOneFrame,
			say.theSameWithAShortLens
		],
		mistakes: say.leaningBetweenFocusAndReleaseA
	},
	'four-edges': {
		title: say.fourEdges,
		what: say.focusLockedInTheMiddleStays,
		steps: [
			say.somebodyWhoStandsStillSomething,
			say.pointOnTheEyeHoldTurn,
			say.thenWithTheCameraUpright
		],
		mistakes: say.turningTheBodyInsteadOfThe
	}
};

import type { MeasuredFrame } from '../format/review';
import type { Body } from '../format/shot';
import { apertureLadder, type ApertureLadder } from './apertureLadder';
import type { ExerciseName } from '../format/exerciseLog';
import { eyesThenNose, type EyesThenNose } from './eyesThenNose';
import { fourEdges, type FourEdges } from './fourEdges';
import { threeObjects, type ThreeObjects } from './threeObjects';

/** What the frames of an exercise say. */
export type ExerciseReading = ThreeObjects | ApertureLadder | EyesThenNose | FourEdges;

/** @param frames in the order in which they were taken */
type Reader = (frames: readonly MeasuredFrame[], bodies: readonly Body[]) => ExerciseReading;

const READ: Readonly<Record<ExerciseName, Reader>> = {
	'three-objects': threeObjects,
	'aperture-ladder': apertureLadder,
	'eyes-then-nose': eyesThenNose,
	'four-edges': fourEdges
};

/** @param bodies that the frames may have been taken with */
export const readExercise = (exercise: ExerciseName, ...given: Parameters<Reader>) =>
	READ[exercise](...given);

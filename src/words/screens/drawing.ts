import type { Shown } from './shown';

export const fNumberChartText = {
	theChartCouldNotBeLoaded: (elsewhere: Shown) =>
		`The chart could not be loaded. The result is in ${elsewhere}.`
} as const;

export const eyeTilesText = {
	farEye: 'far eye',
	nose: 'nose',
	ear: 'ear'
} as const;

export const frameSceneText = {
	seen: (part: Shown) => `${part} seen`
} as const;

export const savedPictureText = {
	nothingToFocusOn: 'nothing to focus on',
	aPlaneAway: (distance: Shown) => `a plane ${distance} away`,
	focusedOn: (fStop: Shown, on: Shown) => `${fStop}, focused on ${on}`,
	the: (words: Shown) => `the ${words}`,
	mm: (n: Shown) => `${n} mm`,
	sensorMm: (widthMm: Shown, heightMm: Shown) => `sensor ${widthMm} × ${heightMm} mm`,
	fromTheSensorMark: (distance: Shown) => `${distance} from the sensor mark`
} as const;

export const stageSceneText = {
	planeOfFocus: 'plane of focus'
} as const;

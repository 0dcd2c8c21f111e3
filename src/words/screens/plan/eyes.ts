import type { Shown } from '../shown';

export const eyeTileText = {
	focusHereEnterForALarge: (name: Shown, stateWords: Shown, where: Shown) =>
		`${name}, ${stateWords}${where}. Focus here; Enter for a large view`,
	eyesOfAtOfTheSensor: (name: Shown, scale: Shown) => `Eyes of ${name} at ${scale} of the sensor`,
	softAtFullSize: 'soft at full size',
	atLarge: (name: Shown, scale: Shown) => `${name} at large, ${scale}`
} as const;

export const eyesText = {
	nobodysEyesCanBeSeen: 'Nobody’s eyes can be seen.',
	noCloseUps: (why: Shown) => `No close-ups: ${why}.`
} as const;

export const eyesLargeText = {
	overPx: (allowedWords: Shown, px: Shown) => `${allowedWords}, over ${px} px`,
	atPercentOfTheSensor: (name: Shown, scale: Shown) => `${name} at ${scale} % of the sensor`,
	atPercent: (part: Shown, scale: Shown) => `${part} at ${scale} %`,
	focusHere: 'focus here',
	blurAsAShareOfWhat:
		'Blur as a share of what you allow, and the pixels of the sensor it covers. Diffraction is drawn; shake and motion are not.'
} as const;

/** A flash of guide number 36 at 3 m in a dim room, and nothing that limits the shutter. */

export const flash = {
	mode: 'flash',
	guideNumberM: 36,
	distanceM: 3,
	ambientEv100: 5,
	leastPower: 1 / 128
} as const;
export const steady = { isoRule: undefined, shutterS: undefined, isTooSlow: () => false };

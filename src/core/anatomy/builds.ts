import type { Build } from '../format/shot';

/** Offsets from the midpoint between the corneas, mm: to the person's left, up, out of the face. */
export type Offset = readonly [left: number, up: number, out: number];

/** The measures of a head. The eyes, ears lie on both sides: their `left` is the half distance. */
export interface HeadMeasures {
	readonly eye: Offset;
	readonly noseTip: Offset;
	readonly chin: Offset;
	readonly hairline: Offset;
	readonly ear: Offset;
	readonly skullCentre: Offset;
	readonly skullHalfAxes: Offset;
}

/**
 * Mean adult distance between pupils 63 mm: Dodgson, "Variation and extrema of human interpupillary
 * distance", 2004 (from memory). The rest are round anthropometric values (from memory), good to
 * about 5 mm.
 */
const ADULT: HeadMeasures = {
	eye: [31.5, 0, 0],
	noseTip: [0, -38, 30],
	chin: [0, -105, 8],
	hairline: [0, 70, -8],
	ear: [70, -15, -88],
	skullCentre: [0, 0, -90],
	skullHalfAxes: [78, 115, 85]
};

const CAT: HeadMeasures = {
	eye: [18, 0, 0],
	noseTip: [0, -22, 28],
	chin: [0, -38, 18],
	hairline: [0, 30, -12],
	ear: [35, 45, -35],
	skullCentre: [0, 0, -50],
	skullHalfAxes: [45, 45, 45]
};

const DOG: HeadMeasures = {
	eye: [26, 0, 0],
	noseTip: [0, -30, 85],
	chin: [0, -60, 50],
	hairline: [0, 35, -15],
	ear: [60, 20, -60],
	skullCentre: [0, 0, -70],
	skullHalfAxes: [60, 65, 65]
};

function scaled(head: HeadMeasures, factor: number): HeadMeasures {
	const shrink = ([left, up, out]: Offset): Offset => [left * factor, up * factor, out * factor];
	return {
		eye: shrink(head.eye),
		noseTip: shrink(head.noseTip),
		chin: shrink(head.chin),
		hairline: shrink(head.hairline),
		ear: shrink(head.ear),
		skullCentre: shrink(head.skullCentre),
		skullHalfAxes: shrink(head.skullHalfAxes)
	};
}

/** The head of each build. */
export const HEADS: Readonly<Record<Build, HeadMeasures>> = {
	adult: ADULT,
	child: scaled(ADULT, 0.87),
	infant: scaled(ADULT, 0.68),
	cat: CAT,
	dog: DOG
};

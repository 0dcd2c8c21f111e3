/** The landmarks of a head: the one table of them. Adding one touches nothing else. */

/** Offset from the midpoint between the corneas, mm: to the person's left, up, out of the face. */
export type Offset = readonly [left: number, up: number, out: number];

/** Heads that are measured; the others are an adult's, smaller. */
export type MeasuredBuild = 'adult' | 'cat' | 'dog';

export interface LandmarkFacts {
	readonly offset: Readonly<Record<MeasuredBuild, Offset>>;
	/** What a photographer calls it. */
	readonly words: string;
	/** A part of a face that is kept sharp as a whole may be blurred so many times more; null: not asked for. */
	readonly looseness: number | null;
	readonly isEye: boolean;
	/** Offered to be focused on. */
	readonly isOffered: boolean;
}

type Sides = readonly [left: Omit<LandmarkFacts, 'offset'>, right: Omit<LandmarkFacts, 'offset'>];

/** What there is on both sides of a head; the offsets are the left one's. */
function pair(offset: LandmarkFacts['offset'], [left, right]: Sides) {
	const mirrored = ([aside, up, out]: Offset): Offset => [-aside, up, out];
	const { adult, cat, dog } = offset;
	return {
		left: { ...left, offset },
		right: { ...right, offset: { adult: mirrored(adult), cat: mirrored(cat), dog: mirrored(dog) } }
	};
}

/**
 * Mean adult distance between pupils 63 mm: Dodgson, "Variation and extrema of human interpupillary
 * distance", 2004 (from memory). The rest are round anthropometric values (from memory), good to
 * about 5 mm.
 */
const eyes = pair({ adult: [31.5, 0, 0], cat: [18, 0, 0], dog: [26, 0, 0] }, [
	{ words: 'left eye', looseness: 1, isEye: true, isOffered: true },
	{ words: 'right eye', looseness: 1, isEye: true, isOffered: true }
]);
const ears = pair({ adult: [70, -15, -88], cat: [35, 45, -35], dog: [60, 20, -60] }, [
	{ words: 'left ear', looseness: null, isEye: false, isOffered: false },
	{ words: 'right ear', looseness: null, isEye: false, isOffered: false }
]);

/** Nose, chin and hairline may be a stop looser than the eyes. */
const A_STOP = Math.SQRT2;

const LANDMARKS = {
	'left-eye': eyes.left,
	'right-eye': eyes.right,
	'nose-tip': {
		offset: { adult: [0, -38, 30], cat: [0, -22, 28], dog: [0, -30, 85] },
		words: 'nose',
		looseness: A_STOP,
		isEye: false,
		isOffered: true
	},
	chin: {
		offset: { adult: [0, -105, 8], cat: [0, -38, 18], dog: [0, -60, 50] },
		words: 'chin',
		looseness: A_STOP,
		isEye: false,
		isOffered: false
	},
	hairline: {
		offset: { adult: [0, 70, -8], cat: [0, 30, -12], dog: [0, 35, -15] },
		words: 'hairline',
		looseness: A_STOP,
		isEye: false,
		isOffered: false
	},
	'left-ear': ears.left,
	'right-ear': ears.right
} as const satisfies Readonly<Record<string, LandmarkFacts>>;

export type Landmark = keyof typeof LANDMARKS;

/** Every landmark, in the order of the table. */
export const LANDMARK_NAMES = Object.keys(LANDMARKS) as [Landmark, ...Landmark[]];

/** What the table says of a landmark. */
export const landmarkFacts = (landmark: Landmark): LandmarkFacts => LANDMARKS[landmark];

/** Those that are offered to be focused on. */
export const OFFERED = LANDMARK_NAMES.filter((landmark) => LANDMARKS[landmark].isOffered);

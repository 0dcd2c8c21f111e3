import {
	landmarkFacts,
	LANDMARK_NAMES,
	type Landmark,
	type MeasuredBuild,
	type Offset
} from './landmarks';

/** The heads of each build. */

export const BUILDS = ['adult', 'child', 'infant', 'cat', 'dog'] as const;
export type Build = (typeof BUILDS)[number];

/** The measures of a head: its landmarks by name, and the ellipsoid of its skull. */
export type HeadMeasures = Readonly<Record<Landmark, Offset>> & {
	readonly skullCentre: Offset;
	readonly skullHalfAxes: Offset;
};

/** Round anthropometric values (from memory), good to about 5 mm. */
const SKULLS: Readonly<Record<MeasuredBuild, readonly [centre: Offset, halfAxes: Offset]>> = {
	adult: [
		[0, 0, -90],
		[78, 115, 85]
	],
	cat: [
		[0, 0, -50],
		[45, 45, 45]
	],
	dog: [
		[0, 0, -70],
		[60, 65, 65]
	]
};

function headOf(measured: MeasuredBuild, size = 1): HeadMeasures {
	const sized = ([left, up, out]: Offset): Offset => [left * size, up * size, out * size];
	const [centre, halfAxes] = SKULLS[measured];
	const landmarks = LANDMARK_NAMES.map((name) => [
		name,
		sized(landmarkFacts(name).offset[measured])
	]);
	return {
		...(Object.fromEntries(landmarks) as Record<Landmark, Offset>),
		skullCentre: sized(centre),
		skullHalfAxes: sized(halfAxes)
	};
}

export const HEADS: Readonly<Record<Build, HeadMeasures>> = {
	adult: headOf('adult'),
	child: headOf('adult', 0.87),
	infant: headOf('adult', 0.68),
	cat: headOf('cat'),
	dog: headOf('dog')
};

/** Height of a build's head over an adult's. */
export const headSize = (build: Build): number =>
	HEADS[build].skullHalfAxes[1] / HEADS.adult.skullHalfAxes[1];

/** People blink and are told where to stand; animals are not. */
export const isHuman = (build: Build): boolean => build !== 'cat' && build !== 'dog';

import type { PlaceKind } from '$core/format/shot';
import type { Vec3 } from '$core/geometry/vector';
import type { PreviewPlace } from './scene';

/** What surrounds people in the picture: the sky, the ground, what closes the view, and the light it gives. */

/** Linear light. */
export type Triple = readonly [red: number, green: number, blue: number];

export interface Scenery {
	/** Of the sky: at the horizon and high up. */
	readonly horizon: Triple;
	readonly zenith: Triple;
	readonly floor: 'slabs' | 'boards';
	readonly floorColour: Triple;
	/** Light from all above and from below. */
	readonly dome: Triple;
	readonly bounce: Triple;
	/** The large soft source, and towards it, in the world: to the right, up, away from the camera. */
	readonly key: Triple;
	readonly keyFrom: Vec3;
	/** How far behind the last of them a wall closes the view, m; null where nothing does. */
	readonly wallM: number | null;
	/** How far behind the last of them the ground ends and water begins, m; null where there is none. */
	readonly waterM: number | null;
	/** Whether the sky is seen above it. */
	readonly hasSkyAbove: boolean;
}

/** A plain floor under a high pale sky. */
const OPEN_AIR: Scenery = {
	horizon: [0.56, 0.545, 0.51],
	zenith: [0.4, 0.455, 0.52],
	floor: 'slabs',
	floorColour: [0.36, 0.335, 0.3],
	dome: [0.46, 0.49, 0.53],
	bounce: [0.27, 0.25, 0.22],
	key: [0.68, 0.62, 0.53],
	keyFrom: { x: -0.56, y: 0.58, z: -0.59 },
	wallM: null,
	waterM: null,
	hasSkyAbove: true
};

const PLACES: Readonly<Record<PlaceKind, Scenery>> = {
	// half open at the left, stone all round
	arcade: {
		...OPEN_AIR,
		floorColour: [0.38, 0.335, 0.275],
		dome: [0.42, 0.43, 0.45],
		bounce: [0.3, 0.265, 0.215],
		key: [0.72, 0.66, 0.55],
		keyFrom: { x: -0.75, y: 0.42, z: -0.51 },
		wallM: 4,
		hasSkyAbove: false
	},
	// a wide sky above, pale stone below
	steps: {
		...OPEN_AIR,
		floorColour: [0.4, 0.385, 0.35],
		bounce: [0.33, 0.315, 0.285],
		wallM: 1.6,
		hasSkyAbove: false
	},
	// a low sun over water
	quay: {
		...OPEN_AIR,
		horizon: [0.66, 0.58, 0.47],
		zenith: [0.3, 0.4, 0.54],
		floorColour: [0.31, 0.3, 0.28],
		dome: [0.4, 0.46, 0.54],
		bounce: [0.27, 0.25, 0.23],
		key: [0.82, 0.68, 0.47],
		keyFrom: { x: 0.7, y: 0.36, z: -0.62 },
		wallM: 55,
		waterM: 3
	},
	// high windows, wood below
	hall: {
		...OPEN_AIR,
		floor: 'boards',
		floorColour: [0.3, 0.195, 0.115],
		dome: [0.44, 0.42, 0.39],
		bounce: [0.28, 0.215, 0.155],
		key: [0.66, 0.61, 0.52],
		keyFrom: { x: -0.45, y: 0.72, z: -0.53 },
		wallM: 5,
		hasSkyAbove: false
	},
	// one large window at the left
	window: {
		...OPEN_AIR,
		floor: 'boards',
		floorColour: [0.33, 0.24, 0.16],
		dome: [0.33, 0.33, 0.33],
		bounce: [0.24, 0.2, 0.16],
		key: [0.86, 0.84, 0.8],
		keyFrom: { x: -0.88, y: 0.28, z: -0.38 },
		wallM: 2.4,
		hasSkyAbove: false
	}
};

export const sceneryOf = (place: PreviewPlace | null): Scenery =>
	place ? PLACES[place.kind] : OPEN_AIR;

/** How far away the wall stands that closes the view, m; Infinity where nothing does. */
export function wallAtM(place: PreviewPlace | null): number {
	const { wallM } = sceneryOf(place);
	return place && wallM !== null ? place.lastM + wallM : Infinity;
}

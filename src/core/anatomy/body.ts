import type { Person } from '../format/shot';
import type { Build } from '../tables/heads';
import type { Pillar } from '../geometry/solids';
import { along, scale, type Vec3 } from '../geometry/vector';
import { placeHead } from './head';

/**
 * Bodies under heads: how large, in which pose, and what of them is in the way. The figures of the
 * preview stand so, too. Round values of an adult, mm from the eyes, scaled by the height of the eyes.
 */

export type Pose = 'standing' | 'sitting' | 'carried';

/** Height of the eyes of the adult that these measures are made for, mm. */
const STANDING_EYE_MM = 1600;
/** The same when sitting on a seat of about 450 mm. */
const SITTING_EYE_MM = 1200;
/** The same for the sitting animals. */
export const ANIMAL_EYE_MM = { cat: 300, dog: 470 } as const;

/** Size of a body over an adult's for the same eye height: children are slighter than their heads. */
const BODY_SIZE = {
	adult: [0.94, 1.06],
	child: [0.55, 0.85],
	infant: [0.42, 0.46],
	cat: [0.8, 1.2],
	dog: [0.8, 1.2]
} as const satisfies Record<Build, readonly [number, number]>;

export interface BodyShape {
	/** Over the measures of its kind. */
	readonly size: number;
	readonly pose: Pose;
	/** From the eyes down to the feet, mm of those measures. */
	readonly floorMm: number;
	/** Height of the step it stands on, m. */
	readonly stepM: number;
}

/** The body of somebody whose eyes are so high above the ground, m. */
export function bodyShape(build: Build, eyeHeightM: number): BodyShape {
	const [least, most] = BODY_SIZE[build];
	const naturalMm = build === 'cat' || build === 'dog' ? ANIMAL_EYE_MM[build] : STANDING_EYE_MM;
	const size = Math.min(most, Math.max(least, (eyeHeightM * 1000) / naturalMm));
	const heightMm = (eyeHeightM * 1000) / size;
	if (build === 'cat' || build === 'dog') {
		const stepM = ((heightMm - naturalMm) * size) / 1000;
		return { size, pose: 'sitting', floorMm: naturalMm, stepM: stepM > 0.02 ? stepM : 0 };
	}
	const pose = poseOf(build, heightMm);
	const stepMm = pose === 'standing' ? Math.max(0, heightMm - STANDING_EYE_MM * 1.12) : 0;
	return { size, pose, floorMm: heightMm - stepMm, stepM: (stepMm * size) / 1000 };
}

function poseOf(build: Build, heightMm: number): Pose {
	if (build === 'infant' && heightMm > STANDING_EYE_MM * 1.15) return 'carried';
	if (heightMm > (STANDING_EYE_MM + SITTING_EYE_MM) / 2) return 'standing';
	return heightMm > SITTING_EYE_MM * 0.8 ? 'sitting' : 'carried';
}

/** How much of a turn of the head the body follows. */
const BODY_TURNS = 0.6;

/** Somebody with the head as level as the body, facing where the body does. */
export const levelled = (person: Person): Person => ({
	...person,
	nodDeg: 0,
	leanDeg: 0,
	turnDeg: person.turnDeg * BODY_TURNS
});

/** A part of a body: half across and half deep, its middle before the eyes, from and down to, mm. */
type Block = readonly [across: number, deep: number, out: number, from: number, to: number];

const NECK: Block = [54, 54, -102, 80, 205];
/** With the arms. */
const TRUNK: Block = [240, 115, -95, 205, 760];

function blocksOf(build: Build, { pose, floorMm }: BodyShape): Block[] {
	if (build === 'cat') return [[60, 95, -105, 40, floorMm]];
	if (build === 'dog') return [[90, 140, -155, 60, floorMm]];
	if (pose === 'carried') return [NECK, TRUNK];
	if (pose === 'standing') return [NECK, TRUNK, [165, 90, -95, 760, floorMm]];
	return [
		NECK,
		TRUNK,
		[185, 290, 110, 660, 840],
		[165, 75, 318, 760, floorMm],
		[240, 225, -105, 820, floorMm]
	];
}

/** The parts of somebody below the head that block the view; `camera` is what a turn of 0 faces. */
export function bodyPillars(person: Person, camera: Vec3): Pillar[] {
	const { origin, left, out } = placeHead(levelled(person), camera);
	const shape = bodyShape(person.build, origin.y);
	const perMm = shape.size / 1000;
	const pillar = (acrossM: number, deepM: number, outM: number, highM: number, lowM: number) => ({
		middle: along(origin, out, outM),
		rows: [scale(left, 1 / acrossM), scale(out, 1 / deepM)] as const,
		lowM,
		highM
	});
	const body = blocksOf(person.build, shape).map(([across, deep, forward, from, to]) =>
		pillar(
			across * perMm,
			deep * perMm,
			forward * perMm,
			origin.y - from * perMm,
			origin.y - to * perMm
		)
	);
	return shape.stepM > 0 ? [...body, pillar(0.34, 0.3, 0, shape.stepM, 0)] : body;
}

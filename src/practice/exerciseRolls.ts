import { type ExerciseName } from '$core/format/exerciseLog';
import { OBJECTS } from '$core/exercises/exercise';
import type { Shot } from '$core/format/shot';
import { Random } from '$core/numeric/random';
import type { Spreads } from '$core/tables/spreads';
import {
	blockFaces,
	blocksShot,
	edgeShot,
	faceShot,
	widestOf,
	type PracticeGear
} from './exerciseScenes';
import type { RollOrder } from './roll';

/** Each exercise done once with the practice camera: rolls, in the order in which they are taken. */

export interface ExerciseGear extends PracticeGear {
	/** For what is done with a long and a short lens: the other one, if the kit has any. */
	readonly otherLens: PracticeGear['lens'] | null;
	readonly spreads: Spreads;
	/** Another one goes otherwise. */
	readonly seed: number;
}

const LONG_SIDE_PX = 1600;

/** As it is taught; what is wider than the lens or smaller than it goes is left out. */
const LADDER = [5.6, 8, 11, 14, 18, 22];
const LADDER_ISO = 1600;

export function exerciseRolls(exercise: ExerciseName, gear: ExerciseGear): RollOrder[] {
	const random = new Random(gear.seed);
	const common = {
		seed: gear.seed,
		spreads: gear.spreads,
		longSidePx: Math.min(LONG_SIDE_PX, gear.body.sensor.pixelsAcross),
		offsetMinutes: 0
	};
	let localMs = Date.now();
	let firstNumber = 1;
	const rolls: RollOrder[] = [];
	const take = (
		shot: Shot,
		frames: number,
		own: RollOrder['own'],
		more: Partial<RollOrder> = {}
	) => {
		const order = { ...common, shot, own, frames, firstNumber, localMs, ...more };
		// every roll has chances of its own
		rolls.push({ ...order, seed: gear.seed * 100 + rolls.length });
		firstNumber += frames;
		localMs += 8000 * frames;
	};
	const widest = widestOf(gear);
	switch (exercise) {
		case 'three-objects':
			for (const thingId of OBJECTS) {
				const shot = blocksShot(gear, { thingId });
				take(shot, 2, { fNumber: widest }, { charts: blockFaces(shot) });
			}
			break;
		case 'aperture-ladder': {
			const stops = LADDER.filter((f) => f > widest * 1.1 && f <= gear.lens.smallestFNumber);
			for (const thingId of OBJECTS.slice(0, 2)) {
				const shot = blocksShot(gear, { thingId });
				for (const fNumber of [widest, ...stops]) {
					take(shot, 1, { fNumber, iso: LADDER_ISO }, { charts: blockFaces(shot) });
				}
			}
			break;
		}
		case 'eyes-then-nose':
			for (const lens of [gear.lens, ...(gear.otherLens ? [gear.otherLens] : [])]) {
				const held = { ...gear, lens };
				const distances = noseDistances(lens);
				// the other lens from close by and from across the room
				for (const distanceM of lens === gear.lens
					? distances
					: distances.filter((_, i) => i !== 1)) {
					for (const on of ['eye', 'nose'] as const) {
						take(faceShot(held, distanceM, on), 1, { fNumber: widestOf(held) });
					}
				}
			}
			break;
		case 'four-edges': {
			const distanceM = Math.max((24 * gear.lens.focalMm[0]) / 1000, gear.lens.closestFocusM + 0.2);
			// once in most sittings the camera finds something else to focus on
			const again = Math.floor(random.uniform() * (EDGES.length + 1));
			EDGES.forEach((turn, i) => {
				take(edgeShot(gear, distanceM, turn, i === again), 1, { fNumber: Math.max(2.8, widest) });
			});
		}
	}
	return rolls;
}

const EDGES = [
	{ right: -1, up: 0, isUpright: false },
	{ right: 1, up: 0, isUpright: false },
	{ right: 0, up: 1, isUpright: false },
	{ right: 0, up: -1, isUpright: false },
	{ right: 0, up: 1, isUpright: true }
] as const;

/** A close portrait, half a figure, across the room. */
const NOSE_FOCAL_LENGTHS = [11, 28, 66] as const;

const noseDistances = ({ focalMm: [focalMm], closestFocusM }: PracticeGear['lens']): number[] =>
	NOSE_FOCAL_LENGTHS.map((times) => Math.max((times * focalMm) / 1000, closestFocusM + 0.15));

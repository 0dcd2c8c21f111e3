import { readShot } from '$core/format/shotFile';
import type { ShotInput } from '$core/format/shot';
import { cameraPose, seenFrom } from '$core/geometry/camera';
import { Random } from '$core/numeric/random';
import { ASSUMED } from '$core/tables/spreads';
import { BODIES, LENSES } from '$data/kit';
import type { RollOrder } from '../../src/practice/roll';
import { randomGroup } from './randomGroups';

/** Rolls of shots that nobody planned, to be judged as they come home. */

/** Third stops of ISO from 100 to 6400. */
const ISO_STEPS = 18;
/** Farther apart than this on the frame, eyes tell nothing more. */
const MOST_EYES_PX = 110;
const FULL_PX = 6000;

/**
 * A roll by its number: one person, two, or a group; any aperture, ISO and shutter a photographer may use.
 * @param mostPx along the long side
 */
export function randomRoll(seed: number, frames: number, mostPx = FULL_PX): RollOrder {
	const random = new Random(seed * 15_485_863 + 101);
	const between = (low: number, high: number) => low + (high - low) * random.uniform();
	const kind = seed % 3;
	const input = kind === 0 ? groupOf(seed) : fewOf(random, kind);
	const fNumber = 2 ** (Math.round(between(kind === 0 ? 3 : 1, kind === 0 ? 15 : 13)) / 6);
	const shutterS = 2 ** -between(5, 9.5);
	const iso = 100 * 2 ** (Math.round(ISO_STEPS * random.uniform()) / 3);
	const ev100 = 2 * Math.log2(fNumber) - Math.log2(shutterS) - Math.log2(iso / 100);
	const reading = readShot({ ...input, light: { mode: 'ambient', ev100 } });
	if (!reading.ok) throw new Error(reading.message);
	const { shot } = reading;
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const nearestM = Math.min(
		...shot.people.map(({ eyeMidpoint }) => seenFrom(pose, eyeMidpoint).depthM)
	);
	const eyesPx = (0.063 * shot.camera.focalMm * FULL_PX) / (nearestM * shot.body.sensor.widthMm);
	// a small file is for a small print
	const standard = eyesPx > MOST_EYES_PX ? 'album' : 'screen';
	return {
		shot: { ...shot, sharpness: { standard } },
		own: { fNumber, shutterS, iso },
		frames,
		seed,
		spreads: ASSUMED,
		longSidePx: Math.min(mostPx, Math.round((FULL_PX * MOST_EYES_PX) / eyesPx)),
		localMs: Date.UTC(2026, 4, 1, 15, 30),
		offsetMinutes: 120,
		firstNumber: 1
	};
}

/** A group with fewer people than there may be: the rest would tell the same. */
function groupOf(seed: number): ShotInput {
	const { shot } = randomGroup(seed, false);
	return { ...shot, people: (shot.people ?? []).filter((_, i) => i % 2 === 0).slice(0, 7) };
}

function fewOf(random: Random, count: number): ShotInput {
	const between = (low: number, high: number) => low + (high - low) * random.uniform();
	const lens = [LENSES.normal50, LENSES.portrait85, LENSES.wide35][
		Math.floor(3 * random.uniform())
	];
	if (!lens) throw new Error('no lens');
	const [focalMm] = lens.focalMm;
	const depthM = between(0.035, 0.08) * focalMm;
	const motion = (['still', 'still', 'still', 'restless', 'walking'] as const)[
		Math.floor(5 * random.uniform())
	];
	return {
		format: 'focalis-shot',
		version: 1,
		title: `Few ${count}`,
		body: BODIES.fullFrame24,
		lens,
		camera: { position: { x: 0, y: 1.6, z: 0 }, focalMm },
		people: Array.from({ length: count }, (_, i) => ({
			id: `p${i}`,
			name: `p${i}`,
			motion,
			eyeMidpoint: {
				x: (i - (count - 1) / 2) * 0.34 + 0.02 * random.normal(),
				y: 1.6 + 0.06 * random.normal(),
				z: depthM + i * between(-0.3, 0.3)
			},
			turnDeg: between(-40, 40),
			nodDeg: 5 * random.normal(),
			leanDeg: 5 * random.normal()
		})),
		things: [
			{
				id: 'behind',
				label: 'behind',
				position: { x: 0, y: 1.6, z: depthM + between(1, 6) },
				widthM: 3,
				heightM: 2.4,
				detailMm: between(10, 120),
				look: (['window', 'bars', 'foliage', 'wall'] as const)[Math.floor(4 * random.uniform())]
			}
		],
		choices: { pickBy: 'odds', shutterRule: 'computed' }
	};
}

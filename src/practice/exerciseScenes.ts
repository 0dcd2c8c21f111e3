import { OBJECTS } from '$core/exercises/exercise';
import type { Body, FocusChoice, Lens, Shot, ShotInput } from '$core/format/shot';
import { readShot } from '$core/format/shotFile';
import { degrees, radians } from '$core/geometry/angle';
import { cameraPose, ownFramePoint, seenFrom } from '$core/geometry/camera';
import { widestFNumber } from '$core/optics/fNumber';
import type { HungChart } from '../preview/scene';

/** Scenes to practise on with the practice camera: three blocks on a table, somebody in a room. */

/** What an exercise is done with. */
export interface PracticeGear {
	readonly body: Body;
	readonly lens: Lens;
}

type CameraInput = ShotInput['camera'];

const focalOf = ({ lens }: PracticeGear): number => lens.focalMm[0];
export const widestOf = (gear: PracticeGear): number => widestFNumber(gear.lens, focalOf(gear));

function shotOf(
	{ body, lens }: PracticeGear,
	scene: Omit<ShotInput, 'format' | 'version' | 'body' | 'lens'>
): Shot {
	const reading = readShot({ format: 'focalis-shot', version: 1, body, lens, ...scene });
	if (!reading.ok) throw new Error(reading.message);
	return reading.shot;
}

/** Blocks stand so many focal lengths away, a hand’s breadth or two behind each other. */
const BLOCKS_FOCAL_LENGTHS = 22;
const APART_M = 0.1;
/** As large as a block is in the frame, a share of its width; and how far aside the outer ones stand. */
const BLOCK_SHARE = 0.125;
const ASIDE_SHARE = 0.24;
const TABLE_M = 0.75;

/** Three blocks on a diagonal, the camera level with them. */
export function blocksShot(gear: PracticeGear, focus: FocusChoice): Shot {
	const { body, lens } = gear;
	const focalMm = focalOf(gear);
	const nearM = Math.max((BLOCKS_FOCAL_LENGTHS * focalMm) / 1000, lens.closestFocusM + 0.1);
	const acrossM = (body.sensor.widthMm / focalMm) * nearM;
	const sizeM = BLOCK_SHARE * acrossM;
	const height = TABLE_M + sizeM / 2;
	return shotOf(gear, {
		title: 'Three blocks',
		camera: { position: { x: 0, y: height, z: 0 }, focalMm, support: 'tripod' },
		things: OBJECTS.map((id, i) => ({
			id,
			label: `the ${id} block`,
			position: { x: (i - 1) * ASIDE_SHARE * acrossM, y: height, z: nearM + i * APART_M },
			widthM: sizeM,
			heightM: sizeM,
			detailMm: 2,
			intent: 'any',
			look: 'object'
		})),
		light: { mode: 'ambient', ev100: 7 },
		choices: { focus }
	});
}

/** Printed on the blocks: a square, a triangle, a disc; none looks like another, however blurred. Radius: of the width. */
const FACES = [
	{ corners: 4, radius: 0.4 },
	{ corners: 3, radius: 0.36 },
	{ corners: 48, radius: 0.3 }
] as const;
/** Aslant, so that every row of pixels sees the edges. */
const ASLANT_DEG = 5;

/** The faces of the blocks, which are large and plain: their edges are measured however blurred they are. */
export function blockFaces(shot: Shot): Readonly<Record<string, HungChart>> {
	return Object.fromEntries(
		shot.things.map(({ id, widthM }, i) => {
			const { corners, radius } = FACES[i % FACES.length] as (typeof FACES)[number];
			const radiusMm = radius * 1000 * widthM;
			const outline = Array.from({ length: corners }, (_, k) => {
				const angle = 2 * Math.PI * ((k + 0.5) / corners) + radians(ASLANT_DEG);
				return [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle)] as const;
			});
			return [id, { drawing: { shapes: [{ outline, tone: 0.1 }] }, turnDeg: 0, tiltDeg: 0 }];
		})
	);
}

/** Where things lie in a picture of a shot, px from its top left, and half of what is looked at of each. */
export function thingsInPicture(shot: Shot, widthPx: number, heightPx: number) {
	const pose = cameraPose(shot.camera, shot.body.sensor);
	return shot.things.map(({ id, position, widthM }) => {
		const seen = seenFrom(pose, position);
		const { x, y } = ownFramePoint(pose, seen);
		const sizePx = (widthM / seen.depthM) * (pose.focalMm / pose.widthMm) * widthPx;
		return { id, x: x * widthPx, y: y * heightPx, reachPx: 0.62 * sizePx };
	});
}

const EYES_M = 1.62;
const PERSON = 'practice';

/** Somebody at a distance, the camera level with their eyes, focused on an eye or on the nose. */
export function faceShot(gear: PracticeGear, distanceM: number, on: 'eye' | 'nose'): Shot {
	const camera = { position: { x: 0, y: EYES_M - 0.03, z: 0 }, focalMm: focalOf(gear) };
	const focus: FocusChoice =
		on === 'nose' ? { personId: PERSON, landmark: 'nose-tip' } : { personId: PERSON };
	return personShot(gear, 'Eyes, then nose', distanceM, camera, focus);
}

/** From the middle of the frame to where the eye is composed: shares of half its sides. */
const EDGE_SHARE = { across: 0.62, up: 0.5 } as const;
const WALL_BEHIND_M = 3;

/**
 * Somebody whose eye was focused on in the middle of the frame, and was then brought to an edge by turning the camera.
 * @param right  -1 the left edge, 1 the right one
 * @param up     1 the upper edge
 * @param again  focused once more on what is behind them
 */
export function edgeShot(
	gear: PracticeGear,
	distanceM: number,
	turn: { readonly right: number; readonly up: number; readonly isUpright: boolean },
	again: boolean
): Shot {
	const { sensor } = gear.body;
	const focalMm = focalOf(gear);
	const [acrossMm, upMm] = turn.isUpright
		? [sensor.heightMm, sensor.widthMm]
		: [sensor.widthMm, sensor.heightMm];
	const turned = (share: number, mm: number) => degrees(Math.atan((share * mm) / 2 / focalMm));
	const camera: CameraInput = {
		position: { x: 0, y: EYES_M, z: 0 },
		focalMm,
		orientation: turn.isUpright ? 'portrait' : 'landscape',
		panDeg: -turned(turn.right * EDGE_SHARE.across, acrossMm),
		tiltDeg: -turned(turn.up * EDGE_SHARE.up, upMm)
	};
	// the lens stays where it was when the eye was in the middle
	const focus = { depthM: distanceM + (again ? WALL_BEHIND_M : 0) };
	return personShot(gear, 'Four edges', distanceM, camera, focus);
}

function personShot(
	gear: PracticeGear,
	title: string,
	distanceM: number,
	camera: CameraInput,
	focus: FocusChoice
): Shot {
	return shotOf(gear, {
		title,
		camera,
		people: [
			{
				id: PERSON,
				name: 'Practice',
				eyeMidpoint: { x: 0, y: EYES_M, z: distanceM },
				turnDeg: 12,
				need: 'key',
				keep: 'near-eye'
			}
		],
		things: [
			{
				id: 'wall',
				label: 'a wall of leaves',
				position: { x: 0, y: 1.4, z: distanceM + WALL_BEHIND_M },
				widthM: 8,
				heightM: 2.8,
				detailMm: 60,
				intent: 'any',
				look: 'foliage'
			}
		],
		light: { mode: 'ambient', ev100: 11 },
		choices: { focus }
	});
}

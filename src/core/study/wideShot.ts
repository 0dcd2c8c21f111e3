import type { Shot } from '../format/shot';
import { degrees, radians } from '../geometry/angle';
import { cameraPose, framePoint, seenFrom, worldPoint } from '../geometry/camera';
import { focusAt, type FocusedOptic } from '../optics/focus';
import { depthOfField } from '../optics/depthOfField';
import { toleranceMm } from '../sharpness/tolerance';
import { stitchOf, type Stitch, type Stitching, type WideView } from '../technique/stitching';
import type { Take } from './candidate';

/** A shot taken as many frames, as it is planned. */

/** How the whole is put together from frames at a take's f-number; the face is what it is focused on. */
export function stitchingOf({ scene, candidate, fNumber }: Take, view: WideView): Stitching {
	const { shot, pose } = scene;
	const { sensor } = shot.body;
	const { depthM, rightM, upM } = candidate.seen;
	return stitchOf(view, {
		widthMm: pose.widthMm,
		heightMm: pose.heightMm,
		sensorWidthMm: sensor.widthMm,
		focalMm: pose.focalMm,
		fNumber,
		pxPerMm: sensor.pixelsAcross / sensor.widthMm,
		faceRightDeg: degrees(Math.atan2(rightM, depthM)),
		faceUpDeg: degrees(Math.atan2(upM, depthM)),
		tiltDeg: shot.camera.tiltDeg
	});
}

/** The finished picture as if one lens had taken it: flat, its focus a shell around the camera. */
export interface WideShot {
	readonly shot: Shot;
	readonly focus: FocusedOptic;
	/** Sharp from and to, m from the camera, in every direction. */
	readonly nearM: number;
	readonly farM: number;
}

export function wideShotOf({ scene, candidate }: Take, view: WideView, stitch: Stitch): WideShot {
	const { shot } = scene;
	const { sensor } = shot.body;
	const heightMm = 2 * stitch.focalMm * Math.tan(radians(view.downDeg / 2));
	// turning the camera makes the locked focus a shell
	const lens = { ...shot.lens, fieldBend: 1 };
	const whole: Shot = {
		...shot,
		body: { ...shot.body, sensor: { ...sensor, heightMm } },
		lens,
		camera: { ...shot.camera, focalMm: stitch.focalMm, orientation: 'landscape' }
	};
	const { distanceM } = candidate.seen;
	const optic = { focalMm: stitch.focalMm, fieldCurvature: lens.fieldBend };
	const focus = focusAt(optic, distanceM);
	const tolerance = toleranceMm(shot.sharpness, sensor);
	return { shot: whole, focus, ...depthOfField(focus, stitch.fNumber, tolerance) };
}

/** People who move, and will have moved before the last frame; not whom the first frame is on. */
export const movingIds = ({ scene, candidate }: Take): string[] =>
	scene.shot.people
		.filter(({ id, motion }) => motion !== 'still' && id !== candidate.personId)
		.map(({ id }) => id);

/** Whether people without a name cross the picture. */
export const hasCrowd = ({ scene }: Take): boolean =>
	scene.shot.things.some(({ look }) => look === 'crowd');

/** Where a frame of the whole lies in the finished picture: its corners, fractions from the top left. */
export function framesInPicture({ scene }: Take, wide: WideShot, { frames }: Stitch) {
	const whole = cameraPose(wide.shot.camera, wide.shot.body.sensor);
	const { camera, body } = scene.shot;
	return frames.map(({ panDeg, tiltDeg }) => {
		const pose = cameraPose(
			{ ...camera, panDeg: camera.panDeg + panDeg, tiltDeg: camera.tiltDeg + tiltDeg },
			body.sensor
		);
		const place = (across: number, up: number) => {
			const { focalMm, widthMm, heightMm } = pose;
			const point = worldPoint(pose, 1, (across * widthMm) / focalMm, (up * heightMm) / focalMm);
			return framePoint(whole, seenFrom(whole, point), whole.focalMm);
		};
		return {
			middle: place(0, 0),
			corners: [place(-0.5, 0.5), place(0.5, 0.5), place(0.5, -0.5), place(-0.5, -0.5)]
		};
	});
}

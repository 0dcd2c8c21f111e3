import { landmarkPoint, placeHead } from '../anatomy/head';
import { cameraPose, framePoint, seenFrom } from '../geometry/camera';
import { combinedBlurMm, defocusAt, diffractionMm } from '../optics/blur';
import type { FaceTruth } from '../format/practiceTruth';
import { LANDMARK_NAMES } from '../tables/landmarks';
import type { CameraSettings } from '../study/settings';
import type { Release } from './release';

/** The faces of a release: every landmark, whether it can be seen or not. */
export function facesOf(
	{ shot, focus, people, shakeMmPerS }: Release,
	{ fNumber, blurS }: CameraSettings
): FaceTruth[] {
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const diffraction = diffractionMm(focus, fNumber);
	return shot.people.map((person, i) => {
		const head = placeHead(person, pose.position);
		const acrossMPerS = people[i]?.acrossMPerS ?? 0;
		return {
			personId: person.id,
			isShut: people[i]?.isShut ?? false,
			landmarks: LANDMARK_NAMES.map((landmark) => {
				const seen = seenFrom(pose, landmarkPoint(head, landmark));
				const defocusMm = defocusAt(focus, fNumber, seen);
				const runMmPerS = (acrossMPerS * focus.imageDistanceMm) / seen.depthM;
				return {
					landmark,
					...framePoint(pose, seen, focus.imageDistanceMm),
					depthM: seen.depthM,
					defocusMm,
					blurMm: combinedBlurMm(defocusMm, diffraction),
					streakMm: { x: (shakeMmPerS.x + runMmPerS) * blurS, y: shakeMmPerS.y * blurS }
				};
			})
		};
	});
}

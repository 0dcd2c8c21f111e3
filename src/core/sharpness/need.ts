import type { Keep, Need } from '../format/shot';
import { landmarkFacts, LANDMARK_NAMES, type Landmark } from '../tables/landmarks';
import type { Eye, Sighting } from '../anatomy/sight';
import { landmarkPoint } from '../anatomy/head';
import { seenFrom, type CameraPoint, type CameraPose } from '../geometry/camera';
import { RULES } from '../tables/rules';

/** How many times the tolerance each need allows; null: nothing is asked of this person. */
const NEED_FACTOR: Readonly<Record<Need, number | null>> = {
	key: 1,
	sharp: 1,
	soft: RULES.softFactor,
	free: null
};

/** What is kept of a face beside its eyes. */
const FACE = LANDMARK_NAMES.flatMap((landmark) => {
	const { isEye, looseness } = landmarkFacts(landmark);
	return isEye || looseness === null ? [] : [{ landmark, looseness }];
});

/** A point of a face that the plan must keep sharp, and how many times the tolerance it allows. */
export interface FacePoint {
	readonly landmark: Landmark;
	readonly seen: CameraPoint;
	readonly factor: number;
}

/** What must be kept sharp of a person; nothing of someone who is free or has no visible eye. */
export function requiredFacePoints(pose: CameraPose, sighting: Sighting): FacePoint[] {
	const { person, nearEye, head } = sighting;
	const factor = NEED_FACTOR[person.need];
	if (factor === null || !nearEye) return [];
	const eyes = eyesKept(person.keep, sighting, nearEye).map((eye) => ({
		landmark: eye.landmark,
		seen: eye.seen,
		factor: factor * eye.looseness
	}));
	if (person.keep !== 'face') return eyes;
	const rest = FACE.map(({ landmark, looseness }) => ({
		landmark,
		seen: seenFrom(pose, landmarkPoint(head, landmark)),
		factor: factor * looseness
	}));
	return [...eyes, ...rest];
}

function eyesKept(keep: Keep, { eyes }: Sighting, nearEye: Eye): readonly Eye[] {
	return keep === 'near-eye' ? [nearEye] : eyes.filter((eye) => eye.lost === null);
}

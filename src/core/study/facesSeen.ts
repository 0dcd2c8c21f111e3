import type { CameraPoint } from '../geometry/camera';
import { isHuman } from '../tables/heads';
import type { Scene } from './scene';

/** Faces of people who are not free, as the nearer eye of each is seen; those of animals read as they may. */
export function facesSeen({
	sightings
}: Scene): readonly { readonly personId: string; readonly seen: CameraPoint }[] {
	return sightings.flatMap(({ person: { id, need, build }, nearEye }) =>
		nearEye && need !== 'free' && isHuman(build) ? [{ personId: id, seen: nearEye.seen }] : []
	);
}

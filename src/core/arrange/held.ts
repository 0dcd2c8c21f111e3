import type { FigurePart } from '../anatomy/figure';
import type { Person, Shot } from '../format/shot';
import { cameraPose, ownFramePoint, seenFrom } from '../geometry/camera';
import { headSize, isHuman } from '../tables/heads';

/** How far down somebody is in the frame. */

/**
 * Marks of an adult's body below the eyes, m, from the top down. Source: segments as shares of the
 * height, Drillis and Contini, 1966 (from memory), for somebody of 1.71 m.
 */
const MARKS = [
	['chin', 0.13],
	['shoulders', 0.2],
	['chest', 0.37],
	['waist', 0.52],
	['hips', 0.69],
	['knees', 1.11]
] as const;
export type BodyMark = (typeof MARKS)[number][0] | 'feet';

/** The framing that is nearest to what ends at a mark. */
export const PART_OF_MARK: Readonly<Record<BodyMark, FigurePart>> = {
	chin: 'face',
	shoulders: 'head-and-shoulders',
	chest: 'head-and-shoulders',
	waist: 'waist-up',
	hips: 'waist-up',
	knees: 'full-length',
	feet: 'full-length'
};

/** The lowest mark of somebody upright that is in the frame; null for animals, and without the chin. */
export function heldDownTo(shot: Shot, { build, eyeMidpoint }: Person): BodyMark | null {
	if (!isHuman(build)) return null;
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const size = headSize(build);
	const isIn = (y: number): boolean => {
		const seen = seenFrom(pose, { ...eyeMidpoint, y });
		if (seen.depthM * 1000 <= pose.focalMm) return false;
		const place = ownFramePoint(pose, seen);
		return place.x >= 0 && place.x <= 1 && place.y <= 1;
	};
	if (isIn(Math.min(0, eyeMidpoint.y))) return 'feet';
	const held = MARKS.filter(([, below]) => isIn(eyeMidpoint.y - below * size));
	return held.at(-1)?.[0] ?? null;
}

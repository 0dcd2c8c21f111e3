import type { MeasuredFace, MeasuredFrame } from '../format/review';
import type { ReviewedFace, ReviewedFrame, ReviewedSet } from './reviewSet';

/**
 * A reviewed set without what was measured of its frames, for whoever has that already: spectra are most of it,
 * and copying them from thread to thread holds a page up.
 */
export interface JudgedSet extends Omit<ReviewedSet, 'frames'> {
	readonly frames: readonly JudgedFrame[];
}

interface JudgedFrame extends Omit<ReviewedFrame, 'frame' | 'faces'> {
	readonly faces: readonly (JudgedFace | null)[];
}

interface JudgedFace extends Omit<ReviewedFace, 'face'> {
	/** Its place among the faces of the frame; or the face itself where it is none of them. */
	readonly face: number | MeasuredFace;
}

/** Leaves out of a set what was measured. */
export function judgedOf({ frames, ...rest }: ReviewedSet): JudgedSet {
	return {
		...rest,
		frames: frames.map(({ frame, faces, ...judged }) => ({
			...judged,
			faces: faces.map((one) => {
				if (!one) return null;
				const place = frame.faces.indexOf(one.face);
				return { ...one, face: place < 0 ? one.face : place };
			})
		}))
	};
}

/**
 * Puts what was measured back into its place.
 *
 * @param measured the frames that were judged, in the same order
 */
export function reviewedOf({ frames, ...rest }: JudgedSet, measured: readonly MeasuredFrame[]) {
	const whole = (frame: MeasuredFrame, { faces, ...judged }: JudgedFrame): ReviewedFrame => ({
		...judged,
		frame,
		faces: faces.map((one) => {
			const face = typeof one?.face === 'number' ? frame.faces[one.face] : one?.face;
			return one && face ? { ...one, face } : null;
		})
	});
	return {
		...rest,
		frames: frames.flatMap((judged, i) => {
			const frame = measured[i];
			return frame ? [whole(frame, judged)] : [];
		})
	} satisfies ReviewedSet;
}

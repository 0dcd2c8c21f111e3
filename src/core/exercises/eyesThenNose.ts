import type { MeasuredFrame } from '../format/review';
import type { Body } from '../format/shot';
import { seenHead } from '../review/heads';
import { reviewSet, type ReviewedFrame } from '../review/reviewSet';
import { takenWith } from '../review/scale';
import { discBy } from '../review/whereFocusFell';
import type { Score } from './exercise';

/** Focus on an eye, then on the nose, from several distances with a long and a short lens. */
export interface EyesThenNose {
	readonly exercise: 'eyes-then-nose';
	/** Frames with a face of which it can be told where the focus fell. */
	readonly looks: readonly EyeAndNose[];
	/** By focal length, the longest first. */
	readonly lenses: readonly NoseByLens[];
	/** Frames in which eye or nose is sharp. */
	readonly score: Score;
	/** Nearest frames on the eye and on the nose, and the farthest. */
	readonly best: readonly number[];
}

interface EyeAndNose {
	readonly frame: number;
	readonly focalMm: number;
	/** To the eyes, m. */
	readonly distanceM: number;
	/**
	 * What is sharp: one of them, both, or none. Skin has few edges to measure: the eyes say where the focus fell, and that
	 * how blurred the nose is.
	 */
	readonly sharp: 'eye' | 'nose' | 'both' | 'none';
}

interface NoseByLens {
	readonly focalMm: number;
	/** The farthest distance from which one is soft while the other is sharp, m; null where none is. */
	readonly apartUpToM: number | null;
	/** The distance from which both are sharp at once, m; null where they never are. */
	readonly togetherFromM: number | null;
}

/** Faces whose size differs by less are seen from one place: only such can be compared. */
const SAME_SIZE = 1.3;

/** @param frames in the order in which they were taken */
export function eyesThenNose(
	frames: readonly MeasuredFrame[],
	bodies: readonly Body[]
): EyesThenNose {
	const looks = fromOnePlace(frames).flatMap((indices) => {
		const known = indices.map((i) => frames[i] as MeasuredFrame);
		return reviewSet(known, null, bodies).frames.flatMap((frame, k) => {
			const look = lookAt(frame, bodies);
			return look ? [{ ...look, frame: indices[k] as number }] : [];
		});
	});
	const focals = [...new Set(looks.map(({ focalMm }) => Math.round(focalMm)))];
	const lenses = focals
		.toSorted((a, b) => b - a)
		.map((focal) =>
			byLens(
				focal,
				looks.filter(({ focalMm }) => Math.round(focalMm) === focal)
			)
		);
	const near = looks.toSorted((a, b) => a.distanceM - b.distanceM);
	const nearest = (sharp: EyeAndNose['sharp']) => near.find((one) => one.sharp === sharp);
	const best = [nearest('eye'), nearest('nose'), near.at(-1)].flatMap((one) => one?.frame ?? []);
	return {
		exercise: 'eyes-then-nose',
		looks,
		lenses,
		score: { good: looks.filter(({ sharp }) => sharp !== 'none').length, of: frames.length },
		best: [...new Set(best)]
	};
}

/** Frames one after another with one lens from one place: their indices. */
function fromOnePlace(frames: readonly MeasuredFrame[]): number[][] {
	const groups: number[][] = [];
	frames.forEach((frame, i) => {
		const before = frames[groups.at(-1)?.[0] ?? -1];
		const [size, sizeBefore] = [frame.faces[0]?.eyesPx, before?.faces[0]?.eyesPx];
		if (!size) return;
		const isSame =
			sizeBefore &&
			before?.facts.focalMm === frame.facts.focalMm &&
			Math.max(size / sizeBefore, sizeBefore / size) < SAME_SIZE;
		if (isSame) groups.at(-1)?.push(i);
		else groups.push([i]);
	});
	return groups;
}

function lookAt(
	{ faces, depthsM, frame, fell, tolerancePx }: ReviewedFrame,
	bodies: readonly Body[]
): Omit<EyeAndNose, 'frame'> | null {
	const who = faces.findIndex((face) => face !== null);
	const [face, headM] = [faces[who], depthsM[who]];
	const lens = takenWith(frame, null, bodies);
	const head = face && lens && seenHead(face.face, lens.focalPx, 'adult');
	if (!face || !lens || !head || !headM || !fell) return null;
	const isSharp = (landmark: 'nose-tip' | 'left-eye' | 'right-eye') =>
		discBy(fell, lens, head.depthOf(landmark, headM), 0).discPx <= tolerancePx;
	const [isEye, isNose] = [isSharp(`${face.near}-eye`), isSharp('nose-tip')];
	const sharp = isEye && isNose ? 'both' : isEye ? 'eye' : isNose ? 'nose' : 'none';
	return { focalMm: lens.focalMm, distanceM: headM, sharp };
}

function byLens(focalMm: number, looks: readonly Omit<EyeAndNose, 'frame'>[]): NoseByLens {
	const apart = looks
		.filter(({ sharp }) => sharp === 'eye' || sharp === 'nose')
		.map((one) => one.distanceM);
	const apartUpToM = apart.length > 0 ? Math.max(...apart) : null;
	const together = looks
		.filter(({ sharp, distanceM }) => sharp === 'both' && distanceM > (apartUpToM ?? 0))
		.map((one) => one.distanceM);
	return {
		focalMm,
		apartUpToM,
		togetherFromM: together.length > 0 ? Math.min(...together) : null
	};
}

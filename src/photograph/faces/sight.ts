import type { FaceBox } from './detect';

/** What is seen of faces from one frame to the next. */

/** Frames taken within so long of each other show the same people at nearly the same places, ms. */
const A_MOMENT_MS = 15_000;
/** After so many frames everywhere is looked again: somebody may have come. */
const LOOK_AGAIN = 6;

/** When a frame was taken, by the clock of the camera, and how wide it is. */
export interface FrameMark {
	readonly widthPx: number;
	readonly localMs: number | null;
}

/** Where faces are in a frame, for the next one of its series. */
export interface FacesBefore extends FrameMark {
	readonly faces: readonly FaceBox[];
	/** How many frames ago everywhere was looked at. */
	readonly since: number;
}

/** Where faces are likely in a frame, and whether everywhere must be looked at, too; null where nothing is known. */
export interface Likely {
	readonly faces: readonly FaceBox[];
	readonly isEverywhere: boolean;
}

export function likelyIn(
	{ widthPx, localMs }: FrameMark,
	before: FacesBefore | null
): Likely | null {
	if (!before || before.faces.length === 0 || before.widthPx !== widthPx) return null;
	if (before.localMs === null || localMs === null) return null;
	if (Math.abs(localMs - before.localMs) > A_MOMENT_MS) return null;
	return { faces: before.faces, isEverywhere: before.since >= LOOK_AGAIN };
}

/** What the next frame is to know, of faces that were found and of what was seen before. */
export function sightAfter(
	frame: FrameMark,
	found: readonly FaceBox[],
	before: FacesBefore | null
): FacesBefore {
	const likely = likelyIn(frame, before);
	const sight = { ...frame, faces: found, since: 0 };
	if (!before || !likely || likely.isEverywhere) return sight;
	// somebody who was hidden for one frame is looked for in the next
	const last = found.length < likely.faces.length ? before : sight;
	return { ...last, since: before.since + 1 };
}

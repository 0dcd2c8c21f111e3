import type { Judgement, MeasuredFrame } from '../format/review';
import type { Body, Shot } from '../format/shot';
import { norm, subtract } from '../geometry/vector';
import { median } from '../numeric/median';
import { lensOf } from '../photograph/lensOf';
import { awayBy } from './people';

/** What tells shots of a day, and frames, from one another. */

/** A shot, as far as frames tell it from others. */
export interface ShotSign {
	readonly id: string;
	/** Its beginning by the clock on the wall, ms as if it were UTC; and how long it takes. */
	readonly startMs: number;
	readonly minutes: number;
	readonly focalMm: number;
	readonly people: number;
	/** How far they are from the camera, in the middle, m; null of nobody. */
	readonly awayM: number | null;
	readonly isUpright: boolean;
}

/** A frame, as far as shots are told by it. */
export interface FrameSign {
	readonly id: string;
	readonly localMs: number | null;
	readonly focalMm: number | undefined;
	readonly faces: number;
	/** How far they were, by their size, in the middle, m; null where that is not known. */
	readonly awayM: number | null;
	readonly isUpright: boolean;
	/** The shot it was put to by hand; `APART`; null while it goes by itself. */
	readonly shotId: string | null;
}

export const shotSignOf = (id: string, shot: Shot, startMs: number, minutes: number): ShotSign => ({
	id,
	startMs,
	minutes,
	focalMm: shot.camera.focalMm,
	people: shot.people.length,
	awayM: middleOrNull(
		shot.people.map((one) => norm(subtract(one.eyeMidpoint, shot.camera.position)))
	),
	isUpright: shot.camera.orientation === 'portrait'
});

export function frameSignOf(
	id: string,
	frame: MeasuredFrame,
	{ shotId }: Pick<Judgement, 'shotId'>,
	bodies: readonly Body[]
): FrameSign {
	const { localMs, facts, faces, widthPx, heightPx } = frame;
	const lens = lensOf(facts, frame, bodies);
	const isUpright = heightPx > widthPx;
	return {
		id,
		localMs,
		focalMm: facts.focalMm,
		faces: faces.length,
		awayM: lens && middleOrNull(faces.map((face) => awayBy(face.widthPx, lens.focalPx))),
		isUpright,
		shotId
	};
}

/** Null of nothing. */
export const middleOrNull = (values: readonly number[]): number | null =>
	values.length > 0 ? median(values) : null;

import { APART } from '../format/review';
import { middleOrNull, type FrameSign, type ShotSign } from './signs';

/** Which shot of the day each frame belongs to. */

/** A pause so long, or another lens or hold of the camera, ends a series, ms. */
const PAUSE_MS = 40_000;
const SAME_FOCAL = 0.05;
/** Frames farther than this from any shot's time belong to none, ms. */
const FARTHEST_MS = 3 * 3600_000;
/** What speaks against a shot: as much as so many minutes away from it. */
const OTHER_FOCAL = 45;
const OTHER_HOLD = 6;
const FEWER_PEOPLE = 20;
/** Part of a group may be photographed alone; whoever is not planned does not belong to it. */
const MORE_PEOPLE = 40;
/** Twice as far, or half; farther off it is no worse. */
const TWICE_AWAY = 20;
const MOST_TWICE = 2;
/** Frames of a series further on say more of the time than of anything else: nobody's beyond that cost. */
const MOST_COST = 120;

/** Frames that were taken in one go: in order of time, none far apart, with one lens, held one way. */
export function seriesOf(frames: readonly FrameSign[]): FrameSign[][] {
	const sorted = frames.toSorted(
		(a, b) => (a.localMs ?? Infinity) - (b.localMs ?? Infinity) || (a.id < b.id ? -1 : 1)
	);
	const series: FrameSign[][] = [];
	for (const frame of sorted) {
		const last = series.at(-1)?.at(-1);
		if (last && goesOn(last, frame)) series.at(-1)?.push(frame);
		else series.push([frame]);
	}
	return series;
}

function goesOn(last: FrameSign, next: FrameSign): boolean {
	if (last.localMs === null || next.localMs === null) return last.localMs === next.localMs;
	return (
		next.localMs - last.localMs < PAUSE_MS &&
		next.isUpright === last.isUpright &&
		isSameFocal(last.focalMm, next.focalMm)
	);
}

const isSameFocal = (a: number | undefined, b: number | undefined): boolean =>
	a === undefined || b === undefined || Math.abs(Math.log(a / b)) < SAME_FOCAL;

/**
 * The shot of each frame, by its id; null for one apart. What was put by hand stays, and takes its series along.
 * @param clockMs how far the camera's clock is ahead of the one on the wall
 */
export function intoShots(
	frames: readonly FrameSign[],
	shots: readonly ShotSign[],
	clockMs: number
): ReadonlyMap<string, string | null> {
	const known = new Set(shots.map(({ id }) => id));
	const placed = new Map<string, string | null>();
	for (const series of seriesOf(frames)) {
		const byHand = series.find(({ shotId }) => shotId !== null && known.has(shotId))?.shotId;
		const guess = byHand ?? guessOf(series, shots, clockMs);
		for (const { id, shotId } of series) {
			const own = shotId === APART ? null : shotId !== null && known.has(shotId) ? shotId : guess;
			placed.set(id, own);
		}
	}
	return placed;
}

function guessOf(
	series: readonly FrameSign[],
	shots: readonly ShotSign[],
	clockMs: number
): string | null {
	const costs = shots.map((shot) => ({ id: shot.id, cost: costOf(series, shot, clockMs) }));
	const best = costs.reduce<(typeof costs)[number] | null>(
		(a, b) => (a && a.cost <= b.cost ? a : b),
		null
	);
	return best && best.cost <= MOST_COST ? best.id : null;
}

/** How little a series looks like a shot, in minutes away from it. */
function costOf(series: readonly FrameSign[], shot: ShotSign, clockMs: number): number {
	const [first] = series;
	if (first?.localMs === null || first?.localMs === undefined) return Infinity;
	const wallMs = first.localMs - clockMs;
	const endMs = shot.startMs + shot.minutes * 60_000;
	const awayMs = Math.max(0, shot.startMs - wallMs, wallMs - endMs);
	if (awayMs > FARTHEST_MS) return Infinity;
	const most = Math.max(...series.map(({ faces }) => faces));
	const shareOfPeople = Math.abs(most - shot.people) / Math.max(1, most, shot.people);
	const awayM = middleOrNull(series.flatMap((frame) => frame.awayM ?? []));
	const twices = awayM && shot.awayM ? Math.abs(Math.log2(awayM / shot.awayM)) : 0;
	return (
		awayMs / 60_000 +
		OTHER_FOCAL * otherFocal(first.focalMm, shot.focalMm) +
		(first.isUpright === shot.isUpright ? 0 : OTHER_HOLD) +
		(most > shot.people ? MORE_PEOPLE : FEWER_PEOPLE) * shareOfPeople +
		TWICE_AWAY * Math.min(MOST_TWICE, twices) +
		// of two shots at one time the one that begins nearer to the frames
		Math.abs(wallMs - shot.startMs) / 60_000_000
	);
}

/** How different two focal lengths are, 0 to 1: one is twice the other, or more. */
function otherFocal(a: number | undefined, b: number): number {
	return a === undefined || isSameFocal(a, b) ? 0 : Math.min(1, Math.abs(Math.log2(a / b)));
}

/** How far the camera's clock is ahead when a frame is known to be of a shot, ms. */
const clockBy = (frame: FrameSign, shot: ShotSign): number | null =>
	frame.localMs === null ? null : frame.localMs - shot.startMs;

/** The same by several: the middle one. Null where none has a time. */
export function clockByAll(
	known: readonly { readonly frame: FrameSign; readonly shot: ShotSign }[]
): number | null {
	const all = known.flatMap(({ frame, shot }) => clockBy(frame, shot) ?? []).sort((a, b) => a - b);
	return all[(all.length - 1) >> 1] ?? null;
}

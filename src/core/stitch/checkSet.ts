import { radians } from '../geometry/angle';
import { angleDeg } from '../technique/stitching';
import type { PlacedSet } from './placeFrames';

/** Whether a set of frames can be put together: what overlaps too little, what is missing, what was not locked. */

/** How a frame was taken, as far as its file says it. */
interface FrameSettings {
	readonly fNumber?: number | undefined;
	readonly shutterS?: number | undefined;
	readonly iso?: number | undefined;
	readonly focalMm?: number | undefined;
	/** Of what was focused on. */
	readonly subjectM?: number | undefined;
}

export interface SetFrame {
	readonly widthPx: number;
	readonly heightPx: number;
	/** Focal length, in the same pixels. */
	readonly focalPx: number;
	readonly settings: FrameSettings;
}

export type SetSetting = keyof FrameSettings;

/** What may be wrong with a set; frames by their place in it. */
export type SetProblem =
	/** It shares nothing with the others that can be recognised. */
	| { readonly code: 'alone'; readonly frame: number }
	/** Two that lie side by side share so much of their sides. */
	| {
			readonly code: 'thin';
			readonly frames: readonly [number, number];
			readonly overlap: number;
	  }
	/** Nothing shows a place within the set, which lies there as seen from the nearest frame. */
	| {
			readonly code: 'hole';
			readonly beside: number;
			readonly way: Way;
			readonly turnDeg: number;
			readonly tiltDeg: number;
	  }
	/** A frame that differs from the first. */
	| {
			readonly code: 'not-locked';
			readonly frame: number;
			readonly setting: SetSetting;
			readonly was: number;
			readonly is: number;
	  };

export interface Way {
	readonly across: -1 | 0 | 1;
	/** 1 is up. */
	readonly up: -1 | 0 | 1;
}

export interface SetCheck {
	readonly problems: readonly SetProblem[];
	/** What the whole shows, from the frames that have a place, degrees. */
	readonly acrossDeg: number;
	readonly downDeg: number;
	/** The least that neighbours share of their sides; null where there are none. */
	readonly leastOverlap: number | null;
	/** Whether the files tell where the focus was. */
	readonly tellsFocus: boolean;
}

/** Programs that put frames together ask for at least so much (common practice, no source). */
export const LEAST_OVERLAP = 0.2;
/** What files round by; a distance is told in coarse steps. */
const SAME: Readonly<Record<SetSetting, number>> = {
	fNumber: 0.02,
	shutterS: 0.02,
	iso: 0.02,
	focalMm: 0.02,
	subjectM: 0.06
};
/** Edges are ragged and are cropped: so much of a frame on each side is not missed. */
const RAGGED_EDGE_SHARE = 0.35;
/** Cells across a frame in which holes are looked for. */
const CELLS_ACROSS = 24;
/** Smaller holes are filled by any program, a share of a frame. */
const LEAST_HOLE = 0.004;

/** A frame in its place: the middle and the sides, degrees. */
interface Spread {
	readonly frame: number;
	readonly turnDeg: number;
	readonly tiltDeg: number;
	readonly acrossDeg: number;
	readonly downDeg: number;
}

export function checkSet(frames: readonly SetFrame[], { places }: PlacedSet): SetCheck {
	const spreads = frames.flatMap(({ widthPx, heightPx, focalPx }, frame): Spread[] => {
		const place = places[frame];
		if (!place) return [];
		const [acrossDeg, downDeg] = [angleDeg(widthPx, focalPx), angleDeg(heightPx, focalPx)];
		return [{ frame, ...place, acrossDeg, downDeg }];
	});
	const overlaps = neighbours(spreads);
	const alone = frames.flatMap((_, frame) =>
		places[frame] ? [] : [{ code: 'alone', frame } as const]
	);
	const thin = overlaps.filter(({ overlap }) => overlap < LEAST_OVERLAP);
	const ends = spreads.length > 0 ? outline(spreads, 0) : { left: 0, right: 0, top: 0, bottom: 0 };
	return {
		problems: [
			...alone,
			...holes(spreads),
			...thin.map((one) => ({ code: 'thin', ...one }) as const),
			...notLocked(frames)
		],
		acrossDeg: ends.right - ends.left,
		downDeg: ends.top - ends.bottom,
		leastOverlap: overlaps.length > 0 ? Math.min(...overlaps.map(({ overlap }) => overlap)) : null,
		tellsFocus: frames.every(({ settings }) => settings.subjectM !== undefined)
	};
}

/** The share of their sides that neighbouring frames have in common. */
function neighbours(spreads: readonly Spread[]) {
	const next = (one: Spread, side: 'across' | 'down') => {
		const [ahead, aside] = side === 'across' ? [across, down] : [down, across];
		const [nearest] = spreads
			.filter((other) => ahead(one, other) > 0.25 && Math.abs(aside(one, other)) < 0.5)
			.toSorted((a, b) => ahead(one, a) - ahead(one, b));
		return nearest && { frames: inOrder(one, nearest), overlap: 1 - ahead(one, nearest) };
	};
	return spreads
		.flatMap((one) => [next(one, 'across') ?? [], next(one, 'down') ?? []].flat())
		.filter(({ overlap }) => overlap > 0);
}

const inOrder = (a: Spread, b: Spread): readonly [number, number] =>
	a.frame < b.frame ? [a.frame, b.frame] : [b.frame, a.frame];

/** How far the other lies to the right of a frame, and below it, in frames. */
const across = (one: Spread, other: Spread): number =>
	((other.turnDeg - one.turnDeg) * Math.cos(radians(one.tiltDeg))) / one.acrossDeg;
const down = (one: Spread, other: Spread): number => (one.tiltDeg - other.tiltDeg) / one.downDeg;

/** What all frames reach, each less a share of itself on every side; some are there. */
function outline(spreads: readonly Spread[], less: number) {
	const reach = (of: (one: Spread) => number) => spreads.map(of);
	return {
		left: Math.min(...reach((one) => one.turnDeg - (0.5 - less) * one.acrossDeg)),
		right: Math.max(...reach((one) => one.turnDeg + (0.5 - less) * one.acrossDeg)),
		bottom: Math.min(...reach((one) => one.tiltDeg - (0.5 - less) * one.downDeg)),
		top: Math.max(...reach((one) => one.tiltDeg + (0.5 - less) * one.downDeg))
	};
}

/** Places within the set that no frame shows. */
function holes(spreads: readonly Spread[]): SetProblem[] {
	const [first] = spreads;
	if (!first || spreads.length < 2) return [];
	const { left, right, bottom, top } = outline(spreads, RAGGED_EDGE_SHARE);
	const stepDeg = first.acrossDeg / CELLS_ACROSS;
	const cellsOfFrame = (first.acrossDeg * first.downDeg) / stepDeg ** 2;
	const [columns, rows] = [
		Math.max(1, Math.round((right - left) / stepDeg)),
		Math.max(1, Math.round((top - bottom) / stepDeg))
	];
	const at = (cell: number) => ({
		turnDeg: left + ((cell % columns) + 0.5) * stepDeg,
		tiltDeg: top - (Math.floor(cell / columns) + 0.5) * stepDeg
	});
	const isBare = Array.from({ length: columns * rows }, (_, cell) => {
		const { turnDeg, tiltDeg } = at(cell);
		return !spreads.some(
			(one) =>
				Math.abs(turnDeg - one.turnDeg) * Math.cos(radians(tiltDeg)) <= one.acrossDeg / 2 &&
				Math.abs(tiltDeg - one.tiltDeg) <= one.downDeg / 2
		);
	});
	return connected(isBare, columns)
		.filter((cells) => cells.length >= LEAST_HOLE * cellsOfFrame)
		.map((cells) => {
			const mean = (of: (cell: number) => number) =>
				cells.reduce((sum, cell) => sum + of(cell), 0) / cells.length;
			const middle = {
				...first,
				turnDeg: mean((cell) => at(cell).turnDeg),
				tiltDeg: mean((cell) => at(cell).tiltDeg)
			};
			const far = (one: Spread) => Math.hypot(across(one, middle), down(one, middle));
			const [nearest = first] = spreads.toSorted((a, b) => far(a) - far(b));
			return {
				code: 'hole',
				beside: nearest.frame,
				way: { across: side(across(nearest, middle)), up: side(-down(nearest, middle)) },
				turnDeg: middle.turnDeg,
				tiltDeg: middle.tiltDeg
			};
		});
}

/** Which side something lies on, in frames; about level is neither. */
const side = (by: number): -1 | 0 | 1 => (Math.abs(by) < 0.35 ? 0 : by > 0 ? 1 : -1);

/** Cells that are so, in groups that hang together. */
function connected(isSo: readonly boolean[], columns: number): number[][] {
	const seen = new Set<number>();
	return isSo.flatMap((so, start) => {
		if (!so || seen.has(start)) return [];
		const group = [start];
		seen.add(start);
		for (const cell of group) {
			const column = cell % columns;
			for (const other of [
				...(column > 0 ? [cell - 1] : []),
				...(column < columns - 1 ? [cell + 1] : []),
				cell - columns,
				cell + columns
			]) {
				if (!isSo[other] || seen.has(other)) continue;
				seen.add(other);
				group.push(other);
			}
		}
		return [group];
	});
}

/** Settings that are not those of the first frame. */
function notLocked(frames: readonly SetFrame[]): SetProblem[] {
	const [first, ...others] = frames;
	if (!first) return [];
	return others.flatMap(({ settings }, i) =>
		(Object.keys(SAME) as SetSetting[]).flatMap((setting): SetProblem[] => {
			const [was, is] = [first.settings[setting], settings[setting]];
			if (was === undefined || is === undefined) return [];
			if (Math.abs(Math.log(is / was)) <= SAME[setting]) return [];
			return [{ code: 'not-locked', frame: i + 1, setting, was, is }];
		})
	);
}

import { difference } from './difference';
import { fineness, type Spectrum } from './spectrum';
import { blurOf, meanSquare, type Blur, type BlurSpread } from './spread';

/** What was measured of one thing, an eye say, in one frame. */
export interface PatchMeasurement {
	/** By its edges alone; null where they tell nothing. */
	readonly edges: BlurSpread | null;
	readonly spectrum: Spectrum | null;
}

/** How far what blurs it spreads in a frame. */
export interface SpreadInSet {
	readonly spread: BlurSpread;
	/** Blur against the sharpest frame, px²; the sharper of two frames has the lower one. */
	readonly order: number;
}

/** How blurred it is in a frame. */
export interface BlurInSet extends Blur {
	/** How far off it may be: its spread, px. */
	readonly sigmaPx: number;
	readonly order: number;
}

/** Taken for the blur of the sharpest while differences to it are measured, px. */
const SHARP_PX = 1.2;
/** One frame counts for so much at most against another when the sharpest is looked for, px². */
const MOST_OF_ONE = 18;
/** Frames that differ by less have the same blur by their edges, px². */
const ALIKE_PX2 = 4;
/** Differences under this are noise: always positive against the sharpest, px² (measured on practice frames). */
const NOISE_PX2 = 0.5;
/** Below this the edges tell better, px. */
const SMALL_PX = 1.2;
/** What is left of either way of measuring, px and as a share (measured on practice frames). */
const SIGMA_PX = 0.4;
const SIGMA_SHARE = 0.15;
/** Small eyes have few edges, and most of them are no lashes: px, for eyes one px apart (measured on practice frames). */
const SIGMA_OF_SMALL = 24;

const NONE: BlurSpread = { xx: 0, yy: 0, xy: 0 };
const plus = (a: BlurSpread, b: BlurSpread): BlurSpread => ({
	xx: a.xx + b.xx,
	yy: a.yy + b.yy,
	xy: a.xy + b.xy
});

/**
 * How blurred one thing is in each frame of a set: the edges of the sharpest say how much that one is, the spectra
 * how much more the others are. One frame alone has its edges only. Null where neither tells.
 */
export function spreadsInSet(frames: readonly PatchMeasurement[]): (SpreadInSet | null)[] {
	const known = frames.filter(({ spectrum }) => spectrum !== null).length;
	const sharpest = known > 1 ? sharpestOf(frames) : null;
	if (sharpest === null) return frames.map(({ edges }) => edges && told(edges, meanSquare(edges)));
	const { spectrum } = frames[sharpest] as PatchMeasurement & { spectrum: Spectrum };
	const more = frames.map((frame, i) =>
		i === sharpest ? NONE : frame.spectrum && moreBlurred(spectrum, frame.spectrum)
	);
	const least = leastOf(frames, more);
	return frames.map(({ edges }, i) => {
		const extra = more[i];
		if (!extra || least === null) return edges && told(edges, edges ? meanSquare(edges) : 0);
		const order = meanSquare(extra);
		const chance = i === sharpest ? 0 : NOISE_PX2;
		const bySet = plus(extra, { xx: least - chance, yy: least - chance, xy: 0 });
		const isSmall = meanSquare(bySet) < SMALL_PX ** 2;
		return told(isSmall && edges ? between(bySet, edges) : bySet, order);
	});
}

/** A set is judged again whenever a frame more is there: what two of them have between them stays. */
const compared = new WeakMap<Spectrum, WeakMap<Spectrum, BlurSpread | null>>();

function moreBlurred(first: Spectrum, second: Spectrum): BlurSpread | null {
	const known = compared.get(first) ?? new WeakMap<Spectrum, BlurSpread | null>();
	compared.set(first, known);
	const found = known.get(second);
	if (found !== undefined) return found;
	const more = difference(first, second, SHARP_PX);
	known.set(second, more);
	return more;
}

/** How many frames of a large set are compared with all others: those with the most fine detail. */
const MOST_COMPARED = 8;

/** Which is sharper than the others, by the sum of the differences. */
function sharpestOf(frames: readonly PatchMeasurement[]): number | null {
	const finest = frames
		.flatMap(({ spectrum }, i) => (spectrum ? [{ i, fine: fineness(spectrum) }] : []))
		.toSorted((a, b) => b.fine - a.fine)
		.slice(0, MOST_COMPARED);
	const candidates = new Set(finest.map(({ i }) => i));
	const sums = frames.map(({ spectrum }, i) =>
		spectrum && candidates.has(i)
			? frames.reduce((sum, other) => {
					const more = other.spectrum && moreBlurred(spectrum, other.spectrum);
					const square = more ? meanSquare(more) : 0;
					return sum + Math.max(-MOST_OF_ONE, Math.min(MOST_OF_ONE, square));
				}, 0)
			: -Infinity
	);
	const most = Math.max(...sums);
	return Number.isFinite(most) ? sums.indexOf(most) : null;
}

/** The square of the sharpest frame's blur: the median of what the edges of it, and of those like it, tell. */
function leastOf(
	frames: readonly PatchMeasurement[],
	more: readonly (BlurSpread | null)[]
): number | null {
	const told = frames.flatMap(({ edges }, i) => {
		const extra = more[i];
		if (!edges || !extra || meanSquare(extra) > ALIKE_PX2) return [];
		return [Math.max(0, meanSquare(edges) - Math.max(0, meanSquare(extra)))];
	});
	told.sort((a, b) => a - b);
	return told[(told.length - 1) >> 1] ?? null;
}

const between = (a: BlurSpread, b: BlurSpread): BlurSpread => {
	const half = ({ xx, yy, xy }: BlurSpread) => ({ xx: xx / 2, yy: yy / 2, xy: xy / 2 });
	return plus(half(a), half(b));
};

const told = (spread: BlurSpread, order: number): SpreadInSet => ({ spread, order });

/**
 * Disc and streak of what was measured.
 * @param eyesPx how far the eyes of the face lie apart
 */
export function blurInSet({ spread, order }: SpreadInSet, eyesPx: number): BlurInSet {
	const share = SIGMA_SHARE * Math.sqrt(Math.max(0, meanSquare(spread)));
	const sigmaPx = Math.hypot(Math.max(SIGMA_PX, SIGMA_OF_SMALL / eyesPx), share);
	return { ...blurOf(spread), sigmaPx, order };
}

/** Which frame is the sharper one shows in both eyes: so much of the order is the others' (measured on practice frames). */
const OTHERS_SAY = 0.3;

/** How far a spread is drawn out, and along which line: a vector at twice the line's angle. */
interface Swing {
	readonly level: number;
	readonly slanted: number;
}
const STILL: Swing = { level: 0, slanted: 0 };

/**
 * What the eyes of a face have in common of it, and so what moved: of one, its own; of two their mean, whole where they
 * agree, none where one has none or they lie half a right angle apart. Small eyes have few edges, and each shows some
 * streak by chance.
 */
function inCommon(swings: readonly Swing[]): Swing {
	const [a = STILL, b = a] = swings;
	const both = Math.hypot(a.level, a.slanted) + Math.hypot(b.level, b.slanted);
	if (both === 0) return STILL;
	const agreement = Math.max(0, (4 * (a.level * b.level + a.slanted * b.slanted)) / both ** 2);
	return {
		level: (agreement * (a.level + b.level)) / 2,
		slanted: (agreement * (a.slanted + b.slanted)) / 2
	};
}

/** What was measured of something small that stands alone: with few edges it shows some streak by chance. */
export const withoutStreak = ({ spread, order }: SpreadInSet): SpreadInSet => {
	const square = meanSquare(spread);
	return { spread: { xx: square, yy: square, xy: 0 }, order };
};

/**
 * The same of the two eyes of a face, which move together: each with its own disc, both with the streak that they
 * have in common. What only one of them shows is no streak.
 */
export function blursTogether(
	all: readonly [SpreadInSet | null, SpreadInSet | null],
	eyesPx: number
): (BlurInSet | null)[] {
	const known = all.filter((one) => one !== null);
	const { level, slanted } = inCommon(
		known.map(({ spread: { xx, yy, xy } }) => ({ level: (xx - yy) / 2, slanted: xy }))
	);
	return all.map((one) => {
		if (!one) return null;
		const square = meanSquare(one.spread);
		const spread = { xx: square + level, yy: square - level, xy: slanted };
		const others = known.filter((other) => other !== one);
		const theirs = others.reduce((sum, { order }) => sum + order / others.length, 0);
		const order = others.length > 0 ? one.order + OTHERS_SAY * (theirs - one.order) : one.order;
		return blurInSet({ spread, order }, eyesPx);
	});
}

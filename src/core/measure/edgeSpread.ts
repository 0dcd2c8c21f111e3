import { patchEdgesOf, type Edge } from './edges';
import { meanSquare, spreadAlong, type BlurSpread } from './spread';
import type { Patch } from './patch';

/**
 * How much a patch is blurred, by its own edges (section 11 of the model): an edge's height over its slope is
 * how wide it is. Diameters are of the disc with the same spread, px of the picture.
 */

/** Edges at least this high count, as a share of the highest; then the narrow quantile of widths, as shading is wide. */
const STRONG_EDGE_SHARE = 0.35;
const NARROW_WIDTH_QUANTILE = 0.15;
/** What lies farther from the middle does not belong to the eye, as a share of half the side. */
const EYE_RADIUS_SHARE = 0.6;
/** With fewer edges there is no answer. */
const LEAST_EDGES = 8;
/** Behind a disc an edge is as wide as π/4 of it, height over slope: the chord through its middle. */
const DISC_OVER_WIDTH = 4 / Math.PI;
/** Width of an edge without any blur, px: the pixel and the difference of neighbours; and what smoothing adds. */
const PIXEL_PX = 1.6;
const SMOOTHING_OVER = 2.6;
/** The exponent with which these add to a disc: it agrees to 2 % with blurred steps, for discs of 0 to 12 px. */
const BLUR_SUM_EXPONENT = 2.7;
/**
 * Lashes and lids are lines, not steps: blurred beyond their own width they look narrower by so much (measured on
 * practice frames; a line behind a Gaussian would be narrower by half as much again).
 */
const LINE_WIDTH_FACTOR = 1.4;
const LINES_FROM_PX = 1.5;
/** Less blur than this hides in the width of a pixel, px. */
const LEAST_PX = 0.5;

/** Directions that edges are sorted into, over half a turn, and how many must be known to tell a streak. */
const DIRECTION_BINS = 8;
const LEAST_WAYS = 4;
const LEAST_OF_A_WAY = 5;
const WAY_WIDTH = Math.sin(Math.PI / DIRECTION_BINS);

/** The spread of what blurred a patch; null where noise hides the edges, or there are none. */
export function edgeSpread(patch: Patch): BlurSpread | null {
	const { edges: all, smoothedPx } = patchEdgesOf(patch);
	const edges = all.filter(({ away }) => away < EYE_RADIUS_SHARE);
	const high = highOf(edges);
	if (high.length < LEAST_EDGES) return null;
	const floorPx = Math.hypot(PIXEL_PX, SMOOTHING_OVER * smoothedPx);
	const squareOf = (some: readonly Edge[]) => (discPx(some, floorPx) * patch.scale) ** 2;
	const ways = Array.from({ length: DIRECTION_BINS }, (_, i) => {
		const angle = (i * Math.PI) / DIRECTION_BINS;
		// neighbours overlap, so that each way has edges
		const its = edges.filter((edge) => Math.abs(Math.sin(edge.angle - angle)) < WAY_WIDTH);
		return { angle, some: highOf(its) };
	}).filter(({ some }) => some.length >= LEAST_OF_A_WAY);
	const round = squareOf(high);
	if (ways.length < LEAST_WAYS) return { xx: round, yy: round, xy: 0 };
	const drawnOut = spreadAlong(
		ways.map(({ angle, some }) => {
			const square = squareOf(some);
			return { angle, square, weight: Math.sqrt(some.length) / (LEAST_PX + square) };
		})
	);
	return drawnOut ? sharpened(drawnOut) : { xx: round, yy: round, xy: 0 };
}

/** A line that was moved while the shutter was open has sharp ends: so much of a streak is seen by edges. */
const STREAK_SEEN = 0.65;

/** The same with the whole of its streak. */
function sharpened(seen: BlurSpread): BlurSpread {
	const swing = Math.hypot((seen.xx - seen.yy) / 2, seen.xy);
	if (swing === 0) return seen;
	const across = Math.sqrt(Math.max(0, meanSquare(seen) - swing));
	const along = across + (Math.sqrt(meanSquare(seen) + swing) - across) / STREAK_SEEN;
	const whole = (along * along - across * across) / 2;
	const middle = across * across + whole;
	const times = whole / swing;
	const level = ((seen.xx - seen.yy) / 2) * times;
	return { xx: middle + level, yy: middle - level, xy: seen.xy * times };
}

function highOf(edges: readonly Edge[]): readonly Edge[] {
	const highest = edges.reduce((most, { height }) => Math.max(most, height), 0);
	return edges.filter(({ height }) => height > STRONG_EDGE_SHARE * highest);
}

function discPx(edges: readonly Edge[], floorPx: number): number {
	const widths = edges.map(({ widthPx }) => widthPx).sort((a, b) => a - b);
	const width =
		DISC_OVER_WIDTH * (widths[Math.floor(NARROW_WIDTH_QUANTILE * widths.length)] as number);
	const px =
		Math.max(0, width ** BLUR_SUM_EXPONENT - floorPx ** BLUR_SUM_EXPONENT) **
		(1 / BLUR_SUM_EXPONENT);
	return Math.hypot(LEAST_PX, px * (1 + (LINE_WIDTH_FACTOR - 1) * Math.min(1, px / LINES_FROM_PX)));
}

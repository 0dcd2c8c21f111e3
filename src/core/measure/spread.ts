import { linearFit } from '../numeric/linearFit';

/**
 * How far blur spreads each way: the squares of the discs that would spread as far, px² of the picture. Squares add
 * up: what two causes do together is their sum.
 */
export interface BlurSpread {
	readonly xx: number;
	readonly yy: number;
	/** Positive where it lies from the upper left to the lower right. */
	readonly xy: number;
}

/** A disc drawn out along a line. */
export interface Blur {
	/** The disc: what defocus does, px of the picture. */
	readonly discPx: number;
	/** How long the line is: what motion or shake does, px; 0 where there is none. */
	readonly streakPx: number;
	/** Which way it lies, rad from the right downwards, 0 to π; 0 where there is none. */
	readonly angle: number;
}

/** A line's spread against a disc's: its length squared over 12, the disc's over 16. */
const LINE_OVER_DISC = 16 / 12;
/** Shorter lines, and such as are short against the disc, may be accidents of measuring. */
export const LEAST_STREAK_PX = 2.2;
const LEAST_OF_DISC = 0.8;

/** What blurred a patch, all of it, px: disc and streak add as squares (section 8 of the model). */
export const blurPx = ({ discPx, streakPx }: Blur): number => Math.hypot(discPx, streakPx);

/** All ways together: the square of the disc that spreads as far. */
export const meanSquare = ({ xx, yy }: BlurSpread): number => (xx + yy) / 2;

/** Disc and line of a spread. */
export function blurOf(spread: BlurSpread): Blur {
	const swing = Math.hypot((spread.xx - spread.yy) / 2, spread.xy);
	const across = Math.max(0, meanSquare(spread) - swing);
	const along = Math.max(across, meanSquare(spread) + swing);
	const streakPx = Math.sqrt((along - across) / LINE_OVER_DISC);
	if (streakPx < Math.max(LEAST_STREAK_PX, LEAST_OF_DISC * Math.sqrt(across))) {
		return { discPx: Math.sqrt(Math.max(0, meanSquare(spread))), streakPx: 0, angle: 0 };
	}
	const angle = Math.atan2(2 * spread.xy, spread.xx - spread.yy) / 2;
	return { discPx: Math.sqrt(across), streakPx, angle: (angle + Math.PI) % Math.PI };
}

/** The spread that is so wide along some lines; null where they do not decide it. */
export function spreadAlong(
	ways: readonly { readonly angle: number; readonly square: number; readonly weight: number }[]
): BlurSpread | null {
	const fit = linearFit(
		ways.map(({ angle, square, weight }) => ({
			terms: [1, Math.cos(2 * angle), Math.sin(2 * angle)],
			value: square,
			weight
		}))
	);
	if (!fit) return null;
	const [round, level, slanted] = fit as [number, number, number];
	return { xx: round + level, yy: round - level, xy: slanted };
}

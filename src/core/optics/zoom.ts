import type { Lens } from '../format/shot';

/** Places between the ends of a zoom that are tried. */
const PLACES_BETWEEN_ENDS = 2;

/** The focal lengths of a lens to try: a zoom's ends and between, and the one in use. */
export function focalsOf({ focalMm: [short, long] }: Lens, inUseMm: number): number[] {
	if (long <= short * 1.001) return [short];
	const steps = Array.from({ length: PLACES_BETWEEN_ENDS + 2 }, (_, i) =>
		Math.round(short * (long / short) ** (i / (PLACES_BETWEEN_ENDS + 1)))
	);
	const own = inUseMm > short && inUseMm < long ? [inUseMm] : [];
	return [...new Set([short, ...steps, ...own, long])].sort((a, b) => a - b);
}

/** Whether a lens has more than one focal length. */
export const isZoom = ({ focalMm: [short, long] }: Pick<Lens, 'focalMm'>): boolean => long > short;

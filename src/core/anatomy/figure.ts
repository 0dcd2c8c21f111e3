import type { Person } from '../format/shot';
import { HEADS, headSize, type Build } from '../tables/heads';
import { along, type Vec3 } from '../geometry/vector';

/** How much of somebody is to be in the picture. */
export const FIGURE_PARTS = ['face', 'head-and-shoulders', 'waist-up', 'full-length'] as const;
export type FigurePart = (typeof FIGURE_PARTS)[number];

/** Reach from the eyes of an adult, m: up, down, and to each side. Round values, common practice. */
export const REACH: Readonly<Record<FigurePart, { above: number; below: number; aside: number }>> =
	{
		face: { above: 0.14, below: 0.13, aside: 0.11 },
		'head-and-shoulders': { above: 0.16, below: 0.44, aside: 0.28 },
		'waist-up': { above: 0.18, below: 0.72, aside: 0.34 },
		'full-length': { above: 0.2, below: 0, aside: 0.38 }
	};

/** Height of a face from hairline to chin, m. */
export function faceHeightM(build: Build): number {
	const { hairline, chin } = HEADS[build];
	return (hairline[1] - chin[1]) / 1000;
}

/**
 * The four corners around a part of somebody, upright in the world, for a camera whose right is
 * given. A full-length figure reaches to the ground.
 */
export function partCorners({ build, eyeMidpoint }: Person, part: FigurePart, right: Vec3): Vec3[] {
	const size = headSize(build);
	const { above, below, aside } = REACH[part];
	const lowY = part === 'full-length' ? Math.min(0, eyeMidpoint.y) : eyeMidpoint.y - below * size;
	return [-1, 1].flatMap((side) =>
		[eyeMidpoint.y + above * size, lowY].map((y) => ({
			...along(eyeMidpoint, right, side * aside * size),
			y
		}))
	);
}

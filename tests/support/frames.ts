import type { MeasuredFace, MeasuredFrame, MeasuredSpot } from '$core/format/review';

/** A frame that came home; without faces it shows nobody. */
export const measuredFrame = (
	name: string,
	faces: readonly MeasuredFace[] = [],
	longPx = 6000
): MeasuredFrame => ({
	name,
	localMs: 0,
	facts: {},
	widthPx: longPx,
	heightPx: (longPx * 2) / 3,
	clipped: 0,
	faces,
	pointed: []
});

/** A place blurred by a disc, as its edges tell; null where they tell nothing. */
export const measuredSpot = (x: number, discPx: number | null): MeasuredSpot => ({
	x,
	y: 500,
	edges: discPx === null ? null : { xx: discPx ** 2, yy: discPx ** 2, xy: 0 },
	spectrum: null
});

interface FaceSketch {
	readonly x: number;
	readonly eyes: readonly [left: number | null, right: number | null];
	readonly open?: number;
	readonly hair?: number;
	readonly turnDeg?: number;
}

/** A face whose eyes are 100 px apart, around a place. */
export function measuredFace(sketch: FaceSketch): MeasuredFace {
	const { x, eyes, open = 0.4, hair, turnDeg = 0 } = sketch;
	return {
		eyesPx: 100,
		irisPx: 18,
		widthPx: 200,
		landmarks: [],
		turn: { deg: turnDeg, sigmaDeg: 3 },
		left: { ...measuredSpot(x + 50, eyes[0]), openness: open },
		right: { ...measuredSpot(x - 50, eyes[1]), openness: open },
		nose: measuredSpot(x, null),
		hair: measuredSpot(x, hair ?? null),
		clipped: 0
	};
}

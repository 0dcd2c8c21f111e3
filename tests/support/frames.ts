import type { MeasuredFrame } from '$core/format/review';

/** A frame that came home and shows nobody. */
export const measuredFrame = (name: string): MeasuredFrame => ({
	name,
	localMs: 0,
	facts: {},
	widthPx: 600,
	heightPx: 400,
	clipped: 0,
	faces: [],
	pointed: []
});

/** The largest size of a shape within a room. @param aspect width over height */
export function fitted(
	roomX: number,
	roomY: number,
	aspect: number
): { readonly width: number; readonly height: number } {
	const width = Math.max(1, Math.min(roomX, roomY * aspect));
	return { width: Math.floor(width), height: Math.max(1, Math.floor(width / aspect)) };
}

/** A picture on the screen needs no more pixels than this along a side. */
const MOST_PX = 2048;

/** Pixels of the device that a length of the page covers. */
export function devicePx(cssPx: number): number {
	return Math.max(1, Math.min(MOST_PX, Math.round(cssPx * (globalThis.devicePixelRatio ?? 1))));
}

import type { Region } from './region';

/** Rings of ink on paper, as marks are printed on a chart: found in a small picture of it. */
export interface Ring {
	/** Its middle, px. */
	readonly x: number;
	readonly y: number;
	/** Half its width and half its height, px. */
	readonly halfWidthPx: number;
	readonly halfHeightPx: number;
	/** There is a dot in its middle. */
	readonly hasDot: boolean;
}

/** The shape that is looked for: its inside and its dot as shares of its outside. */
export interface RingShape {
	readonly inner: number;
	readonly dot: number;
}

/** Ink is darker than this share of its surroundings, which reach so far, as a share of the longer side. */
const INK_RATIO = 0.72;
const SURROUND_SHARE = 1 / 4;
/** A ring is at least so large, px. */
const LEAST_PX = 7;
/** How far sizes and areas may be off: rings are aslant, and blurred. */
const SIZE_OFF = 0.4;
const AREA_OFF = 0.4;
const MIDDLE_OFF = 0.22;
/** A dot is darker than so much of the white around it. */
const DOT_RATIO = 0.92;

/** Finds the rings of a picture. */
export function ringsIn(picture: Region, shape: RingShape): Ring[] {
	const { widthPx, heightPx } = picture;
	const isInk = inkOf(picture);
	const parts = partsOf(isInk, widthPx, heightPx);
	const rings: Ring[] = [];
	for (const hole of parts.all) {
		if (hole.isInk || hole.touchesEdge || hole.right - hole.left < LEAST_PX * shape.inner) continue;
		const around = parts.at(hole.left - 1, hole.firstRowOfLeft);
		if (!around?.isInk || !isRing(around, hole, shape)) continue;
		const middle = darkMiddle(picture, around);
		const halfWidthPx = (around.right - around.left + 1) / 2;
		const halfHeightPx = (around.bottom - around.top + 1) / 2;
		const hasDot = isDark(picture, middle, halfWidthPx, halfHeightPx, shape);
		rings.push({ ...middle, halfWidthPx, halfHeightPx, hasDot });
	}
	return rings;
}

/** Which pixels are darker than what is around them. Bradley and Roth, "Adaptive thresholding", 2007. */
function inkOf({ widthPx, heightPx, light }: Region): Uint8Array {
	const sums = new Float64Array((widthPx + 1) * (heightPx + 1));
	for (let y = 0; y < heightPx; y++) {
		let row = 0;
		for (let x = 0; x < widthPx; x++) {
			row += light[y * widthPx + x] as number;
			sums[(y + 1) * (widthPx + 1) + x + 1] = (sums[y * (widthPx + 1) + x + 1] as number) + row;
		}
	}
	const half = Math.round((Math.max(widthPx, heightPx) * SURROUND_SHARE) / 2);
	const isInk = new Uint8Array(light.length);
	for (let y = 0; y < heightPx; y++) {
		const [top, bottom] = [Math.max(0, y - half), Math.min(heightPx, y + half + 1)];
		for (let x = 0; x < widthPx; x++) {
			const [left, right] = [Math.max(0, x - half), Math.min(widthPx, x + half + 1)];
			const at = (i: number, k: number) => sums[k * (widthPx + 1) + i] as number;
			const sum = at(right, bottom) - at(left, bottom) - at(right, top) + at(left, top);
			const mean = sum / ((right - left) * (bottom - top));
			isInk[y * widthPx + x] = (light[y * widthPx + x] as number) < INK_RATIO * mean ? 1 : 0;
		}
	}
	return isInk;
}

/** Pixels of one kind that hang together. */
interface Piece {
	readonly isInk: boolean;
	left: number;
	right: number;
	top: number;
	bottom: number;
	count: number;
	/** A row in which it reaches farthest left. */
	firstRowOfLeft: number;
	touchesEdge: boolean;
}

/** Parts a picture into pieces; neighbours are those at the sides. */
function partsOf(isInk: Uint8Array, widthPx: number, heightPx: number) {
	const names = new Int32Array(isInk.length).fill(-1);
	const all: Piece[] = [];
	const stack: number[] = [];
	for (let start = 0; start < isInk.length; start++) {
		if ((names[start] as number) >= 0) continue;
		const name = all.length;
		const ink = isInk[start] as number;
		const piece: Piece = {
			isInk: ink === 1,
			left: widthPx,
			right: 0,
			top: heightPx,
			bottom: 0,
			count: 0,
			firstRowOfLeft: 0,
			touchesEdge: false
		};
		all.push(piece);
		names[start] = name;
		stack.push(start);
		for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
			const [x, y] = [at % widthPx, Math.floor(at / widthPx)];
			piece.count += 1;
			if (x < piece.left) [piece.left, piece.firstRowOfLeft] = [x, y];
			piece.right = Math.max(piece.right, x);
			piece.top = Math.min(piece.top, y);
			piece.bottom = Math.max(piece.bottom, y);
			const isAtEdge = x === 0 || y === 0 || x === widthPx - 1 || y === heightPx - 1;
			if (isAtEdge) piece.touchesEdge = true;
			for (const next of [
				x > 0 ? at - 1 : -1,
				x < widthPx - 1 ? at + 1 : -1,
				at - widthPx,
				at + widthPx
			]) {
				if (next < 0 || next >= names.length) continue;
				if ((names[next] as number) >= 0 || isInk[next] !== ink) continue;
				names[next] = name;
				stack.push(next);
			}
		}
	}
	return { all, at: (x: number, y: number) => all[names[y * widthPx + x] ?? -1] ?? null };
}

/** Whether a hole and the ink around it are a ring. */
function isRing(outer: Piece, hole: Piece, { inner }: RingShape): boolean {
	if (outer.touchesEdge) return false;
	const size = ({ left, right, top, bottom }: Piece) =>
		[right - left + 1, bottom - top + 1] as const;
	const [[w, h], [a, b]] = [size(outer), size(hole)];
	if (Math.min(w, h) < LEAST_PX) return false;
	const isLike = (value: number, wanted: number, off: number) => Math.abs(value / wanted - 1) < off;
	const offX = Math.abs(outer.left + outer.right - hole.left - hole.right) / 2 / w;
	const offY = Math.abs(outer.top + outer.bottom - hole.top - hole.bottom) / 2 / h;
	const ink = (Math.PI / 4) * (w * h - a * b);
	return (
		isLike(a / w, inner, SIZE_OFF) &&
		isLike(b / h, inner, SIZE_OFF) &&
		offX < MIDDLE_OFF &&
		offY < MIDDLE_OFF &&
		isLike(outer.count, ink, AREA_OFF)
	);
}

/** The middle of the darkness of a ring: to a part of a pixel. */
function darkMiddle({ widthPx, light }: Region, { left, right, top, bottom }: Piece) {
	let white = 0;
	for (let y = top; y <= bottom; y++) {
		for (let x = left; x <= right; x++) white = Math.max(white, light[y * widthPx + x] as number);
	}
	let [sum, sumX, sumY] = [0, 0, 0];
	for (let y = top; y <= bottom; y++) {
		for (let x = left; x <= right; x++) {
			const darkness = white - (light[y * widthPx + x] as number);
			sum += darkness;
			sumX += darkness * x;
			sumY += darkness * y;
		}
	}
	return { x: sumX / sum + 0.5, y: sumY / sum + 0.5 };
}

/** Whether the middle is darker than the white around it. */
function isDark(
	{ widthPx, heightPx, light }: Region,
	middle: { readonly x: number; readonly y: number },
	halfWidthPx: number,
	halfHeightPx: number,
	{ inner, dot }: RingShape
): boolean {
	let [dark, darks, white, whites] = [0, 0, 0, 0];
	const reach = Math.ceil(Math.max(halfWidthPx, halfHeightPx));
	for (let dy = -reach; dy <= reach; dy++) {
		for (let dx = -reach; dx <= reach; dx++) {
			const [x, y] = [Math.floor(middle.x) + dx, Math.floor(middle.y) + dy];
			if (x < 0 || y < 0 || x >= widthPx || y >= heightPx) continue;
			const away = Math.hypot(dx / halfWidthPx, dy / halfHeightPx);
			const value = light[y * widthPx + x] as number;
			if (away < 0.6 * dot || (dx === 0 && dy === 0)) {
				dark += value;
				darks += 1;
			} else if (Math.abs(away - (inner + dot) / 2) < 0.1) {
				white += value;
				whites += 1;
			}
		}
	}
	return whites > 0 && dark / darks < (DOT_RATIO * white) / whites;
}

import type { Chart } from '$core/bench/chart';
import { homographyOf, seenAt, type FlatPoint, type Homography } from '$core/geometry/homography';
import { Random } from '$core/numeric/random';
import { smoothed } from '$core/measure/smooth';
import type { Region } from '$core/measure/region';
import { there } from './there';

/** A chart drawn as a pinhole sees it, pixel by pixel: for tests that need no lens. */

const PAPER = 0.8;
const INK = 0.04;
const BEHIND = 0.3;
/** Looks into each pixel that something printed may show in, each way. */
const LOOKS = 2;

interface Taken {
	readonly sidePx: number;
	/** Corners of the sheet as they are seen: top left, top right, bottom right, bottom left. */
	readonly corners: readonly FlatPoint[];
	readonly blurPx?: number;
	readonly noise?: number;
	readonly dimmed?: number;
}

interface Sheet {
	readonly widthMm: number;
	readonly heightMm: number;
}

const cornersOf = ({ widthMm, heightMm }: Sheet): FlatPoint[] => {
	const [x, y] = [widthMm / 2, heightMm / 2];
	return [
		{ x: -x, y },
		{ x, y },
		{ x, y: -y },
		{ x: -x, y: -y }
	];
};

/** From the sheet to the picture, by where its corners are seen. */
export function sheetSeen(sheet: Sheet, corners: readonly FlatPoint[]): Homography {
	const seen = homographyOf(cornersOf(sheet), corners);
	if (!seen) throw new Error('these are no corners of a sheet');
	return seen;
}

/** A square picture of a chart; above it and below there is something grey. */
export function chartPicture(
	chart: Chart,
	sheet: Sheet,
	{ sidePx, corners, blurPx = 0, noise = 0, dimmed = 1 }: Taken
): Region {
	const toPicture = sheetSeen(sheet, corners);
	const back = there(homographyOf(corners, cornersOf(sheet)));
	const shapes = chart.shapes.map(({ outline, hole }) => {
		const seen = outline.map(([x, y]) => seenAt(toPicture, { x, y }));
		const [xs, ys] = [seen.map(({ x }) => x), seen.map(({ y }) => y)];
		return {
			outline,
			hole,
			left: Math.min(...xs),
			right: Math.max(...xs),
			top: Math.min(...ys),
			bottom: Math.max(...ys)
		};
	});
	const light = new Float32Array(sidePx * sidePx);
	for (let y = 0; y < sidePx; y++) {
		const ofRow = shapes.filter(({ top, bottom }) => y + 1 > top && y < bottom);
		for (let x = 0; x < sidePx; x++) {
			let sum = 0;
			const near = ofRow.filter(({ left, right }) => x + 1 > left && x < right);
			const looks = near.length > 0 ? LOOKS : 1;
			for (let k = 0; k < looks * looks; k++) {
				const at = {
					x: x + ((k % looks) + 0.5) / looks,
					y: y + (Math.floor(k / looks) + 0.5) / looks
				};
				const mm = seenAt(back, at);
				const isOnSheet = Math.abs(mm.x) < sheet.widthMm / 2 && Math.abs(mm.y) < sheet.heightMm / 2;
				const isInk = near.some(
					({ outline, hole }) => isInside(outline, mm) && !(hole && isInside(hole, mm))
				);
				sum += isInk ? INK : isOnSheet ? PAPER : BEHIND;
			}
			light[y * sidePx + x] = (dimmed * sum) / looks ** 2;
		}
	}
	const random = new Random(1);
	const blurred = blurPx > 0 ? smoothed(light, sidePx, blurPx) : light;
	return {
		widthPx: sidePx,
		heightPx: sidePx,
		light: blurred.map((one) => Math.max(0, Math.min(1, one + noise * random.normal())))
	};
}

/** Whether a place lies inside an outline: by how often a line to the right crosses it. */
export function isInside(
	outline: readonly (readonly [number, number])[],
	{ x, y }: FlatPoint
): boolean {
	let isIn = false;
	let [bx, by] = outline.at(-1) ?? [0, 0];
	for (let i = 0; i < outline.length; i++) {
		const [ax, ay] = outline[i] as readonly [number, number];
		if (ay > y !== by > y && x < ax + ((bx - ax) * (y - ay)) / (by - ay)) isIn = !isIn;
		[bx, by] = [ax, ay];
	}
	return isIn;
}

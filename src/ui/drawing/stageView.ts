import type { Flat } from '$core/anatomy/outline';
import type { Vec3 } from '$core/geometry/vector';

/**
 * How the world is laid on the pane: from above, with depth to the right in a wide pane and upwards
 * in a tall one, or from the side, with depth to the right and height upwards.
 */
export interface StageView {
	readonly side: 'above' | 'side';
	/** Depth runs upwards, to get the room there is. */
	readonly isTall: boolean;
	readonly widthPx: number;
	readonly heightPx: number;
	readonly pxPerM: number;
	/** The point of the world in the middle of the pane. */
	readonly middle: Vec3;
}

/** A direction or length of the world as drawn, m. */
export function drawnM({ side, isTall }: StageView, v: Vec3): Flat {
	if (side === 'side') return { x: v.z, y: -v.y };
	return isTall ? { x: v.x, y: -v.z } : { x: v.z, y: v.x };
}

/** A point of the world on the pane, px. */
export function toPx(view: StageView, point: Vec3): Flat {
	const at = drawnM(view, point);
	const middle = drawnM(view, view.middle);
	return {
		x: view.widthPx / 2 + (at.x - middle.x) * view.pxPerM,
		y: view.heightPx / 2 + (at.y - middle.y) * view.pxPerM
	};
}

/** A move on the pane as a move in the world; nothing moves along the line of sight. */
export function moveInWorld({ side, isTall, pxPerM }: StageView, dx: number, dy: number): Vec3 {
	const x = dx / pxPerM;
	const y = dy / pxPerM;
	if (side === 'side') return { x: 0, y: -y, z: x };
	return isTall ? { x, y: 0, z: -y } : { x: y, y: 0, z: x };
}

/** The point of the world under a place of the pane, in the slice that goes through `through`. */
export function toWorld(view: StageView, x: number, y: number, through: Vec3): Vec3 {
	const { middle, widthPx, heightPx } = view;
	const by = moveInWorld(view, x - widthPx / 2, y - heightPx / 2);
	return view.side === 'side'
		? { x: through.x, y: middle.y + by.y, z: middle.z + by.z }
		: { x: middle.x + by.x, y: through.y, z: middle.z + by.z };
}

/** Room for handles and rulers around what is fitted, px. */
const MARGIN_PX = { start: 46, end: 40, top: 34, bottom: 46 };
const LEAST_PX_PER_M = 4;
const MOST_PX_PER_M = 900;

const within = (low: number, value: number, high: number) => Math.min(high, Math.max(low, value));

/** The view that shows all points, with some room around them. */
export function fit(
	view: Omit<StageView, 'pxPerM' | 'middle'>,
	points: readonly Vec3[]
): StageView {
	const flat = points.map((point) => drawnM({ ...view, pxPerM: 1, middle: point }, point));
	const range = (axis: keyof Flat, least: number) => {
		const all = flat.map((point) => point[axis]);
		const low = Math.min(...all);
		const high = Math.max(...all);
		return { middle: (low + high) / 2, size: Math.max(high - low, least) };
	};
	const across = range('x', 1);
	const down = range('y', 1);
	const roomX = view.widthPx - MARGIN_PX.start - MARGIN_PX.end;
	const roomY = view.heightPx - MARGIN_PX.top - MARGIN_PX.bottom;
	const pxPerM = within(
		LEAST_PX_PER_M,
		Math.min(roomX / across.size, roomY / down.size),
		MOST_PX_PER_M
	);
	const start: StageView = { ...view, pxPerM, middle: { x: 0, y: 0, z: 0 } };
	const middle = moveInWorld(
		start,
		across.middle * pxPerM - (MARGIN_PX.start - MARGIN_PX.end) / 2,
		down.middle * pxPerM - (MARGIN_PX.top - MARGIN_PX.bottom) / 2
	);
	return { ...start, middle };
}

/** The same view nearer or farther, with the place under (x, y) where it was. */
export function zoomAt(view: StageView, x: number, y: number, factor: number): StageView {
	const pxPerM = within(LEAST_PX_PER_M, view.pxPerM * factor, MOST_PX_PER_M);
	const before = toWorld(view, x, y, view.middle);
	const after = toWorld({ ...view, pxPerM }, x, y, view.middle);
	const { middle } = view;
	return {
		...view,
		pxPerM,
		middle: {
			x: middle.x + before.x - after.x,
			y: middle.y + before.y - after.y,
			z: middle.z + before.z - after.z
		}
	};
}

/** The same view pushed along by so many px. */
export function panBy(view: StageView, dx: number, dy: number): StageView {
	const by = moveInWorld(view, dx, dy);
	const { x, y, z } = view.middle;
	return { ...view, middle: { x: x - by.x, y: y - by.y, z: z - by.z } };
}

/** A handy distance between two marks of the ruler: at least so many px apart. */
export function rulerStep(pxPerUnit: number, leastPx = 70): number {
	const steps = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100];
	return steps.find((step) => step * pxPerUnit >= leastPx) ?? 200;
}

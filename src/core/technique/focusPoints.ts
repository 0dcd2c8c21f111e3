import { ON_SENSOR_GRID } from '../format/gear';
import type { Body, Camera } from '../format/shot';
import type { FramePoint } from '../geometry/camera';

/**
 * Focus points: columns x rows of boxes over the middle of the frame, numbered from 0 at the top
 * left. They are fixed to the body: upright, with its right side up, the columns run up the frame.
 */

type FocusGrid = Body['focusGrid'];
type Orientation = Camera['orientation'];

/** Whether a grid is the one that a body has of which nothing was said. */
export const isUsualGrid = (grid: FocusGrid): boolean =>
	(Object.keys(ON_SENSOR_GRID) as (keyof FocusGrid)[]).every(
		(key) => grid[key] === ON_SENSOR_GRID[key]
	);

export interface FocusPoint {
	readonly column: number;
	readonly row: number;
}

/** Where a place of the frame lies in the body's own frame, which is never upright. */
const onBody = ({ x, y }: FramePoint, orientation: Orientation): FramePoint =>
	orientation === 'portrait' ? { x: 1 - y, y: x } : { x, y };

/** The same the other way round. */
const inFrame = ({ x, y }: FramePoint, orientation: Orientation): FramePoint =>
	orientation === 'portrait' ? { x: y, y: 1 - x } : { x, y };

/** Place of a centre along one side: 0.5 - span/2 + span (i + 0.5)/count. */
const centre = (i: number, count: number, span: number) =>
	0.5 - span / 2 + (span * (i + 0.5)) / count;

/** The nearest centre along one side; null outside the span. */
function nearest(at: number, count: number, span: number): number | null {
	if (Math.abs(at - 0.5) > span / 2) return null;
	return Math.min(count - 1, Math.max(0, Math.floor((count * (at - 0.5 + span / 2)) / span)));
}

/** The focus point for a place in the frame: the nearest centre; null where no point reaches. */
export function pointFor(
	grid: FocusGrid,
	orientation: Orientation,
	place: FramePoint
): FocusPoint | null {
	const { x, y } = onBody(place, orientation);
	const column = nearest(x, grid.columns, grid.spanX);
	const row = nearest(y, grid.rows, grid.spanY);
	return column === null || row === null ? null : { column, row };
}

/** Where a focus point lies in the frame, and the sides of its box, as fractions of the frame. */
export interface FocusBox extends FramePoint {
	readonly width: number;
	readonly height: number;
}

export function boxOf(
	grid: FocusGrid,
	orientation: Orientation,
	{ column, row }: FocusPoint
): FocusBox {
	const place = inFrame(
		{ x: centre(column, grid.columns, grid.spanX), y: centre(row, grid.rows, grid.spanY) },
		orientation
	);
	const isUpright = orientation === 'portrait';
	return {
		...place,
		width: isUpright ? grid.boxY : grid.boxX,
		height: isUpright ? grid.boxX : grid.boxY
	};
}

/** The part of the frame that the points cover, as shares of its width and height. */
export function reachOf(
	{ spanX, spanY }: FocusGrid,
	orientation: Orientation
): { readonly width: number; readonly height: number } {
	return orientation === 'portrait'
		? { width: spanY, height: spanX }
		: { width: spanX, height: spanY };
}

/** Whether a point is one of the most sensitive. */
export function isSensitive(grid: FocusGrid, { column, row }: FocusPoint): boolean {
	if (grid.sensitive === 'all') return true;
	const isMiddle = (i: number, count: number) => Math.abs(i - (count - 1) / 2) < 1;
	return isMiddle(column, grid.columns) && isMiddle(row, grid.rows);
}

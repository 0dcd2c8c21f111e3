import { defocusMm } from '$core/optics/blur';
import { vergenceError } from '$core/optics/focus';
import { isInFrame, seenFrom } from '$core/scene/camera';
import type { Vec3 } from '$core/scene/vector';
import type { Pair } from '$core/solve/pick';
import type { Scene } from '$core/solve/scene';
import { toWorld, type StageView } from './stageView';

/** The sharp zone as a wash whose strength follows the real ratio. */

/** Size of a cell of the wash, px; the browser smooths between them. */
const CELL_PX = 4;
/** At this ratio nothing is left of the wash. */
const FADED_RATIO = 2.6;
const STRONGEST = 0.4;
/** Outside the picture the wash is this much weaker. */
const OUTSIDE = 0.35;

/**
 * Paints the slice of the world through a point.
 *
 * @param rgb three numbers, as in `11 110 110`
 */
export function paintZone(
	canvas: HTMLCanvasElement,
	view: StageView,
	scene: Scene,
	pair: Pair | null,
	through: Vec3,
	rgb: string
): void {
	const columns = Math.ceil(view.widthPx / CELL_PX);
	const rows = Math.ceil(view.heightPx / CELL_PX);
	if (canvas.width !== columns) canvas.width = columns;
	if (canvas.height !== rows) canvas.height = rows;
	const context = canvas.getContext('2d');
	if (!context || columns === 0 || rows === 0) return;
	const image = context.createImageData(columns, rows);
	if (pair) {
		const [r = 0, g = 0, b = 0] = rgb.split(' ').map(Number);
		const { focus } = pair.candidate;
		for (let row = 0; row < rows; row++) {
			for (let column = 0; column < columns; column++) {
				const x = (column + 0.5) * CELL_PX;
				const y = (row + 0.5) * CELL_PX;
				const seen = seenFrom(scene.pose, toWorld(view, x, y, through));
				if (seen.depthM <= 0) continue;
				const error = vergenceError(focus, seen.depthM, seen.cosOffAxis);
				const ratio = defocusMm(focus, pair.fNumber, error) / scene.toleranceMm;
				if (ratio >= FADED_RATIO) continue;
				const strength = STRONGEST * (1 - ratio / FADED_RATIO);
				const alpha = isInFrame(scene.pose, seen) ? strength : strength * OUTSIDE;
				image.data.set([r, g, b, 255 * alpha], 4 * (row * columns + column));
			}
		}
	}
	context.putImageData(image, 0, 0);
}

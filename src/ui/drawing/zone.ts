import type { Candidate, Take } from '$core/study/candidate';
import type { Scene } from '$core/study/scene';
import { defocusAt } from '$core/optics/blur';
import { isInFrame, seenFrom } from '$core/geometry/camera';
import type { Vec3 } from '$core/geometry/vector';
import { toWorld, type StageView } from './stageView';

/** The sharp zone as a wash whose strength follows the real ratio. */

/** Size of a cell of the wash, px; the browser smooths between them. */
const CELL_PX = 5;
/** At this ratio nothing is left of the wash. */
const FADED_RATIO = 2.6;
const MAX_OPACITY = 0.4;
/** Outside the picture the wash is this much weaker. */
const OUTSIDE_WEIGHT = 0.35;

/** Where it is sharp, through which lens: all that the wash and the line of focus depend on. */
export type Zone = Pick<Scene, 'pose' | 'toleranceMm'> &
	Pick<Candidate, 'focus'> &
	Pick<Take, 'fNumber'>;

export const zoneOf = ({ scene, candidate, fNumber }: Take): Zone => ({
	pose: scene.pose,
	toleranceMm: scene.toleranceMm,
	focus: candidate.focus,
	fNumber
});

/**
 * Paints the slice of the world through a point.
 *
 * @param rgb three numbers, as in `11 110 110`
 */
export function paintZone(
	canvas: HTMLCanvasElement,
	view: StageView,
	zone: Zone | null,
	through: Vec3,
	rgb: string
): void {
	const columns = Math.ceil(view.widthPx / CELL_PX);
	const rows = Math.ceil(view.heightPx / CELL_PX);
	if (canvas.width !== columns) canvas.width = columns;
	if (canvas.height !== rows) canvas.height = rows;
	const context = canvas.getContext('2d', { willReadFrequently: true });
	if (!context || columns === 0 || rows === 0) return;
	const image = context.createImageData(columns, rows);
	if (zone) fill(image, view, zone, through, rgb);
	context.putImageData(image, 0, 0);
}

function fill(
	{ data, width, height }: ImageData,
	view: StageView,
	{ pose, toleranceMm, focus, fNumber }: Zone,
	through: Vec3,
	rgb: string
): void {
	const [r = 0, g = 0, b = 0] = rgb.split(' ').map(Number);
	// what the camera sees changes evenly across the pane, so three points tell all of them; one
	// object that is filled anew spares an allocation for each cell
	const seenAt = (column: number, row: number) =>
		seenFrom(pose, toWorld(view, (column + 0.5) * CELL_PX, (row + 0.5) * CELL_PX, through));
	const corner = seenAt(0, 0);
	const right = seenAt(1, 0);
	const below = seenAt(0, 1);
	const depthStep = right.depthM - corner.depthM;
	const rightStep = right.rightM - corner.rightM;
	const upStep = right.upM - corner.upM;
	const seen = { ...corner };
	for (let row = 0, at = 0; row < height; row++) {
		const depthM = corner.depthM + row * (below.depthM - corner.depthM);
		const rightM = corner.rightM + row * (below.rightM - corner.rightM);
		const upM = corner.upM + row * (below.upM - corner.upM);
		for (let column = 0; column < width; column++, at += 4) {
			seen.depthM = depthM + column * depthStep;
			if (seen.depthM <= 0) continue;
			seen.rightM = rightM + column * rightStep;
			seen.upM = upM + column * upStep;
			seen.distanceM = Math.sqrt(seen.depthM ** 2 + seen.rightM ** 2 + seen.upM ** 2);
			seen.cosOffAxis = seen.depthM / seen.distanceM;
			const ratio = defocusAt(focus, fNumber, seen) / toleranceMm;
			if (ratio >= FADED_RATIO) continue;
			const strength = MAX_OPACITY * (1 - ratio / FADED_RATIO);
			data[at] = r;
			data[at + 1] = g;
			data[at + 2] = b;
			data[at + 3] = 255 * (isInFrame(pose, seen) ? strength : strength * OUTSIDE_WEIGHT);
		}
	}
}

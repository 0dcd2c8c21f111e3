import type { Shot } from '$core/format/shot';
import { cameraPose, seenFrom } from '$core/geometry/camera';
import { HEADS } from '$core/tables/heads';

/** Where the faces of a shot are in a picture of it. */

/** Where everybody is in the picture, px from its top left. */
export function placesOf(
	{ camera, body, people }: Shot,
	focalPx: number,
	size: { widthPx: number; heightPx: number }
) {
	const pose = cameraPose(camera, body.sensor);
	return people.map(({ id, eyeMidpoint, turnDeg, build, row = 0 }) => {
		const { rightM, upM, depthM } = seenFrom(pose, eyeMidpoint);
		return {
			id,
			build,
			row,
			turnDeg,
			depthM,
			x: size.widthPx / 2 + (focalPx * rightM) / depthM,
			y: size.heightPx / 2 - (focalPx * upM) / depthM,
			pxPerM: focalPx / depthM
		};
	});
}
export type Placed = ReturnType<typeof placesOf>[number];

/** Whether somebody's head or body is before a face: figures are about so wide, m. */
export const isBehind = (one: Placed, other: Placed): boolean => {
	if (other.depthM >= one.depthM - 0.2) return false;
	const [aside, below] = [Math.abs(other.x - one.x), one.y - other.y];
	const m = other.pxPerM;
	if (below > 0.18 * m) return aside < 0.3 * m;
	return below > -0.28 * m && aside < 0.2 * m;
};

export const nearest = (
	places: readonly Placed[],
	{ x, y }: { x: number; y: number }
): Placed | null => {
	const away = (one: Placed) => Math.hypot(one.x - x, one.y - y);
	const best = places.toSorted((a, b) => away(a) - away(b))[0];
	return best && away(best) < 0.063 * best.pxPerM ? best : null;
};

/** A face whose eyes were pointed at, as exactly as a finger does. */
export function pointedAt(place: Placed, size: { widthPx: number; heightPx: number }) {
	const { x, y } = { x: place.x - size.widthPx / 2, y: size.heightPx / 2 - place.y };
	const half = (HEADS[place.build]['left-eye'][0] / 1000) * place.pxPerM;
	const sigmaPx = 0.08 * half;
	return {
		irisPx: null,
		landmarks: [
			{ landmark: 'left-eye' as const, x: x + half, y, sigmaPx },
			{ landmark: 'right-eye' as const, x: x - half, y, sigmaPx }
		]
	};
}

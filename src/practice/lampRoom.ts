import { discPx } from '../preview/lens/samples';
import type { PictureSize, Subject } from '../preview/scene';
import { lampsOf } from '../preview/things/lamps';
import type { Tile } from './sensor';

/** Edges of discs are soft, px. */
const SOFT_PX = 2;

/**
 * A part of a picture, enlarged by every disc of light that reaches into it: whether something hides a lamp is known
 * only where the lamp is seen.
 *
 * @param subject what the part is of
 * @param whole   the picture that it is a part of
 */
export function withWholeDiscs(tile: Tile, subject: Subject, whole: PictureSize): Tile {
	const { scene, setting, window, streakMm = 0 } = subject;
	const pxPerMm = tile.widthPx / window.widthMm;
	let [left, top] = [tile.left, tile.top];
	let [right, bottom] = [left + tile.widthPx, top + tile.heightPx];
	for (const { at, sizeM } of scene.things.flatMap(lampsOf)) {
		if (at.z <= 0) continue;
		const pxPerM = (setting.focus.imageDistanceMm * pxPerMm) / at.z;
		const x = whole.widthPx / 2 + at.x * pxPerM;
		const y = whole.heightPx / 2 - at.y * pxPerM;
		const blurPx = discPx(subject, at.z, at.z / Math.hypot(at.x, at.y, at.z));
		const reach = (blurPx + sizeM * pxPerM) / 2 + streakMm * pxPerMm + SOFT_PX;
		const isBeside =
			x + reach < tile.left ||
			x - reach > tile.left + tile.widthPx ||
			y + reach < tile.top ||
			y - reach > tile.top + tile.heightPx;
		if (isBeside) continue;
		left = Math.max(0, Math.min(left, Math.floor(x - reach)));
		top = Math.max(0, Math.min(top, Math.floor(y - reach)));
		right = Math.min(whole.widthPx, Math.max(right, Math.ceil(x + reach)));
		bottom = Math.min(whole.heightPx, Math.max(bottom, Math.ceil(y + reach)));
	}
	return { left, top, widthPx: right - left, heightPx: bottom - top };
}

import { expose, LostGraphics, type ExposurePauses } from './camera';
import type { Studio } from '../preview/render/studio';
import { exifOf, withExif } from './exif';
import type { PlannedFrame, RollOrder } from './roll';
import type { Tile } from './sensor';

/** As cameras write them. */
const JPEG_QUALITY = 0.92;

/** A file as it comes home from the camera. */
export interface PracticeFile {
	readonly name: string;
	readonly jpeg: Blob;
}

/** Draws a frame of a roll, or the wanted parts of it alone, and writes its file. */
export async function develop(
	studio: Studio,
	order: RollOrder,
	frame: PlannedFrame,
	pauses: ExposurePauses,
	isWanted?: (tile: Tile) => boolean
): Promise<PracticeFile> {
	const { release, settings, size, localMs, name } = frame;
	const seed = Math.imul(order.seed + 1, 0x9e3779b1) ^ release.frame;
	const held = await expose(
		studio,
		{ release, settings, size, seed, charts: order.charts, softMm: order.softMm },
		pauses,
		isWanted
	);
	const isUpright = release.shot.camera.orientation === 'portrait';
	const onSensor = isUpright ? laidDown(held) : held;
	const jpeg = await onSensor
		.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY })
		.catch(() => {
			throw new LostGraphics('there is no memory for a picture of this size');
		});
	const exif = exifOf({
		shot: order.shot,
		settings,
		isShutterSet: (order.own.shutterS ?? order.shot.choices.shutterS) !== undefined,
		focusedM: release.focus.planeM,
		size,
		localMs,
		offsetMinutes: order.offsetMinutes
	});
	return { name, jpeg: await withExif(jpeg, exif) };
}

/** An upright picture as the sensor lies in the body: its left side above, its foot to the left. */
function laidDown(upright: OffscreenCanvas): OffscreenCanvas {
	const { width, height } = upright;
	const level = new OffscreenCanvas(height, width);
	const context = level.getContext('2d', { alpha: false });
	if (!context) throw new LostGraphics('there is no memory to turn a picture of this size');
	context.translate(height, 0);
	context.rotate(Math.PI / 2);
	context.drawImage(upright, 0, 0);
	return level;
}

import type { Source } from './faces/pyramid';

/** A picture with so many pixels along its long side at most, as a JPEG without facts. */
export async function smaller(bitmap: Source, longPx: number, quality: number): Promise<Blob> {
	const share = Math.min(1, longPx / Math.max(bitmap.width, bitmap.height));
	const canvas = new OffscreenCanvas(
		Math.round(bitmap.width * share),
		Math.round(bitmap.height * share)
	);
	const context = canvas.getContext('2d', { alpha: false });
	if (!context) throw new Error('there is no memory for a picture of this size');
	context.imageSmoothingQuality = 'high';
	context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
	return canvas.convertToBlob({ type: 'image/jpeg', quality });
}

import { Pyramid, type Source } from './faces/pyramid';

/** A picture with so many pixels along its long side at most, as a JPEG without facts. */
export async function smaller(whole: Source, longPx: number, quality: number): Promise<Blob> {
	// halved here: the browser would keep halves of its own, a third of the picture, for long
	const halves = new Pyramid(whole);
	try {
		const source = halves.atLeast(longPx);
		const share = Math.min(1, longPx / Math.max(source.width, source.height));
		const canvas = new OffscreenCanvas(
			Math.round(source.width * share),
			Math.round(source.height * share)
		);
		const context = canvas.getContext('2d', { alpha: false });
		if (!context) throw new Error('there is no memory for a picture of this size');
		context.imageSmoothingQuality = 'low';
		context.drawImage(source, 0, 0, canvas.width, canvas.height);
		return await canvas.convertToBlob({ type: 'image/jpeg', quality });
	} finally {
		halves.dispose();
	}
}

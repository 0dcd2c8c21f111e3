import { savedPictureText as say } from '$words/screens/drawing';
import { commonText as common } from '$words/screens/common';
import { whereStands } from '$core/arrange/rows';
import type { Focus } from '$core/format/plan';
import type { Scene } from '$core/study/scene';
import { landmarkFacts } from '$core/tables/landmarks';
import { nameOf, spotRef } from '$words/names';
import { whereWords } from '$words/rows';
import type { Solution } from '$core/study/plan';
import { wholeFrame } from '../../preview/scene';
import { withTexts } from '../picture/pngText';
import { preview, type Wish } from '../picture/preview.svelte';
import { fitted } from '../picture/size';
import { distance, fStop, type Units } from '$words/numbers';
import { drawableOf, wishOf } from './drawable';

/** Pictures as files: rendered anew at a size of their own, with what they show in words. */

/** Long side of a picture that is saved alone, and of one on a sheet, px. */
export const ALONE_PX = 1500;
const ON_SHEET_PX = 840;

/** What a picture shows: settings, and on what the lens is focused. */
export function captionOf({ plan, study }: Solution, units: Units, hasNames: boolean): string {
	const { focus, fNumber } = plan;
	if (!focus || fNumber === null) return say.nothingToFocusOn;
	const on =
		focus.kind === 'depth' || focus.kind === 'plane'
			? say.aPlaneAway(distance(focus.depthM, units))
			: focus.kind === 'thing' || hasNames
				? nameOf(study.shot, spotRef(focus))
				: namelessly(focus, study.scene);
	return say.focusedOn(fStop(fNumber), on);
}

/** "the left eye, middle row, third from left" */
function namelessly({ landmark, personId }: Focus, { rows }: Scene): string {
	const part = say.the(landmarkFacts(landmark ?? 'left-eye').words);
	const where = personId ? whereWords(whereStands(rows, personId)) : '';
	return [part, where].filter(Boolean).join(', ');
}

/** The settings in the picture's own texts; names and places only when asked for. */
export function textsOf(
	solutions: readonly Solution[],
	units: Units,
	hasNames: boolean
): Record<string, string> {
	const lines = solutions.map((solution) => {
		const { shot } = solution.study;
		const { focus } = solution.plan;
		return [
			captionOf(solution, units, hasNames),
			say.mm(Math.round(shot.camera.focalMm)),
			say.sensorMm(shot.body.sensor.widthMm, shot.body.sensor.heightMm),
			...(focus ? [say.fromTheSensorMark(distance(focus.fromSensorM, units))] : [])
		].join(', ');
	});
	const [first] = solutions;
	return {
		Software: common.focalis,
		Description: lines.join('\n'),
		...(hasNames && first ? { Title: first.study.shot.title, Comment: first.study.shot.notes } : {})
	};
}

/** The wish for a picture of the whole frame with a long side. */
export function wholeWish(solution: Solution, longPx: number): Wish {
	const { pose } = solution.study.scene;
	const { width, height } = fitted(longPx, longPx, pose.widthMm / pose.heightMm);
	return wishOf(drawableOf(solution), wholeFrame(pose), width, height);
}

/**
 * Draws a wish until it may stand.
 *
 * @param onprogress is told how much of the way it has come, 0 to 1
 * @throws the signal's reason when it is given up
 */
export function drawPicture(
	wish: Wish,
	onprogress: (share: number) => void,
	signal: AbortSignal
): Promise<ImageBitmap> {
	return new Promise((resolve, reject) => {
		const stop = preview.want('saved', -1, wish, ({ bitmap, share, isSettled }) => {
			onprogress(share);
			if (!isSettled) return bitmap.close();
			stop();
			resolve(bitmap);
		});
		signal.addEventListener('abort', () => {
			stop();
			reject(signal.reason as Error);
		});
	});
}

/** A picture alone. */
export function alone(bitmap: ImageBitmap): HTMLCanvasElement {
	const canvas = canvasOf(bitmap.width, bitmap.height);
	canvas.getContext('2d')?.drawImage(bitmap, 0, 0);
	return canvas;
}

export const sheetWish = (solution: Solution): Wish => wholeWish(solution, ON_SHEET_PX);

const GAP_PX = 24;
const CAPTION_PX = 40;

/** Up to four pictures side by side, each with its caption underneath. */
export function choiceSheet(
	bitmaps: readonly ImageBitmap[],
	captions: readonly string[],
	fontFamily: string
): HTMLCanvasElement {
	const across = Math.min(2, bitmaps.length);
	const down = Math.ceil(bitmaps.length / across);
	const cellX = Math.max(...bitmaps.map(({ width }) => width)) + GAP_PX;
	const cellY = Math.max(...bitmaps.map(({ height }) => height)) + CAPTION_PX + GAP_PX;
	const canvas = canvasOf(across * cellX + GAP_PX, down * cellY + GAP_PX);
	const context = canvas.getContext('2d');
	if (!context) return canvas;
	context.fillStyle = '#fffdf8';
	context.fillRect(0, 0, canvas.width, canvas.height);
	context.fillStyle = '#1b2a41';
	context.font = `24px ${fontFamily}`;
	bitmaps.forEach((bitmap, i) => {
		const x = GAP_PX + (i % across) * cellX;
		const y = GAP_PX + Math.floor(i / across) * cellY;
		context.drawImage(bitmap, x, y);
		context.fillText(captions[i] ?? '', x, y + bitmap.height + 30, bitmap.width);
	});
	return canvas;
}

function canvasOf(width: number, height: number): HTMLCanvasElement {
	const canvas = document.createElement('canvas');
	canvas.width = width;
	canvas.height = height;
	return canvas;
}

/** The canvas as a PNG that carries texts. */
export async function pngOf(
	canvas: HTMLCanvasElement,
	texts: Readonly<Record<string, string>>
): Promise<Blob> {
	const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
	if (!blob) throw new Error(common.thisBrowserCouldNotMakeA);
	const png = withTexts(new Uint8Array(await blob.arrayBuffer()), texts);
	return new Blob([png as Uint8Array<ArrayBuffer>], { type: 'image/png' });
}

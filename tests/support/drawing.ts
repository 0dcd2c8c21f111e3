import { readShot } from '$core/format/shotFile';
import type { ShotInput } from '$core/format/shot';
import { focusAt } from '$core/optics/focus';
import { cameraPose } from '$core/geometry/camera';
import { solve } from './solved';
import { Studio } from '../../src/preview/render/studio';
import { previewOf, wholeFrame, type Subject, type Window } from '../../src/preview/scene';

/** Draws shots with the app's own preview, in a page. */

export interface Drawing {
	readonly widthPx: number;
	readonly heightPx: number;
	/** By default as many as a settled picture has. */
	readonly samples?: number;
	/** By default the whole frame. */
	readonly part?: Part;
	/** By default as the plan has them. */
	readonly planeM?: number;
	readonly fNumber?: number;
	readonly showsDiffraction?: boolean;
}

/** A part of a picture in which everything that is measured lies, px from the top left. */
export interface Part {
	readonly left: number;
	readonly top: number;
	readonly widthPx: number;
	readonly heightPx: number;
}

/** What of the sensor is drawn, in how many pixels: a part has those of the whole picture. */
function windowOf({ part, widthPx, heightPx }: Drawing, whole: Window) {
	if (!part) return { window: whole, widthPx, heightPx };
	const mm = whole.widthMm / widthPx;
	const window = {
		x: (part.left + part.widthPx / 2 - widthPx / 2) * mm,
		y: (heightPx / 2 - part.top - part.heightPx / 2) * mm,
		widthMm: part.widthPx * mm,
		heightMm: part.heightPx * mm
	};
	return { window, widthPx: part.widthPx, heightPx: part.heightPx };
}

export function subjectOf(input: ShotInput, drawing: Drawing): Subject {
	const reading = readShot(input);
	if (!reading.ok) throw new Error(reading.message);
	const { shot } = reading;
	const { take } = solve(shot);
	const planeM = drawing.planeM ?? take?.candidate.focus.planeM ?? 5;
	const optic = { focalMm: shot.camera.focalMm, fieldCurvature: shot.lens.fieldBend };
	return {
		scene: previewOf(shot),
		setting: {
			focus: focusAt(optic, planeM),
			fNumber: drawing.fNumber ?? take?.fNumber ?? 2.8,
			blades: shot.lens.blades
		},
		...windowOf(drawing, wholeFrame(cameraPose(shot.camera, shot.body.sensor))),
		showsDiffraction: drawing.showsDiffraction ?? false
	};
}

let studio: { readonly canvas: HTMLCanvasElement; readonly studio: Studio } | null = null;

export function theStudio() {
	const canvas = document.createElement('canvas');
	studio ??= { canvas, studio: new Studio(canvas) };
	return studio;
}

export function drawn<T>(
	input: ShotInput,
	drawing: Drawing,
	use: (canvas: HTMLCanvasElement, linear: () => Float32Array) => T
): T {
	const { canvas, studio } = theStudio();
	const picture = studio.begin(subjectOf(input, drawing));
	for (let i = 0; i < (drawing.samples ?? 64); i++) picture.addSample();
	picture.develop();
	const result = use(canvas, () => picture.linear());
	picture.dispose();
	return result;
}

export const partOf = ({ part, widthPx, heightPx }: Drawing): Part =>
	part ?? { left: 0, top: 0, widthPx, heightPx };

/** Green light of every pixel of the part, rows from the top. */
export function green(input: ShotInput, drawing: Drawing): Float64Array {
	const { widthPx, heightPx } = partOf(drawing);
	return drawn(input, drawing, (_, linear) => {
		const all = linear();
		const found = new Float64Array(widthPx * heightPx);
		for (let y = 0; y < heightPx; y++) {
			for (let x = 0; x < widthPx; x++) {
				found[y * widthPx + x] = all[4 * ((heightPx - 1 - y) * widthPx + x) + 1] as number;
			}
		}
		return found;
	});
}

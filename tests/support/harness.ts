import { focusAt } from '$core/optics/focus';
import { readShot } from '$core/format/shotFile';
import { solve } from '$core/solve/solve';
import type { ShotInput } from '$core/format/shot';
import { cameraPose } from '$core/scene/camera';
import { Studio } from '../../src/preview/render/studio';
import { previewOf, wholeFrame, type Window } from '../../src/preview/scene';

/** Runs in a page: draws shots as the app's worker does, and hands out what was drawn. */

export interface Drawing {
	readonly widthPx: number;
	readonly heightPx: number;
	readonly samples: number;
	/** By default the whole frame. */
	readonly window?: Window;
	/** By default as the plan has them. */
	readonly planeM?: number;
	readonly fNumber?: number;
	readonly blades?: number;
	readonly showsDiffraction?: boolean;
}

function draw(input: ShotInput, drawing: Drawing) {
	const reading = readShot(input);
	if (!reading.ok) throw new Error(reading.message);
	const { shot } = reading;
	const { pair } = solve(shot);
	const planeM = drawing.planeM ?? pair?.candidate.focus.planeM ?? 5;
	const optic = { focalMm: shot.camera.focalMm, fieldBend: shot.lens.fieldBend };
	const canvas = document.createElement('canvas');
	document.body.replaceChildren(canvas);
	const studio = new Studio(canvas);
	const picture = studio.begin({
		scene: previewOf(shot),
		setting: {
			focus: focusAt(optic, planeM),
			fNumber: drawing.fNumber ?? pair?.fNumber ?? 2.8,
			blades: drawing.blades ?? 0
		},
		window: drawing.window ?? wholeFrame(cameraPose(shot.camera, shot.body.sensor)),
		widthPx: drawing.widthPx,
		heightPx: drawing.heightPx,
		showsDiffraction: drawing.showsDiffraction ?? false
	});
	for (let i = 0; i < drawing.samples; i++) picture.addSample();
	return { studio, picture, canvas };
}

const harness = {
	/** The picture as a data address of a PNG, and how long it took, ms. */
	png(input: ShotInput, drawing: Drawing) {
		const startedAt = performance.now();
		const { picture, canvas, studio } = draw(input, drawing);
		picture.develop();
		const png = canvas.toDataURL('image/png');
		const ms = performance.now() - startedAt;
		picture.dispose();
		studio.dispose();
		return { png, ms };
	}
};

export type Harness = typeof harness;
Object.assign(window, { harness });

import { PracticeTruthSchema, type PracticeTruth } from '$core/format/practiceTruth';
import { cameraPose } from '$core/geometry/camera';
import { facesOf } from '$core/odds/truth';
import { toleranceMm } from '$core/sharpness/tolerance';
import { framesOf, type RollOrder } from './roll';

/** What is true of all frames of some rolls; the same on every machine, and without a pixel drawn. */
export function truthOf(orders: readonly RollOrder[]): PracticeTruth {
	const frames = orders.flatMap((order) =>
		framesOf(order).map(({ name, release, settings, size }) => {
			const { shot, focus, isElsewhere, isSharp, isGood } = release;
			const { sensor } = shot.body;
			return {
				file: name,
				title: shot.title,
				...size,
				widthMm: cameraPose(shot.camera, sensor).widthMm,
				toleranceMm: toleranceMm(shot.sharpness, sensor),
				fNumberExact: settings.fNumber,
				shutterS: settings.shutterS,
				iso: settings.iso,
				focusedM: Number.isFinite(focus.planeM) && focus.planeM > 0 ? focus.planeM : null,
				isElsewhere,
				isSharp,
				isGood,
				faces: facesOf(release, settings)
			};
		})
	);
	return PracticeTruthSchema.parse({ format: 'focalis-practice-truth', version: 1, frames });
}

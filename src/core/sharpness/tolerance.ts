import type { Sensor, SharpnessStandard } from '../format/shot';
import { cropFactor } from '../optics/crop';
import { RULES } from '../tables/rules';

/**
 * The circle of confusion: the largest blur that still counts as sharp, mm on the sensor, for what the picture is for:
 * - `album`: 0.030 mm on full frame, scaled by the diagonal: a small print, the old tables
 * - `screen`: one and a half pixels of a 3:2 picture that fills the height of a 3840 x 2160 display
 * - `pixel`: two pixels of the sensor
 * - `print`: 0.2 mm on the print at 25 cm, and in proportion farther away
 *
 * @example toleranceMm({ standard: 'pixel', … }, { widthMm: 36, heightMm: 24, pixelsAcross: 6000, … }) // 0.012
 */
export function toleranceMm(sharpness: SharpnessStandard, sensor: Sensor): number {
	switch (sharpness.standard) {
		case 'album':
			return albumMm(sensor);
		case 'screen':
			return (RULES.screenTolerancePx * sensor.widthMm) / RULES.screenPixelsAcross;
		case 'pixel':
			return (RULES.pixelTolerancePx * sensor.widthMm) / sensor.pixelsAcross;
		case 'print': {
			const enlargement = (10 * sharpness.printWidthCm) / sensor.widthMm;
			const times = sharpness.viewingDistanceCm / RULES.printDistanceCm;
			return (RULES.printToleranceMm * times) / enlargement;
		}
	}
}

/** What a small print allows, the tolerance of the old tables: 0.030 mm on full frame, by the diagonal. */
export const albumMm = (sensor: Pick<Sensor, 'widthMm' | 'heightMm'>): number =>
	RULES.albumToleranceMm / cropFactor(sensor);

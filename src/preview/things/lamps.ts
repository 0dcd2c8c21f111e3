import type { Vec3 } from '$core/geometry/vector';
import type { PreviewThing } from '../scene';

/** A point of light. */
export interface Lamp {
	readonly at: Vec3;
	/** Its own diameter, m. */
	readonly sizeM: number;
	/** Light it sends through an opening of 1 m² on 1 m, in the measure of the picture times m². */
	readonly power: readonly [red: number, green: number, blue: number];
}

/** Brightness of a lamp's surface over that of white paper beside it. */
const LAMP_TO_PAPER = 40;
const WARM = [1, 0.7, 0.36] as const;
const MOST_ACROSS = 28;
const MOST_DOWN = 8;

/**
 * The lamps of a thing that looks like lights: strung over its width, each as wide as its detail,
 * hanging a little through between the ends.
 */
export function lampsOf({ look, centre, widthM, heightM, detailMm }: PreviewThing): Lamp[] {
	if (look !== 'lights') return [];
	const sizeM = Math.min(detailMm / 1000, widthM, heightM);
	const gapM = Math.max(2 * sizeM, widthM / MOST_ACROSS, 0.03);
	const across = Math.min(MOST_ACROSS, Math.max(1, Math.round(widthM / gapM)));
	const down = Math.min(MOST_DOWN, Math.max(1, Math.round(heightM / Math.max(0.5, gapM))));
	const area = (Math.PI / 4) * sizeM * sizeM;
	const power = WARM.map((share) => share * LAMP_TO_PAPER * area) as unknown as Lamp['power'];
	return Array.from({ length: across * down }, (_, i) => {
		const column = i % across;
		const row = Math.floor(i / across);
		const t = across === 1 ? 0 : (2 * column) / (across - 1) - 1;
		const sag = across === 1 ? 0 : 0.8 * (t * t - 0.5) + 0.1 * (((column * 5 + row * 3) % 4) - 1.5);
		return {
			at: {
				x: centre.x + (t * (widthM - sizeM)) / 2,
				y: centre.y + (heightM * ((down - 1) / 2 - row + sag * 0.9)) / down,
				z: centre.z
			},
			sizeM,
			power
		};
	});
}

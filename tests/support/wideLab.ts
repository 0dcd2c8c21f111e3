import { readShot } from '$core/format/shotFile';
import { ASSUMED } from '$core/tables/spreads';
import { BODIES, LENSES } from '$data/kit';
import { develop } from '../../src/practice/develop';
import { framesOf } from '../../src/practice/roll';
import { Studio } from '../../src/preview/render/studio';
import { base64Of } from './base64';

/** Runs in a page: takes the frames of a wide view with the practice camera, turned as one asks. */

export interface Look {
	readonly panDeg: number;
	readonly tiltDeg: number;
	/** By default as for the others. */
	readonly shutterS?: number;
}

const ALONE = { breathe: () => Promise.resolve(), tell: () => undefined };
let studio: Studio | null = null;

/** One person before leaves, by a lens too long for all of it. */
function shotOf({ panDeg, tiltDeg }: Look) {
	const reading = readShot({
		format: 'focalis-shot',
		version: 1,
		title: 'Before the hedge',
		body: BODIES.fullFrame24,
		lens: LENSES.portrait85,
		camera: { position: { x: 0, y: 1.6, z: 0 }, focalMm: 85, support: 'tripod', panDeg, tiltDeg },
		people: [{ id: 'ana', name: 'Ana', eyeMidpoint: { x: 0, y: 1.62, z: 3.5 } }],
		things: [
			{
				id: 'hedge',
				label: 'hedge',
				position: { x: 0, y: 1.6, z: 6.5 },
				widthM: 14,
				heightM: 8,
				detailMm: 120,
				look: 'foliage'
			}
		],
		choices: { focus: { depthM: 3.5 } }
	});
	if (!reading.ok) throw new Error(reading.message);
	return reading.shot;
}

export const wideLab = {
	/** The files of the frames, in base 64. */
	async shoot(looks: readonly Look[], longSidePx: number) {
		studio ??= new Studio(new OffscreenCanvas(1, 1));
		const files: { name: string; base64: string }[] = [];
		for (const [i, look] of looks.entries()) {
			const order = {
				shot: shotOf(look),
				own: { fNumber: 2, shutterS: look.shutterS ?? 1 / 250, iso: 200 },
				frames: 1,
				seed: 5,
				spreads: ASSUMED,
				longSidePx,
				localMs: Date.UTC(2026, 8, 26, 15, 0, 2 * i),
				offsetMinutes: 120,
				firstNumber: i + 1
			};
			for (const frame of framesOf(order)) {
				const { name, jpeg } = await develop(studio, order, frame, ALONE);
				files.push({ name, base64: await base64Of(jpeg) });
			}
		}
		return files;
	}
};

Object.assign(globalThis, { wideLab });

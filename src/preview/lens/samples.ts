import { defocusMm } from '$core/optics/blur';
import { vergenceError } from '$core/optics/focus';
import type { Vec3 } from '$core/geometry/vector';
import type { Subject } from '../scene';
import { MOST_SAMPLES } from './aperture';

/** Fewer would leave edges jagged; a settled picture never waits for more. */
const LEAST_SETTLED = 16;
const MOST_SETTLED = 64;
/** How far a body reaches before and behind its eyes, m. */
const BODY_M = 0.3;

/** The disc of blur of what is infinitely far, px. */
export const farDiscPx = (subject: Subject): number => discPx(subject, Infinity, 1);

/** The widest disc of blur at any of some places, give or take a body, px; 0 without any. */
export function widestDiscPx(subject: Subject, places: readonly Vec3[]): number {
	const discs = places
		.filter(({ z }) => z > 0)
		.flatMap(({ x, y, z }) =>
			[z - BODY_M, z + BODY_M].map((depthM) =>
				discPx(subject, Math.max(depthM, 0.1), z / Math.hypot(x, y, z))
			)
		);
	return Math.max(0, ...discs);
}

function discPx({ setting, window, widthPx }: Subject, depthM: number, cos: number): number {
	const { focus, fNumber } = setting;
	const error = vergenceError(focus, depthM, cos);
	return (defocusMm(focus, fNumber, error) * widthPx) / window.widthMm;
}

/**
 * Samples after which a picture may stand: enough that two neighbours in the widest disc of blur lie
 * no farther than a pixel apart, so pi/4 d² for a disc of d pixels. What is sharp needs few of them.
 */
export function settledSamples(subject: Subject): number {
	const { figures, things } = subject.scene;
	const places = [...figures.map(({ head }) => head.origin), ...things.map(({ centre }) => centre)];
	const disc = Math.max(farDiscPx(subject), widestDiscPx(subject, places));
	return Math.min(MOST_SETTLED, Math.max(LEAST_SETTLED, samplesForDisc(disc)));
}

/** So many that two neighbours in a disc lie no farther than a pixel apart. */
export const samplesForDisc = (discPx: number): number => Math.ceil((Math.PI / 4) * discPx ** 2);

/** The most that is worth taking of a picture, for a graphics card that is quick. */
export const worthTaking = (settled: number): number =>
	Math.max(settled, (MOST_SAMPLES * settled) / MOST_SETTLED);

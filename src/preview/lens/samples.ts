import { defocusMm } from '$core/optics/blur';
import { vergenceError } from '$core/optics/focus';
import type { Subject } from '../scene';
import { MOST_SAMPLES } from './aperture';

/** Fewer would leave edges jagged; a settled picture never waits for more. */
const LEAST_SETTLED = 16;
const MOST_SETTLED = 64;
/** How far a body reaches before and behind its eyes, m. */
const BODY_M = 0.3;

/**
 * Samples after which a picture may stand: enough that two neighbours in the widest disc of blur lie
 * no farther than a pixel apart, so pi/4 d² for a disc of d pixels. What is sharp needs few of them.
 */
export function settledSamples(subject: Subject): number {
	const { figures, things } = subject.scene;
	const discs = [
		discPx(subject, Infinity, 1),
		...[...figures.map(({ head }) => head.origin), ...things.map(({ centre }) => centre)]
			.filter(({ z }) => z > 0)
			.flatMap(({ x, y, z }) =>
				[z - BODY_M, z + BODY_M].map((depthM) => discPx(subject, depthM, z / Math.hypot(x, y, z)))
			)
	];
	const samples = samplesForDisc(Math.max(...discs));
	return Math.min(MOST_SETTLED, Math.max(LEAST_SETTLED, samples));
}

/** What is nearer counts as so near, m. */
const NEAREST_M = 0.1;

/** Diameter of the disc of blur of a point at a depth, px. */
export function discPx(
	{ setting, window, widthPx }: Subject,
	depthM: number,
	cosOffAxis: number
): number {
	const { focus, fNumber } = setting;
	const error = vergenceError(focus, Math.max(depthM, NEAREST_M), cosOffAxis);
	return (defocusMm(focus, fNumber, error) * widthPx) / window.widthMm;
}

/** So many that two neighbours in a disc lie no farther than a pixel apart. */
export const samplesForDisc = (discPx: number): number => Math.ceil((Math.PI / 4) * discPx ** 2);

/** The most that is worth taking of a picture, for a graphics card that is quick. */
export const worthTaking = (settled: number): number =>
	Math.max(settled, (MOST_SAMPLES * settled) / MOST_SETTLED);

import type { Candidate } from './candidate';
import type { FreePlane } from '../format/plan';
import { fieldCurvatureFactor, focusAt } from '../optics/focus';
import { stopsBetween } from '../optics/fNumber';
import { vergence } from '../optics/vergence';
import { fNumberNeeded, worstWideOpen } from './candidates';
import type { Scene } from './scene';

/**
 * The focused depth that leaves the least worst ratio, wherever it lies: the weighted middle, in
 * vergence, of the extreme targets. For equal factors and a flat field that is the harmonic mean of
 * nearest and farthest.
 *
 * With x the vergence of the plane, each target's ratio is |p - q x| times a factor common to all,
 * with p = 1/(D w) and q = 1/(bend w). The largest of these is a convex line of straight pieces; its
 * lowest point is found by exchange: take the crossing of one falling and one rising piece, and as
 * long as another target is worse there, let it take over.
 *
 * @returns metres; null when there are no targets
 */
export function freePlaneM(scene: Scene): number | null {
	const pieces = scene.targets.map(({ seen, factor }) => ({
		p: vergence(seen.depthM) / factor,
		q: 1 / (fieldCurvatureFactor(scene.optic.fieldCurvature, seen.cosOffAxis) * factor)
	}));
	const [first] = pieces;
	if (!first) return null;

	let falling = pieces.reduce((a, b) => (b.p / b.q > a.p / a.q ? b : a), first);
	let rising = pieces.reduce((a, b) => (b.p / b.q < a.p / a.q ? b : a), first);
	const crossing = () => (falling.p + rising.p) / (falling.q + rising.q);
	// each exchange raises the value at the crossing, so no pair of pieces comes twice
	for (let round = 0; round < 2 * pieces.length; round++) {
		const x = crossing();
		const residual = (piece: typeof first) => piece.p - piece.q * x;
		const level = residual(falling) * (1 + 1e-12);
		const behind = pieces.reduce((a, b) => (residual(b) > residual(a) ? b : a), falling);
		const before = pieces.reduce((a, b) => (residual(b) < residual(a) ? b : a), rising);
		if (residual(behind) <= level && -residual(before) <= level) break;
		if (residual(behind) >= -residual(before)) falling = behind;
		else rising = before;
	}
	return 1 / crossing();
}

/** The free plane in a photographer's terms: what it gains and how to get there from the pick. */
export function freePlaneOf(
	scene: Scene,
	candidates: readonly Candidate[],
	pick: Candidate
): FreePlane | null {
	const depthM = freePlaneM(scene);
	if (depthM === null) return null;
	const needed = fNumberNeeded(scene, worstWideOpen(scene, focusAt(scene.optic, depthM)));
	const least = fNumberNeeded(scene, Math.min(...candidates.map(({ worstAtF1 }) => worstAtF1)));
	return {
		depthM,
		fNumberExact: needed,
		gainStops: needed === null || least === null ? null : stopsBetween(needed, least),
		leanM: depthM - pick.planeM
	};
}

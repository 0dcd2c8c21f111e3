import type { Shot } from '$core/format/shot';
import { LENSES } from './kit';
import { shotOf } from './sample/sampleShots';

/** A shot to start from: a 50 mm lens at eye height and nobody there yet. */
export function blankShot(title: string): Shot {
	return shotOf({ title, lens: LENSES.normal50, focalMm: 50, people: [], safetyStops: 1 / 3 });
}

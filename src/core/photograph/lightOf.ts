import type { Shot } from '../format/shot';
import { ev100Of } from '../light/ev';
import type { PhotographFacts } from './lensOf';

/** EV is told in thirds of a stop, as dials turn. */
const STEPS_PER_STOP = 3;

/**
 * The light that a photograph was taken in: its settings, if they were right and no flash fired; undefined
 * where it does not say them all.
 */
export function lightOfPhotograph({
	fNumber,
	shutterS,
	iso,
	isFlashed = false
}: PhotographFacts): Shot['light'] {
	if (fNumber === undefined || shutterS === undefined || iso === undefined || isFlashed) {
		return undefined;
	}
	const ev100 = Math.round(STEPS_PER_STOP * ev100Of({ fNumber, shutterS, iso })) / STEPS_PER_STOP;
	return { mode: 'ambient', ev100 };
}

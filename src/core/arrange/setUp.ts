import type { Lens, Shot } from '../format/shot';
import type { FigurePart } from '../anatomy/figure';
import { addCouple, addPerson, addRows, USUAL_ROWS, type StepsPlan } from './arrange';
import { focalsOf } from '../optics/zoom';
import { frameByPlace, USUAL_MARGIN, type FramingProblem } from './framing';
import { groundDistanceM, pivotOf } from './standpoint';

/** A whole shot from few words: how many, how much of them, with which lens. */

/** Where people are put before the framing moves the camera, m. */
const START_M = 4;

const stepsOf = (counts: readonly number[]): StepsPlan => ({
	...USUAL_ROWS,
	counts,
	stepM: counts.length > 1 ? USUAL_ROWS.stepM : 0
});

function peopled(blank: Shot, counts: readonly number[]): Shot {
	const total = counts.reduce((sum, one) => sum + one, 0);
	if (total === 1) return addPerson(blank, 'adult', START_M);
	if (counts.length === 1 && total === 2) return addCouple(blank, START_M);
	return addRows(blank, stepsOf(counts), START_M);
}

/** Farther than this the photographer has to shout, m. */
const COMFORTABLE_M = 6;

export interface SetUp {
	readonly shot: Shot;
	/** Why it is not framed as asked; null when it is. */
	readonly problem: FramingProblem | null;
}

/**
 * A shot of rows of people, framed: the camera where the lens needs it, a zoom as long as the
 * distance stays comfortable.
 *
 * @param blank  a shot without people; its body and choices stay
 * @param counts how many in each row, the front row first
 */
export function setUp(blank: Shot, lens: Lens, counts: readonly number[], part: FigurePart): SetUp {
	const people = peopled(blank, counts);
	const framing = { part, personIds: [], margin: USUAL_MARGIN };
	const tries = focalsOf(lens, lens.focalMm[1])
		.toReversed()
		.map((focalMm) => {
			const shot = { ...people, lens, camera: { ...people.camera, focalMm } };
			const framed = frameByPlace(shot, framing);
			return framed.ok
				? { shot: { ...shot, camera: framed.camera }, problem: null }
				: { shot, problem: framed.problem };
		});
	const framed = tries.filter(({ problem }) => problem === null);
	const isComfortable = ({ shot }: SetUp) =>
		groundDistanceM(shot.camera, pivotOf(shot)) <= COMFORTABLE_M;
	return framed.find(isComfortable) ?? framed.at(-1) ?? (tries[0] as SetUp);
}

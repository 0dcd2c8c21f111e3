import type { Shot } from '../format/shot';
import type { Handling } from '../study/technique';
import type { Take } from '../study/candidate';
import type { ReviewedSet } from './reviewSet';

/** The frames of a shot, as they were planned and as they came home. */
export interface SetOfShot {
	readonly shot: Shot;
	readonly set: ReviewedSet;
	/** The take that was planned, and how it is focused. */
	readonly take: Take;
	readonly handling: Handling;
}

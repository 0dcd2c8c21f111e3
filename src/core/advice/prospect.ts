import type { Shot } from '../format/shot';
import { stopsBetween } from '../optics/fNumber';
import type { Study } from '../study/study';
import { intentsOf, isFeasible, type Intents, type Take } from '../study/take';

/** What comes of a shot in short: enough to compare it with another, without its whole plan. */
export interface Prospect {
	readonly study: Study;
	readonly take: Take;
	readonly feasible: boolean;
	readonly intents: Intents;
}

/** @returns null when there is nothing to focus on, or nothing that should be sharp is seen */
export function prospectOf(study: Study): Prospect | null {
	if (study.scene.targets.length === 0) return null;
	const { taken } = study;
	return taken && { study, take: taken, feasible: isFeasible(taken), intents: intentsOf(taken) };
}

/** The prospect of another shot, looked at in the same way. */
export const prospectWith = (study: Study, shot: Shot): Prospect | null =>
	prospectOf(study.another(shot));

/** How many people have an eye that can be seen: nobody may be lost by a change. */
export const seenPeople = ({ study: { scene } }: Prospect): number =>
	scene.sightings.filter(({ nearEye, person }) => nearEye && person.need !== 'free').length;

/** Stops by which the f-number needed falls from one prospect to another. */
export const stopsGained = (before: Prospect, after: Prospect): number =>
	stopsBetween(after.study.needed, before.study.needed);

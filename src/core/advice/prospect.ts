import type { Take } from '../study/candidate';
import type { Shot } from '../format/shot';
import { stopsBetween } from '../optics/fNumber';
import type { Study } from '../study/study';
import { intentsOf, isFeasible, wantedThings, type Intents } from '../study/take';

/**
 * What comes of a shot in short: enough to compare it with another, without its whole plan. Most of
 * what is compared is dropped for what is known at once, so the pick waits until it is asked for.
 */
export class Prospect {
	readonly study: Study;

	/** @param study with something to focus on and something that should be sharp */
	constructor(study: Study) {
		this.study = study;
	}

	get take(): Take {
		const { taken } = this.study;
		if (!taken) throw new Error('nothing to focus on');
		return taken;
	}

	get feasible(): boolean {
		const { shot, holds } = this.study;
		return shot.choices.fNumberExact === undefined ? holds : isFeasible(this.take);
	}

	/** Share of good frames: everything that counts is sharp, and everybody's eyes are open. */
	get goodShare(): number {
		return this.take.candidate.chance.keeperShare(this.take);
	}

	get intents(): Intents {
		const { scene } = this.study;
		return wantedThings(scene).length === 0 ? { met: 0, of: 0 } : intentsOf(this.take);
	}
}

/** @returns null when there is nothing to focus on, or nothing that should be sharp is seen */
export const prospectOf = (study: Study): Prospect | null =>
	study.scene.targets.length > 0 && study.candidates.length > 0 ? new Prospect(study) : null;

/** The prospect of another shot, looked at in the same way. */
export const prospectWith = (study: Study, shot: Shot): Prospect | null =>
	prospectOf(study.another(shot));

/** How many people have an eye that can be seen: nobody may be lost by a change. */
export const seenPeople = ({ study: { scene } }: Prospect): number =>
	scene.sightings.filter(({ nearEye, person }) => nearEye && person.need !== 'free').length;

/** Stops by which the f-number needed falls from one prospect to another. */
export const stopsGained = (before: Prospect, after: Prospect): number =>
	stopsBetween(after.study.needed, before.study.needed);

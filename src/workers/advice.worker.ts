import { adviceFor, type Advice } from '$core/advice/advice';
import { aboutCosts, type AboutCost } from '$core/advice/comparisons';
import { lensWays, type LensWay } from '$core/advice/lensWays';
import { backRowNearerM, floorPlan, type FloorArea, type FloorPlan } from '$core/advice/standing';
import { lensOnShot, onBody, type LensOnShot } from '$core/advice/lensOnShot';
import type { MeasuredSharpness } from '$core/format/sharpness';
import type { Body, Lens, Shot } from '$core/format/shot';
import { chanceOf } from '$core/odds/chanceOf';
import { nominalFNumber } from '$core/optics/fNumber';
import { measured } from '$core/photograph/stage';
import { study } from '$core/study/study';
import type { Spreads } from '$core/tables/spreads';
import { serve } from './protocol';

/** What takes longer than a frame: advice, other lenses, where to stand, what else the picture could be. */

interface OfShot {
	readonly shot: Shot;
	readonly spreads: Spreads;
}
interface OfKit extends OfShot {
	readonly lenses: readonly Lens[];
}

export type AdviceQuestions = {
	readonly advice: { question: OfKit; partial: never; answer: Advice[] };
	readonly ways: { question: OfKit; partial: never; answer: LensWay[] };
	/** What each of some lenses on a body makes of each of some shots: told shot by shot, in their order. */
	readonly lensesOnShots: {
		question: {
			readonly shots: readonly Shot[];
			readonly body: Body;
			readonly lenses: readonly {
				readonly lens: Lens;
				readonly sharpness: MeasuredSharpness | undefined;
			}[];
			readonly spreads: Spreads;
		};
		partial: (LensOnShot | null)[];
		answer: undefined;
	};
	/** What the other pictures of an arrangement with an object come to. */
	readonly abouts: { question: OfShot; partial: never; answer: AboutCost[] };
	/** How much nearer the back row must stand, m; null when even one row would not hold. */
	readonly backRowNearer: {
		question: OfShot & { readonly fNumberExact: number };
		partial: never;
		answer: { readonly metres: number | null };
	};
	/** The f-number it would be if every distance had been measured; null where nothing can be sharp. */
	readonly measured: {
		question: OfShot;
		partial: never;
		answer: { readonly fNumber: number | null };
	};
	readonly floor: {
		question: OfKit & { readonly area: FloorArea; readonly cells: number };
		partial: never;
		answer: FloorPlan;
	};
};

const studyOf = ({ shot, spreads }: OfShot) => study(shot, chanceOf(spreads));

serve<AdviceQuestions>({
	advice: (asked) => adviceFor(studyOf(asked), asked.lenses),
	ways: (asked) => lensWays(studyOf(asked), asked.lenses),
	async lensesOnShots({ shots, body, lenses, spreads }, { tell, breathe }) {
		for (const shot of shots) {
			const studied = studyOf({ shot: onBody(shot, body), spreads });
			const made: (LensOnShot | null)[] = [];
			for (const { lens, sharpness } of lenses) {
				made.push(lensOnShot(studied, lens, sharpness));
				await breathe();
			}
			tell(made);
		}
		return undefined;
	},
	abouts: (asked) => aboutCosts(studyOf(asked)),
	backRowNearer: (asked) => ({ metres: backRowNearerM(studyOf(asked), asked.fNumberExact) }),
	measured({ shot, spreads }) {
		const { taken } = studyOf({ shot: measured(shot), spreads });
		return { fNumber: taken ? nominalFNumber(taken.fNumber) : null };
	},
	async floor(asked, { breathe }) {
		const rows = floorPlan(studyOf(asked), asked.lenses, asked.area, asked.cells);
		for (;;) {
			const { value, done } = rows.next();
			if (done) return value;
			await breathe();
		}
	}
});

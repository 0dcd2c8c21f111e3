import type { DayShot } from '$core/format/job';
import type { Shot } from '$core/format/shot';
import type { Spreads } from '$core/tables/spreads';
import { chanceOf } from '$core/odds/chanceOf';
import { drawableOf } from '../../drawing/drawable';
import { nameOfId } from '$words/names';
import { asItIs, turnedOut } from '$core/advice/turnedOut';
import { solutionOf, solve, type Solution } from '$core/study/plan';
import { asksForSomething } from '$core/study/study';
import type { Outlook, PrintedCard } from '$files/out/printed';
import { cardOf } from '$words/card';
import { takenWords } from '$words/light';
import { frameShapes } from '../../drawing/frameShapes';
import { alone, drawPicture, wholeWish } from '../../drawing/savedPicture';
import { preview } from '../../picture/preview.svelte';
import { clock } from '$words/day';
import { distance, fromUnits, fStop, smallLength, toUnits, type Units } from '$words/numbers';

/** The cards of a job for files and paper. */

/** The f-numbers of whole stops, that a ladder in short shows. */
const WHOLE_STOPS: ReadonlySet<number> = new Set([1, 1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 22, 32]);
/** How far away it may turn out, and how deep the group, as shares of what is planned. */
const DISTANCES = [0.7, 0.85, 1, 1.2, 1.5] as const;
const DEPTHS = [0.5, 1, 1.5, 2] as const;

/** The card of one shot; takes as long as twenty plans. */
export function printedCard(
	{ startsAt, place, taken, shot }: DayShot,
	spreads: Spreads,
	units: Units
): PrintedCard {
	const solution = asksForSomething(shot) ? solve(shot, chanceOf(spreads)) : null;
	return {
		title: shot.title,
		when: [clock(startsAt), place].filter(Boolean).join(', '),
		notes: shot.notes,
		taken: taken ? takenWords(taken) : '',
		content: solution && withoutOdds(solution, units),
		frame: solution && frameShapes(drawableOf(solution)),
		ladder: solution ? ladderInShort(solution) : [],
		different: solution?.take ? whenDifferent(solution, units) : null
	};
}

/** Pixels along the long side of a picture on a card; and how long one may take, ms. */
const PICTURE_PX = 480;
const MOST_MS = 15_000;

/**
 * The same card with the picture of its frame as the lens draws it; the drawing stays where there are no pictures.
 * Throws where one takes too long: others would, too.
 */
export async function pictured(
	card: PrintedCard,
	{ shot }: DayShot,
	spreads: Spreads
): Promise<PrintedCard> {
	if (!card.frame || !(await preview.starts())) return card;
	const wish = wholeWish(solve(shot, chanceOf(spreads)), PICTURE_PX);
	const bitmap = await drawPicture(wish, () => undefined, AbortSignal.timeout(MOST_MS));
	const picture = alone(bitmap).toDataURL('image/jpeg', 0.85).split(',')[1];
	bitmap.close();
	return picture ? { ...card, frame: { ...card.frame, shapes: [], picture } } : card;
}

/** Odds are counted on the screen; a file leaves the frames to take out. */
function withoutOdds(solution: Solution, units: Units) {
	const content = cardOf(solution, null, units);
	return { ...content, facts: content.facts.filter(({ label }) => label !== 'frames') };
}

function ladderInShort({ plan }: Solution): PrintedCard['ladder'] {
	return plan.ladder
		.filter(({ fNumber }) => WHOLE_STOPS.has(fNumber) || fNumber === plan.fNumber)
		.map(({ fNumber, sharpPeople, people }) => ({
			fNumber: fStop(fNumber),
			held: `${sharpPeople}/${people}`,
			isPick: fNumber === plan.fNumber
		}));
}

function whenDifferent({ study, plan }: Solution, units: Units): PrintedCard['different'] {
	const { shot } = study;
	const { distanceM, depthM, rows } = asItIs(shot);
	if (!Number.isFinite(distanceM) || distanceM <= 0) return null;
	const nearest = shot.lens.closestFocusM + depthM / 2;
	const distances = [...new Set(DISTANCES.map((share) => paced(distanceM * share, units)))].filter(
		(metres) => metres > nearest
	);
	const depths = rows > 1 && depthM > 0 ? DEPTHS.map((share) => depthM * share) : [depthM];
	const outlook = (changed: Shot): Outlook => {
		const { plan: next } = solutionOf(study.another(changed));
		const who = next.focus?.personId ?? null;
		return {
			fNumber: next.fNumber === null ? '' : fStop(next.fNumber),
			focusOn: who && who !== plan.focus?.personId ? nameOfId(shot, who) : '',
			feasible: next.feasible
		};
	};
	return {
		distances: distances.map((metres) => distance(metres, units)),
		rows: depths.map((depth) => ({
			depth: rows > 1 ? smallLength(depth, units) : '',
			outlooks: distances.map((metres) =>
				outlook(turnedOut(shot, { distanceM: metres, ...(rows > 1 ? { depthM: depth } : {}) }))
			)
		}))
	};
}

/** A distance one could pace out: near by in tenths of a metre or half feet, then in halves and feet. */
function paced(metres: number, units: Units): number {
	const steps = { m: [0.1, 0.5], ft: [0.5, 1] } as const;
	const step = steps[units][metres < 3 ? 0 : 1];
	return fromUnits(Math.round(toUnits(metres, units) / step) * step, units);
}

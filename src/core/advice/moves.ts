import { closedUp, linedUp, mostCloseUpM, mostOffLineM } from '../arrange/regroup';
import {
	groundDistanceM,
	pivotOf,
	sameFraming,
	standingAt,
	steppedBack
} from '../arrange/standpoint';
import type { Lens, Person, Shot } from '../format/shot';
import { widestFNumber } from '../optics/fNumber';
import { failingPeople } from '../study/take';
import { isZoom } from '../optics/zoom';
import { lensPlaces } from './lensWays';
import { doneOrNot, type Move } from './move';
import type { Prospect } from './prospect';
import { thingMoves } from './thingMoves';

/** What can be changed about a shot to make it easier, each by as much as is needed. */

/** As far as anybody steps back without being told how much room there is, m. */
const STEP_BACK_M = 6;
/** As high as arms reach without something to stand on, m. */
const OVERHEAD_M = 2.2;

/** Every move that a shot allows. Lenses other than the shot's own come from the kit. */
export function movesOf(now: Prospect, lenses: readonly Lens[]): Move[] {
	const { shot } = now.study;
	return [
		...stepsBack(shot),
		raised(shot),
		...regrouped(now),
		...turned(now),
		...thingMoves(now),
		...otherLenses(now, lenses),
		...softened(now),
		...givenUp(now)
	].filter(({ most }) => most > 0);
}

function stepsBack(shot: Shot): Move[] {
	const pivot = pivotOf(shot);
	const roomM = Math.min(shot.place?.clearBehindCameraM ?? STEP_BACK_M, STEP_BACK_M);
	const [, longMm] = shot.lens.focalMm;
	const back: Move = {
		code: 'step-back',
		most: roomM,
		step: 0.1,
		apply: (m) => ({ ...shot, camera: steppedBack(shot.camera, pivot, m) }),
		made: (byM) => ({ code: 'step-back', byM }),
		effort: (m) => 0.6 + 0.5 * m
	};
	if (longMm < shot.camera.focalMm * 1.05) return [back];
	const now = groundDistanceM(shot.camera, pivot);
	const focalFor = (m: number) =>
		Math.min(longMm, Math.round((shot.camera.focalMm * (now + m)) / now));
	const farthest = sameFraming(shot, longMm);
	const reachM = farthest ? groundDistanceM(farthest, pivot) - now : 0;
	return [
		back,
		{
			code: 'step-back-and-lengthen',
			most: Math.min(roomM, Math.max(0, reachM)),
			step: 0.1,
			apply: (m) => ({
				...shot,
				camera: { ...steppedBack(shot.camera, pivot, m), focalMm: focalFor(m) }
			}),
			made: (byM) => ({ code: 'step-back-and-lengthen', byM, focalMm: focalFor(byM) }),
			effort: (m) => 0.5 + 0.5 * m
		}
	];
}

function raised(shot: Shot): Move {
	const { camera } = shot;
	const highestM = shot.place?.highestCameraM ?? OVERHEAD_M;
	const pivot = pivotOf(shot);
	return {
		code: 'raise-camera',
		most: Math.max(0, highestM - camera.position.y),
		step: 0.05,
		apply: (m) => {
			const position = { ...camera.position, y: camera.position.y + m };
			return { ...shot, camera: standingAt(camera, pivot, position) };
		},
		made: (byM) => ({ code: 'raise-camera', byM }),
		effort: (m) => 0.8 + 1.5 * m
	};
}

function regrouped({ study: { shot, scene } }: Prospect): Move[] {
	const { rows } = scene;
	const isBent = shot.lens.fieldBend !== 0;
	return [
		{
			code: 'close-rows',
			most: rows.length > 1 ? mostCloseUpM(rows) : 0,
			step: 0.05,
			apply: (m) => closedUp(shot, rows, m),
			made: (byM) => ({ code: 'close-rows', byM }),
			effort: (m) => 1 + m
		},
		{
			code: 'line-up',
			most: mostOffLineM(shot, rows),
			step: 0.02,
			apply: (m) => linedUp(shot, rows, m),
			made: (byM) => ({ code: 'line-up', byM, rows: rows.length, isBent }),
			effort: (m) => 1 + 2 * m
		}
	];
}

/** The turned head that is hardest to keep sharp. */
function turned({ study: { shot }, take }: Prospect): Move[] {
	const [first, ...rest] = take.candidate.judged();
	const worst = rest.reduce(
		(most, one) => (one.ratioAtF1 > (most?.ratioAtF1 ?? 0) ? one : most),
		first
	);
	const hardest = shot.people.find(({ id }) => id === worst?.target.personId);
	if (!hardest || hardest.turnDeg === 0) return [];
	const turnedBy = (person: Person, deg: number): Person => ({
		...person,
		turnDeg: Math.sign(person.turnDeg) * Math.max(0, Math.abs(person.turnDeg) - deg)
	});
	return [
		{
			code: 'turn-head',
			most: Math.abs(hardest.turnDeg),
			step: 5,
			apply: (deg) => ({
				...shot,
				people: shot.people.map((one) => (one === hardest ? turnedBy(one, deg) : one))
			}),
			made: (byDeg) => ({ code: 'turn-head', personId: hardest.id, byDeg }),
			effort: (deg) => 0.4 + deg / 90
		}
	];
}

/** Engraved f-numbers lie this near to the exact ones. */
const A_HAIR = 1.03;

function otherLenses({ study: { shot } }: Prospect, lenses: readonly Lens[]): Move[] {
	const fixed = shot.choices.fNumberExact ?? Infinity;
	return lensPlaces(shot, lenses)
		.filter(
			({ isOutOfRoom, lens, focalMm }) =>
				!isOutOfRoom &&
				widestFNumber(lens, focalMm) <= fixed * A_HAIR &&
				!(lens.name === shot.lens.name && focalMm === shot.camera.focalMm)
		)
		.map(({ shot: found, lens, focalMm, backM }) => ({
			...doneOrNot,
			code: 'other-lens',
			// the f-number that is fixed stays fixed
			apply: () => ({ ...found, choices: shot.choices }),
			made: () => ({
				code: 'other-lens',
				lens: lens.name,
				focalMm: isZoom(lens) ? focalMm : null,
				backM
			}),
			effort: () => 1.5 + 0.4 * Math.abs(backM)
		}));
}

/** Most people that are offered to be softer: the ones that fail, hardest first. */
const MOST_SOFTER = 4;

function softened({ study: { shot }, take }: Prospect): Move[] {
	return failingPeople(take)
		.slice(0, MOST_SOFTER)
		.map((personId) => ({
			...doneOrNot,
			code: 'softer-need',
			apply: () => withNeed(shot, [personId], 'soft'),
			made: () => ({ code: 'softer-need', personId }),
			effort: () => 3.5
		}));
}

/** A thing that was to be sharp may be recognisable. */
function givenUp({ study: { shot, scene } }: Prospect): Move[] {
	return scene.things
		.filter(({ thing, inFrame }) => inFrame && thing.intent === 'sharp')
		.map(({ thing: { id } }) => ({
			...doneOrNot,
			code: 'give-up-thing',
			apply: () => withoutSharpThing(shot, id),
			made: () => ({ code: 'give-up-thing', thingId: id }),
			effort: () => 4
		}));
}

/** The shot asking less of some people. */
export const withNeed = (shot: Shot, ids: readonly string[], need: 'soft' | 'free'): Shot => ({
	...shot,
	people: shot.people.map((one) => (ids.includes(one.id) ? { ...one, need } : one))
});

/** The shot with things that were to be sharp recognisable: one of them, or all. */
export const withoutSharpThing = (shot: Shot, thingId?: string): Shot => ({
	...shot,
	things: shot.things.map((one) =>
		one.intent === 'sharp' && (thingId === undefined || one.id === thingId)
			? { ...one, intent: 'recognisable' as const }
			: one
	)
});

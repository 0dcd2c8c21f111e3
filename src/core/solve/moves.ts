import type { Lens, Person, Shot } from '../format/shot';
import { widestFNumber } from '../optics/fNumber';
import { closedUp, linedUp, mostCloseUpM, mostOffLineM, offBackground } from '../scene/regroup';
import {
	groundDistanceM,
	pivotOf,
	sameFraming,
	standingAt,
	steppedBack
} from '../scene/standpoint';
import { nameOfId } from './names';
import { failingPeople, type Outcome } from './outcome';
import { waysOf } from './ways';

/** What can be changed about a shot to make it easier, each by as much as is needed. */

export type MoveCode =
	| 'step-back'
	| 'step-back-and-lengthen'
	| 'raise-camera'
	| 'close-rows'
	| 'turn-head'
	| 'line-up'
	| 'off-background'
	| 'other-lens'
	| 'softer-need'
	| 'give-up-thing';

export interface Move {
	readonly code: MoveCode;
	readonly unit: 'm' | 'degrees' | 'none';
	/** The most there is of it. */
	readonly most: number;
	/** Sizes are rounded up to this. */
	readonly step: number;
	readonly apply: (size: number) => Shot;
	/** In words, as one would say it to oneself or to the people. */
	readonly words: (size: number) => string;
	/** How much trouble it is, in steps of one's own feet. */
	readonly effort: (size: number) => number;
	/** Who or what is changed, where it is one. */
	readonly subject?: {
		readonly personId?: string;
		readonly thingId?: string;
		readonly lens?: string;
	};
}

/** As far as anybody steps back without being told how much room there is, m. */
const STEP_BACK_M = 6;
/** As high as arms reach without something to stand on, m. */
const OVERHEAD_M = 2.2;
const OFF_BACKGROUND_M = 6;

const length = (m: number) =>
	m < 0.995 ? `${Math.round(m * 100)} cm` : `${m.toFixed(1).replace(/\.0$/, '')} m`;

/** Every move that a shot allows. Lenses other than the shot's own come from the kit. */
export function movesOf(shot: Shot, now: Outcome, lenses: readonly Lens[]): Move[] {
	return [
		...stepsBack(shot),
		...raised(shot),
		...regrouped(shot, now),
		...turned(shot, now),
		...offBackdrop(shot, now),
		...otherLenses(shot, now, lenses),
		...softened(shot, now),
		...givenUp(shot, now)
	].filter(({ most }) => most > 0);
}

function stepsBack(shot: Shot): Move[] {
	const pivot = pivotOf(shot);
	const roomM = Math.min(shot.place?.clearBehindCameraM ?? STEP_BACK_M, STEP_BACK_M);
	const [, longMm] = shot.lens.focalMm;
	const back: Move = {
		code: 'step-back',
		unit: 'm',
		most: roomM,
		step: 0.1,
		apply: (m) => ({ ...shot, camera: steppedBack(shot.camera, pivot, m) }),
		words: (m) => `Step back ${length(m)} and leave room to crop`,
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
			unit: 'm',
			most: Math.min(roomM, Math.max(0, reachM)),
			step: 0.1,
			apply: (m) => ({
				...shot,
				camera: { ...steppedBack(shot.camera, pivot, m), focalMm: focalFor(m) }
			}),
			words: (m) => `Step back ${length(m)} and zoom to ${focalFor(m)} mm`,
			effort: (m) => 0.5 + 0.5 * m
		}
	];
}

function raised(shot: Shot): Move[] {
	const { camera } = shot;
	const highestM = shot.place?.highestCameraM ?? OVERHEAD_M;
	const pivot = pivotOf(shot);
	return [
		{
			code: 'raise-camera',
			unit: 'm',
			most: Math.max(0, highestM - camera.position.y),
			step: 0.05,
			apply: (m) => {
				const position = { ...camera.position, y: camera.position.y + m };
				return { ...shot, camera: standingAt(camera, pivot, position) };
			},
			words: (m) => `Raise the camera ${length(m)} and tilt it down`,
			effort: (m) => 0.8 + 1.5 * m
		}
	];
}

function regrouped(shot: Shot, { scene: { rows } }: Outcome): Move[] {
	return [
		{
			code: 'close-rows',
			unit: 'm',
			most: rows.length > 1 ? mostCloseUpM(rows) : 0,
			step: 0.05,
			apply: (m) => closedUp(shot, rows, m),
			words: (m) => `Close the rows up: the back row ${length(m)} forward`,
			effort: (m) => 1 + m
		},
		{
			code: 'line-up',
			unit: 'm',
			most: mostOffLineM(shot, rows),
			step: 0.02,
			apply: (m) => linedUp(shot, rows, m),
			words: (m) =>
				shot.lens.fieldBend === 0
					? `${rows.length > 1 ? 'Straighten the rows' : 'Stand in one line'}: nobody moves more than ${length(m)}`
					: `Bend the rows to the lens: nobody moves more than ${length(m)}`,
			effort: (m) => 1 + 2 * m
		}
	];
}

/** Heads that are turned: the one that is hardest to hold, or all that fail. */
function turned(shot: Shot, now: Outcome): Move[] {
	const { scene, pair } = now;
	const worst = scene.targets.reduce(
		(most, _, i) =>
			(pair.candidate.ratiosAtF1[i] ?? 0) > (pair.candidate.ratiosAtF1[most] ?? 0) ? i : most,
		0
	);
	const hardestId = scene.targets[worst]?.personId ?? null;
	const hardest = shot.people.find(({ id }) => id === hardestId);
	if (!hardest || hardest.turnDeg === 0) return [];
	const turnedBy = (person: Person, deg: number): Person => ({
		...person,
		turnDeg: Math.sign(person.turnDeg) * Math.max(0, Math.abs(person.turnDeg) - deg)
	});
	return [
		{
			code: 'turn-head',
			unit: 'degrees',
			most: Math.abs(hardest.turnDeg),
			step: 5,
			apply: (deg) => ({
				...shot,
				people: shot.people.map((one) => (one === hardest ? turnedBy(one, deg) : one))
			}),
			words: (deg) => `${hardest.name} turns ${Math.round(deg)}° towards the camera`,
			effort: (deg) => 0.4 + deg / 90,
			subject: { personId: hardest.id }
		}
	];
}

function offBackdrop(shot: Shot, { scene }: Outcome): Move[] {
	const wantsBlur = scene.things.some(
		({ thing, inFrame }) =>
			inFrame && (thing.intent === 'dissolved' || thing.intent === 'recognisable')
	);
	const roomM = Math.min(shot.place?.clearBehindCameraM ?? OFF_BACKGROUND_M, OFF_BACKGROUND_M);
	return [
		{
			code: 'off-background',
			unit: 'm',
			most: wantsBlur ? roomM : 0,
			step: 0.1,
			apply: (m) => offBackground(shot, m),
			words: (m) => `Move everyone ${length(m)} away from the background, and yourself with them`,
			effort: (m) => 1 + 0.6 * m
		}
	];
}

/** Engraved f-numbers lie this near to the exact ones. */
const A_HAIR = 1.03;

function otherLenses(shot: Shot, now: Outcome, lenses: readonly Lens[]): Move[] {
	const fixed = shot.choices.fNumberExact ?? Infinity;
	return waysOf(shot, lenses, now.scene.spreads)
		.filter(
			({ isOutOfRoom, lens, focalMm }) =>
				!isOutOfRoom &&
				widestFNumber(lens, focalMm) <= fixed * A_HAIR &&
				!(lens.name === shot.lens.name && focalMm === shot.camera.focalMm)
		)
		.map(({ shot: found, lens, focalMm, backM }) => {
			// the f-number that is fixed stays fixed
			const changed = { ...found, choices: shot.choices };
			return {
				code: 'other-lens' as const,
				unit: 'none' as const,
				most: 1,
				step: 1,
				apply: () => changed,
				words: () => {
					const isZoom = lens.focalMm[1] > lens.focalMm[0];
					const what = `${lens.name}${isZoom ? ` at ${Math.round(focalMm)} mm` : ''}`;
					if (Math.abs(backM) < 0.1) return `Take the ${what}`;
					return `Take the ${what}, ${length(Math.abs(backM))} ${backM > 0 ? 'farther back' : 'nearer'}`;
				},
				effort: () => 1.5 + 0.4 * Math.abs(backM),
				subject: { lens: lens.name }
			};
		});
}

/** Most people that are offered to be softer: the ones that fail, hardest first. */
const MOST_SOFTER = 4;

function softened(shot: Shot, now: Outcome): Move[] {
	return failingPeople(now)
		.slice(0, MOST_SOFTER)
		.map((personId) => ({
			code: 'softer-need' as const,
			unit: 'none' as const,
			most: 1,
			step: 1,
			apply: () => ({
				...shot,
				people: shot.people.map((one) =>
					one.id === personId ? { ...one, need: 'soft' as const } : one
				)
			}),
			words: () => `Let ${nameOfId(shot, personId)} be a little soft`,
			effort: () => 3.5,
			subject: { personId }
		}));
}

/** A thing that was to be sharp may be recognisable. */
function givenUp(shot: Shot, { scene }: Outcome): Move[] {
	return scene.things
		.filter(({ thing, inFrame }) => inFrame && thing.intent === 'sharp')
		.map(({ thing }) => ({
			code: 'give-up-thing' as const,
			unit: 'none' as const,
			most: 1,
			step: 1,
			apply: () => ({
				...shot,
				things: shot.things.map((one) =>
					one.id === thing.id ? { ...one, intent: 'recognisable' as const } : one
				)
			}),
			words: () => `Let the ${thing.label} be known rather than sharp`,
			effort: () => 4,
			subject: { thingId: thing.id }
		}));
}

import type { Shot } from '../format/shot';
import { ABOUTS, withAbout, type About } from '../scene/about';
import type { Exposure } from '../light/exposure';
import { CHILDREN_S, GROUP_PREFERRED_S, GROUP_S, handsFloor } from '../light/shutterFloor';
import { ASSUMED, type Spreads } from '../odds/spreads';
import { engraved, stopsBetween, widestFNumber } from '../optics/fNumber';
import { exposureAt } from './light';
import { exposureFor, failingPeople, outcomeOf, type Outcome } from './outcome';

/** One shot beside the same shot done otherwise: what the picture is about, and the schools. */

/** What one choice comes to. */
export interface Result {
	/** Exact; null when there is nothing to focus on. */
	readonly fNumber: number | null;
	readonly feasible: boolean;
	/** People who are sharp, of those who should be. */
	readonly sharp: number;
	readonly people: number;
	readonly exposure: Exposure | null;
	/** Stops beside the shot as it stands; positive costs light. */
	readonly costStops: number | null;
}

function resultOf(shot: Shot, now: Outcome | null): Result {
	const outcome = outcomeOf(shot, now?.scene.spreads);
	if (!outcome) {
		return { fNumber: null, feasible: false, sharp: 0, people: 0, exposure: null, costStops: null };
	}
	const { scene, pair } = outcome;
	const people = new Set(scene.targets.flatMap(({ personId }) => personId ?? [])).size;
	return {
		fNumber: pair.fNumber,
		feasible: outcome.feasible,
		sharp: people - failingPeople(outcome).length,
		people,
		exposure: exposureFor(outcome),
		costStops: now ? stopsBetween(now.pair.fNumber, pair.fNumber) : null
	};
}

export interface AboutCost {
	readonly about: About;
	readonly result: Result;
}

/** The same arrangement as three pictures, and what each costs. */
export function aboutCosts(shot: Shot, spreads: Spreads = ASSUMED): AboutCost[] {
	const now = outcomeOf(shot, spreads);
	return ABOUTS.map((about) => ({ about, result: resultOf(withAbout(shot, about), now) }));
}

export type SchoolQuestion = 'how-wide' | 'shutter' | 'sharp' | 'surface' | 'gives';

export interface SchoolResult {
	readonly question: SchoolQuestion;
	/** What the school says, in words. */
	readonly says: string;
	readonly result: Result;
	/** The shot done that way, so that it can be taken over. */
	readonly shot: Shot;
	/** Whether the shot is done that way now. */
	readonly isOwn: boolean;
}

/** Stops down from the widest at which most lenses are best. Common practice, no source. */
const BEST_STOPS = [2, 3] as const;

/** Every school that has a number, applied to this shot. Where to focus has a table of its own. */
export function schoolResults(shot: Shot, spreads: Spreads = ASSUMED): SchoolResult[] {
	const now = outcomeOf(shot, spreads);
	const { choices, sharpness, lens, camera } = shot;
	const entry = (
		question: SchoolQuestion,
		says: string,
		changed: Shot,
		isOwn: boolean
	): SchoolResult => ({ question, says, result: resultOf(changed, now), shot: changed, isOwn });
	const fixed = (fNumberExact: number | undefined): Shot => {
		const next = { ...choices };
		delete next.fNumberExact;
		return { ...shot, choices: fNumberExact === undefined ? next : { ...next, fNumberExact } };
	};
	const widest = widestFNumber(lens, camera.focalMm);
	const stopped = (stops: number) => widest * 2 ** (stops / 2);
	const own = choices.fNumberExact;
	const isAt = (fNumber: number) => own !== undefined && engraved(own) === engraved(fNumber);
	return [
		entry('how-wide', 'as wide as everyone stays sharp', fixed(undefined), own === undefined),
		entry('how-wide', 'as wide as the lens goes', fixed(widest), isAt(widest)),
		...BEST_STOPS.map((stops) =>
			entry(
				'how-wide',
				`${stops === 2 ? 'two' : 'three'} stops down, for the lens’s best`,
				fixed(stopped(stops)),
				isAt(stopped(stops))
			)
		),
		...([1, 2] as const).map((rule) =>
			entry(
				'shutter',
				rule === 1 ? 'one over the focal length' : 'one over twice the focal length',
				{ ...shot, choices: { ...choices, shutterRule: rule } },
				choices.shutterRule === rule
			)
		),
		...(['album', 'screen', 'pixel'] as const).map((standard) =>
			entry(
				'sharp',
				{ album: 'a small print held in the hand', screen: 'full screen', pixel: 'pixel by pixel' }[
					standard
				],
				{ ...shot, sharpness: { standard } },
				sharpness.standard === standard
			)
		),
		...([0, 1] as const).map((fieldBend) =>
			entry(
				'surface',
				fieldBend === 0 ? 'a flat plane' : 'a shell around the camera',
				{ ...shot, lens: { ...lens, fieldBend } },
				lens.fieldBend === fieldBend
			)
		),
		...(shot.light
			? [
					entry(
						'gives',
						'the ISO rises, the shutter stays fast',
						{ ...shot, choices: { ...choices, isoRule: 'rises' } },
						choices.isoRule === 'rises' ||
							(choices.isoRule === undefined && shot.light.mode === 'ambient')
					),
					entry(
						'gives',
						'the ISO stays at its lowest',
						{ ...shot, choices: { ...choices, isoRule: shot.body.iso[0] } },
						choices.isoRule === shot.body.iso[0]
					)
				]
			: [])
	];
}

/** What a school of the shutter asks for here, and the ISO that goes with it. */
export interface ShutterSchool {
	readonly says: string;
	readonly shutterS: number;
	readonly exposure: Exposure | null;
}

/** The schools of the slowest shutter, each alone: hands by one rule or the other, and the customs. */
export function shutterSchools(shot: Shot, spreads: Spreads = ASSUMED): ShutterSchool[] {
	const outcome = outcomeOf(shot, spreads);
	if (!outcome) return [];
	const { fNumber } = outcome.pair;
	const hands = ([1, 2] as const).flatMap((rule) => {
		const shutterS = handsFloor(shot.body, shot.lens, shot.camera, rule);
		const says = rule === 1 ? 'one over the focal length' : 'one over twice the focal length';
		return shutterS === null ? [] : [{ says, shutterS }];
	});
	return [
		...hands,
		{ says: 'for groups, at the slowest', shutterS: GROUP_S },
		{ says: 'for groups, better', shutterS: GROUP_PREFERRED_S },
		{ says: 'with children', shutterS: CHILDREN_S }
	].map(({ says, shutterS }) => {
		const floor = { why: 'hands' as const, shutterS, personId: null };
		return { says, shutterS, exposure: exposureAt(shot, fNumber, { hands: floor, people: null }) };
	});
}

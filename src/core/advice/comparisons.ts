import type { Take } from '../study/candidate';
import { ABOUTS, withAbout, type About } from '../arrange/about';
import { FOCUS_BY, type Shot } from '../format/shot';
import type { Exposure } from '../light/exposure';
import { CHILDREN_S, handsFloor, stabilisedStops } from '../light/shutterFloor';
import { nominalFNumber, stopsBetween, widestFNumber } from '../optics/fNumber';
import { exposureAt, exposureOf } from '../study/light';
import type { Study } from '../study/study';
import { failingPeople, faceRatios } from '../study/take';
import { prospectOf, prospectWith } from './prospect';
import { RULES } from '../tables/rules';

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
	/** Share of the frames sharp, with the eyes open of all who count; null when nothing can be taken. */
	readonly keeperShare: number | null;
	/** Stops beside the shot as it stands; positive costs light. */
	readonly costStops: number | null;
}

const NOTHING: Result = {
	fNumber: null,
	feasible: false,
	sharp: 0,
	people: 0,
	exposure: null,
	keeperShare: null,
	costStops: null
};

/** What a changed shot comes to, beside the one as it stands. */
function resultOf(study: Study, changed: Shot): Result {
	const now = prospectOf(study);
	const then = prospectWith(study, changed);
	if (!then) return NOTHING;
	const { take } = then;
	const people = faceRatios(take).size;
	return {
		fNumber: take.fNumber,
		feasible: then.feasible,
		sharp: people - failingPeople(take).length,
		people,
		exposure: exposureOf(take),
		keeperShare: take.candidate.chance.keeperShare(take),
		costStops: now && stopsBetween(now.take.fNumber, take.fNumber)
	};
}

export interface AboutCost {
	readonly about: About;
	readonly result: Result;
}

/** The same arrangement as three pictures, and what each costs. */
export const aboutCosts = (study: Study): AboutCost[] =>
	ABOUTS.map((about) => ({ about, result: resultOf(study, withAbout(study.shot, about)) }));

/** The schools that differ in a number, by the question they answer. Source: common practice. */
export type SchoolOf =
	| {
			readonly question: 'how-wide';
			readonly school: 'all-sharp' | 'widest' | 'two-down' | 'three-down';
	  }
	| {
			readonly question: 'shutter';
			readonly school: 'computed' | 'one-over' | 'one-over-twice';
	  }
	| { readonly question: 'point'; readonly school: Shot['choices']['focusBy'] }
	| { readonly question: 'sharp'; readonly school: 'album' | 'screen' | 'pixel' }
	| { readonly question: 'surface'; readonly school: 'flat' | 'shell' }
	| { readonly question: 'gives'; readonly school: 'iso-rises' | 'iso-lowest' };

export type SchoolResult = SchoolOf & {
	readonly result: Result;
	/** The shot done that way, so that it can be taken over. */
	readonly shot: Shot;
	/** Whether the shot is done that way now. */
	readonly isOwn: boolean;
};

/** Every school that has a number, applied to this shot. Where to focus has a table of its own. */
export function schoolResults(study: Study): SchoolResult[] {
	const { shot } = study;
	const { choices, sharpness, lens, camera, light, body } = shot;
	const entry = (of: SchoolOf, changed: Shot, isOwn: boolean): SchoolResult => ({
		...of,
		result: resultOf(study, changed),
		shot: changed,
		isOwn
	});
	const choosing = (change: Partial<Shot['choices']>): Shot => ({
		...shot,
		choices: { ...choices, ...change }
	});
	const widest = widestFNumber(lens, camera.focalMm);
	const own = choices.fNumberExact;
	/** How many stops down from the widest; most lenses are best two or three stops down. */
	const howWide = (school: 'widest' | 'two-down' | 'three-down', stops: number) => {
		const fNumberExact = widest * 2 ** (stops / 2);
		const isOwn = own !== undefined && nominalFNumber(own) === nominalFNumber(fNumberExact);
		return entry({ question: 'how-wide', school }, choosing({ fNumberExact }), isOwn);
	};
	const lowest = body.iso[0];
	const rises =
		choices.isoRule === 'rises' || (choices.isoRule === undefined && light?.mode === 'ambient');
	return [
		entry(
			{ question: 'how-wide', school: 'all-sharp' },
			choosing({ fNumberExact: undefined }),
			own === undefined
		),
		howWide('widest', 0),
		howWide('two-down', 2),
		howWide('three-down', 3),
		...SHUTTER_SCHOOLS.map(({ rule, school }) =>
			entry(
				{ question: 'shutter', school },
				choosing({ shutterRule: rule }),
				choices.shutterRule === rule
			)
		),
		...FOCUS_BY.map((focusBy) =>
			entry(
				{ question: 'point', school: focusBy },
				choosing({ focusBy }),
				choices.focusBy === focusBy
			)
		),
		...(['album', 'screen', 'pixel'] as const).map((standard) =>
			entry(
				{ question: 'sharp', school: standard },
				{ ...shot, sharpness: { standard } },
				sharpness.standard === standard
			)
		),
		...([0, 1] as const).map((fieldBend) =>
			entry(
				{ question: 'surface', school: fieldBend === 0 ? 'flat' : 'shell' },
				{ ...shot, lens: { ...lens, fieldBend } },
				lens.fieldBend === fieldBend
			)
		),
		...(light
			? [
					entry({ question: 'gives', school: 'iso-rises' }, choosing({ isoRule: 'rises' }), rises),
					entry(
						{ question: 'gives', school: 'iso-lowest' },
						choosing({ isoRule: lowest }),
						choices.isoRule === lowest
					)
				]
			: [])
	];
}

const SHUTTER_SCHOOLS = [
	{ rule: 'computed', school: 'computed' },
	{ rule: 1, school: 'one-over' },
	{ rule: 2, school: 'one-over-twice' }
] as const;

/** What a school of the shutter asks for here, and the ISO that goes with it. */
export interface ShutterSchool {
	readonly school: 'one-over' | 'one-over-twice' | 'group' | 'group-better' | 'children';
	readonly shutterS: number;
	/** By so many the stabiliser makes it slower. */
	readonly steadiedStops: number;
	readonly exposure: Exposure | null;
}

/** The schools of the slowest shutter, each alone: hands by one rule or the other, and the customs. */
export function shutterSchools({ scene: { shot }, fNumber }: Take): ShutterSchool[] {
	const { body, lens, camera } = shot;
	const steadiedStops = stabilisedStops(body, lens);
	const schools = [
		{ school: 'one-over', shutterS: handsFloor(body, lens, camera, 1), steadiedStops },
		{ school: 'one-over-twice', shutterS: handsFloor(body, lens, camera, 2), steadiedStops },
		{ school: 'group', shutterS: RULES.groupShutterS, steadiedStops: 0 },
		{ school: 'group-better', shutterS: RULES.groupPreferredShutterS, steadiedStops: 0 },
		{ school: 'children', shutterS: CHILDREN_S, steadiedStops: 0 }
	] as const;
	return schools.flatMap(({ school, shutterS, steadiedStops }) => {
		if (shutterS === null) return [];
		const hands = { why: 'hands' as const, shutterS, personId: null };
		const slowest = { by: 'custom', floors: { hands, people: null } } as const;
		return [{ school, shutterS, steadiedStops, exposure: exposureAt(shot, fNumber, slowest) }];
	});
}

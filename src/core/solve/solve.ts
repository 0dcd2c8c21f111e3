import { unseenOf } from '../anatomy/sight';
import type { Focus, Plan, TargetResult, ThingResult } from '../format/plan';
import type { Shot } from '../format/shot';
import { combinedBlurMm, defocusMm, diffractionMm } from '../optics/blur';
import { vergenceError } from '../optics/focus';
import { engraved, ladderOf, nearestRung } from '../optics/fNumber';
import { framePoint } from '../scene/camera';
import { whereStands } from '../scene/rows';
import { stateOf } from '../sharpness/state';
import { candidatesOf, spotsOf, type Candidate, type Pair, type Spot } from './candidates';
import { ASSUMED, type Spreads } from '../odds/spreads';
import { cautionsOf } from './cautions';
import { choosePair } from './choose';
import { freePlaneOf } from './freePlane';
import { rungsOf } from './ladder';
import { exposureAt, floorsOf } from './light';
import { lightReasons } from './lightReasons';
import { pickFrom, worstRatio } from './pick';
import { noFocusReasons, reasonsOf } from './reasons';
import { lookAt, type Scene } from './scene';
import { schoolsOf } from './schools';
import { slackOf } from './slack';
import { techniqueOf, type FocusTechnique } from './technique';
import { techniqueReasons } from './techniqueReasons';
import { judgeThing, outsideThings } from './things';

/** A shot worked out: its plan, and what the plan was made from. */
export interface Solution {
	readonly plan: Plan;
	readonly scene: Scene;
	/** The chosen pair; null when there is nothing to focus on. */
	readonly pair: Pair | null;
	/** What would be chosen at each f-number of the lens, widest first. */
	readonly rungs: readonly Pair[];
	/** Place on the ladder of the pick, whatever f-number the user fixed. */
	readonly pickRung: number | null;
}

/**
 * Whether a shot asks for anything: at least one person with a need other than `free`, or one thing
 * meant to be sharp. A shot that asks for nothing has no plan.
 */
export function asksForSomething(shot: Shot): boolean {
	return (
		shot.people.some(({ need }) => need !== 'free') ||
		shot.things.some(({ intent }) => intent === 'sharp')
	);
}

/** What to tell somebody whose shot asks for nothing. */
export const ASKS_FOR_NOTHING =
	'There is nobody and nothing to be sharp in this shot: ask it of at least one person or thing.';

/**
 * Works out a shot. Pure; costs a few milliseconds for a large group.
 *
 * @param spreads matter only where the pick is by odds
 */
export function solve(shot: Shot, spreads: Spreads = ASSUMED): Solution {
	const scene = lookAt(shot, spreads);
	const ladder = ladderOf(shot.lens, shot.camera.focalMm);
	const { within, tooClose } = spotsOf(scene);
	const candidates = candidatesOf(scene, within);

	const pick = choosePair(scene, candidates, ladder);
	const fixed = shot.choices.fNumberExact;
	const pair =
		fixed === undefined
			? pick
			: pickFrom(scene, candidates, [ladder[nearestRung(ladder, fixed)] as number]);
	if (!pick || !pair) {
		return { plan: emptyPlan(scene, tooClose), scene, pair: null, rungs: [], pickRung: null };
	}
	return {
		plan: planOf(scene, candidates, ladder, pair),
		scene,
		pair,
		rungs: ladder.map((fNumber) => pickFrom(scene, candidates, [fNumber]) as Pair),
		pickRung: ladder.indexOf(pick.fNumber)
	};
}

function planOf(
	scene: Scene,
	candidates: readonly Candidate[],
	ladder: readonly number[],
	pair: Pair
): Plan {
	const { candidate, fNumber } = pair;
	const { shot } = scene;
	const targets = targetResults(scene, pair);
	const found = {
		feasible: targets.length > 0 && worstRatio(pair) <= 1,
		fNumberExact: fNumber,
		worstRatio: worstRatio(pair),
		targets,
		things: thingResults(scene, pair),
		unseen: unseenOf(scene.sightings),
		free: freePlaneOf(scene, candidates, candidate)
	};
	const diffraction = diffractionMm(candidate.focus, fNumber) > scene.toleranceMm;
	const floors = floorsOf(scene, candidate.focus);
	const exposure = exposureAt(shot, fNumber, floors);
	const technique = techniqueOf(scene, pair, found.free);
	return {
		format: 'focalis-plan',
		version: 1,
		toleranceMm: scene.toleranceMm,
		fNumber: engraved(fNumber),
		focus: focusOf(scene, candidate, technique),
		ladder: rungsOf(scene, candidates, ladder),
		schools: schoolsOf(scene),
		slack: slackOf(scene, pair),
		exposure: exposure && {
			shutterS: exposure.shutterS,
			iso: exposure.iso,
			flashPower: exposure.flashPower,
			flags: [...exposure.flags]
		},
		reasons: [
			...reasonsOf(shot, found, diffraction),
			...lightReasons(shot, floors, exposure),
			...techniqueReasons(shot, candidate, technique)
		],
		cautions: cautionsOf(shot),
		...found
	};
}

function emptyPlan(scene: Scene, tooClose: readonly Spot[]): Plan {
	const unseen = unseenOf(scene.sightings);
	const things = outsideThings(scene);
	return {
		format: 'focalis-plan',
		version: 1,
		toleranceMm: scene.toleranceMm,
		feasible: false,
		fNumber: null,
		fNumberExact: null,
		focus: null,
		worstRatio: null,
		targets: [],
		things,
		ladder: [],
		free: null,
		schools: [],
		slack: null,
		exposure: null,
		unseen,
		reasons: noFocusReasons(scene.shot, tooClose, unseen, things),
		cautions: cautionsOf(scene.shot)
	};
}

/** What becomes of every target at a pair. */
function targetResults(scene: Scene, { candidate, fNumber }: Pair): TargetResult[] {
	const diffraction = diffractionMm(candidate.focus, fNumber);
	return scene.targets.map((target, i) => {
		const { depthM, cosOffAxis } = target.seen;
		const error = vergenceError(candidate.focus, depthM, cosOffAxis);
		const defocus = defocusMm(candidate.focus, fNumber, error);
		const ratio = (candidate.ratiosAtF1[i] ?? 0) / fNumber;
		return {
			...(target.personId ? { personId: target.personId } : {}),
			...(target.thingId ? { thingId: target.thingId } : {}),
			landmark: target.landmark,
			depthM,
			defocusMm: defocus,
			blurMm: combinedBlurMm(defocus, diffraction),
			ratio,
			state: stateOf(ratio)
		};
	});
}

/** What becomes of every thing at a pair. */
export function thingResults(scene: Scene, { candidate, fNumber }: Pair): ThingResult[] {
	return scene.things.map((seen) => judgeThing(scene, seen, candidate.focus, fNumber));
}

function focusOf(
	scene: Scene,
	candidate: Candidate,
	{ point, technique, reframeErrorM }: FocusTechnique
): Focus {
	const { kind, personId, thingId, landmark, seen, planeM, focus } = candidate;
	return {
		kind,
		personId,
		thingId,
		eye: kind !== 'eye' ? null : landmark === 'left-eye' ? 'left' : 'right',
		landmark,
		where: personId ? whereStands(scene.rows, personId) : '',
		depthM: seen.depthM,
		planeM,
		distanceM: seen.distanceM,
		fromSensorM: planeM + focus.imageDistanceMm / 1000,
		frame: framePoint(scene.pose, seen, focus.imageDistanceMm),
		point,
		technique,
		reframeErrorM
	};
}

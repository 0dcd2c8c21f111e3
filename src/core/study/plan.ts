import { unseenOf } from '../anatomy/sight';
import type { Focus, Plan } from '../format/plan';
import type { Shot } from '../format/shot';
import { framePoint } from '../geometry/camera';
import { engraved } from '../optics/fNumber';
import type { Candidate } from './candidates';
import { freePlaneOf } from './freePlane';
import { rungsOf } from './ladder';
import { exposureAt, floorsOf } from './light';
import type { PickRule } from './pick';
import { cautionsOf } from './reasons/cautions';
import { lightReasons } from './reasons/light';
import { noFocusReasons, sharpnessReasons } from './reasons/sharpness';
import { techniqueReasons } from './reasons/technique';
import type { Scene } from './scene';
import { schoolsOf } from './schools';
import { slackOf } from './slack';
import { study, type Study } from './study';
import { isFeasible, targetResults, thingResults, worstRatio, type Take } from './take';
import { techniqueOf, type FocusTechnique } from './technique';
import { outsideThings } from './things';

/** A shot worked out: what was seen, the take that is shown, and its plan. */
export interface Solution {
	readonly study: Study;
	/** Null when there is nothing to focus on. */
	readonly take: Take | null;
	readonly plan: Plan;
}

/** Works out a shot as its choices stand. */
export const solve = (shot: Shot, byOdds: PickRule): Solution => solutionOf(study(shot, byOdds));

/** The plan of a shot that was studied; `take` looks at another one without looking at the shot again. */
export const solutionOf = (studied: Study, take = studied.taken): Solution => ({
	study: studied,
	take,
	plan: planOf(studied, take)
});

/** Everything that the plan says of a take; of none, why there is none. */
function planOf(studied: Study, take: Take | null): Plan {
	return take ? fullPlan(studied, take) : emptyPlan(studied);
}

function fullPlan({ shot, scene, candidates, ladder }: Study, take: Take): Plan {
	const { candidate, fNumber } = take;
	const found = {
		feasible: isFeasible(take),
		fNumberExact: fNumber,
		worstRatio: worstRatio(take),
		targets: targetResults(take),
		things: thingResults(take),
		unseen: unseenOf(scene.sightings),
		free: freePlaneOf(scene, candidates, candidate)
	};
	const floors = floorsOf(scene, candidate.focus);
	const exposure = exposureAt(shot, fNumber, floors);
	const technique = techniqueOf(take, found.free);
	return {
		format: 'focalis-plan',
		version: 1,
		toleranceMm: scene.toleranceMm,
		fNumber: engraved(fNumber),
		focus: focusOf(scene, candidate, technique),
		ladder: rungsOf(scene, candidates, ladder),
		schools: schoolsOf(scene),
		slack: slackOf(take),
		exposure: exposure && {
			shutterS: exposure.shutterS,
			iso: exposure.iso,
			flashPower: exposure.flashPower,
			flags: [...exposure.flags]
		},
		reasons: [
			...sharpnessReasons(take, found),
			...lightReasons(shot, floors, exposure),
			...techniqueReasons(take, technique)
		],
		cautions: cautionsOf(shot),
		...found
	};
}

function emptyPlan({ shot, scene, tooClose }: Study): Plan {
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
		reasons: noFocusReasons(shot, tooClose, unseen, things),
		cautions: cautionsOf(shot)
	};
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

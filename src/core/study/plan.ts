import type { Candidate, Chance, Take } from './candidate';
import { unseenOf } from '../anatomy/sight';
import type { Focus, Plan } from '../format/plan';
import type { Shot } from '../format/shot';
import { framePoint } from '../geometry/camera';
import { nominalFNumber } from '../optics/fNumber';
import { freePlaneOf } from './freePlane';
import { rungsOf } from './ladder';
import { exposureOf } from './light';
import { cautionsOf } from './reasons/cautions';
import { lightReasons } from './reasons/light';
import { noFocusReasons, sharpnessReasons } from './reasons/sharpness';
import { habitReasons } from './reasons/habits';
import { techniqueReasons } from './reasons/technique';
import type { Scene } from './scene';
import { schoolsOf } from './schools';
import { slackOf } from './slack';
import { study, type Study } from './study';
import { isFeasible, targetResults, thingResults, worstRatio } from './take';
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
export const solve = (shot: Shot, chance: Chance): Solution => solutionOf(study(shot, chance));

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

function fullPlan(studied: Study, take: Take): Plan {
	const { shot, scene, candidates } = studied;
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
	const exposure = exposureOf(take);
	const technique = techniqueOf(take, found.free);
	return {
		format: 'focalis-plan',
		version: 1,
		toleranceMm: scene.toleranceMm,
		fNumber: nominalFNumber(fNumber),
		focus: focusOf(scene, candidate, technique),
		ladder: rungsOf(studied),
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
			...lightReasons(take, exposure),
			...techniqueReasons(take, technique),
			...habitReasons(take, exposure, technique.mode)
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
	const { kind, personId, thingId, landmark, seen, planeM, leanM, focus } = candidate;
	// nothing is there to be focused on: the plane itself is what is meant
	const isPlane = kind === 'plane';
	return {
		kind,
		personId,
		thingId,
		eye: kind !== 'eye' ? null : landmark === 'left-eye' ? 'left' : 'right',
		landmark,
		depthM: isPlane ? planeM : seen.depthM,
		planeM,
		distanceM: isPlane ? planeM : seen.distanceM,
		fromSensorM: planeM + focus.imageDistanceMm / 1000,
		frame: framePoint(scene.pose, seen, focus.imageDistanceMm),
		point,
		technique,
		leanM: technique === 'lean' ? leanM : null,
		reframeErrorM
	};
}

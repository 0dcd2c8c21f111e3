import { secondChoicesText as say } from '$words/screens/plan/frame';
import { commonText as common } from '$words/screens/common';
import type { Take } from '$core/study/candidate';
import type { Shot } from '$core/format/shot';
import { landmarkFacts, OFFERED } from '$core/tables/landmarks';
import { ABOUTS, objectOf, withAbout, type About } from '$core/arrange/about';
import { nominalFNumber } from '$core/optics/fNumber';
import { likelyBadFrame } from '$core/odds/odds';
import { stoodAt } from '$core/odds/release';
import { vergenceOfImage } from '$core/optics/focus';
import type { Spreads } from '$core/tables/spreads';
import type { Solution } from '$core/study/plan';
import { FOCUS_SCHOOLS } from '$words/schools';
import { fStop } from '$words/numbers';

/** Another choice for the same arrangement, to be seen beside the plan. */
export interface SecondChoice {
	readonly key: string;
	readonly label: string;
	readonly shot: Shot;
}

export interface ChoiceGroup {
	readonly label: string;
	readonly choices: readonly SecondChoice[];
}

/**
 * Everything the plan could be compared with: another f-number, another part of the same face,
 * somebody else, a thing, a school, and the shot as it was before the last change, each from where
 * the camera stands now.
 */
export function secondChoices(
	solution: Solution,
	before: Shot | null,
	spreads: Spreads
): ChoiceGroup[] {
	const { plan, study, take } = solution;
	const { shot, scene, rungs } = study;
	const fNumberExact = plan.fNumberExact ?? undefined;
	const focus = fixedFocus(plan.focus);
	const choice = (key: string, label: string, choices: Partial<Shot['choices']>): SecondChoice => ({
		key,
		label,
		shot: { ...shot, choices: { ...shot.choices, fNumberExact, focus, ...choices } }
	});
	const focusId = plan.focus?.personId;
	const object = objectOf(shot);
	const groups: ChoiceGroup[] = [
		{
			label: common.about,
			choices: object ? ABOUTS.map((about) => aboutChoice(shot, about, object.label)) : []
		},
		{
			label: say.anotherFNumber,
			choices: rungs
				.filter(({ fNumber }) => fNumber !== plan.fNumberExact)
				.map(({ fNumber }) =>
					choice(`f ${fNumber}`, fStop(nominalFNumber(fNumber)), { fNumberExact: fNumber })
				)
		},
		{
			label: say.theSameFace,
			choices: OFFERED.filter((landmark) => focusId && landmark !== plan.focus?.landmark).map(
				(landmark) =>
					choice(`part ${landmark}`, say.focusedOnThe(landmarkFacts(landmark).words), {
						focus: { personId: focusId as string, landmark }
					})
			)
		},
		{
			label: say.somebodyElse,
			choices: scene.sightings
				.filter(({ person, nearEye }) => nearEye && person.id !== focusId)
				.map(({ person: { id, name } }) =>
					choice(`person ${id}`, say.focusedOn(name), { focus: { personId: id } })
				)
		},
		{
			label: common.aThing,
			choices: scene.things
				.filter(({ thing, inFrame }) => inFrame && thing.id !== plan.focus?.thingId)
				.map(({ thing: { id, label } }) =>
					choice(`thing ${id}`, say.focusedOnThe(label), { focus: { thingId: id } })
				)
		},
		{
			label: say.aSchool,
			choices: plan.schools.map(({ school, depthM }) =>
				choice(`school ${school}`, say.focusedOn(FOCUS_SCHOOLS[school]), { focus: { depthM } })
			)
		},
		{
			label: common.theOdds,
			choices: take ? [badChoice(take, spreads)] : []
		},
		{
			label: say.before,
			choices: before
				? [
						{
							key: 'before',
							label: say.beforeTheLastChange,
							shot: fromHere(before, shot)
						}
					]
				: []
		}
	];
	return groups.filter(({ choices }) => choices.length > 0);
}

/** The same arrangement about something else: focus and f-number are the solver's then. */
function aboutChoice(shot: Shot, about: About, object: string): SecondChoice {
	const { choices, ...rest } = withAbout(shot, about);
	const words = { person: say.aboutThePerson, object: say.aboutThe(object), both: say.aboutBoth };
	return {
		key: say.about(about),
		label: words[about],
		shot: { ...rest, choices: { ...choices, focus: undefined, fNumberExact: undefined } }
	};
}

/** The focus of a plan as a choice, so that it stays while something else changes. */
function fixedFocus(focus: Solution['plan']['focus']): Shot['choices']['focus'] {
	if (!focus) return undefined;
	if (focus.thingId) return { thingId: focus.thingId };
	if (!focus.personId) return { depthM: focus.depthM };
	return { personId: focus.personId, ...(focus.landmark ? { landmark: focus.landmark } : {}) };
}

/** Frames that the likely bad one is taken from. */
const BAD_OF = 500;

/** The frame at the worst tenth, with the very sway and focusing it was drawn with. */
function badChoice(take: Take, spreads: Spreads): SecondChoice {
	let made: Shot | null = null;
	return {
		key: 'bad',
		label: say.aLikelyBadFrame,
		// drawn only when it is looked at
		get shot() {
			return (made ??= badFrame(take, spreads));
		}
	};
}

function badFrame(take: Take, spreads: Spreads): Shot {
	const accidents = likelyBadFrame(take, BAD_OF, 1, spreads);
	const stood = stoodAt(take.scene, accidents);
	const depthM = 1 / vergenceOfImage(stood.camera.focalMm, accidents.imageMm);
	return {
		...stood,
		choices: { ...stood.choices, fNumberExact: take.fNumber, focus: { depthM } }
	};
}

/** A shot as it was, seen from where the camera stands now. */
function fromHere(before: Shot, { camera }: Shot): Shot {
	const { position, panDeg, tiltDeg, orientation } = camera;
	return { ...before, camera: { ...before.camera, position, panDeg, tiltDeg, orientation } };
}

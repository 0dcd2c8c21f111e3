import { faceShare } from '$core/scene/edges';
import { whereStands } from '$core/scene/rows';
import type { Odds } from '$core/odds/odds';
import { nameOfId } from '$core/solve/names';
import type { Solution } from '$core/solve/solve';
import { isoWords, powerWords, shutterWords } from '$core/light/dials';
import { framesSentence } from '../plan/odds/oddsWords';
import { verdictOf } from '../plan/verdict/verdict';
import type { CardContent, Setting } from '$files/printed';
import { distance, fStop, shareInWords, type Units } from '../shared/words';

/** What stands on the card of a shot. */

const SUPPORT_WORDS = {
	handheld: 'in the hand',
	braced: 'leaning on something',
	kneeling: 'kneeling',
	monopod: 'monopod',
	tripod: 'tripod'
} as const;

/** Faces worth looking at: those nearest to being soft. */
const CHECKED = 2;

export function cardOf(solution: Solution, odds: Odds | null, units: Units): CardContent {
	const { plan } = solution;
	const { focus, exposure } = plan;
	const verdict = verdictOf(solution, units);
	const settings: Setting[] = [];
	if (plan.fNumber !== null) settings.push({ label: 'aperture', value: fStop(plan.fNumber) });
	if (exposure) {
		settings.push(
			{ label: 'shutter', value: shutterWords(exposure.shutterS) },
			{ label: 'ISO', value: isoWords(exposure.iso).replace('ISO ', '') }
		);
		if (exposure.flashPower !== null) {
			settings.push({ label: 'flash', value: powerWords(exposure.flashPower) });
		}
	}
	return {
		focusOn: verdict.focusOn,
		where: verdict.where,
		feasible: plan.feasible,
		settings,
		sentences: verdict.sentences,
		facts: focus ? factsOf(solution, odds, units) : [],
		checks: checksOf(solution),
		cautions: plan.cautions.map(({ text }) => text)
	};
}

function factsOf({ plan, scene }: Solution, odds: Odds | null, units: Units): Setting[] {
	const { shot, pose } = scene;
	const { focus } = plan;
	const { lens, camera } = shot;
	const reason = (...codes: readonly string[]) =>
		plan.reasons.find(({ code }) => codes.includes(code))?.text ?? '';
	const person = shot.people.find(({ id }) => id === focus?.personId);
	const face = person
		? `; a face fills ${shareInWords(faceShare(pose, person))} of the frame’s height`
		: '';
	const isZoom = lens.focalMm[1] > lens.focalMm[0];
	const facts: Setting[] = [
		{
			label: 'lens',
			value: `${lens.name}${isZoom ? ` at ${Math.round(camera.focalMm)} mm` : ''}${camera.orientation === 'portrait' ? ', camera upright' : ''}`
		},
		{
			label: 'from',
			value: `${distance(focus?.fromSensorM ?? 0, units)} from the sensor mark${face}`
		},
		{ label: 'hold', value: SUPPORT_WORDS[camera.support] },
		{ label: 'focus', value: reason('move-point', 'reframe', 'manual') },
		{ label: 'mode', value: reason('mode-single', 'mode-continuous') }
	];
	if (plan.feasible) {
		facts.push({ label: 'frames', value: odds ? framesSentence(odds) : 'being counted' });
	}
	return facts.filter(({ value }) => value !== '');
}

/** The faces with the least to spare, the worst first; only where there is more than one. */
function checksOf({ plan, scene }: Solution): string[] {
	const worst = new Map<string, number>();
	for (const { personId, ratio } of plan.targets) {
		if (personId) worst.set(personId, Math.max(ratio, worst.get(personId) ?? 0));
	}
	if (worst.size < 2) return [];
	return [...worst]
		.sort(([, a], [, b]) => b - a)
		.slice(0, CHECKED)
		.map(([id]) => {
			const where = whereStands(scene.rows, id);
			return nameOfId(scene.shot, id) + (where ? ` (${where})` : '');
		});
}

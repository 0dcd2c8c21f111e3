import type { Plan, ThingResult } from '$core/format/plan';
import type { Shot } from '$core/format/shot';
import { BACKGROUND_ID } from '$core/study/scene';
import { isPlural, nameOfId } from './names';
import { seenShareWords } from './numbers';
import { BACKGROUND_OPTIONS } from './options';

/** What becomes of things and of the background, as one says it. */

/** Things with an intent, those that miss it first. */
export function thingSentences(
	plan: Plan,
	shot: Shot
): { readonly missed: string[]; readonly rest: string[] } {
	const said = plan.things.flatMap((thing) => {
		const sentence = thingSentence(thing, nameOfId(shot, thing.id));
		const mustBe = thing.intent === 'readable' || thing.intent === 'sharp';
		return sentence ? [{ sentence, isMissed: mustBe && thing.met === false }] : [];
	});
	const texts = (wanted: boolean) =>
		said.flatMap(({ sentence, isMissed }) => (isMissed === wanted ? [sentence] : []));
	return { missed: texts(true), rest: texts(false) };
}

/** @returns empty where there is nothing to say */
function thingSentence(
	{ id, state, intent, met, hiddenShare }: ThingResult,
	label: string
): string {
	const are = isPlural(label) ? 'are' : 'is';
	if (intent === 'any') return '';
	if (state === 'outside') return `The ${label} ${are} outside the frame.`;
	if (id === BACKGROUND_ID) return backgroundSentence(state, intent);
	const seen = seenShareWords(hiddenShare ?? 0);
	if (seen === 'hidden' && intent !== 'dissolved')
		return `The ${label} ${are} hidden behind others.`;
	const isPartly = seen !== '' && intent !== 'dissolved';
	if (intent === 'sharp') return isPartly ? `Only ${seen} of the ${label} can be seen.` : '';
	// what is covered is missed for that, not for its blur
	const missed = met || state === intent ? '' : `, not ${intent}`;
	const part = isPartly ? `; only ${seen} can be seen` : '';
	return `The ${label} ${are} ${state}${missed}${part}.`;
}

/** "The background melts away." */
function backgroundSentence(state: ThingResult['state'], intent: ThingResult['intent']): string {
	const words = (of: string) => BACKGROUND_OPTIONS.find(({ value }) => value === of)?.text ?? of;
	const is = words(state) === 'melts away' ? 'melts away' : `is ${words(state)}`;
	return `The background ${is}${state === intent ? '' : ` instead of ${AS_ASKED[intent]}`}.`;
}

const AS_ASKED: Readonly<Record<ThingResult['intent'], string>> = {
	dissolved: 'melting away',
	recognisable: 'soft but known',
	readable: 'clear',
	sharp: 'sharp',
	any: ''
};

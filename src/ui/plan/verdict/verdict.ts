import type { Solution } from '$core/solve/solve';
import { nameOf, nameOfId } from '$core/solve/names';
import { rowName } from '$core/scene/rows';
import type { Plan, Unseen } from '$core/format/plan';
import { stopsBetween } from '$core/optics/fNumber';
import { impressionOf, nosePerspective } from '$core/optics/perspective';
import { exposureWords } from '../setup/lightWords';
import {
	capital,
	count,
	distance,
	fStop,
	namesOf,
	smallLength,
	stopsInWords,
	type Units
} from '../../shared/words';

/** The plan in words one would say to an assistant. */

export interface Verdict {
	/** What to focus on; empty when there is nothing. */
	readonly focusOn: string;
	/** Where that is: "middle row, third from left". */
	readonly where: string;
	readonly fNumber: string;
	/** Shutter, ISO and flash; empty while nothing is known of the light. */
	readonly exposure: string;
	/** The rest, one sentence each. */
	readonly sentences: readonly string[];
}

export function verdictOf({ plan, scene }: Solution, units: Units): Verdict {
	const { shot } = scene;
	const { focus } = plan;
	if (!focus || plan.fNumber === null) {
		const sentences = plan.reasons.map(({ text }) => text);
		return { focusOn: '', where: '', fNumber: '', exposure: '', sentences };
	}
	const focusOn =
		focus.kind === 'depth'
			? `a plane ${distance(focus.depthM, units)} away`
			: nameOf(shot, {
					landmark: focus.landmark ?? 'thing',
					...(focus.personId ? { personId: focus.personId } : {}),
					...(focus.thingId ? { thingId: focus.thingId } : {})
				});
	const sentences = [
		facesSentence({ plan, scene }),
		leanSentence(plan, units),
		slackSentence({ plan, scene }, units),
		...thingSentences({ plan, scene }),
		...unseenSentences({ plan, scene }),
		...lightSentences(plan),
		techniqueSentence(plan),
		perspectiveSentence({ plan, scene })
	];
	return {
		focusOn,
		where: focus.where,
		fNumber: fStop(plan.fNumber),
		exposure: exposureWords(plan.exposure),
		sentences: sentences.filter((sentence) => sentence !== '')
	};
}

type Outcome = Pick<Solution, 'plan' | 'scene'>;

/** What is wrong with the light; that the room shows beside a flash is told under "why". */
function lightSentences({ reasons, exposure }: Plan): string[] {
	const wrong = exposure?.flags.filter((flag) => flag !== 'room-light') ?? [];
	return reasons
		.filter(({ code }) => (wrong as readonly string[]).includes(code))
		.map(({ text }) => text);
}

/** How to focus, where it is not simply a point put there. */
function techniqueSentence({ focus, reasons }: Plan): string {
	if (!focus || focus.technique === 'move-point' || focus.kind === 'depth') return '';
	return reasons.find(({ code }) => code === focus.technique)?.text ?? '';
}

/** Said only where a face reads strangely. */
function perspectiveSentence({ plan, scene }: Outcome): string {
	const nearest = scene.sightings
		.filter(({ person }) => person.need !== 'free' && isHuman(person.build))
		.flatMap(({ nearEye }) => nearEye?.seen.distanceM ?? [])
		.sort((a, b) => a - b)[0];
	if (nearest === undefined || plan.focus === null) return '';
	const share = nosePerspective(nearest);
	const percent = `${Math.round(share * 100)} %`;
	const impression = impressionOf(share);
	if (impression === 'distorted')
		return `So near, faces are distorted: noses ${percent} too large.`;
	return impression === 'strong' ? `So near, noses look ${percent} larger than usual.` : '';
}

const isHuman = (build: string) => build !== 'cat' && build !== 'dog';

/** The worst ratio of each person with targets. */
function faces({ plan, scene }: Outcome): { name: string; ratio: number }[] {
	return scene.shot.people.flatMap(({ id, name }) => {
		const ratios = plan.targets.filter(({ personId }) => personId === id).map(({ ratio }) => ratio);
		return ratios.length > 0 ? [{ name, ratio: Math.max(...ratios) }] : [];
	});
}

function facesSentence(outcome: Outcome): string {
	const all = faces(outcome);
	const lost = all.filter(({ ratio }) => ratio > 1).sort((a, b) => b.ratio - a.ratio);
	const sharpThings = outcome.plan.targets.filter(({ thingId, ratio }) => thingId && ratio > 1);
	const [worst] = lost;
	if (worst) {
		const short = `${stopsInWords(stopsBetween(1, worst.ratio))} short`;
		const rest = all.length - lost.length;
		const others =
			rest > 0 ? ` ${capital(count(rest))} of ${count(all.length)} faces are sharp.` : '';
		return lost.length === 1
			? `${worst.name} is ${short} of sharp.${others}`
			: `${namesOf(lost.map(({ name }) => name))} are not sharp; ${worst.name} is ${short}.${others}`;
	}
	if (sharpThings.length > 0) {
		const names = sharpThings.map((target) => nameOf(outcome.scene.shot, target));
		return `The ${namesOf(names)} ${names.length > 1 ? 'are' : 'is'} not sharp.`;
	}
	if (all.length === 0) return outcome.plan.feasible ? 'What must be sharp is.' : '';
	const [one] = all;
	if (all.length === 1 && one) {
		const isLoose = outcome.scene.shot.people.some(
			({ name, need }) => name === one.name && need === 'soft'
		);
		return isLoose ? `${one.name} is soft but known.` : `${one.name} is sharp.`;
	}
	return all.length === 2 ? 'Both faces hold.' : `All ${count(all.length)} faces hold.`;
}

/** Below this the lean is not worth saying. */
const LEAN_STOPS = 2 / 3;
/** A lean farther than this is a step, and nobody can judge it. */
const LEAN_MOST_M = 0.4;

function leanSentence({ free, focus }: Plan, units: Units): string {
	if (!free?.gainStops || free.gainStops < LEAN_STOPS || focus?.kind !== 'eye') return '';
	if (Math.abs(free.leanM) > LEAN_MOST_M) return '';
	const way = free.leanM > 0 ? 'forward' : 'back';
	const gain = stopsInWords(free.gainStops);
	return `Or lock there, then lean ${smallLength(free.leanM, units)} ${way}: that gains ${gain}.`;
}

function slackSentence({ plan, scene }: Outcome, units: Units): string {
	const { slack } = plan;
	if (!slack || !plan.feasible) return '';
	const sway = least(slack.cameraForwardM, slack.cameraBackM);
	const parts = [sway === null ? 'sway as you like' : `sway ${smallLength(sway, units)}`];
	if (scene.rows.length > 1) {
		const drifts = scene.rows.map(({ members }) =>
			least(
				...members.flatMap(({ personId }) => {
					const own = slack.people.find((one) => one.personId === personId);
					return own ? [own.forwardM, own.backM] : [];
				})
			)
		);
		const index = drifts.reduce<number>(
			(tightest, drift, i) => ((drift ?? Infinity) < (drifts[tightest] ?? Infinity) ? i : tightest),
			0
		);
		const drift = drifts[index] ?? null;
		if (drift !== null) {
			parts.push(`the ${rowName(index, scene.rows.length)} may drift ${smallLength(drift, units)}`);
		}
	}
	return `You may ${parts.join(', ')}.`;
}

function least(...lengths: readonly (number | null)[]): number | null {
	const known = lengths.filter((one) => one !== null);
	return known.length > 0 ? Math.min(...known) : null;
}

function thingSentences({ plan, scene }: Outcome): string[] {
	return plan.things.flatMap(({ id, state, intent, met }) => {
		const label = nameOfId(scene.shot, id);
		const is = label.endsWith('s') && !label.endsWith('ss') ? 'are' : 'is';
		if (intent === 'any' || intent === 'sharp') return [];
		if (state === 'outside') return [`The ${label} ${is} outside the frame.`];
		return [met ? `The ${label} ${is} ${state}.` : `The ${label} ${is} ${state}, not ${intent}.`];
	});
}

const UNSEEN_WORDS: Readonly<Record<Unseen['why'], string>> = {
	cut: 'outside the frame',
	turned: 'turned away',
	hidden: 'hidden behind others'
};
/** More people than this with the same fate are told together. */
const MOST_SINGLY = 2;

function unseenSentences({ plan, scene }: Outcome): string[] {
	const whys: readonly Unseen['why'][] = ['cut', 'turned', 'hidden'];
	return whys.flatMap((why) => {
		const names = plan.unseen
			.filter((one) => one.why === why)
			.map(({ personId }) => nameOfId(scene.shot, personId));
		if (names.length > MOST_SINGLY) return [`${namesOf(names)} are ${UNSEEN_WORDS[why]}.`];
		return plan.reasons
			.filter((reason) => reason.code === 'unseen' && reason['why'] === why)
			.map(({ text }) => text);
	});
}

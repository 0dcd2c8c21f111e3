import { whereStands } from '$core/arrange/rows';
import type { Plan, Unseen } from '$core/format/plan';
import { stopsBetween } from '$core/optics/fNumber';
import { impressionOf, nosePerspective } from '$core/optics/perspective';
import { facesSeen } from '$core/study/facesSeen';
import type { Solution } from '$core/study/plan';
import { faceRatios, holdState } from '$core/study/take';
import { exposureWords } from './light';
import { nameOf, nameOfId, namesOf, spotRef } from './names';
import { capital, count, distance, fStop, smallLength, stopsInWords, type Units } from './numbers';
import { reasonText, unseenWords } from './reasons';
import { rowName, whereWords } from './rows';
import { thingSentences } from './things';
import { RULES } from '$core/tables/rules';

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

export function verdictOf(solution: Solution, units: Units): Verdict {
	const { plan, study } = solution;
	const { shot, scene } = study;
	const { focus } = plan;
	const said = (wanted: (reason: Plan['reasons'][number]) => boolean) =>
		plan.reasons.filter(wanted).map((reason) => reasonText(reason, shot, units));
	if (!focus || plan.fNumber === null) {
		return { focusOn: '', where: '', fNumber: '', exposure: '', sentences: said(() => true) };
	}
	const things = thingSentences(plan, shot);
	const sentences = [
		...things.missed,
		facesSentence(solution),
		leanSentence(plan, units),
		slackSentence(solution, units),
		...things.rest,
		...unseenSentences(solution),
		// what is wrong with the light; that the room shows beside a flash is told under "why"
		...said(({ code }) => code === 'spoilt' || (code !== 'room-light' && isFlag(plan, code))),
		...said((one) => one.code === 'camera-takes' && one.isLeft && one.softIds.length > 0),
		// how to focus, where it is not simply a point put there
		...said(
			({ code }) =>
				code === 'between' ||
				code === 'tap' ||
				(code === focus.technique && code !== 'move-point' && focus.kind !== 'depth')
		),
		perspectiveSentence(solution),
		...said(({ code }) => code === 'stretched')
	];
	return {
		focusOn:
			focus.kind === 'depth' || (focus.kind === 'plane' && focus.technique === 'manual')
				? `a plane ${distance(focus.depthM, units)} away`
				: nameOf(shot, spotRef(focus)),
		where: focus.personId ? whereWords(whereStands(scene.rows, focus.personId)) : '',
		fNumber: fStop(plan.fNumber),
		exposure: exposureWords(plan.exposure),
		sentences: sentences.filter((sentence) => sentence !== '')
	};
}

const isFlag = ({ exposure }: Plan, code: string): boolean =>
	exposure?.flags.some((flag) => flag === code) ?? false;

/** Said only where a face reads strangely. */
function perspectiveSentence({ study: { scene } }: Solution): string {
	const distances = facesSeen(scene).map(({ seen }) => seen.distanceM);
	if (distances.length === 0) return '';
	const share = nosePerspective(Math.min(...distances));
	const percent = `${Math.round(share * 100)} %`;
	const impression = impressionOf(share);
	if (impression === 'distorted')
		return `So near, faces are distorted: noses ${percent} too large.`;
	return impression === 'strong' ? `So near, noses look ${percent} larger than usual.` : '';
}

/** The worst ratio of each person with targets. */
const faces = ({ take, study: { shot } }: Solution): { name: string; ratio: number }[] =>
	take ? [...faceRatios(take)].map(([id, ratio]) => ({ name: nameOfId(shot, id), ratio })) : [];

function facesSentence(solution: Solution): string {
	const { plan, study } = solution;
	const all = faces(solution);
	const lost = all.filter(({ ratio }) => ratio > 1).sort((a, b) => b.ratio - a.ratio);
	const sharpThings = plan.targets.filter(({ thingId, ratio }) => thingId && ratio > 1);
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
		const names = sharpThings.map((target) => nameOf(study.shot, target));
		return `The ${namesOf(names)} ${names.length > 1 ? 'are' : 'is'} not sharp.`;
	}
	const often = oftenWords(solution);
	if (all.length === 0) return plan.feasible ? `What must be sharp is${often}.` : '';
	const [one] = all;
	if (all.length === 1 && one) {
		const isLoose = study.shot.people.some(
			({ name, need }) => name === one.name && need === 'soft'
		);
		return isLoose ? `${one.name} is soft but known.` : `${one.name} is sharp${often}.`;
	}
	return all.length === 2
		? `Both faces hold${often}.`
		: `All ${count(all.length)} faces hold${often}.`;
}

/** " in about six of ten frames", where that is too few to say that it holds. */
function oftenWords({ take }: Solution): string {
	if (!take || holdState(take) !== 'marginal') return '';
	const tenths = Math.round(10 * take.candidate.chance.sharpShare(take));
	return tenths === 0 ? ' in hardly any frame' : ` in about ${count(tenths)} of ten frames`;
}

/** Below this the lean is told under “why” alone. */
const LEAN_STOPS = 2 / 3;

function leanSentence({ reasons, focus }: Plan, units: Units): string {
	const lean = reasons.find(({ code }) => code === 'lean');
	if (lean?.code !== 'lean' || lean.gainStops < LEAN_STOPS || focus?.kind !== 'eye') return '';
	if (Math.abs(lean.leanM) > RULES.longestLeanM) return '';
	const way = lean.leanM > 0 ? 'forward' : 'back';
	const gain = stopsInWords(lean.gainStops);
	return `Or lock there, then lean ${smallLength(lean.leanM, units)} ${way}: that gains ${gain}.`;
}

function slackSentence({ plan, study: { scene } }: Solution, units: Units): string {
	const { slack } = plan;
	if (!slack || !plan.feasible) return '';
	const hand = least(slack.cameraForwardM, slack.cameraBackM);
	if (hand === null) return 'There is more than enough depth to spare.';
	const [tightest] = scene.rows
		.flatMap(({ members }, index) => {
			const inHand = least(
				...members.flatMap(({ personId }) => {
					const own = slack.people.find((one) => one.personId === personId);
					return own ? [own.forwardM, own.backM] : [];
				})
			);
			return inHand === null ? [] : [{ index, inHand }];
		})
		.toSorted((a, b) => a.inHand - b.inHand);
	const sentence = `In hand: ${smallLength(hand, units)} nearer or farther`;
	// of one row it is the same again
	if (!tightest || scene.rows.length < 2 || Math.abs(tightest.inHand - hand) < A_LITTLE * hand) {
		return `${sentence}.`;
	}
	const row = rowName(tightest.index, scene.rows.length);
	return `${sentence}, ${smallLength(tightest.inHand, units)} for the ${row}.`;
}

/** Two margins that differ by less than this share are told as one. */
const A_LITTLE = 0.1;

function least(...lengths: readonly (number | null)[]): number | null {
	const known = lengths.filter((one) => one !== null);
	return known.length > 0 ? Math.min(...known) : null;
}

/** More people than this with the same fate are told together. */
const MOST_SINGLY = 2;

/** Who is not seen, and why. */
export function unseenSentences(
	{ plan, study: { shot } }: Solution,
	whys: readonly Unseen['why'][] = ['cut', 'turned', 'hidden']
): string[] {
	return whys.flatMap((why) => {
		const those = plan.unseen.filter((one) => one.why === why);
		const name = (id: string | null) => nameOfId(shot, id);
		if (those.length > MOST_SINGLY) {
			return [`${namesOf(those.map(({ personId }) => name(personId)))} are ${unseenWords(why)}.`];
		}
		return those.map(({ personId, by }) => `${name(personId)} is ${unseenWords(why, name(by))}.`);
	});
}

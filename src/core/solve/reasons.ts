import type { FreePlane, Plan, Reason, TargetResult, ThingResult, Unseen } from '../format/plan';
import type { Shot } from '../format/shot';
import { engraved, factorOfStops, stopsBetween } from '../optics/fNumber';
import type { Spot } from './candidates';
import { aStop, nameOf, nameOfId } from './names';

/** Why the plan is as it is, each reason with a code and in words. */

/** Below a third of a stop the free plane is not worth the lean. */
const WORTH_STOPS = 1 / 3;

/** Reasons of a plan that has something to focus on. */
export function reasonsOf(
	shot: Shot,
	plan: Pick<
		Plan,
		'feasible' | 'fNumberExact' | 'worstRatio' | 'targets' | 'things' | 'unseen' | 'free'
	>,
	diffraction: boolean
): Reason[] {
	const fNumber = engraved(plan.fNumberExact ?? 0);
	const worst = plan.targets.reduce<TargetResult | null>(
		(most, target) => (most && most.ratio >= target.ratio ? most : target),
		null
	);
	const reasons: Reason[] = [];
	if (!worst) {
		reasons.push({
			code: 'nobody-seen',
			text: 'Nobody who should be sharp can be seen from here.'
		});
	} else if (plan.feasible) {
		reasons.push({
			code: 'binding',
			text: `${nameOf(shot, worst)} is the hardest to hold at f/${fNumber}.`,
			...ownerOf(worst)
		});
	} else {
		const shortStops = stopsBetween(1, worst.ratio);
		reasons.push({
			code: 'infeasible',
			text: `At f/${fNumber}, ${nameOf(shot, worst)} is still ${aStop(shortStops)} short of sharp.`,
			shortStops,
			...ownerOf(worst)
		});
	}
	const margin = factorOfStops(shot.choices.safetyStops);
	if (plan.feasible && (plan.worstRatio ?? 0) * margin > 1) {
		const text = `Everyone is sharp, but without the margin asked for (${aStop(shot.choices.safetyStops)}).`;
		reasons.push({ code: 'no-margin', text });
	}
	if (diffraction) {
		const text = `At f/${fNumber} the small opening itself softens the whole picture.`;
		reasons.push({ code: 'diffraction', text });
	}
	reasons.push(
		...freePlaneReason(plan.free),
		...unseenReasons(shot, plan.unseen),
		...outsideReasons(shot, plan.things)
	);
	return reasons;
}

/** Reasons of a plan that has nothing to focus on. */
export function noFocusReasons(
	shot: Shot,
	tooClose: readonly Spot[],
	unseen: readonly Unseen[],
	things: readonly ThingResult[]
): Reason[] {
	const text = 'There is nothing in the picture to focus on.';
	return [
		...(tooClose.length === 0 ? [{ code: 'no-focus', text }] : []),
		...tooClose.map(({ personId, thingId, seen }) => {
			const { closestFocusM } = shot.lens;
			const who = nameOfId(shot, personId ?? thingId) || 'That distance';
			return {
				code: 'too-close',
				text: `${who} is nearer than this lens can focus (${closestFocusM} m).`,
				depthM: seen.depthM,
				closestFocusM,
				...(personId ? { personId } : {}),
				...(thingId ? { thingId } : {})
			};
		}),
		...unseenReasons(shot, unseen),
		...outsideReasons(shot, things)
	];
}

function ownerOf({ personId, thingId, landmark }: TargetResult) {
	return { ...(personId ? { personId } : {}), ...(thingId ? { thingId } : {}), landmark };
}

function freePlaneReason(free: FreePlane | null): Reason[] {
	if (!free?.gainStops || free.gainStops < WORTH_STOPS) return [];
	const way = free.leanM > 0 ? 'forward' : 'back';
	const text = `Focus locked, then a lean ${way}, would gain ${aStop(free.gainStops)}.`;
	return [{ code: 'lean', text, leanM: free.leanM, gainStops: free.gainStops }];
}

function unseenReasons(shot: Shot, unseen: readonly Unseen[]): Reason[] {
	return unseen.map(({ personId, why, by }) => {
		const words = {
			cut: 'outside the frame',
			turned: 'turned away',
			hidden: `hidden behind ${nameOfId(shot, by)}`
		};
		const text = `${nameOfId(shot, personId)} is ${words[why]}.`;
		return { code: 'unseen', text, personId, why, by };
	});
}

/** Things that should become something but are not in the picture. */
function outsideReasons(shot: Shot, things: readonly ThingResult[]): Reason[] {
	return things
		.filter(({ state, intent }) => state === 'outside' && intent !== 'any')
		.map(({ id }) => {
			const text = `${nameOfId(shot, id)} is outside the frame.`;
			return { code: 'outside', text, thingId: id };
		});
}

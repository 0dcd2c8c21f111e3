import type { FocusSpot, Take } from '../candidate';
import type { FreePlane, Plan, TargetResult, ThingResult, Unseen } from '../../format/plan';
import type { Reason } from '../../format/reasons';
import type { Shot } from '../../format/shot';
import { nominalFNumber, factorOfStops, stopsBetween } from '../../optics/fNumber';
import { edgeStretch } from '../../optics/perspective';
import { facesSeen } from '../facesSeen';
import type { Scene } from '../scene';
import { isDiffracted } from '../take';
import { RULES } from '../../tables/rules';

/** Why the plan is as it is: what binds, what is lost, who cannot be seen. */

/** Below a third of a stop the free plane is not worth the lean. */
const WORTH_STOPS = 1 / 3;

type Found = Pick<Plan, 'feasible' | 'worstRatio' | 'targets' | 'things' | 'unseen' | 'free'>;

/** Reasons of a plan that has something to focus on. */
export function sharpnessReasons(take: Take, found: Found): Reason[] {
	const { safetyStops } = take.scene.shot.choices;
	const fNumber = nominalFNumber(take.fNumber);
	const lacksMargin = (found.worstRatio ?? 0) * factorOfStops(safetyStops) > 1;
	return [
		bindingReason(fNumber, found),
		...(found.feasible && lacksMargin ? [about('no-margin', { safetyStops })] : []),
		...(isDiffracted(take) ? [about('diffraction', { fNumber })] : []),
		...leanReason(take.scene.shot, found.free),
		...unseenReasons(found.unseen),
		...outsideReasons(found.things),
		...stretchedReasons(take.scene)
	];
}

/** Reasons of a plan that has nothing to focus on. */
export function noFocusReasons(
	{ lens: { closestFocusM } }: Shot,
	tooClose: readonly FocusSpot[],
	unseen: readonly Unseen[],
	things: readonly ThingResult[]
): Reason[] {
	return [
		...(tooClose.length === 0 ? [{ topic: 'focus', code: 'no-focus' } as const] : []),
		...tooClose.map(({ personId, thingId, seen: { depthM } }): Reason => ({
			topic: 'focus',
			code: 'too-close',
			depthM,
			closestFocusM,
			...(personId ? { personId } : {}),
			...(thingId ? { thingId } : {})
		})),
		...unseenReasons(unseen),
		...outsideReasons(things)
	];
}

const about = <const C extends string, V extends object>(code: C, values: V) => ({
	topic: 'sharpness' as const,
	code,
	...values
});

/** The target that decides, and whether it holds. */
function bindingReason(fNumber: number, { targets, feasible }: Found): Reason {
	const worst = targets.reduce<TargetResult | null>(
		(most, target) => (most && most.ratio >= target.ratio ? most : target),
		null
	);
	if (!worst) return about('nobody-seen', {});
	const { personId, thingId, landmark, ratio } = worst;
	const spot = { ...(personId ? { personId } : {}), ...(thingId ? { thingId } : {}), landmark };
	return feasible
		? about('binding', { ...spot, fNumber })
		: about('infeasible', { ...spot, fNumber, shortStops: stopsBetween(1, ratio) });
}

/** None on a tripod, on which nobody leans, nor where people's places are known less well than so far. */
function leanReason({ camera, people }: Shot, free: FreePlane | null): Reason[] {
	if (!free?.gainStops || free.gainStops < WORTH_STOPS || camera.support === 'tripod') return [];
	if (people.some(({ depthSigmaM }) => depthSigmaM > Math.abs(free.leanM))) return [];
	return [{ topic: 'focus', code: 'lean', leanM: free.leanM, gainStops: free.gainStops }];
}

const unseenReasons = (unseen: readonly Unseen[]): Reason[] =>
	unseen.map((one) => ({ topic: 'people', code: 'unseen', ...one }));

/** Whose head the edge of a wide lens stretches most, where one sees it. */
function stretchedReasons(scene: Scene): Reason[] {
	const [most] = facesSeen(scene)
		.map(({ personId, seen }) => ({ personId, share: edgeStretch(seen.cosOffAxis) }))
		.toSorted((a, b) => b.share - a.share);
	if (!most || most.share < RULES.stretchedShare) return [];
	return [{ topic: 'people', code: 'stretched', ...most }];
}

/** Things that should become something but are not in the picture. */
const outsideReasons = (things: readonly ThingResult[]): Reason[] =>
	things
		.filter(({ state, intent }) => state === 'outside' && intent !== 'any')
		.map(({ id }) => ({ topic: 'things', code: 'outside', thingId: id }));

import { awayOverGround, offBackground } from '../arrange/regroup';
import { boundsOf } from '../format/bounds';
import type { Shot, Thing } from '../format/shot';
import { stopsBetween } from '../optics/fNumber';
import { mean } from '../numeric/mean';
import { add, along, scale, subtract } from '../geometry/vector';
import { BACKGROUND_ID, isMeantSharp, type SeenThing } from '../study/scene';
import { intentsOf, isFeasible, missedThings, thingResults } from '../study/take';
import { doneOrNot, type Move } from './move';
import type { Prospect } from './prospect';

/** What can be done about a thing, or the background, that does not become what it should. */

/** Things are moved as far as this, m. */
const FARTHEST_M = 6;
/** Letters are made as much larger as this. */
const MOST_TIMES = 12;
/** From a share that is hidden as large as this it is worth hanging a thing higher. */
const WORTH_RAISING_SHARE = 0.3;
/** Nobody holds a thing nearer to the lens than this, m. */
const NEAREST_TO_LENS_M = 0.15;
/** At most this many missed things are advised on. */
const MOST_THINGS = 2;

/** A thing that is missed, and what it lacks: detail or blur; neither where it is only covered. */
interface Missed extends SeenThing {
	readonly lacks: 'detail' | 'blur' | null;
}

/** Every move that a thing which is missed allows. */
export function thingMoves(now: Prospect): Move[] {
	const missed = missedOf(now).slice(0, MOST_THINGS);
	if (missed.length === 0) return [];
	return [
		...missed.flatMap((one) => [
			...nearerOrFarther(now, one),
			...larger(now, one),
			...higher(now, one)
		]),
		...otherFNumber(now)
	];
}

/** What is left of a thing, from nothing to all. */
const LEFT = ['dissolved', 'recognisable', 'readable', 'sharp'] as const;

function missedOf({ take, feasible }: Prospect): Missed[] {
	const results = thingResults(take);
	// where not all can be had, what is sharp may keep the faces from it
	const inTheWay = feasible ? [] : take.scene.things.filter(isMeantSharp);
	return [...new Set([...inTheWay, ...missedThings(take)])].map((seen) => {
		const { id, intent } = seen.thing;
		const state = results.find((one) => one.id === id)?.state;
		const left = LEFT.findIndex((one) => one === state);
		const asked = LEFT.findIndex((one) => one === intent);
		return { ...seen, lacks: left < asked ? 'detail' : left > asked ? 'blur' : null };
	});
}

const withThing = (shot: Shot, id: string, change: Partial<Thing>): Shot => ({
	...shot,
	things: shot.things.map((one) => (one.id === id ? { ...one, ...change } : one))
});

/** How far away the people are, m: the middle of their targets, else what is focused on. */
function groupDepthOf({ take: { scene, candidate } }: Prospect): number {
	const depths = scene.targets.flatMap(({ personId, seen }) => (personId ? seen.depthM : []));
	return depths.length > 0 ? mean(depths) : candidate.planeM;
}

/** How far the background can come before it stands among them, m; a thing may. */
const roomBehindM = ({ background }: Shot, id: string): number =>
	id === BACKGROUND_ID && background
		? background.behindM - boundsOf('shot.background.behindM').low
		: Infinity;

/** A thing without enough detail comes nearer to them; one with too much goes farther from them. */
function nearerOrFarther(now: Prospect, { thing, seen, lacks }: Missed): Move[] {
	const { shot, scene } = now.study;
	const { id, position } = thing;
	const camera = scene.pose.position;
	const peopleM = groupDepthOf(now);
	const isBehind = seen.depthM > peopleM;
	const towardsCamera = scale(awayOverGround(scene.pose), -1);
	const pushed = (m: number) =>
		withThing(shot, id, { position: add(position, scale(towardsCamera, m)) });
	const effort = (m: number) => 1 + 0.6 * m;
	if (lacks === 'detail') {
		const way = isBehind ? 1 : -1;
		return [
			{
				code: 'bring-nearer',
				most: Math.min(FARTHEST_M, 0.9 * Math.abs(seen.depthM - peopleM), roomBehindM(shot, id)),
				step: 0.1,
				apply: (m) => (id === BACKGROUND_ID ? offBackground(shot, -m) : pushed(way * m)),
				made: (byM) => ({ code: 'bring-nearer', byM, thingId: id }),
				effort
			}
		];
	}
	if (lacks === null) return [];
	return [
		isBehind
			? {
					code: 'off-background',
					most: Math.min(shot.place?.clearBehindCameraM ?? FARTHEST_M, FARTHEST_M),
					step: 0.1,
					apply: (m) => offBackground(shot, m),
					made: (byM) => ({ code: 'off-background', byM, thingId: id }),
					effort
				}
			: {
					code: 'near-lens',
					most: Math.max(0, seen.depthM - NEAREST_TO_LENS_M),
					step: 0.05,
					// it keeps its place in the frame
					apply: (m) =>
						withThing(shot, id, {
							position: along(position, subtract(position, camera), -m / seen.depthM)
						}),
					made: (byM) => ({ code: 'near-lens', byM, thingId: id }),
					effort
				}
	];
}

/** Larger letters, where it must be read. */
function larger({ study: { shot } }: Prospect, { thing, lacks }: Missed): Move[] {
	if (thing.intent !== 'readable' || lacks !== 'detail') return [];
	const { id, detailMm } = thing;
	const sized = (byMm: number) => Math.round(detailMm + byMm);
	return [
		{
			code: 'larger',
			most: Math.min((MOST_TIMES - 1) * detailMm, boundsOf('shot.things.detailMm').high - detailMm),
			step: Math.max(1, Math.round(detailMm / 10)),
			apply: (mm) =>
				id === BACKGROUND_ID && shot.background
					? { ...shot, background: { ...shot.background, detailMm: sized(mm) } }
					: withThing(shot, id, { detailMm: sized(mm) }),
			made: (mm) => ({ code: 'larger', detailMm: sized(mm), thingId: id }),
			effort: (mm) => 2 + mm / detailMm
		}
	];
}

/** Above the heads of those who hide it. */
function higher({ study: { shot } }: Prospect, { thing, hiddenShare }: Missed): Move[] {
	if (thing.intent === 'dissolved' || hiddenShare() < WORTH_RAISING_SHARE) return [];
	const { id, position } = thing;
	return [
		{
			code: 'hang-higher',
			most: 2,
			step: 0.1,
			apply: (m) => withThing(shot, id, { position: { ...position, y: position.y + m } }),
			made: (byM) => ({ code: 'hang-higher', byM, thingId: id }),
			effort: (m) => 1 + m
		}
	];
}

/** The nearest rung of the ladder at which one more thing comes as it should and everybody holds. */
function otherFNumber({ study: { shot, rungs }, take, intents }: Prospect): Move[] {
	const nearest = rungs
		.filter((rung) => isFeasible(rung) && intentsOf(rung).met > intents.met)
		.toSorted(
			(a, b) =>
				Math.abs(stopsBetween(take.fNumber, a.fNumber)) -
				Math.abs(stopsBetween(take.fNumber, b.fNumber))
		)[0];
	if (!nearest) return [];
	const { fNumber } = nearest;
	return [
		{
			...doneOrNot,
			code: 'f-number',
			apply: () => ({ ...shot, choices: { ...shot.choices, fNumberExact: fNumber } }),
			made: () => ({ code: 'f-number', isWider: fNumber < take.fNumber }),
			effort: () => 0.1
		}
	];
}

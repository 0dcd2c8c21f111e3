import type { AdviceData, MoveMade } from '../format/advice';
import type { Lens, Shot } from '../format/shot';
import { lastHolding } from '../numeric/bisect';
import { nominalFNumber } from '../optics/fNumber';
import { lightAllows } from '../study/light';
import type { Study } from '../study/study';
import type { SeenThing } from '../study/scene';
import { failingPeople, missedThings } from '../study/take';
import type { Move } from './move';
import { movesOf, withNeed, withoutSharpThing } from './moves';
import { prospectOf, prospectWith, seenPeople, stopsGained, type Prospect } from './prospect';
import { otherWorkings } from './workings';

/**
 * What to change: for each move the smallest step that makes the plan feasible, or meets one more
 * intent, or, when all is well, gains half a stop; and ways of working that save frames. Ordered by
 * the good frames that each brings.
 */

export interface Advice {
	/** What to do and what it brings, as the plan file has it. */
	readonly data: AdviceData;
	/** The shot with the advice taken. */
	readonly shot: Shot;
	readonly effort: number;
}

/** Most pieces of advice that are told. */
const MOST_PIECES = 12;
/** Steps in which a move is tried before its smallest sufficient size is searched. */
const COARSE_STEPS = 6;
/** When all is well, only a gain of this many stops is worth telling. */
const WORTH_STOPS = 0.5;
/** Good frames in a hundred that are worth another way of working: one blink in thirty is not. */
const WORTH_FRAMES = 4;
/** Moves that are tried in pairs: those that gain most alone. */
const MOST_PAIRED = 5;

/** What a move is wanted for. */
type Goal = (after: Prospect) => boolean;

/**
 * Advice for a shot that was studied.
 *
 * @param lenses the kit; its lenses are tried from the place that keeps the framing
 */
export function adviceFor(studied: Study, lenses: readonly Lens[]): Advice[] {
	const now = prospectOf(studied);
	if (!now) return [];
	const moves = movesOf(now, lenses);
	const isEnough = goalFor(now);
	const single = moves.flatMap((move) => {
		const found = smallest(move, now, isEnough);
		return found && (!isByOdds(now) || isWorth(found, now)) ? [found] : [];
	});
	const workings = workingsFor(now);
	if (single.length > 0 || now.feasible) return ranked([...single, ...workings], now);
	const pairs = pairsFor(moves, now, isEnough);
	return ranked([...(pairs.length > 0 ? pairs : giveUp(now)), ...workings], now);
}

/** The other ways of working that are worth it and take nothing away. */
function workingsFor(now: Prospect): Advice[] {
	const seen = seenPeople(now);
	return otherWorkings(now).flatMap(({ shot, made, effort }) => {
		const after = prospectWith(now.study, shot);
		if (!after || seenPeople(after) < seen || (now.feasible && !after.feasible)) return [];
		if (!lightAllows(after.take) && lightAllows(now.take)) return [];
		const advice = adviceOf(now, after, [made(after)], effort);
		return advice.data.intentsMet >= now.intents.met && isWorth(advice, now) ? [advice] : [];
	});
}

const isByOdds = ({ study: { shot } }: Prospect): boolean =>
	shot.choices.pickBy === 'odds' && shot.choices.fNumberExact === undefined;

/** Good frames are worth it, or what was missed; stops are where they cost none, or a stop only a few. */
function isWorth({ data }: Advice, { intents }: Prospect): boolean {
	const { gain, gainFrames, gainStops, intentsMet } = data;
	if (gain.kind === 'holds-everyone' || intentsMet > intents.met) return true;
	const stopsWorth = Math.round(gainFrames) >= 0 ? WORTH_STOPS : 1;
	return gainFrames >= WORTH_FRAMES || (gainStops >= stopsWorth && gainFrames > -WORTH_FRAMES);
}

function goalFor(now: Prospect): Goal {
	const seen = seenPeople(now);
	const keepsAll: Goal = (after) => seenPeople(after) >= seen;
	if (!now.feasible) return (after) => after.feasible && keepsAll(after);
	const missed = ({ intents }: Prospect) => intents.of - intents.met;
	if (missed(now) > 0) {
		return (after) =>
			after.feasible &&
			keepsAll(after) &&
			missed(after) < missed(now) &&
			after.intents.met >= now.intents.met;
	}
	return (after) =>
		after.feasible &&
		keepsAll(after) &&
		stopsGained(now, after) >= WORTH_STOPS &&
		after.intents.met >= now.intents.met;
}

/** The smallest size of a move that is enough, rounded up to one that can be told; null when none is. */
function smallestSize({ most, step }: Move, isEnough: (size: number) => boolean): number | null {
	if (step === null) return isEnough(1) ? 1 : null;
	const tries = Array.from({ length: COARSE_STEPS }, (_, i) => (most * (i + 1)) / COARSE_STEPS);
	const first = tries.findIndex(isEnough);
	const yes = tries[first];
	if (yes === undefined) return null;
	const size = lastHolding(isEnough, yes, tries[first - 1] ?? 0, step);
	const round = Math.min(most, Math.round(Math.ceil(size / step - 1e-6) * step * 1e6) / 1e6);
	return isEnough(round) ? round : size;
}

/** What is tried of a move, each size once. */
function smallest(move: Move, now: Prospect, isEnough: Goal): Advice | null {
	const tried = new Map<number, Prospect | null>();
	const at = (size: number): Prospect | null => {
		if (!tried.has(size)) tried.set(size, prospectWith(now.study, move.apply(size)));
		return tried.get(size) ?? null;
	};
	const size = smallestSize(move, (one) => {
		const after = at(one);
		return after !== null && isEnough(after);
	});
	const after = size === null ? null : at(size);
	if (size === null || !after) return null;
	return adviceOf(now, after, [move.made(size)], move.effort(size));
}

function adviceOf(
	now: Prospect,
	after: Prospect,
	moves: readonly [MoveMade, ...MoveMade[]],
	effort: number
): Advice {
	const { fNumber } = after.take;
	const gainStops = stopsGained(now, after);
	const data = {
		code: moves.length > 1 ? ('pair' as const) : moves[0].code,
		moves: [...moves],
		gain: gainOf(now, after, gainStops),
		fNumber: nominalFNumber(fNumber),
		fNumberExact: fNumber,
		feasible: after.feasible,
		intentsMet: after.intents.met,
		gainStops,
		goodShare: after.goodShare,
		gainFrames: 100 * (after.goodShare - now.goodShare)
	};
	return { data, shot: after.study.shot, effort };
}

const idsOf = (things: readonly SeenThing[]): string[] => things.map(({ thing: { id } }) => id);

function gainOf(now: Prospect, after: Prospect, stops: number): AdviceData['gain'] {
	if (!now.feasible && after.feasible) return { kind: 'holds-everyone' };
	if (after.intents.met > now.intents.met || after.intents.of < now.intents.of) {
		const still = idsOf(missedThings(after.take));
		const thingIds = idsOf(missedThings(now.take)).filter((id) => !still.includes(id));
		const comes = after.intents.met > now.intents.met;
		return { kind: comes ? 'background-comes' : 'background-gone', thingIds };
	}
	return stops >= WORTH_STOPS ? { kind: 'stops', stops } : { kind: 'frames' };
}

/** The background is worth as many frames in a hundred as it may cost. */
const INTENT_FRAMES = 10;

/** By good frames, then by stops, then by effort; and no more than one lens among the first. */
function ranked(advice: readonly Advice[], now: Prospect): Advice[] {
	const frames = ({ data }: Advice) =>
		Math.round(data.gainFrames) + INTENT_FRAMES * Math.max(0, data.intentsMet - now.intents.met);
	const order = advice.toSorted(
		(a, b) => frames(b) - frames(a) || b.data.gainStops - a.data.gainStops || a.effort - b.effort
	);
	const isLens = ({ data }: Advice) => data.code === 'other-lens';
	const firstLens = order.find(isLens);
	return order.filter((one) => !isLens(one) || one === firstLens).slice(0, MOST_PIECES);
}

/** Moves that can be made one after the other: not another lens, nor giving up what is asked. */
const REPEATABLE: ReadonlySet<MoveMade['code']> = new Set([
	'step-back',
	'step-back-and-lengthen',
	'raise-camera',
	'close-rows',
	'line-up',
	'turn-head',
	'softer-need',
	'give-up-thing'
]);

/** The best pair: each tried in full with as little of the other as is enough. */
function pairsFor(moves: readonly Move[], now: Prospect, isEnough: Goal): Advice[] {
	const alone = moves
		.filter(({ code }) => REPEATABLE.has(code))
		.flatMap((move) => {
			const after = prospectWith(now.study, move.apply(move.most));
			return after ? [{ move, after, gain: stopsGained(now, after) }] : [];
		})
		.filter(({ gain }) => gain > 0.1)
		.sort((a, b) => b.gain - a.gain)
		.slice(0, MOST_PAIRED);
	return alone.flatMap(({ move: first, after: between }, i) =>
		alone.slice(i + 1).flatMap(({ move: second }) => {
			const again = movesOf(between, []).find((one) => isSameMove(one, second));
			const found = again && smallest(again, now, isEnough);
			const [made] = found?.data.moves ?? [];
			const after = found && prospectWith(now.study, found.shot);
			if (!found || !made || !after) return [];
			const effort = first.effort(first.most) + found.effort;
			return [adviceOf(now, after, [first.made(first.most), made], effort)];
		})
	);
}

/** The same move of the same person or thing. */
function isSameMove(a: Move, b: Move): boolean {
	const whose = ({ most, made }: Move) => {
		const move = made(most);
		return 'personId' in move ? move.personId : 'thingId' in move ? move.thingId : null;
	};
	return a.code === b.code && whose(a) === whose(b);
}

const GIVE_UP_EFFORT = 5;

/** When nothing works: which wishes to give up so that the rest can be had. */
function giveUp(now: Prospect): Advice[] {
	const { shot } = now.study;
	const failing = failingPeople(now.take);
	const isKey = (id: string) => shot.people.find((one) => one.id === id)?.need === 'key';
	const others = failing.filter((id) => !isKey(id));
	for (const need of ['soft', 'free'] as const) {
		for (const personIds of [others, failing]) {
			if (personIds.length === 0) continue;
			const changed = withoutSharpThing(withNeed(shot, personIds, need));
			const after = prospectWith(now.study, changed);
			if (!after?.feasible) continue;
			return [adviceOf(now, after, [{ code: 'give-up', personIds, need }], GIVE_UP_EFFORT)];
		}
	}
	return [];
}

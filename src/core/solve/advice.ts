import type { Lens, Shot } from '../format/shot';
import { ASSUMED, type Spreads } from '../odds/spreads';
import { engraved } from '../optics/fNumber';
import { movesOf, type Move, type MoveCode } from './moves';
import { aStop, nameOfId } from './names';
import { failingPeople, outcomeOf, seenPeople, stopsGained, type Outcome } from './outcome';

/**
 * What to change: for each move the smallest step that makes the plan feasible, or meets one more
 * intent, or, when all is well, gains a stop. Ranked by gain for effort.
 */

export interface Advice {
	readonly code: MoveCode | 'pair' | 'give-up';
	readonly text: string;
	/** How much of the move, in its unit; 1 for what is done or not. */
	readonly size: number;
	readonly unit: Move['unit'];
	/** Exact f-number of the plan that results. */
	readonly fNumberExact: number;
	readonly feasible: boolean;
	readonly intentsMet: number;
	/** Stops by which the f-number needed falls. */
	readonly gainStops: number;
	/** The shot with the advice taken. */
	readonly shot: Shot;
	readonly effort: number;
	readonly subject: Move['subject'];
}

/** Most pieces of advice that are told. */
const MOST = 8;
/** Steps in which a move is tried before its smallest sufficient size is searched. */
const TRIES = 6;
/** When all is well, only a gain of this many stops is worth telling. */
const WORTH_STOPS = 0.5;
/** Moves that are tried in pairs: those that gain most alone. */
const PAIRED = 5;

/** What a move is wanted for. */
type Goal = (after: Outcome) => boolean;

/**
 * Advice for a shot.
 *
 * @param lenses the kit; its lenses are tried from the place that keeps the framing
 */
export function adviceFor(
	shot: Shot,
	lenses: readonly Lens[] = [],
	spreads: Spreads = ASSUMED
): Advice[] {
	const now = outcomeOf(shot, spreads);
	if (!now) return [];
	const moves = movesOf(shot, now, lenses);
	const isEnough = goalFor(now);
	const single = moves.flatMap((move) => smallest(move, now, isEnough) ?? []);
	if (single.length > 0) return ranked(single, now);
	if (now.feasible) return [];
	const pairs = pairsFor(moves, now, isEnough);
	return pairs.length > 0 ? ranked(pairs, now) : giveUp(shot, now);
}

function goalFor(now: Outcome): Goal {
	const seen = seenPeople(now);
	const keepsAll: Goal = (after) => seenPeople(after) >= seen;
	if (!now.feasible) return (after) => after.feasible && keepsAll(after);
	if (now.intentsMet < now.intents) {
		return (after) =>
			after.feasible &&
			keepsAll(after) &&
			after.intentsMet - after.intents > now.intentsMet - now.intents &&
			after.intentsMet >= now.intentsMet;
	}
	return (after) =>
		after.feasible &&
		keepsAll(after) &&
		after.intentsMet >= now.intentsMet &&
		stopsGained(now, after) >= WORTH_STOPS;
}

/** A size rounded up to a step that can be told and done. */
const roundedUp = (size: number, { step, most }: Move): number =>
	Math.min(most, Math.round(Math.ceil(size / step - 1e-6) * step * 1e6) / 1e6);

/** The smallest size of a move that is enough; null when none is. */
function smallestSize(move: Move, isEnough: (size: number) => boolean): number | null {
	const { most } = move;
	if (move.unit === 'none') return isEnough(1) ? 1 : null;
	let [no, yes] = [0, NaN];
	for (let i = 1; i <= TRIES; i++) {
		const size = (most * i) / TRIES;
		if (isEnough(size)) {
			yes = size;
			break;
		}
		no = size;
	}
	if (Number.isNaN(yes)) return null;
	while (yes - no > move.step) {
		const middle = (no + yes) / 2;
		if (isEnough(middle)) yes = middle;
		else no = middle;
	}
	const round = roundedUp(yes, move);
	return isEnough(round) ? round : yes;
}

function smallest(move: Move, now: Outcome, isEnough: Goal): Advice | null {
	const tried = new Map<number, { readonly shot: Shot; readonly after: Outcome | null }>();
	const at = (size: number) => {
		const known = tried.get(size);
		if (known) return known;
		const shot = move.apply(size);
		const made = { shot, after: outcomeOf(shot, now.scene.spreads) };
		tried.set(size, made);
		return made;
	};
	const size = smallestSize(move, (one) => {
		const { after } = at(one);
		return after !== null && isEnough(after);
	});
	if (size === null) return null;
	const { code, unit, subject } = move;
	const told = { code, size, unit, subject, words: move.words(size), effort: move.effort(size) };
	const { shot, after } = at(size);
	return adviceOf(shot, after, now, told);
}

type Told = Pick<Advice, 'code' | 'size' | 'unit' | 'subject' | 'effort'> & {
	readonly words: string;
};

function adviceOf(
	shot: Shot,
	after: Outcome | null,
	now: Outcome,
	{ words, ...told }: Told
): Advice | null {
	if (!after) return null;
	const gainStops = stopsGained(now, after);
	return {
		...told,
		text: `${words}: ${gainWords(now, after, gainStops)}.`,
		fNumberExact: after.pair.fNumber,
		feasible: after.feasible,
		intentsMet: after.intentsMet,
		gainStops,
		shot
	};
}

function gainWords(now: Outcome, after: Outcome, gainStops: number): string {
	const f = `f/${engraved(after.pair.fNumber)}`;
	if (!now.feasible && after.feasible) return `${f} then holds everyone`;
	if (after.intentsMet > now.intentsMet) return `the background then comes as intended, at ${f}`;
	if (after.intents < now.intents) return `that part of the background is gone, at ${f}`;
	return `gains ${aStop(gainStops)}, ${f} is enough`;
}

/** By gain for effort, and no more than one of a kind of lens among the first. */
function ranked(advice: readonly Advice[], now: Outcome): Advice[] {
	const gain = (one: Advice) =>
		(one.feasible && !now.feasible ? 3 : 0) +
		1.5 * Math.max(0, one.intentsMet - now.intentsMet) +
		Math.min(3, Math.max(0, one.gainStops)) * 0.5;
	const order = advice.toSorted((a, b) => gain(b) / b.effort - gain(a) / a.effort);
	const seen = new Set<string>();
	return order
		.filter(({ code }) => {
			if (code !== 'other-lens') return true;
			const isFirst = !seen.has(code);
			seen.add(code);
			return isFirst;
		})
		.slice(0, MOST);
}

/** Moves of the geometry, so that two of them can be made one after the other. */
const REPEATABLE: ReadonlySet<MoveCode> = new Set<MoveCode>([
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
function pairsFor(moves: readonly Move[], now: Outcome, isEnough: Goal): Advice[] {
	const alone = moves
		.filter(({ code }) => REPEATABLE.has(code))
		.map((move) => {
			const after = outcomeOf(move.apply(move.most), now.scene.spreads);
			return { move, gain: after ? stopsGained(now, after) : -Infinity };
		})
		.filter(({ gain }) => gain > 0.1)
		.sort((a, b) => b.gain - a.gain)
		.slice(0, PAIRED);
	return alone.flatMap(({ move: first }, i) =>
		alone.slice(i + 1).flatMap(({ move: second }) => {
			const base = first.apply(first.most);
			const between = outcomeOf(base, now.scene.spreads);
			const again = between && movesOf(base, between, []).find((one) => isSameMove(one, second));
			const found = again && smallest(again, now, isEnough);
			if (!again || !found) return [];
			const words = `${first.words(first.most)}, and ${lowerFirst(again.words(found.size))}`;
			const told = { code: 'pair' as const, size: 1, unit: 'none' as const, subject: undefined };
			const effort = first.effort(first.most) + found.effort;
			return (
				adviceOf(found.shot, outcomeOf(found.shot, now.scene.spreads), now, {
					...told,
					words,
					effort
				}) ?? []
			);
		})
	);
}

const isSameMove = (a: Move, b: Move): boolean =>
	a.code === b.code && a.subject?.personId === b.subject?.personId;

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** When nothing works: which wishes to give up so that the rest can be had. */
function giveUp(shot: Shot, now: Outcome): Advice[] {
	const failing = failingPeople(now);
	const isKey = (id: string) => shot.people.find((one) => one.id === id)?.need === 'key';
	const ids = failing.filter((id) => !isKey(id));
	const softer = (given: readonly string[], need: 'soft' | 'free'): Shot => ({
		...shot,
		people: shot.people.map((one) => (given.includes(one.id) ? { ...one, need } : one)),
		things: shot.things.map((one) =>
			one.intent === 'sharp' ? { ...one, intent: 'recognisable' } : one
		)
	});
	for (const need of ['soft', 'free'] as const) {
		for (const given of [ids, failing]) {
			if (given.length === 0) continue;
			const changed = softer(given, need);
			const after = outcomeOf(changed, now.scene.spreads);
			if (!after?.feasible) continue;
			const names = given.map((id) => nameOfId(shot, id)).join(', ');
			const words =
				need === 'soft'
					? `It cannot be had whole. Give up full sharpness for ${names}`
					: `It cannot be had whole. Leave out of the reckoning ${names}`;
			const advice = adviceOf(changed, after, now, {
				code: 'give-up',
				words,
				size: given.length,
				unit: 'none',
				subject: undefined,
				effort: 5
			});
			if (advice) return [advice];
		}
	}
	return [];
}

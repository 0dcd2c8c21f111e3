/**
 * The times of a day. A time is local and ISO 8601, to the minute: "2026-09-26T14:30". It is what the
 * clock on the wall shows there, so arithmetic with it knows of no time zones and no summer time.
 */

/** When a shot is planned and for how long. */
export interface Span {
	readonly startsAt: string;
	readonly minutes: number;
	/** Its start stays whatever else moves. */
	readonly isLocked?: boolean | undefined;
}

const MINUTE_MS = 60_000;

/** Minutes on a scale of its own, for differences. */
export const minuteOf = (localTime: string): number =>
	Date.parse(`${localTime.slice(0, 16)}Z`) / MINUTE_MS;

/** The local time of a minute of that scale. */
export const timeAt = (minute: number): string =>
	new Date(minute * MINUTE_MS).toISOString().slice(0, 16);

/**
 * A local time so many minutes later.
 * @example later('2026-09-26T23:50', 20) // '2026-09-27T00:10'
 */
export const later = (localTime: string, minutes: number): string =>
	timeAt(minuteOf(localTime) + minutes);

export const endOf = ({ startsAt, minutes }: Span): number => minuteOf(startsAt) + minutes;

/** Minutes between each span and the next in order of time; negative where they overlap. */
export function pausesIn(spans: readonly Span[]): number[] {
	let end = -Infinity;
	return spans.slice(0, -1).map((span, i) => {
		end = Math.max(end, endOf(span));
		return minuteOf((spans[i + 1] as Span).startsAt) - end;
	});
}

/**
 * Puts one span at another place in the order. What lies between moves up or down, but for what is
 * locked: the run keeps its start and its pauses, so everything before and after it stays where it is.
 * Before a locked span pauses shrink rather than that something runs into it.
 *
 * @param spans in order of time
 * @returns the spans in their new order, each with its new start; as they were for a locked one
 */
export function moved<T extends Span>(spans: readonly T[], from: number, to: number): T[] {
	const one = spans[from];
	const target = Math.min(spans.length - 1, Math.max(0, to));
	if (!one || one.isLocked || target === from) return [...spans];
	const order = spans.toSpliced(from, 1).toSpliced(target, 0, one);
	const first = Math.min(from, target);
	const last = Math.max(from, target);
	let minute = minuteOf((spans[first] as T).startsAt);
	let end = -Infinity;
	return order.map((span, i) => {
		if (i < first || i > last) return span;
		if (span.isLocked) {
			end = endOf(span);
			minute = afterLock(spans, span, one);
			return span;
		}
		// a pause before a locked one shrinks
		const startsAt = timeAt(Math.min(minute, Math.max(end, latestOf(order, i))));
		const placed = { ...span, startsAt };
		end = endOf(placed);
		minute = end + pauseAfter(spans, i);
		return placed;
	});
}

/** The pause after a place in the order, minutes; none beside what is locked. */
function pauseAfter(spans: readonly Span[], i: number): number {
	const [was, next] = [spans[i], spans[i + 1]];
	const isFree = was && next && !was.isLocked && !next.isLocked;
	return isFree ? minuteOf(next.startsAt) - endOf(was) : 0;
}

/** When the run after a locked span begins: as it did, or at its end. */
function afterLock(spans: readonly Span[], lock: Span, moving: Span): number {
	const next = spans[spans.indexOf(lock) + 1];
	return next && next !== moving ? minuteOf(next.startsAt) : endOf(lock);
}

/** The latest minute at which a span may start so that all up to the next locked one end before it. */
function latestOf(order: readonly Span[], from: number): number {
	const lock = order.findIndex(({ isLocked }, i) => i > from && isLocked);
	if (lock < 0) return Infinity;
	const minutes = order.slice(from, lock).reduce((sum, one) => sum + one.minutes, 0);
	return minuteOf((order[lock] as Span).startsAt) - minutes;
}

/**
 * Which span is due at a local time: the one that is on, the latest where several are, else the next
 * that comes that day; -1 after the last, and on any other day.
 */
export function dueAt(spans: readonly Span[], localTime: string): number {
	const now = minuteOf(localTime);
	const on = spans.findLastIndex((one) => minuteOf(one.startsAt) <= now && now < endOf(one));
	if (on >= 0) return on;
	const date = localTime.slice(0, 10);
	return spans.findIndex(
		({ startsAt }) => minuteOf(startsAt) >= now && startsAt.slice(0, 10) === date
	);
}

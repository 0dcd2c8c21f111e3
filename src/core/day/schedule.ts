/**
 * The times of a day. A time is local and ISO 8601, to the minute: "2026-09-26T14:30". It is what the
 * clock on the wall shows there, so arithmetic with it knows of no time zones and no summer time.
 */

/** When a shot is planned and for how long. */
export interface Span {
	readonly startsAt: string;
	readonly minutes: number;
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
 * Puts one span at another place in the order. What lies between moves up or down: the run keeps its
 * start and its pauses, so everything before and after it stays where it is.
 *
 * @param spans in order of time
 * @returns the spans in their new order, each with its new start
 */
export function moved<T extends Span>(spans: readonly T[], from: number, to: number): T[] {
	const one = spans[from];
	const target = Math.min(spans.length - 1, Math.max(0, to));
	if (!one || target === from) return [...spans];
	const order = spans.toSpliced(from, 1).toSpliced(target, 0, one);
	const first = Math.min(from, target);
	const last = Math.max(from, target);
	let minute = minuteOf((spans[first] as T).startsAt);
	return order.map((span, i) => {
		if (i < first || i > last) return span;
		const placed = { ...span, startsAt: timeAt(minute) };
		const [was, next] = [spans[i], spans[i + 1]];
		const pause = was && next ? minuteOf(next.startsAt) - endOf(was) : 0;
		minute += span.minutes + pause;
		return placed;
	});
}

/**
 * The time that a camera wrote into a file, "2026:05:01 15:30:00" with or without a fraction of the second, as ms as
 * if it were UTC; null where it is no time.
 */
export function localMsOf(takenAt: string | undefined): number | null {
	const parts = /^(\d{4})[:-](\d\d)[:-](\d\d)[ T](\d\d):(\d\d):(\d\d)(\.\d+)?/.exec(takenAt ?? '');
	if (!parts) return null;
	const [year, month, day, hour, minute, second] = parts.slice(1, 7).map(Number) as number[];
	const ms = Date.UTC(year as number, (month as number) - 1, day, hour, minute, second);
	const isInCalendar = new Date(ms).getUTCDate() === day;
	return isInCalendar ? ms + Math.round(1000 * Number(parts[7] ?? 0)) : null;
}

/** Dates and times as people write them in tables. */

export type ListedTime =
	| { readonly ok: true; readonly startsAt: string }
	| { readonly ok: false; readonly message: string };

const ISO = /^(?<year>\d{4})-(?<month>\d{1,2})-(?<day>\d{1,2})$/;
const DOTTED = /^(?<day>\d{1,2})\.\s?(?<month>\d{1,2})\.\s?(?<year>\d{4})$/;
const SLASHED = /^(?<first>\d{1,2})[/-](?<second>\d{1,2})[/-](?<year>\d{4})$/;
const CLOCK = /^(?<hour>\d{1,2})[:.h](?<minute>\d{2})(:\d{2})?\s*(?<half>[ap])?\.?m?\.?$/i;

/**
 * "2026-09-26 14:30", "26.09.2026, 9:05", "9/26/2026 2:30 pm"; a time alone is of the day given.
 * @param date "2026-09-26"; null where none is known
 */
export function listedTime(text: string, date: string | null): ListedTime {
	const [, dayText = '', clockText = ''] =
		/^(?:(\d[\d./-]*?\d|\d{1,2}\.\s?\d{1,2}\.\s?\d{4})(?:[\sT,]+|$))?(\d.*)?$/.exec(text.trim()) ??
		[];
	const clock = CLOCK.exec(clockText.trim())?.groups;
	if (!clock) return refused(text);
	const hour = hourOf(Number(clock['hour']), clock['half']?.toLowerCase());
	const time = `${padded(hour)}:${clock['minute']}`;
	if (dayText === '') return date ? { ok: true, startsAt: `${date}T${time}` } : refused(text);
	const day = dayOf(dayText);
	if (!day.ok) return day;
	return { ok: true, startsAt: `${day.date}T${time}` };
}

function dayOf(
	text: string
): { readonly ok: true; readonly date: string } | { readonly ok: false; readonly message: string } {
	const plain = (ISO.exec(text) ?? DOTTED.exec(text))?.groups;
	if (plain) return { ok: true, date: dated(plain['year'], plain['month'], plain['day']) };
	const slashed = SLASHED.exec(text)?.groups;
	if (!slashed) return refused(text);
	const { year, first, second } = slashed;
	// which comes first is not the same everywhere: only where one of them can be no month it is clear
	if (Number(second) > 12) return { ok: true, date: dated(year, first, second) };
	if (Number(first) > 12 || first === second) return { ok: true, date: dated(year, second, first) };
	const either = `${dated(year, second, first)} or ${dated(year, first, second)}`;
	return { ok: false, message: `“${text}” may be ${either}: write it as one of these` };
}

const refused = (text: string) =>
	({
		ok: false,
		message: `“${text}” is no time such as 2026-09-26 14:30 or 26.09.2026 14:30`
	}) as const;

const padded = (value: string | number = ''): string => `${value}`.padStart(2, '0');
const dated = (year?: string, month?: string, day?: string): string =>
	`${year}-${padded(month)}-${padded(day)}`;

/** A time on a 12-hour or a 24-hour clock. */
function hourOf(hour: number, half: string | undefined): number {
	if (half === 'p' && hour < 12) return hour + 12;
	return half === 'a' && hour === 12 ? 0 : hour;
}

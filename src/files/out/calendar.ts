import { TZDate } from '@date-fns/tz';
import type { JobFile } from '$core/format/job';

const MINUTE_MS = 60_000;

/**
 * The schedule as a calendar, RFC 5545. Times are told in UTC, so that they mean the same instant
 * wherever the calendar is opened.
 */

/**
 * @param zone name of the time zone of the job's local times, as in the IANA database
 * @param describe what stands in the entry of a shot, by its id
 * @param madeAt when the calendar is made, ms
 */
export function writeCalendar(
	{ shots }: JobFile,
	zone: string,
	describe: (shotId: string) => string,
	madeAt: number
): string {
	const lines = shots.flatMap(({ id, startsAt, minutes, place, shot }) => {
		const start = instant(startsAt, zone);
		return [
			'BEGIN:VEVENT',
			`UID:${escaped(id)}`,
			`DTSTAMP:${inUtc(new Date(madeAt))}`,
			`DTSTART:${inUtc(start)}`,
			`DTEND:${inUtc(new Date(start.getTime() + minutes * MINUTE_MS))}`,
			`SUMMARY:${escaped(shot.title)}`,
			...(place ? [`LOCATION:${escaped(place)}`] : []),
			`DESCRIPTION:${escaped([describe(id), shot.notes].filter(Boolean).join('\n'))}`,
			'END:VEVENT'
		];
	});
	return [
		'BEGIN:VCALENDAR',
		'VERSION:2.0',
		'PRODID:-//Focalis//Schedule of shots//EN',
		'CALSCALE:GREGORIAN',
		...lines,
		'END:VCALENDAR'
	]
		.map((line) => folded(line) + '\r\n')
		.join('');
}

/** The instant of a local time in a zone. */
function instant(localTime: string, zone: string): Date {
	const [year = 0, month = 1, day = 1, hour = 0, minute = 0] = localTime
		.split(/\D/)
		.map((part) => Number(part));
	return new TZDate(year, month - 1, day, hour, minute, zone);
}

/** "20260926T123000Z" */
const inUtc = (at: Date): string => new Date(at.getTime()).toISOString().replace(/[-:]|\.\d+/g, '');

/** Section 3.3.11: backslash, semicolon, comma and line break; other control characters have no place. */
const escaped = (text: string): string =>
	text
		.replace(/[\\;,]/g, '\\$&')
		.replace(/\r\n|\r|\n/g, '\\n')
		// eslint-disable-next-line no-control-regex -- they are what is looked for
		.replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, '');

/** Longest line in octets, section 3.1. */
const LONGEST_LINE = 75;

/** A line in pieces of at most 75 octets; a character is never split. */
function folded(line: string): string {
	const octets = new TextEncoder();
	const pieces = [''];
	let size = 0;
	for (const character of line) {
		const more = octets.encode(character).length;
		if (size + more > LONGEST_LINE) {
			pieces.push(' ');
			size = 1;
		}
		pieces.push(`${pieces.pop() ?? ''}${character}`);
		size += more;
	}
	return pieces.join('\r\n');
}

import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { HARD_TEXTS, jobOf } from '$tests/support/jobs';
import { writeCalendar } from './calendar';

/** Read back by a calendar library of its own. */
const eventsOf = (text: string) =>
	new ICAL.Component(ICAL.parse(text) as unknown[])
		.getAllSubcomponents('vevent')
		.map((one) => new ICAL.Event(one));

const MADE_AT = Date.UTC(2026, 8, 1, 12);
const write = (titles: readonly string[], zone = 'Europe/Paris') =>
	writeCalendar(jobOf(titles), zone, (id) => `Verdict of ${id}.`, MADE_AT);

describe('the schedule as a calendar', () => {
	it('carries every text unharmed', () => {
		const events = eventsOf(write(HARD_TEXTS));
		expect(events.map(({ summary }) => summary)).toEqual(HARD_TEXTS);
		expect(events[0]).toMatchObject({ uid: 'shot-1', location: 'steps' });
		expect(events[0]?.description).toBe('Verdict of shot-1.');
	});

	// zone offsets as in the IANA time zone database
	it.each([
		['Europe/Paris', '2026-09-26T11:30:00Z'],
		['Asia/Kolkata', '2026-09-26T08:00:00Z'],
		['America/St_Johns', '2026-09-26T16:00:00Z'],
		['UTC', '2026-09-26T13:30:00Z']
	])('half past one in %s is the instant %s', (zone, instant) => {
		const [event] = eventsOf(write(['a'], zone));
		expect(event?.startDate.toString()).toBe(instant);
		expect(event?.duration.toSeconds()).toBe(600);
	});

	it('knows summer time of the day itself, not of the day it is made', () => {
		const shots = jobOf(['a']).shots.map((one) => ({ ...one, startsAt: '2026-12-01T13:30' }));
		const text = writeCalendar(jobOf([], { shots }), 'Europe/Paris', () => '', MADE_AT);
		expect(eventsOf(text)[0]?.startDate.toString()).toBe('2026-12-01T12:30:00Z');
	});

	it('has lines of at most 75 octets that end in CRLF, RFC 5545 section 3.1', () => {
		const lines = write(['さくら'.repeat(40), 'x'.repeat(120)]).split('\r\n');
		expect(lines.at(-1)).toBe('');
		for (const line of lines) {
			expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
			expect(line).not.toMatch(/[\r\n\uFFFD]/);
		}
	});

	it('of an empty day is still a calendar', () => {
		expect(eventsOf(write([]))).toEqual([]);
	});
});

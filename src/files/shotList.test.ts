import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { HARD_TEXTS, jobOf, titled } from '$tests/support/jobs';
import { readShotList } from './in/shotList';
import { writeShotList } from './out/shotList';
import { harmless, restored } from './shotListCells';

describe('cells that a spreadsheet would run', () => {
	// common practice, no source: what begins a formula in spreadsheets
	it.each(['=1+1', '+1', '-1', '@SUM(A1)', '\t=1', '\r=1', '＝1+1', "'=1", "''=1"])(
		'%j is made harmless, and comes back',
		(cell) => {
			expect(harmless(cell)).toMatch(/^'/);
			expect(restored(harmless(cell))).toBe(cell);
		}
	);

	it.each(['Noor', "'tis", '1 + 1', '', "''"])('%j is left alone', (cell) => {
		expect(harmless(cell)).toBe(cell);
		expect(restored(cell)).toBe(cell);
	});
});

describe('cells that a spreadsheet parts elsewhere', () => {
	const cells = ['a;=1+1', 'a,+1', 'a\t@x', 'a\n=1', 'a; "=1"', "a;'=1", ';;=1', '=a;=b'];

	it.each(cells)(
		'%j runs nothing at a comma, a semicolon, a tab or a line, and comes back',
		(cell) => {
			for (const part of harmless(cell).split(/[,;\t\r\n]/)) {
				expect(part.trim().replace(/^"/, '')).not.toMatch(/^[=+\-@]/);
			}
			expect(restored(harmless(cell))).toBe(cell);
		}
	);

	it.each(['Noor; Teo', '5-6 people', 'a = b'])('%j is left alone', (cell) => {
		expect(harmless(cell)).toBe(cell);
	});
});

describe('a table as other people’s spreadsheets write it', () => {
	const rows = (text: string, date?: string) => {
		const reading = readShotList(text, date);
		return reading.ok ? reading.rows : reading.problems.map(({ message }) => message);
	};

	it('says what parts its cells, and has dates as they are written there', () => {
		const text = 'sep=;\r\nTitle;Starts\r\nThe toast;26.09.2026 9:05\r\nRings;9/26/2026 2:30 pm';
		expect(rows(text)).toEqual([
			{ title: 'The toast', startsAt: '2026-09-26T09:05' },
			{ title: 'Rings', startsAt: '2026-09-26T14:30' }
		]);
	});

	it('a time alone is of the day that is open; which is the month is asked', () => {
		expect(rows('title,starts\nToast,9:05', '2026-09-26')).toEqual([
			{ title: 'Toast', startsAt: '2026-09-26T09:05' }
		]);
		expect(rows('title,starts\nToast,9/5/2026 9:05')[0]).toMatch(/2026-05-09 or 2026-09-05/);
	});
});

describe('the shot list', () => {
	const titles = [...HARD_TEXTS, '=HYPERLINK("x")', '-5 degrees'];
	const job = jobOf(titles);
	const text = writeShotList(job);

	it('has the form of RFC 4180: lines end in CRLF, quotes are doubled', () => {
		expect(text.endsWith('\r\n')).toBe(true);
		expect(text).toContain('"O\'Neil, ""the elder""\nsecond line"');
	});

	it('is read back cell by cell by a CSV library', () => {
		const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
			skipEmptyLines: true
		});
		expect(errors).toEqual([]);
		expect(data).toHaveLength(titles.length + 1);
		const column = data[0]?.indexOf('title') ?? -1;
		expect(data.slice(1, HARD_TEXTS.length + 1).map((row) => row[column])).toEqual(HARD_TEXTS);
		expect(data.slice(-2).map((row) => row[column])).toEqual(['\'=HYPERLINK("x")', "'-5 degrees"]);
	});

	it('comes back as it went out', () => {
		const reading = readShotList(text);
		expect(reading.ok && reading.rows.map(({ title }) => title)).toEqual(titles);
		expect(reading.ok && reading.rows[0]).toMatchObject({
			id: 'shot-1',
			startsAt: '2026-09-26T13:30',
			minutes: 10,
			place: 'steps',
			status: 'planned',
			people: ['Noor']
		});
	});

	it('names people side by side', () => {
		const two = jobOf(['a']).shots.map((one) => ({ ...one, shot: titled('a', ['Noor', 'Teo']) }));
		const reading = readShotList(writeShotList(jobOf([], { shots: two })));
		expect(reading.ok && reading.rows[0]?.people).toEqual(['Noor', 'Teo']);
	});

	it('needs no more than a title', () => {
		const reading = readShotList('Title\nThe couple\n');
		expect(reading.ok && reading.rows).toEqual([{ title: 'The couple' }]);
	});

	it.each([
		['no title', 'when,what\n1,2\n', /no column called “title”/],
		['a bad time', 'title,starts\na,tomorrow\n', /not right/],
		['a bad status', 'title,status\na,lost\n', /not right/],
		['too many rows', 'title\n' + 'a\n'.repeat(1200), /more than 1000 rows/]
	])('with %s is refused in words', (_, table, message) => {
		const reading = readShotList(table);
		expect(reading.ok).toBe(false);
		expect(!reading.ok && reading.message).toMatch(message);
	});

	it('says in which line something is wrong', () => {
		const reading = readShotList('title,minutes\na,10\nb,soon\n');
		expect(!reading.ok && reading.problems).toEqual([
			{ path: 'line 3', message: 'the minutes must be a number' }
		]);
	});
});

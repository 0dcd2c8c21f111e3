import { describe, expect, it } from 'vitest';
import { HARD_TEXTS, jobOf } from '$tests/support/jobs';
import { readFileText, backupPieces, writeJobText, type Backup } from './openedFile';
import { writeShotText } from './shotFile';

const job = jobOf(HARD_TEXTS);
const [dayShot] = job.shots;
if (!dayShot) throw new Error('no shot');

/** What a file is refused with; null when it is taken. */
function refusalOf(value: unknown): string | null {
	const reading = readFileText(typeof value === 'string' ? value : JSON.stringify(value));
	if (reading.ok) return null;
	const [first] = reading.problems;
	return [reading.message, first ? `${first.path}: ${first.message}` : '']
		.filter(Boolean)
		.join(' ');
}

describe('a file of ours', () => {
	it('that is a job comes back as it went out', () => {
		const reading = readFileText(writeJobText(job));
		expect(reading).toEqual({
			ok: true,
			opened: { kind: 'jobs', jobs: [job], kit: job.kit, spreads: null, exercises: [], said: [] }
		});
	});

	it('that is a shot is told apart by its format', () => {
		expect(readFileText(writeShotText(dayShot.shot))).toEqual({
			ok: true,
			opened: { kind: 'shot', shot: dayShot.shot }
		});
	});

	it('that is a backup holds every job', () => {
		const backup: Backup = {
			format: 'focalis-backup',
			version: 1,
			kit: job.kit,
			jobs: [job, jobOf(['b'], { title: 'Another day' })]
		};
		const reading = readFileText([...backupPieces(backup)].join(''));
		expect(reading.ok && reading.opened.kind === 'jobs' && reading.opened.jobs).toEqual(
			backup.jobs
		);
	});

	it('may have a byte order mark', () => {
		expect(refusalOf('\uFEFF' + writeJobText(job))).toBeNull();
	});
});

const withShot = (change: object) => ({ ...job, shots: [{ ...dayShot, ...change }] });

describe('a hostile file is refused in words', () => {
	it.each<[string, unknown, RegExp]>([
		['no JSON', '{"format": "focalis-job"', /damaged/],
		['a list', [], /not one of Focalis/],
		['nothing', 'null', /not one of Focalis/],
		['another format', { format: 'focalis-film' }, /not one of Focalis/],
		['a newer job', { ...job, version: 2 }, /newer Focalis/],
		['a million shots', { ...job, shots: Array(1_000_000).fill({}) }, /1,000,000 entries/],
		[
			'a million jobs',
			{ format: 'focalis-backup', version: 1, jobs: Array(1_000_000).fill(0) },
			/1,000,000 entries/
		],
		[
			'very many keys',
			{
				format: 'focalis-job',
				...Object.fromEntries(Array.from({ length: 5000 }, (_, i) => [`k${i}`, 1]))
			},
			/5,00\d entries/
		],
		[
			'deep nesting',
			`{"format":"focalis-job","shots":${'['.repeat(50_000)}${']'.repeat(50_000)}}`,
			/nested deeper/
		],
		['shots that are none', { ...job, shots: 'many' }, /shots: the shots must be a list/],
		['a wrong date', { ...job, date: '2026-02-30' }, /date: the date must be a date/],
		[
			'a time zone that is none',
			{ ...job, timeZone: 'Europe/Nowhere' },
			/timeZone: the time zone is not known here/
		],
		['a wrong time', withShot({ startsAt: 'noon' }), /shots\.0\.startsAt: the start/],
		['a wrong status', withShot({ status: 'lost' }), /shots\.0\.status: the status must be one of/],
		['a number for a title', { ...job, title: 7 }, /title: the title must be text/],
		['an unknown key', { ...job, owner: 'me' }, /owner: the job has something unknown/],
		[
			'two shots of one id',
			{ ...job, shots: [dayShot, dayShot] },
			/shots\.1\.id: “shot-1” is there twice/
		],
		[
			'a bad shot inside',
			withShot({ shot: { ...dayShot.shot, people: [{ id: 'x' }] } }),
			/shots\.0\.shot\.people\.0/
		],
		['a prototype key', `{"__proto__": {}, ${JSON.stringify(job).slice(1)}`, /unknown|not right/],
		[
			'a prototype key in a shot',
			JSON.stringify(job).replace('"place":"steps"', '"place":"steps","constructor":{}'),
			/shots\.0\.constructor/
		]
	])('%s', (_, value, message) => {
		expect(refusalOf(value)).toMatch(message);
	});

	it('with a thousand bad shots of a thousand bad people tells the first fifty problems', () => {
		const bad = { ...dayShot, shot: { ...dayShot.shot, people: Array(1000).fill({}) } };
		const text = JSON.stringify({ ...job, shots: Array(1000).fill(bad) });
		const reading = readFileText(text);
		expect(!reading.ok && reading.problems).toHaveLength(50);
	});

	it('leaves the prototype of objects as it is', () => {
		readFileText(`{"format":"focalis-job","__proto__":{"isAdmin":true},"title":"a"}`);
		expect(({} as { isAdmin?: boolean }).isAdmin).toBeUndefined();
	});

	it('with script in every text is taken as the text it is', () => {
		const script = '<script>alert(1)</script>';
		const people = [
			{
				id: 'g',
				name: script,
				build: 'adult' as const,
				eyeHeightM: 1.6,
				glasses: false,
				note: script
			}
		];
		const shot = { ...dayShot.shot, title: script, notes: script };
		const hostile = {
			...job,
			title: script,
			place: script,
			notes: script,
			people,
			shots: [{ ...dayShot, place: script, shot }]
		};
		const reading = readFileText(JSON.stringify(hostile));
		expect(reading.ok && reading.opened.kind === 'jobs' && reading.opened.jobs[0]).toEqual(hostile);
	});
});

import { describe, expect, it } from 'vitest';
import { jobOf, titled } from '$tests/support/jobs';
import { NOTHING_WITHHELD, shotWithholding, withholding } from './withheld';

const people = [
	{
		id: 'g1',
		name: 'Ana',
		build: 'adult' as const,
		eyeHeightM: 1.6,
		glasses: false,
		note: 'Ana sits'
	},
	{
		id: 'g2',
		name: 'Ana Lucía',
		build: 'adult' as const,
		eyeHeightM: 1.6,
		glasses: false,
		note: ''
	}
];
const [one] = jobOf(['a']).shots;
const job = jobOf([], {
	title: 'The day of Ana Lucía',
	notes: 'Ring Ana.',
	timeZone: 'Europe/Paris',
	people,
	shots: [
		{
			...one,
			place: 'Ana’s house',
			taken: { note: 'Ana blinked' },
			shot: { ...titled('Ana and Banana', ['Ana', 'Noor (aunt)']), notes: 'Noor (aunt) left' }
		}
	] as typeof one extends undefined ? never : never[]
});

const whole = (value: unknown) => JSON.stringify(value);

describe('what a file for others leaves out', () => {
	it('is nothing unless asked', () => {
		expect(withholding(job, NOTHING_WITHHELD)).toEqual(job);
	});

	it('names: everywhere, whole words only, the longer name first', () => {
		const out = withholding(job, { ...NOTHING_WITHHELD, names: true });
		expect(out.title).toBe('The day of Person 2');
		expect(out.people.map(({ name }) => name)).toEqual(['Person 1', 'Person 2']);
		expect(out.shots[0]?.shot.title).toBe('Person 1 and Banana');
		expect(out.shots[0]?.shot.people.map(({ name }) => name)).toEqual(['Person 1', 'Person 3']);
		expect(out.shots[0]?.shot.notes).toBe('Person 3 left');
		expect(whole(out)).not.toMatch(/\bAna\b|Noor/);
	});

	it('notes', () => {
		const out = withholding(job, { ...NOTHING_WITHHELD, notes: true });
		expect(whole(out)).not.toMatch(/Ring|sits|blinked|left/);
		expect(out.title).toBe(job.title);
	});

	it('places, and the time zone that would tell', () => {
		const out = withholding(job, { ...NOTHING_WITHHELD, places: true });
		expect(whole(out)).not.toMatch(/quay|house|Paris/);
		expect('timeZone' in out).toBe(false);
	});

	it('of one shot', () => {
		const shot = { ...titled('Noor at the window'), notes: 'soft light' };
		const out = shotWithholding(shot, { names: true, notes: true, places: true });
		expect([out.title, out.notes, out.people[0]?.name]).toEqual([
			'Person 1 at the window',
			'',
			'Person 1'
		]);
	});
});

import { describe, expect, it } from 'vitest';
import { ASSUMED } from '$core/tables/spreads';
import { HARD_TEXTS, jobOf, titled } from '$tests/support/jobs';
import { sampleDay } from '$data/sample/sampleDay';
import { dayShotOf } from '$data/jobFile';
import { printedCard } from '../../ui/files/out/printedCards';
import { pocketFile } from './pocket';

const pageOf = (job: ReturnType<typeof jobOf>) =>
	pocketFile(
		job,
		job.shots.map((one) => printedCard(one, ASSUMED, 'm'))
	);

describe('the pocket file', () => {
	it('of twenty shots is under 2 MB', () => {
		const day = sampleDay(0).shots.map(dayShotOf);
		const page = pageOf(jobOf([], { shots: [...day, ...day] }));
		expect(page.match(/<article/g)).toHaveLength(20);
		expect(new TextEncoder().encode(page).length).toBeLessThan(2 * 1024 * 1024);
	});

	it('asks no network and runs nothing', () => {
		const page = pageOf(jobOf(['<script>alert(1)</script>', '"><img src=x onerror=alert(1)>']));
		expect(page).not.toMatch(/<script|<img|<link|https?:|url\(/i);
		expect(page).toContain("default-src 'none'");
		expect(page).toContain('&lt;script&gt;alert(1)&lt;/script&gt;');
	});

	it('holds every text, set apart from the direction of what is around it', () => {
		const page = pageOf(jobOf(HARD_TEXTS));
		for (const title of ['שירה ויונתן', 'ليلى، عمر', 'さくら と 健', 'Νίκη, Ζωή; Άννα']) {
			expect(page).toContain(`<h2><bdi>${title}</bdi></h2>`);
		}
	});

	it('tells what to do when distance and depth turn out different', () => {
		const shot = titled('Two rows', ['Noor', 'Teo', 'Aino', 'Radu']);
		const rows = {
			...shot,
			// an eye, not the plane between, that a fixed choice leaves out
			choices: { ...shot.choices, focus: { personId: shot.people[0]?.id ?? '' } },
			people: shot.people.map((one, i) => ({
				...one,
				row: i < 2 ? 1 : 2,
				eyeMidpoint: { x: i % 2 ? 0.3 : -0.3, y: i < 2 ? 1.2 : 1.6, z: i < 2 ? 4 : 5 }
			}))
		};
		const [one] = jobOf(['a']).shots;
		const { different } = printedCard({ ...one, shot: rows } as never, ASSUMED, 'm');
		expect(different?.distances.length).toBeGreaterThanOrEqual(4);
		expect(different?.rows.map(({ depth }) => depth)).toEqual(['50 cm', '1 m', '1.5 m', '2 m']);
		const stop = (text = '') => Number(text.replace('f/', ''));
		// a deeper group needs a smaller opening, one farther away a larger: depth of field, any handbook
		for (const { outlooks } of different?.rows ?? []) {
			const held = outlooks.filter(({ feasible }) => feasible).map(({ fNumber }) => stop(fNumber));
			expect(held).toEqual(held.toSorted((a, b) => b - a));
		}
		const farthest = different?.rows.map(({ outlooks }) => stop(outlooks.at(-1)?.fNumber)) ?? [];
		expect(farthest).toEqual(farthest.toSorted((a, b) => a - b));
	});

	it('says of a shot without anybody that nothing is meant to be sharp', () => {
		const [one] = jobOf(['Empty']).shots;
		const empty = { ...one, shot: titled('Empty', []) } as never;
		expect(pageOf(jobOf([], { shots: [empty] }))).toContain('Nothing in it is meant to be sharp.');
	});
});

import type { JobFile } from '$core/format/job';
import type { Shot } from '$core/format/shot';
import { ahead, shotOf } from './shots';

/** Names and words that files must carry unharmed: scripts, directions, signs of other formats. */
export const HARD_TEXTS = [
	'Ægir & Søren <b>"Øyvind"</b>',
	'Νίκη, Ζωή; Άννα',
	'Раду\\Борис',
	'Nguyễn Thị Ánh',
	'שירה ויונתן',
	'ليلى، عمر',
	'さくら と 健',
	'🎺👨‍👩‍👧 family',
	'O\'Neil, "the elder"\nsecond line'
] as const;

/** A job with a shot for each title, a quarter of an hour apart from half past one on. */
export function jobOf(titles: readonly string[], more: Partial<JobFile> = {}): JobFile {
	return {
		format: 'focalis-job',
		version: 1,
		title: 'A day',
		date: '2026-09-26',
		place: 'the quay',
		notes: '',
		people: [],
		kit: { bodies: [], lenses: [] },
		shots: titles.map((title, i) => ({
			id: `shot-${i + 1}`,
			startsAt: `2026-09-26T${13 + Math.floor((30 + 15 * i) / 60)}:${`${(30 + 15 * i) % 60}`.padStart(2, '0')}`,
			minutes: 10,
			status: 'planned',
			place: 'steps',
			shot: titled(title)
		})),
		...more
	};
}

/** A portrait under a title. */
export const titled = (title: string, names: readonly string[] = ['Noor']): Shot => ({
	...shotOf({ people: names.map((name, i) => ahead(name, 3 + 0.5 * i)) }),
	title
});

import type { Guest } from '$core/format/job';
import type { Job, ShotRecord } from '../store/database';
import { CROWD } from './sampleGroups';
import { SAMPLE_SHOTS, shotOf } from './sampleShots';

/** The sample day as a job: its date, its places, its people, and who of them wears glasses. */

const DATE = '2026-09-26';

/** On the list, and in no shot yet. */
const LATECOMERS = ['Wojtek', 'Solveig'];
const GLASSES: ReadonlySet<string> = new Set(['Keiko', 'Radu', 'Halina', 'Jonas', 'Solveig']);
const NOTES: Readonly<Record<string, string>> = {
	Halina: 'Cannot stand for long.',
	Wojtek: 'Comes with the late ferry.'
};

/** Everybody of the day: first those of the crowd, then who is in other shots, then the latecomers. */
function guests(): Guest[] {
	const placed = SAMPLE_SHOTS.flatMap(({ people }) => people);
	const names = [...new Set([...CROWD, ...placed.map(({ name }) => name), ...LATECOMERS])];
	return names.map((name, i) => {
		const { build = 'adult' } =
			placed.find((one) => one.name === name && one.build !== 'adult') ?? {};
		const eyeHeightM = {
			adult: 1.54 + 0.03 * (i % 6),
			child: 0.98,
			infant: 0.7,
			cat: 0.25,
			dog: 0.55
		};
		return {
			id: `guest-${i + 1}`,
			name,
			build,
			eyeHeightM: Number(eyeHeightM[build].toFixed(2)),
			glasses: GLASSES.has(name),
			note: NOTES[name] ?? ''
		};
	});
}

/** The sample day as a new job: every id is fresh, so it never meets anything of the user's. */
export function sampleDay(now: number): { job: Job; shots: ShotRecord[] } {
	const job: Job = {
		id: crypto.randomUUID(),
		title: 'Rope works wedding',
		date: DATE,
		place: 'The old rope works on the harbour',
		notes: 'Late September: the sun is low from five, and gone by half past six.',
		people: guests(),
		createdAt: now,
		isSample: true,
		revision: 0
	};
	const shots = SAMPLE_SHOTS.map((sketch, position) => ({
		id: crypto.randomUUID(),
		revision: 0,
		cursor: 0,
		shot: shotOf(sketch),
		slot: {
			jobId: job.id,
			startsAt: `${DATE}T${sketch.at}`,
			minutes: sketch.minutes,
			status: 'planned' as const,
			place: sketch.where,
			position,
			isRemoved: false,
			revision: 0
		}
	}));
	return { job, shots };
}

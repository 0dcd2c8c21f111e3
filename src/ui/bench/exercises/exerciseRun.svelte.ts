import { type ExerciseName } from '$core/format/exerciseLog';
import { OBJECTS } from '$core/exercises/exercise';
import { exerciseRolls, type ExerciseGear } from '../../../practice/exerciseRolls';
import { thingsInPicture } from '../../../practice/exerciseScenes';
import type { PointedAt } from '../../../photograph/follow';
import type { Session } from '../../keeping/session.svelte';
import type { FrameIntake } from '../../frames/frameIntake.svelte';
import type { IntakeFile } from '../../frames/intakeFile';
import { intakeFor } from '../../frames/intakes.svelte';
import { LongWork } from '../../working/longWork.svelte';
import type { PassedOver } from '../parts/bench.svelte';
import { shootRolls } from '../parts/shootRolls';

/** Exercises in which objects are pointed at, since they have no faces to be found by. */
export const HAS_OBJECTS: Readonly<Record<ExerciseName, boolean>> = {
	'three-objects': true,
	'aperture-ladder': true,
	'eyes-then-nose': false,
	'four-edges': false
};

/** Half the side of the patch around a tapped object: as a share of the picture’s width, and in px. */
const REACH_SHARE = 0.045;
const LEAST_REACH_PX = 32;
/** What is larger is measured in a picture made smaller. */
const MOST_REACH_PX = 126;

/** One exercise: its frames, shot or chosen, and what was pointed at in them. What was measured is kept. */
export class ExerciseRun {
	readonly exercise: ExerciseName;
	readonly home: FrameIntake;
	/** Shooting. */
	readonly work = new LongWork();

	constructor(exercise: ExerciseName, session: Session) {
		this.exercise = exercise;
		this.home = intakeFor(session, `exercise ${exercise}`);
	}

	/** Those that are measured, as they were taken. */
	readonly files = $derived.by((): readonly IntakeFile[] =>
		this.home.files
			.filter(({ measured }) => measured)
			.toSorted((a, b) => (a.measured?.localMs ?? 0) - (b.measured?.localMs ?? 0))
	);
	readonly passedOver = $derived.by((): readonly PassedOver[] =>
		this.home.files.flatMap(({ name, problem }) => (problem ? [{ name, words: problem }] : []))
	);
	readonly isPractice = $derived.by(() =>
		this.files.some(({ measured }) => measured?.facts.isPractice)
	);

	/** The object that is to be pointed at next; null when all are, or there are none. */
	readonly nextObject = $derived.by((): (typeof OBJECTS)[number] | null => {
		if (!HAS_OBJECTS[this.exercise] || this.files.length === 0) return null;
		const known = this.files.flatMap(({ measured }) => measured?.pointed.map(({ id }) => id) ?? []);
		return OBJECTS.find((id) => !known.includes(id)) ?? null;
	});

	open(files: readonly File[]): void {
		this.home.open(files);
	}

	clear(): void {
		this.stop();
		this.home.forget(this.home.files.map(({ id }) => id));
	}

	/** Whatever is going on. */
	stop(): void {
		this.work.stop();
		this.home.pause();
		this.home.following.stop();
	}

	/** Has the practice camera do the whole exercise. */
	async shoot(gear: ExerciseGear): Promise<void> {
		this.clear();
		await this.work.run(async (signal) => {
			const rolls = exerciseRolls(this.exercise, gear);
			await shootRolls(
				rolls,
				signal,
				(share) => (this.work.share = share),
				({ jpeg, name }) => this.open([new File([jpeg], name, { type: 'image/jpeg' })])
			);
			await this.home.measure();
			const [first] = this.files;
			const shot = rolls[0]?.shot;
			if (!HAS_OBJECTS[this.exercise] || !first?.measured || !shot) return;
			const { widthPx, heightPx } = first.measured;
			for (const place of thingsInPicture(shot, widthPx, heightPx)) {
				if (!signal.aborted) await this.#begin(first, place);
			}
			await this.home.following.look();
		});
	}

	/** Points at the next object in one of the frames: px from its top left. */
	async point(file: IntakeFile, x: number, y: number): Promise<void> {
		const id = this.nextObject;
		if (!id || !file.measured) return;
		const wantedPx = REACH_SHARE * file.measured.widthPx;
		const reachPx = Math.min(MOST_REACH_PX, Math.max(LEAST_REACH_PX, wantedPx));
		await this.#begin(file, { id, x, y, reachPx });
	}

	#begin(file: IntakeFile, pointing: PointedAt): Promise<void> {
		return this.home.following.begin(file, pointing, () => this.home.files);
	}

	/** Forgets what was pointed at. */
	unpoint(): void {
		for (const object of OBJECTS) this.home.unpoint(object);
	}
}

const runs = new WeakMap<Session, Partial<Record<ExerciseName, ExerciseRun>>>();

/** The exercise as it stands, while this window is open; asked while a component is made. */
export function runOf(exercise: ExerciseName, session: Session): ExerciseRun {
	const known = runs.get(session) ?? {};
	runs.set(session, known);
	let run = known[exercise];
	if (!run) {
		// it outlives the component that asks for it
		$effect.root(() => {
			run = new ExerciseRun(exercise, session);
		});
		run = run as unknown as ExerciseRun;
		known[exercise] = run;
	}
	return run;
}

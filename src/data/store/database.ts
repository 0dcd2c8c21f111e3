import Dexie, { type EntityTable, type Table } from 'dexie';
import { z } from 'zod';
import { JOB_SHAPE, SLOT_SHAPE } from '$core/format/job';
import type { ExerciseRecord } from '$core/format/exerciseLog';
import { SpreadsSchema } from '$core/format/odds';
import { SPREAD_KEYS } from '$core/tables/spreads';
import {
	isUnsaid,
	JudgementSchema,
	MeasuredFrameSchema,
	type Judgement
} from '$core/format/review';
import { BodySchema, LensSchema } from '$core/format/gear';
import { LensNotesSchema } from '$core/format/lensNotes';
import { MeasuredSharpnessSchema } from '$core/format/sharpness';
import { ShotSchema } from '$core/format/shot';
import { BODIES, LENSES } from '../kit';
import { withDays, type JobOf2, type ShotOf2 } from './upgrade';

/** What the browser's database holds, and how it came to be so. */

export const JobSchema = z.strictObject({
	id: z.string(),
	...JOB_SHAPE,
	// one that this device does not know is as good as none
	timeZone: JOB_SHAPE.timeZone.catch(undefined),
	createdAt: z.number(),
	/** Made from the sample day. */
	isSample: z.boolean(),
	/** Counts every change. */
	revision: z.number()
});

/** A shot's place in its day, apart from the shot itself, so that neither's changes meet the other's. */
export const SlotSchema = z.strictObject({
	jobId: z.string(),
	...SLOT_SHAPE,
	/** Order among shots that start at the same time. */
	position: z.number(),
	/** Taken out by the user; kept so that it can come back. */
	isRemoved: z.boolean(),
	/** Counts every change. */
	revision: z.number()
});

export const ShotRecordSchema = z.strictObject({
	id: z.string(),
	/** Counts every save of the shot, so that two windows notice each other. */
	revision: z.number(),
	/** Number of the present step of its history. */
	cursor: z.number(),
	shot: ShotSchema,
	slot: SlotSchema
});

export const StepSchema = z.strictObject({
	shotId: z.string(),
	step: z.number(),
	gesture: z.string(),
	shot: ShotSchema
});

/** A body or lens of the kit; `position` is its place in the list. */
export const KitBodySchema = z.strictObject({
	id: z.string(),
	position: z.number(),
	/** Counts every change. */
	revision: z.number(),
	body: BodySchema
});
export const KitLensSchema = z.strictObject({
	id: z.string(),
	position: z.number(),
	/** Counts every change. */
	revision: z.number(),
	/** Name of the body it is built into; null for one that can be changed. */
	onlyOn: z.string().nullable(),
	lens: LensSchema,
	/** As it was measured on the bench. */
	sharpness: MeasuredSharpnessSchema.optional(),
	/** What is said of it while a lens is being chosen. */
	notes: LensNotesSchema.optional(),
	/** Only weighed against others: one does not have it, and no shot is taken with it. */
	isWanted: z.literal(true).optional()
});

/** How much one's own hands and focusing spread; there is one record of it at most. */
export const MySpreadsSchema = z.strictObject({
	id: z.literal('mine'),
	/** Counts every change. */
	revision: z.number(),
	/** Null while they are the assumptions. */
	spreads: SpreadsSchema.nullable(),
	/** Frames that stand behind those that were measured. */
	measured: z.partialRecord(z.enum(SPREAD_KEYS), z.int().positive()).optional()
});
export type MySpreads = z.infer<typeof MySpreadsSchema>;

export type Job = z.infer<typeof JobSchema>;
export type Slot = z.infer<typeof SlotSchema>;
/** A job that was erased: nothing of it but its id, so that no window brings it back. */
export interface Erased {
	id: string;
}
export type ShotRecord = z.infer<typeof ShotRecordSchema>;
export type StepRecord = z.infer<typeof StepSchema>;
export type KitBody = z.infer<typeof KitBodySchema>;
export type KitLens = z.infer<typeof KitLensSchema>;

/** The photograph that a shot's stage was made from, kept because somebody asked for it; no part of the shot. */
export interface PhotographRecord {
	/** Of the shot. */
	id: string;
	jpeg: Blob;
}

/** A photograph that came home: what was measured of it and what was said of it, never the picture. */
export const FrameRecordSchema = z.strictObject({
	/** Id of the job, then name, size and time of the file: these identify a frame. */
	id: z.string(),
	jobId: z.string(),
	measured: MeasuredFrameSchema,
	judgement: JudgementSchema
});
export type FrameRecord = z.infer<typeof FrameRecordSchema>;

/**
 * What was said of a frame, by its id: also of one that this device has not seen, of which a backup tells. It stands with the
 * frame, too, always written with it: a backup must not read all that was measured.
 */
export interface SaidRecord {
	readonly id: string;
	readonly jobId: string;
	readonly judgement: Judgement;
}

/** The folder that backups go to by themselves. */
export interface BackupFolder {
	readonly id: 'mine';
	readonly folder: FileSystemDirectoryHandle;
	/** Stands in the names of the files: other devices may write into the same folder. */
	readonly mark: string;
}

/** A folder that frames of a job were read from. */
export interface FrameFolder {
	readonly id: number;
	readonly jobId: string;
	readonly folder: FileSystemDirectoryHandle;
}

/** The tables whose changes are told to other windows. */
export type BroadcastTable = 'jobs' | 'shots' | 'bodies' | 'lenses' | 'spreads' | 'erased';
/** Something that changed, and which window did it. */
export interface ChangeNote {
	readonly seq?: number;
	readonly table: BroadcastTable;
	readonly id: string;
	readonly by: string;
}

/** The presets as a kit: what a new database begins with. */
export const presetBodies = (): KitBody[] =>
	Object.entries(BODIES).map(([id, body], position) => ({ id, position, revision: 0, body }));
export const presetLenses = (): KitLens[] =>
	Object.entries(LENSES).map(([id, lens], position) => ({
		id,
		position,
		revision: 0,
		onlyOn: id === 'phone' ? BODIES.phone.name : null,
		lens
	}));

/** The present version; Dexie counts in tens. */
const SCHEMA_VERSION = 10;

/** Whether the browser’s database of this name was made by a newer Focalis, whose records mean other things. */
export async function isNewer(name: string): Promise<boolean> {
	// missing in some browsers: then nothing is known
	const there = (await indexedDB.databases?.()) ?? [];
	return there.some((one) => one.name === name && (one.version ?? 0) > 10 * SCHEMA_VERSION);
}

export class Database extends Dexie {
	readonly jobs!: EntityTable<Job, 'id'>;
	readonly shots!: EntityTable<ShotRecord, 'id'>;
	readonly steps!: Table<StepRecord, [string, number]>;
	readonly bodies!: EntityTable<KitBody, 'id'>;
	readonly lenses!: EntityTable<KitLens, 'id'>;
	readonly spreads!: EntityTable<MySpreads, 'id'>;
	readonly erased!: EntityTable<Erased, 'id'>;
	readonly changes!: Table<ChangeNote, number>;
	readonly photographs!: EntityTable<PhotographRecord, 'id'>;
	readonly frames!: EntityTable<FrameRecord, 'id'>;
	readonly said!: EntityTable<SaidRecord, 'id'>;
	readonly exercises!: EntityTable<ExerciseRecord, 'id'>;
	readonly backupFolders!: EntityTable<BackupFolder, 'id'>;
	readonly frameFolders!: EntityTable<FrameFolder, 'id'>;

	constructor(name: string) {
		// what is said to be kept outlives a power cut, too
		super(name, { chromeTransactionDurability: 'strict' });
		this.version(1).stores({ jobs: 'id', shots: 'id, jobId', steps: '[shotId+step], shotId' });
		// 2: the kit, and one's own spreads
		this.version(2)
			.stores({ bodies: 'id', lenses: 'id', spreads: 'id' })
			.upgrade(async (transaction) => {
				await transaction.table('bodies').bulkAdd(presetBodies());
				await transaction.table('lenses').bulkAdd(presetLenses());
			});
		// 3: the day: dates and times, people, what was taken
		this.version(3)
			.stores({ shots: 'id, slot.jobId', erased: 'id' })
			.upgrade(async (transaction) => {
				const jobs = transaction.table<JobOf2 | Job>('jobs');
				const shots = transaction.table<ShotOf2 | ShotRecord>('shots');
				const { jobsOf3, shotsOf3 } = withDays(
					(await jobs.toArray()) as JobOf2[],
					(await shots.toArray()) as ShotOf2[]
				);
				await jobs.bulkPut(jobsOf3);
				await shots.bulkPut(shotsOf3);
			});
		// 4: revisions of the kit, and a log of changes, so that windows read only what changed
		this.version(4)
			.stores({ changes: '++seq' })
			.upgrade(async (transaction) => {
				for (const table of ['bodies', 'lenses', 'spreads']) {
					await transaction.table(table).toCollection().modify({ revision: 0 });
				}
			});
		// 5: photographs that stages were made from
		this.version(5).stores({ photographs: 'id' });
		// 6: what was measured of frames that came home
		this.version(6).stores({ frames: 'id, jobId' });
		// 7: a log of what was practised
		this.version(7).stores({ exercises: 'id' });
		// 8: where backups go by themselves
		this.version(8).stores({ backupFolders: 'id' });
		// 9: what was said of frames, apart from what was measured of them
		this.version(9)
			.stores({ said: 'id, jobId' })
			.upgrade(async (transaction) => {
				const said: SaidRecord[] = [];
				await transaction.table<FrameRecord>('frames').each(({ id, jobId, judgement }) => {
					if (!isUnsaid(judgement)) said.push({ id, jobId, judgement });
				});
				await transaction.table('said').bulkPut(said);
			});
		// 10: the folders that frames were read from
		this.version(SCHEMA_VERSION).stores({ frameFolders: '++id, jobId' });
		this.on('populate', (transaction) => {
			void transaction.table('bodies').bulkAdd(presetBodies());
			void transaction.table('lenses').bulkAdd(presetLenses());
		});
	}
}

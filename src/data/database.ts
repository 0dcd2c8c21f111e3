import Dexie, { type EntityTable, type Table } from 'dexie';
import { z } from 'zod';
import { SpreadsSchema } from '$core/format/odds';
import { BodySchema, LensSchema, ShotSchema } from '$core/format/shot';
import { BODIES, LENSES } from './kit';

/** What the browser's database holds, and how it came to be so. */

export const JobSchema = z.strictObject({
	id: z.string(),
	title: z.string(),
	createdAt: z.number(),
	/** Made from the sample day. */
	isSample: z.boolean()
});

export const ShotRecordSchema = z.strictObject({
	id: z.string(),
	jobId: z.string(),
	/** Order within the job. */
	position: z.number(),
	/** Counts every save, so that two windows notice each other. */
	revision: z.number(),
	/** Number of the present step of its history. */
	cursor: z.number(),
	/** Taken out by the user; kept so that it can come back. */
	isRemoved: z.boolean(),
	shot: ShotSchema
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
	body: BodySchema
});
export const KitLensSchema = z.strictObject({
	id: z.string(),
	position: z.number(),
	/** Name of the body it is built into; null for one that can be changed. */
	onlyOn: z.string().nullable(),
	lens: LensSchema
});

/** How much one's own hands and focusing spread; there is one record of it at most. */
export const MySpreadsSchema = z.strictObject({ id: z.literal('mine'), spreads: SpreadsSchema });
export type MySpreads = z.infer<typeof MySpreadsSchema>;

export type Job = z.infer<typeof JobSchema>;
export type ShotRecord = z.infer<typeof ShotRecordSchema>;
export type StepRecord = z.infer<typeof StepSchema>;
export type KitBody = z.infer<typeof KitBodySchema>;
export type KitLens = z.infer<typeof KitLensSchema>;

/** The presets as a kit: what a new database begins with. */
export const presetBodies = (): KitBody[] =>
	Object.entries(BODIES).map(([id, body], position) => ({ id, position, body }));
export const presetLenses = (): KitLens[] =>
	Object.entries(LENSES).map(([id, lens], position) => ({
		id,
		position,
		onlyOn: id === 'phone' ? BODIES.phone.name : null,
		lens
	}));

export class Database extends Dexie {
	readonly jobs!: EntityTable<Job, 'id'>;
	readonly shots!: EntityTable<ShotRecord, 'id'>;
	readonly steps!: Table<StepRecord, [string, number]>;
	readonly bodies!: EntityTable<KitBody, 'id'>;
	readonly lenses!: EntityTable<KitLens, 'id'>;
	readonly spreads!: EntityTable<MySpreads, 'id'>;

	constructor(name: string) {
		super(name);
		this.version(1).stores({ jobs: 'id', shots: 'id, jobId', steps: '[shotId+step], shotId' });
		// 2: the kit, and one's own spreads
		this.version(2)
			.stores({ bodies: 'id', lenses: 'id', spreads: 'id' })
			.upgrade(async (transaction) => {
				await transaction.table('bodies').bulkAdd(presetBodies());
				await transaction.table('lenses').bulkAdd(presetLenses());
			});
		this.on('populate', (transaction) => {
			void transaction.table('bodies').bulkAdd(presetBodies());
			void transaction.table('lenses').bulkAdd(presetLenses());
		});
	}
}

import { z } from 'zod';
import { number, record, text } from './fields';

/** What is said of a lens while one is being chosen; kept with it in the kit. */

const words = (label: string) => text(label, 0, 400).default('');

export const LensNotesSchema = record('what is said of the lens', {
	weightG: number('the weight', 1, 30_000, 'g').optional(),
	/** In whatever money it is asked for. */
	price: number('the price', 0, 10_000_000).optional(),
	praise: words('the praise'),
	complaints: words('the complaints'),
	/** One of those that are left to choose from. */
	isShortlisted: z.boolean({ error: 'shortlisted must be yes or no' }).default(false)
});
export type LensNotes = z.output<typeof LensNotesSchema>;
export const NO_NOTES: LensNotes = LensNotesSchema.parse({});

/** More cannot be weighed against each other. */
export const MOST_SHORTLISTED = 3;

import type { Judgement, MeasuredFrame } from '$core/format/review';

/** A file that came home: what is known of it so far. */
export interface IntakeFile {
	readonly id: string;
	readonly name: string;
	/** Null for one that was measured before and not chosen again since. */
	readonly file: File | null;
	readonly measured: MeasuredFrame | null;
	readonly judgement: Judgement;
	/** Why it is passed over, in words; empty when it is not. */
	readonly problem: string;
}

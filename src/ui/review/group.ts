import type { Shot } from '$core/format/shot';
import type { ReviewedFrame } from '$core/review/reviewSet';
import type { HomeFile } from './homecoming.svelte';

/** The frames of one shot of the day, or those apart from all. */
export interface Group {
	/** Id of the shot; `APART` for the others. */
	readonly id: string;
	readonly title: string;
	readonly shot: Shot | null;
	readonly files: readonly HomeFile[];
}

/** A frame of the open group that was measured, and how it was judged. */
export interface Judged {
	readonly file: HomeFile;
	readonly reviewed: ReviewedFrame;
	/** Place in the set. */
	readonly index: number;
}

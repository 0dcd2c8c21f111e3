import type { MeasuredFrame } from '$core/format/review';
import type { Shot } from '$core/format/shot';
import type { ReviewedFrame, ReviewedSet } from '$core/review/reviewSet';
import type { IntakeFile } from '../../frames/intakeFile';

/** The frames of one shot of the day, or those apart from all. */
export interface Group {
	/** Id of the shot; `APART` for the others. */
	readonly id: string;
	readonly title: string;
	readonly shot: Shot | null;
	readonly files: readonly IntakeFile[];
}

/** A frame of the open group that was measured, and how it was judged. */
export interface Judged {
	readonly file: IntakeFile;
	readonly reviewed: ReviewedFrame;
	/** Place in the set. */
	readonly index: number;
}

export const NONE_JUDGED: ReadonlyMap<string, Judged> = new Map();

/** Whether nothing happened to a group. */
export const isSameGroup = (a: Group, b: Group): boolean =>
	a.id === b.id &&
	a.title === b.title &&
	a.shot === b.shot &&
	a.files.length === b.files.length &&
	a.files.every((file, i) => file === b.files[i]);

/**
 * The files of a group that its set knows, which may be of a moment ago, by their ids.
 * @param before what was known: it stays the same where nothing changed, so that nothing is drawn again
 */
export function judgedIn(
	{ files }: Group,
	set: ReviewedSet | null | undefined,
	before = NONE_JUDGED
): ReadonlyMap<string, Judged> {
	const frames = set?.frames ?? [];
	const keyOf = ({ name, localMs }: MeasuredFrame) => `${localMs} ${name}`;
	const places = new Map(frames.map(({ frame }, index) => [keyOf(frame), index]));
	const judged = new Map<string, Judged>();
	for (const file of files) {
		const index = file.measured ? places.get(keyOf(file.measured)) : undefined;
		const reviewed = index === undefined ? undefined : frames[index];
		if (!reviewed || index === undefined) continue;
		const known = before.get(file.id);
		const isSame = known?.file === file && known.reviewed === reviewed;
		judged.set(file.id, isSame ? known : { file, reviewed, index });
	}
	const isAsBefore =
		judged.size === before.size && [...judged].every(([id, one]) => before.get(id) === one);
	return isAsBefore ? before : judged;
}

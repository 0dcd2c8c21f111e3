import { outText as say } from '$words/screens/review/out';
import { commonText as common } from '$words/screens/common';
import { blurPx } from '$core/measure/spread';
import { nominalFNumber } from '$core/optics/fNumber';
import { FACE_PARTS } from '$core/review/measuredPerson';
import { framesCsv, type FrameRow } from '$files/out/framesTable';
import type { SheetFrame } from '$files/out/paper/contactSheet';
import { labelOf, newSidecar, ratingOf, type SidecarFacts } from '$files/out/sidecar';
import { mergedSidecar, type SidecarProblem } from '$files/in/sidecar';
import { frameWords, inFocusWords, PART_WORDS, settingsWords } from '$words/review';
import { picturesPort } from '../../../workers/ports';
import type { IntakeFile } from '../../frames/intakeFile';
import { sidecarPaths } from '../../frames/sidecars';
import { pictureKey } from '../../frames/pictures';
import { judgedIn, type Group } from '../view/group';
import type { ReviewView } from '../view/review.svelte';

/** What goes out of Review: sidecars, a table, a contact sheet. Frames themselves are never written to. */

const round = (value: number, digits = 3): number => Number(value.toFixed(digits));

/** How each file of a group was judged; undefined where it was not. */
function reviewedIn(view: ReviewView, group: Group) {
	const judged = judgedIn(group, view.sets.get(group.id));
	return (file: IntakeFile) => judged.get(file.id)?.reviewed;
}

/** A row for each face of each frame, and one for a frame without any. */
export function tableOf(view: ReviewView): string {
	const columns = [
		'shot',
		'file',
		'taken',
		'f-number',
		say.shutterS,
		'ISO',
		say.focalMm,
		'person',
		'state',
		common.nearEye,
		...FACE_PARTS.map((part) => say.blurPx(PART_WORDS[part])),
		say.streakPx,
		say.eyesShut,
		say.whiteShare,
		say.goodFrame,
		say.focusFellM,
		say.fromM,
		say.toM,
		common.inFocus,
		'mark',
		'favourite',
		'note'
	];
	const rows = view.groups.flatMap((group) => {
		const set = view.sets.get(group.id);
		const reviewedOf = reviewedIn(view, group);
		return group.files.flatMap((file): FrameRow[] => {
			const reviewed = reviewedOf(file);
			const facts = file.measured?.facts ?? {};
			const row: FrameRow = {
				shot: group.title,
				file: file.name,
				taken: facts.takenAt,
				'f-number': facts.fNumber === undefined ? null : nominalFNumber(facts.fNumber),
				'shutter s': facts.shutterS,
				ISO: facts.iso,
				'focal mm': facts.focalMm,
				'good frame': reviewed ? (reviewed.isGood ? 'yes' : 'no') : '',
				'focus fell m': reviewed?.fell && round(reviewed.fell.planeM),
				'from m': reviewed?.fell && round(reviewed.fell.nearM),
				'to m': reviewed?.fell && round(reviewed.fell.farM),
				'in focus': reviewed && set ? inFocusWords(reviewed, set) : '',
				mark: file.judgement.mark,
				favourite: file.judgement.isFavourite ? 'yes' : '',
				note: file.judgement.note
			};
			const faces = reviewed?.faces.flatMap((face, i): FrameRow[] => {
				if (!face) return [];
				const blurs = FACE_PARTS.map((part) => {
					const blur = face.blurs[part];
					return [say.blurPx(PART_WORDS[part]), blur && round(blurPx(blur), 2)] as const;
				});
				return [
					{
						...row,
						person: set?.people[i]?.name,
						state: face.state ?? common.cannotTell,
						'near eye': face.near,
						...Object.fromEntries(blurs),
						'streak px': round(face.blurs[face.near]?.streakPx ?? 0, 2),
						'eyes shut': face.isShut ? 'yes' : 'no',
						'white share': round(face.face.clipped)
					}
				];
			});
			return faces && faces.length > 0 ? faces : [row];
		});
	});
	return framesCsv(columns, rows);
}

/** What a sidecar says of a file. */
function factsOf(view: ReviewView, group: Group, file: IntakeFile): SidecarFacts {
	const set = view.sets.get(group.id);
	const reviewed = reviewedIn(view, group)(file);
	const { judgement } = file;
	const said =
		reviewed && set
			? [inFocusWords(reviewed, set) || say.nothingFound, frameWords(reviewed, set)]
			: [say.notMeasured];
	return {
		rating: ratingOf(judgement),
		label: labelOf(judgement),
		description: [`${said[0]}.`, said[1] ?? '', judgement.note].filter(Boolean).join(' ')
	};
}

export interface Sidecars {
	readonly files: readonly { readonly name: string; readonly content: Blob }[];
	/** Those that are left alone: they could not be read, or may be another frame's. */
	readonly refused: readonly { readonly name: string; readonly problem: SidecarRefusal }[];
}
export type SidecarRefusal = SidecarProblem | 'unsure';

/** Files that have a sidecar already, among those that were chosen along. */
export const withSidecar = (view: ReviewView): readonly IntakeFile[] =>
	view.home.files.filter((file) => view.home.sidecars.of(file) !== null);

/**
 * A sidecar for each measured frame.
 * @param existing what becomes of those that are there: merged with what is said here, or left out
 */
export async function sidecarsOf(view: ReviewView, existing: 'merge' | 'leave'): Promise<Sidecars> {
	const files = new Map<string, Blob>();
	const refused: { name: string; problem: SidecarRefusal }[] = [];
	const pathOf = sidecarPaths(view.home.files);
	for (const group of view.groups) {
		for (const file of group.files) {
			const facts = factsOf(view, group, file);
			const there = view.home.sidecars.of(file);
			if (there && existing === 'leave') continue;
			const path = there === 'unsure' ? '' : pathOf(file, there);
			if (there === 'unsure' || files.has(path)) {
				refused.push({ name: file.name, problem: 'unsure' });
				continue;
			}
			const merging = there ? mergedSidecar(await there.text(), facts) : null;
			if (there && merging && !merging.ok) {
				refused.push({ name: there.name, problem: merging.problem });
				continue;
			}
			const text = merging?.ok ? merging.text : newSidecar(facts);
			files.set(path, new Blob([text], { type: 'application/rdf+xml' }));
		}
	}
	return { files: [...files].map(([name, content]) => ({ name, content })), refused };
}

/** Pixels along the long side of the frame that is large on a sheet, and of the others. */
export const FAVOURITE_PX = 1600;
export const SHEET_PX = 640;

/** A frame for a sheet, captioned by its name, what it was focused on, and its settings; null where it was not chosen again. */
export async function sheetFrame(
	{ name, file, measured }: IntakeFile,
	longPx: number,
	focus: string
): Promise<SheetFrame | null> {
	const jpeg = file && (await picturesPort.ask('small', { file, longPx, key: pictureKey(file) }));
	if (!jpeg || !measured) return null;
	const caption = [name, focus, settingsWords(measured)].filter(Boolean).join(' · ');
	return { jpeg, widthPx: measured.widthPx, heightPx: measured.heightPx, caption };
}

/** The frames of a shot for a contact sheet: those that are not dropped; the favourite large, else the best. */
export async function contactSheetOf(view: ReviewView, group: Group) {
	const shown = group.files.filter(({ judgement, file }) => file && judgement.mark !== 'drop');
	const set = view.sets.get(group.id);
	const of = reviewedIn(view, group);
	const favourite =
		shown.find(({ judgement }) => judgement.isFavourite) ?? shown.find((file) => of(file)?.isGood);
	const framed = (file: IntakeFile, longPx: number) => {
		const reviewed = of(file);
		const focus = reviewed && set ? say.on(inFocusWords(reviewed, set)) : '';
		return sheetFrame(file, longPx, focus);
	};
	const frames: SheetFrame[] = [];
	for (const file of shown) {
		if (file === favourite) continue;
		const frame = await framed(file, SHEET_PX);
		if (frame) frames.push(frame);
	}
	return {
		title: group.title,
		favourite: favourite ? await framed(favourite, FAVOURITE_PX) : null,
		frames
	};
}

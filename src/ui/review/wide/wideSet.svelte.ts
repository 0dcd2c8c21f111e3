import { wideWideSetText as say } from '$words/screens/review/wide';
import { SvelteMap } from 'svelte/reactivity';
import type { Body, Shot } from '$core/format/shot';
import type { MeasuredFrame } from '$core/format/review';
import { lensOf } from '$core/photograph/lensOf';
import { checkSet, type SetCheck, type SetFrame } from '$core/stitch/checkSet';
import type { PlacedSet } from '$core/stitch/placeFrames';
import type { Projection } from '$core/stitch/projection';
import { cornersOf, type TurnedFrame } from '$core/stitch/roughPicture';
import type { SetFile } from '../../../photograph/setPicture';
import { stitchPort } from '../../../workers/ports';
import { LongWork } from '../../working/longWork.svelte';
import type { Group } from '../view/group';
import { pictureKey } from '../../frames/pictures';

/** Whether the frames of a shot go together, as it was looked up last. */
export interface CheckedSet {
	/** Names the frames it was looked up of. */
	readonly of: string;
	readonly files: readonly SetFile[];
	readonly placed: PlacedSet;
	readonly check: SetCheck;
	/** Those that have a place, by their number in the set. */
	readonly turned: readonly { readonly index: number; readonly frame: TurnedFrame }[];
}

/** A frame that takes part: not dropped, its file at hand. */
interface Part {
	readonly file: File;
	readonly measured: MeasuredFrame;
}

const PICTURE_PX = 2400;

/** The sets of this visit that were looked at as one wide picture. */
export class WideSets {
	readonly work = new LongWork();
	readonly #known = new SvelteMap<string, CheckedSet>();

	/** What is known of the frames of a group as they are now. */
	of(group: Group): CheckedSet | null {
		const known = this.#known.get(group.id);
		return known?.of === nameOf(wideSetParts(group)) ? known : null;
	}

	async check(group: Group, bodies: readonly Body[]): Promise<void> {
		const parts = wideSetParts(group);
		await this.work.run(async (signal) => {
			const frames = parts.map((part, i) => setFrame(part, i, group.shot, bodies));
			const files = parts.map(({ file }, i): SetFile => {
				const { widthPx, heightPx, focalPx } = frames[i] as SetFrame;
				return { file, key: pictureKey(file), widthPx, heightPx, focalPx };
			});
			const tiltDeg = group.shot?.camera.tiltDeg ?? 0;
			const tell = (share: number) => (this.work.share = share);
			const placed = await stitchPort.ask('place', { files, tiltDeg }, { signal, tell });
			const turned = frames.flatMap((frame, index) => {
				const place = placed.places[index];
				return place ? [{ index, frame: { ...frame, ...place } }] : [];
			});
			const check = checkSet(frames, placed);
			this.#known.set(group.id, { of: nameOf(parts), files, placed, check, turned });
		});
	}

	/** All of them together, as a PNG; null where they reach too far for such a picture. */
	together({ files, placed }: CheckedSet, projection: Projection, signal: AbortSignal) {
		const question = { files, placed, projection, longPx: PICTURE_PX };
		return stitchPort.ask('together', question, { signal });
	}
}

export const wideSetParts = ({ files }: Group): Part[] =>
	files.flatMap(({ file, measured, judgement }) =>
		file && measured && judgement.mark !== 'drop' ? [{ file, measured }] : []
	);

const nameOf = (parts: readonly Part[]): string =>
	parts.map(({ file }) => pictureKey(file)).join(' ');

/** @throws Error naming the frame of which no lens is known */
function setFrame(
	{ measured }: Part,
	index: number,
	shot: Shot | null,
	bodies: readonly Body[]
): SetFrame {
	const { facts, widthPx, heightPx } = measured;
	const found = lensOf(facts, measured, bodies);
	const planned =
		shot && (shot.camera.focalMm / shot.body.sensor.widthMm) * Math.max(widthPx, heightPx);
	const focalPx = found?.focalPx ?? planned;
	if (focalPx === null) {
		throw new Error(say.frameDoesNotSayItsFocal(index + 1));
	}
	return { widthPx, heightPx, focalPx, settings: facts };
}

/** The set as seen from the camera, for a drawing: degrees to the right and down. */
export function mapOf({ turned, check }: CheckedSet) {
	const outlines = turned.map(({ index, frame }) => ({
		index,
		corners: cornersOf(frame).map(({ turnDeg, tiltDeg }) => ({ x: turnDeg, y: -tiltDeg })),
		x: frame.turnDeg,
		y: -frame.tiltDeg
	}));
	const xs = outlines.flatMap(({ corners }) => corners.map(({ x }) => x));
	const ys = outlines.flatMap(({ corners }) => corners.map(({ y }) => y));
	const [left, top] = [Math.min(...xs), Math.min(...ys)];
	const at = (index: number) => outlines.find((one) => one.index === index);
	return {
		outlines,
		left,
		top,
		width: Math.max(...xs) - left,
		height: Math.max(...ys) - top,
		holes: check.problems.flatMap((one) =>
			one.code === 'hole' ? [{ x: one.turnDeg, y: -one.tiltDeg }] : []
		),
		thin: check.problems.flatMap((one) => {
			if (one.code !== 'thin') return [];
			const [a, b] = one.frames.map(at);
			return a && b ? [{ x1: a.x, y1: a.y, x2: b.x, y2: b.y }] : [];
		})
	};
}

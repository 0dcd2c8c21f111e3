import type { PracticeTruth } from '$core/format/practiceTruth';
import type { MeasuredFrame } from '$core/format/review';
import { faceModels } from '../../src/photograph/faces/models';
import { Pyramid } from '../../src/photograph/faces/pyramid';
import { patchAt } from '../../src/photograph/patch';
import { openPicture } from '../../src/photograph/read/openPicture';
import { measureNext } from '../../src/photograph/series';
import type { FacesBefore } from '../../src/photograph/faces/sight';
import { reviewSet, type ReviewedSet } from '$core/review/reviewSet';
import { BODIES } from '$data/kit';
import { develop } from '../../src/practice/develop';
import { framesOf } from '../../src/practice/roll';
import type { Tile } from '../../src/practice/sensor';
import { truthOf } from '../../src/practice/truth';
import { base64Of } from './base64';
import { Studio } from '../../src/preview/render/studio';
import { randomRoll } from './reviewShots';
import { creteSharpness, laplacianVariance, tenengrad } from './standardSharpness';

/** Runs in a page: takes rolls of practice frames, of which only the faces are drawn, to be judged at full size. */

const ALONE = { breathe: () => Promise.resolve(), tell: () => undefined };
interface StandardEye {
	readonly x: number;
	readonly y: number;
	readonly laplacian: number;
	readonly tenengrad: number;
	readonly crete: number;
}

/** Around the middle of the eyes, as multiples of the distance between them: hair and chin are in it. */
const AROUND = 2.1;

let studio: Studio | null = null;
let before: FacesBefore | null = null;

type FrameTruth = PracticeTruth['frames'][number];

/** Whether a part of a frame shows some of a face. */
function showsFaces({ faces, widthPx, heightPx }: FrameTruth): (tile: Tile) => boolean {
	const boxes = faces.map(({ landmarks }) => {
		const at = (name: string) => {
			const found = landmarks.find(({ landmark }) => landmark === name);
			return { x: (found?.x ?? 0) * widthPx, y: (found?.y ?? 0) * heightPx };
		};
		const [left, right] = [at('left-eye'), at('right-eye')];
		const chin = at('chin');
		const reach =
			AROUND * Math.max(Math.hypot(left.x - right.x, left.y - right.y), (chin.y - left.y) / 1.6);
		return { x: (left.x + right.x) / 2, y: (left.y + right.y) / 2, reach: reach / 1.5 };
	});
	return ({ left, top, widthPx: w, heightPx: h }) =>
		boxes.some(
			({ x, y, reach }) =>
				x + reach > left && x - reach < left + w && y + reach > top && y - reach < top + h
		);
}

export const reviewLab = {
	/** The files of a roll, in base 64, and what is true of them. */
	async roll(seed: number, count: number, mostPx?: number) {
		studio ??= new Studio(new OffscreenCanvas(1, 1));
		const order = randomRoll(seed, count, mostPx);
		const truth = truthOf([order]);
		const files: { name: string; base64: string }[] = [];
		for (const [i, frame] of framesOf(order).entries()) {
			const said = truth.frames[i];
			if (!said) throw new Error('a frame without truth');
			const { name, jpeg } = await develop(studio, order, frame, ALONE, showsFaces(said));
			files.push({ name, base64: await base64Of(jpeg) });
		}
		return { files, truth };
	},

	/** The frames of a roll, measured before, judged by its plan. */
	judge(seed: number, frames: readonly MeasuredFrame[]): ReviewedSet {
		return reviewSet(frames, randomRoll(seed, frames.length).shot, Object.values(BODIES));
	},

	/** Usual measures of sharpness of both eyes of every face that was measured in a file. */
	async standard(base64: string, { faces }: MeasuredFrame): Promise<StandardEye[]> {
		const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
		const opening = await openPicture(new Blob([bytes]));
		if (!opening.ok) throw new Error(opening.problem);
		const pyramid = new Pyramid(opening.picture.bitmap);
		const eyes = faces.flatMap(({ left, right, eyesPx }) =>
			[left, right].map(({ x, y }) => {
				const patch = patchAt(pyramid, { x, y }, 0.55 * eyesPx, 256);
				return {
					x,
					y,
					laplacian: laplacianVariance(patch),
					tenengrad: tenengrad(patch),
					crete: creteSharpness(patch)
				};
			})
		);
		opening.picture.bitmap.close();
		return eyes;
	},

	/** What is measured of a file, given in base 64; one frame after another, as Review does. */
	async measure(name: string, base64: string): Promise<MeasuredFrame> {
		const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
		const opening = await openPicture(new Blob([bytes]));
		if (!opening.ok) throw new Error(opening.problem);
		const models = await faceModels();
		const { measured, sight } = await measureNext(models, name, opening.picture, before, ALONE);
		before = sight;
		return measured;
	}
};

Object.assign(globalThis, { reviewLab });

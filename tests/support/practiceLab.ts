import { readShot } from '$core/format/shotFile';
import type { ShotInput } from '$core/format/shot';
import type { FaceTruth } from '$core/format/practiceTruth';
import { facesOf } from '$core/odds/truth';
import type { Landmark } from '$core/tables/landmarks';
import { ASSUMED, type Spreads } from '$core/tables/spreads';
import { beginTile, LostGraphics, subjectOf, type LatentFrame } from '../../src/practice/camera';
import { develop } from '../../src/practice/develop';
import { framesOf, type PlannedFrame, type RollOrder } from '../../src/practice/roll';
import { noiseOf, type Tile } from '../../src/practice/sensor';
import { MOST_SAMPLES } from '../../src/preview/lens/aperture';
import { stillGlimpses } from '../../src/preview/lens/glimpse';
import { Studio } from '../../src/preview/render/studio';
import { acrossOf, kernelOf, least, leftOver, type Patch } from './blurFit';

/** Runs in a page: takes practice frames, and measures what is in their pixels. */

/** Which frames are taken; the rest of the order is as usual. */
export interface Roll {
	readonly frames: number;
	readonly seed: number;
	readonly longSidePx: number;
	readonly own?: RollOrder['own'];
	readonly spreads?: Partial<Spreads>;
	readonly charts?: RollOrder['charts'];
}

/** A mark on a face in one frame, to be measured. */
export interface Mark {
	readonly frame: number;
	readonly personId: string;
	readonly landmark: Landmark;
	/** How far around it is looked at, px. */
	readonly reachPx: number;
}

/** How a mark is blurred, px: as measured, and as the core says. */
export interface MeasuredBlur {
	readonly discPx: number;
	readonly streakPx: number;
	readonly truth: { readonly discPx: number; readonly streakPx: number; readonly angle: number };
	/** How much worse the same streak explains it at a right angle: the ratio of what is left. */
	readonly turnedOverTrue: number;
}

const FIRST_OF_MAY_MS = Date.UTC(2026, 4, 1, 15, 30, 0);

function orderOf(input: ShotInput, { own = {}, spreads, ...rest }: Roll): RollOrder {
	const reading = readShot(input);
	if (!reading.ok) throw new Error(reading.message);
	return {
		...rest,
		shot: reading.shot,
		own,
		spreads: { ...ASSUMED, ...spreads },
		localMs: FIRST_OF_MAY_MS,
		offsetMinutes: 120,
		firstNumber: 1
	};
}

let known: Studio | null = null;
const theStudio = () => (known ??= new Studio(new OffscreenCanvas(1, 1)));
const ALONE = { breathe: () => Promise.resolve(), tell: () => undefined };

/** Green light of a square of a frame, rows from the top. */
function patchOf(latent: LatentFrame, tile: Tile, isSharp: boolean): Patch {
	const studio = theStudio();
	const { picture, count } = isSharp
		? beginSharp(studio, latent, tile)
		: beginTile(studio, latent, tile);
	while (picture.count < count) picture.addSample();
	const all = picture.linear();
	picture.dispose();
	const side = tile.widthPx;
	const light = new Float64Array(side * side);
	for (let y = 0; y < side; y++) {
		for (let x = 0; x < side; x++) {
			light[y * side + x] = all[4 * ((side - 1 - y) * side + x) + 1] as number;
		}
	}
	return { light, side };
}

/** The same through a pin-hole in a moment: nothing is blurred but by the pixel. */
function beginSharp(studio: Studio, latent: LatentFrame, tile: Tile) {
	const pupil = { x: 0, y: 0 };
	const glimpses = stillGlimpses(MOST_SAMPLES, 0).map((one) => ({ ...one, pupil }));
	return { picture: studio.begin(subjectOf(latent, tile), { glimpses }), count: MOST_SAMPLES };
}

function markOf(frame: PlannedFrame, mark: Mark): FaceTruth['landmarks'][number] {
	const face = facesOf(frame.release, frame.settings).find((one) => one.personId === mark.personId);
	const found = face?.landmarks.find((one) => one.landmark === mark.landmark);
	if (!found) throw new Error('no such mark');
	return found;
}

/** Light of an sRGB step, IEC 61966-2-1. */
function linearOf(step: number): number {
	const share = step / 255;
	return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
}

function plannedFrame(input: ShotInput, roll: Roll, index: number) {
	const order = orderOf(input, roll);
	const frame = framesOf(order)[index];
	if (!frame) throw new Error('no such frame');
	const { release, settings, size } = frame;
	const latent: LatentFrame = { release, settings, size, seed: order.seed, charts: order.charts };
	return { order, frame, latent };
}

export const practiceLab = {
	/** What is true of the frames of a roll. */
	roll(input: ShotInput, roll: Roll) {
		return framesOf(orderOf(input, roll)).map((frame) => ({
			name: frame.name,
			isGood: frame.release.isGood,
			isSharp: frame.release.isSharp,
			isElsewhere: frame.release.isElsewhere,
			settings: frame.settings,
			imageDistanceMm: frame.release.focus.imageDistanceMm,
			faces: facesOf(frame.release, frame.settings)
		}));
	},

	/** The file of a frame, in base 64. */
	async file(input: ShotInput, roll: Roll, frame: number): Promise<string> {
		const { order, frame: planned } = plannedFrame(input, roll, frame);
		const { jpeg } = await develop(theStudio(), order, planned, ALONE);
		const bytes = new Uint8Array(await jpeg.arrayBuffer());
		return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
	},

	/** The disc and the streak that best turn the sharp face into the one in the frame. */
	blur(input: ShotInput, roll: Roll, mark: Mark): MeasuredBlur {
		const { order, frame, latent } = plannedFrame(input, roll, mark.frame);
		const { size } = frame;
		const truth = markOf(frame, mark);
		const pxPerMm = Math.max(size.widthPx, size.heightPx) / order.shot.body.sensor.widthMm;
		const side = 2 * mark.reachPx;
		const tile: Tile = {
			left: Math.round(truth.x * size.widthPx) - mark.reachPx,
			top: Math.round(truth.y * size.heightPx) - mark.reachPx,
			widthPx: side,
			heightPx: side
		};
		const blurred = patchOf(latent, tile, false);
		const sharp = patchOf(latent, tile, true);
		const angle = Math.atan2(truth.streakMm.y, truth.streakMm.x);
		const trueDiscPx = truth.blurMm * pxPerMm;
		const trueStreakPx = Math.hypot(truth.streakMm.x, truth.streakMm.y) * pxPerMm;
		const edge = Math.ceil(1.3 * (trueDiscPx + trueStreakPx)) / 2 + 4;
		const left = (discPx: number, streakPx: number, at = angle) =>
			leftOver(sharp, blurred, kernelOf(discPx, streakPx, at), Math.ceil(edge));
		const discPx = least((disc) => left(disc, trueStreakPx), 0, 1.3 * trueDiscPx + 3);
		const streakPx = least((streak) => left(trueDiscPx, streak), 0, 1.3 * trueStreakPx + 3);
		return {
			// the kernel's own pixels spread a little, too
			discPx: acrossOf(kernelOf(discPx, trueStreakPx, angle), angle),
			streakPx,
			truth: { discPx: trueDiscPx, streakPx: trueStreakPx, angle },
			turnedOverTrue:
				left(trueDiscPx, trueStreakPx, angle + Math.PI / 2) / left(trueDiscPx, trueStreakPx)
		};
	},

	/** Mean and spread of the light of each colour in a part of a frame, as the sensor has it. */
	sensed(input: ShotInput, roll: Roll, frame: number, tile: Tile) {
		const { order, latent } = plannedFrame(input, roll, frame);
		const { settings, size } = latent;
		const studio = theStudio();
		const { picture, count } = beginTile(studio, latent, tile);
		while (picture.count < count) picture.addSample();
		const noise = noiseOf(order.shot.body, settings.iso, size);
		const place = { left: tile.left, bottom: size.heightPx - tile.top - tile.heightPx };
		picture.expose(tile, { ...noise, ...place, gain: settings.gain, seed: order.seed });
		picture.dispose();
		const flat = new OffscreenCanvas(tile.widthPx, tile.heightPx).getContext('2d');
		if (!flat) throw new Error('no canvas');
		flat.drawImage(studio.canvas, 0, 0);
		const { data } = flat.getImageData(0, 0, tile.widthPx, tile.heightPx);
		return [0, 1, 2].map((channel) => {
			const values = Array.from({ length: data.length / 4 }, (_, i) =>
				linearOf(data[4 * i + channel] as number)
			);
			const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
			const spread = Math.sqrt(
				values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / values.length
			);
			return { mean, spread };
		});
	},

	/** Middle of what is dark in a square of a frame, px from the top left of the frame. */
	darkMiddle(input: ShotInput, roll: Roll, frame: number, tile: Tile, limit: number) {
		const { light, side } = patchOf(plannedFrame(input, roll, frame).latent, tile, false);
		let [weight, sumX, sumY] = [0, 0, 0];
		light.forEach((value, i) => {
			const dark = Math.max(0, limit - value);
			weight += dark;
			sumX += dark * ((i % side) + 0.5);
			sumY += dark * (Math.floor(i / side) + 0.5);
		});
		return { x: tile.left + sumX / weight, y: tile.top + sumY / weight };
	},

	/** The brightest step of a part of a file, 0 to 255. */
	async brightest(input: ShotInput, roll: Roll, frame: number, tile: Tile): Promise<number> {
		const { order, frame: planned } = plannedFrame(input, roll, frame);
		const { jpeg } = await develop(theStudio(), order, planned, ALONE);
		const { left, top, widthPx, heightPx } = tile;
		const flat = new OffscreenCanvas(widthPx, heightPx).getContext('2d');
		if (!flat) throw new Error('no canvas');
		flat.drawImage(await createImageBitmap(jpeg), -left, -top);
		const { data } = flat.getImageData(0, 0, widthPx, heightPx);
		return data.reduce((most, step, i) => (i % 4 === 3 ? most : Math.max(most, step)), 0);
	},

	/** What is thrown when the graphics card is lost while a frame is drawn. */
	async whenLost(input: ShotInput, roll: Roll): Promise<string> {
		const { order, frame } = plannedFrame(input, roll, 0);
		const canvas = new OffscreenCanvas(1, 1);
		const studio = new Studio(canvas);
		canvas.getContext('webgl2')?.getExtension('WEBGL_lose_context')?.loseContext();
		try {
			await develop(studio, order, frame, ALONE);
			return 'nothing';
		} catch (error) {
			return error instanceof LostGraphics ? error.message : String(error);
		}
	}
};

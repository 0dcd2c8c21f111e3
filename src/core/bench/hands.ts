import { rayleighScale, type Rate } from '../numeric/rayleigh';
import { mean } from '../numeric/mean';
import { sinc } from '../numeric/sinc';
import { FREQUENCIES } from '../measure/slantedEdge';
import { poseOfChart } from './focusScale';
import type { MeasuredChart } from './measuredChart';

/**
 * How steady one’s own hands are (section 12): the chart taken by hand at several shutters.
 */
interface Hands {
	/** Scale of Rayleigh’s distribution of the shake, mm/s on the sensor, and its 95 % as a share; null where too few were seen. */
	readonly shakeMmPerS: ChartMeasurement | null;
	/** How far the body stands from where it stood, forward and back: its spread, mm. */
	readonly swayMm: ChartMeasurement | null;
	readonly frames: readonly HandsFrame[];
}

export interface ChartMeasurement {
	readonly value: number;
	readonly low: number;
	readonly high: number;
	/** Frames that stand behind it. */
	readonly count: number;
}

interface HandsFrame {
	readonly name: string;
	readonly shutterS: number;
	/** How far the picture moved while the shutter was open, px. */
	readonly streakPx: number;
}

/** Why frames say nothing of hands. */
export type HandsProblem = 'few-frames' | 'one-shutter' | 'no-shutter' | 'no-focal';

export type HandsReading =
	| { readonly ok: true; readonly hands: Hands }
	| { readonly ok: false; readonly problem: HandsProblem };

const LEAST_FRAMES = 8;
const LEAST_SHUTTERS = 3;
/** A shorter streak is not told from none, px. */
const LEAST_PX = 0.9;
const MOST_PX = 60;
/** Frequencies are compared where so much is left of them without a streak. */
const LEAST_RESPONSE = 0.2;
const Z_95 = 1.96;
/** Sway is forgotten within a second (section 8). */
const FORGOTTEN_S = 1;

/**
 * What frames by hand say, against those with the fastest shutter.
 * @param focalMm of the lens, @param pxPerMm pixels of the picture to a millimetre of the sensor
 */
export function handsOf(
	frames: readonly MeasuredChart[],
	focalMm: number,
	pxPerMm: number
): HandsReading {
	if (frames.length < LEAST_FRAMES) return { ok: false, problem: 'few-frames' };
	const shutters = frames.map(({ facts }) => facts.shutterS);
	if (shutters.some((one) => one === undefined)) return { ok: false, problem: 'no-shutter' };
	if (new Set(shutters).size < LEAST_SHUTTERS) return { ok: false, problem: 'one-shutter' };
	const still = { upright: stillResponse(frames, true), level: stillResponse(frames, false) };
	const moved = frames.map((frame): HandsFrame => {
		const across = streakPx(responseOf(frame, true), still.upright);
		const down = streakPx(responseOf(frame, false), still.level);
		return {
			name: frame.name,
			shutterS: frame.facts.shutterS ?? NaN,
			streakPx: Math.hypot(across, down)
		};
	});
	// the fastest are what the others are held against
	const fastestS = Math.min(...moved.map(({ shutterS }) => shutterS));
	const rates = moved
		.filter(({ shutterS }) => shutterS > fastestS)
		.map(({ shutterS, streakPx }): Rate => {
			const isLess = streakPx < LEAST_PX;
			return { rate: Math.max(streakPx, LEAST_PX) / shutterS / pxPerMm, isLess };
		});
	const scale = rayleighScale(rates);
	const seen = rates.filter(({ isLess }) => !isLess).length;
	return {
		ok: true,
		hands: {
			frames: moved,
			// the scale of n values is known to 1 / (2 √n) of itself
			shakeMmPerS: scale === null ? null : within(scale, 1 / (2 * Math.sqrt(seen)), rates.length),
			swayMm: swayOf(frames, focalMm, pxPerMm)
		}
	};
}

const within = (value: number, share: number, count: number): ChartMeasurement => ({
	value,
	low: value * Math.max(0, 1 - Z_95 * share),
	high: value * (1 + Z_95 * share),
	count
});

/** The mean response of the edges that run up (or across); null where none could be measured. */
function responseOf({ edges }: MeasuredChart, isUpright: boolean): readonly number[] | null {
	const its = edges.filter(
		(edge) => edge.spot === 'centre' && edge.isUpright === isUpright && edge.mtf50 !== null
	);
	if (its.length === 0) return null;
	return FREQUENCIES.map((_, i) => mean(its.map(({ response }) => response[i] as number)));
}

/** The mean response of the frames with the fastest shutter: nothing shook in them to speak of. */
function stillResponse(
	frames: readonly MeasuredChart[],
	isUpright: boolean
): readonly number[] | null {
	const fastestS = Math.min(...frames.map(({ facts }) => facts.shutterS ?? Infinity));
	const known = frames.flatMap((frame) => {
		const response = responseOf(frame, isUpright);
		return response && frame.facts.shutterS === fastestS ? [response] : [];
	});
	if (known.length === 0) return null;
	return FREQUENCIES.map((_, i) => mean(known.map((response) => response[i] as number)));
}

const STEP_PX = 0.05;

/** The streak that turns one response into another: it multiplies it by sin(π L f) / (π L f). */
export function streakPx(
	response: readonly number[] | null,
	still: readonly number[] | null
): number {
	if (!response || !still) return 0;
	const known = FREQUENCIES.flatMap((frequency, i) => {
		const most = still[i] as number;
		return frequency > 0 && frequency <= 0.4 && most > LEAST_RESPONSE
			? [{ frequency, share: (response[i] as number) / most, weight: most * most }]
			: [];
	});
	let best = { px: 0, cost: Infinity };
	for (let px = 0; px <= MOST_PX; px += STEP_PX) {
		// beyond its first zero a streak is not told from noise
		const its = known.filter(({ frequency }) => px * frequency < 1.2);
		const weights = its.reduce((sum, { weight }) => sum + weight, 0);
		const cost =
			its.reduce((sum, { frequency, share, weight }) => {
				return sum + weight * (share - Math.abs(sinc(px * frequency))) ** 2;
			}, 0) / weights;
		if (cost < best.cost) best = { px, cost };
	}
	return best.px;
}

/** The spread of where the body stands, by how far it moved from each frame to the next and how long that took. */
function swayOf(
	frames: readonly MeasuredChart[],
	focalMm: number,
	pxPerMm: number
): ChartMeasurement | null {
	const timed = frames
		.filter(({ localMs }) => localMs !== null)
		.toSorted((a, b) => (a.localMs as number) - (b.localMs as number))
		.map((frame) => ({
			atS: (frame.localMs as number) / 1000,
			depthMm: poseOfChart(frame, focalMm, pxPerMm).middle[2]
		}));
	let [squares, parts, count] = [0, 0, 0];
	timed.forEach(({ atS, depthMm }, i) => {
		const before = timed[i - 1];
		if (!before) return;
		const passedS = atS - before.atS;
		squares += (depthMm - before.depthMm) ** 2;
		parts += 2 * (1 - Math.exp(-passedS / FORGOTTEN_S));
		count += 1;
	});
	if (count < LEAST_FRAMES - 1 || parts <= 0) return null;
	return within(Math.sqrt(squares / parts), 1 / Math.sqrt(2 * count), frames.length);
}

/** Share of frames in which shake alone stays within what is allowed, at a shutter. */
export const heldShare = (shakeMmPerS: number, shutterS: number, allowedMm: number): number =>
	1 - Math.exp(-((allowedMm / (shakeMmPerS * shutterS)) ** 2) / 2);

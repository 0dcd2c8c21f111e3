import type { ChartPaper } from '$core/bench/chart';
import type { Body, Lens } from '$core/format/shot';
import { ladderOf, widestFNumber } from '$core/optics/fNumber';
import { imageDistanceMm } from '$core/geometry/thinLens';
import { Random } from '$core/numeric/random';
import type { Spreads } from '$core/tables/spreads';
import { chartDistanceM, chartRoll, type ChartShooting } from './chartRoll';
import type { RollOrder } from './roll';

/** Sittings with the practice camera, one for each bench, with a lens that has something to be found out. */

const LONG_SIDE_PX = 2400;
/** The bars of the scale are small in the frame. */
const SCALE_PX = 4000;
const STOPS_TRIED = 6;
/** So soft may a practice lens be wide open, mm on the sensor; and so far off may it focus, mm before the camera. */
const SOFT_MM = 0.035;
const MOST_OFF_MM = 25;
const MOST_TRIES = 7;
const HAND_FRAMES = 6;

interface Gear {
	readonly body: Body;
	readonly lens: Lens;
	readonly paper: ChartPaper;
	readonly spreads: Spreads;
	/** Another one is another lens of the same name. */
	readonly seed: number;
}

const common = ({ body, lens, paper, spreads, seed }: Gear) => {
	const focalMm = lens.focalMm[0];
	return {
		paper,
		body,
		lens,
		focalMm,
		fNumber: widestFNumber(lens, focalMm),
		shutterS: 1 / 125,
		iso: body.iso[0],
		support: 'tripod',
		seed,
		spreads,
		longSidePx: Math.min(LONG_SIDE_PX, body.sensor.pixelsAcross),
		localMs: Date.now()
	} as const satisfies Partial<ChartShooting>;
};

/** Two frames at each full stop from the widest. */
export function apertureSitting(gear: Gear): RollOrder[] {
	const known = common(gear);
	// focused once and for all
	const spreads = { ...gear.spreads, middlePoint: 0, outerPoint: 0, wrongPoint: 0 };
	const rungs = ladderOf(gear.lens, known.focalMm).filter((_, i) => i % 3 === 0);
	return rungs.slice(0, STOPS_TRIED + 1).map((fNumber, i) =>
		chartRoll({
			...known,
			kind: 'sharpness',
			spreads,
			fNumber,
			frames: 2,
			firstNumber: 1 + 2 * i,
			// the same lens at every stop
			softMm: SOFT_MM * (0.5 + new Random(gear.seed).uniform())
		})
	);
}

/** The scale, focused anew for each frame by a lens that is a little off. */
export function focusSitting(gear: Gear): RollOrder[] {
	const known = common(gear);
	const offMm = MOST_OFF_MM * (2 * new Random(gear.seed).uniform() - 1);
	const lineM = chartDistanceM('scale', gear.paper, known);
	const image = (depthM: number) => imageDistanceMm(known.focalMm, depthM);
	const biasMm = image(lineM - offMm / 1000) - image(lineM);
	const spreads = { ...gear.spreads, lensBias: { [gear.lens.name]: { biasMm, frames: 1 } } };
	const longSidePx = Math.min(SCALE_PX, gear.body.sensor.pixelsAcross);
	return [
		chartRoll({ ...known, kind: 'scale', longSidePx, spreads, frames: MOST_TRIES, firstNumber: 1 })
	];
}

/** By hand: at a shutter at which nothing shakes, then at slower ones. */
export function handsSitting(gear: Gear): RollOrder[] {
	const known = common(gear);
	const slow = 1 / known.focalMm;
	return [slow / 16, slow, 2 * slow, 4 * slow].map((shutterS, i) =>
		chartRoll({
			...known,
			kind: 'sharpness',
			fNumber: 2 ** 2.5,
			shutterS,
			support: 'handheld',
			frames: HAND_FRAMES,
			seed: gear.seed + i,
			firstNumber: 1 + HAND_FRAMES * i,
			localMs: known.localMs + 60_000 * i
		})
	);
}

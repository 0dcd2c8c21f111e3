import { chartOf, CHART_PAPERS, type ChartKind, type ChartPaper } from '$core/bench/chart';
import type { Body, Lens, Shot, ShotInput } from '$core/format/shot';
import { readShot } from '$core/format/shotFile';
import type { Spreads } from '$core/tables/spreads';
import type { HungChart } from '../preview/scene';
import type { RollOrder } from './roll';

/** A chart on a wall before the practice camera, to try a bench at a desk. */

export interface ChartShooting {
	readonly kind: ChartKind;
	readonly paper: ChartPaper;
	readonly body: Body;
	readonly lens: Lens;
	readonly focalMm: number;
	readonly fNumber: number;
	readonly shutterS: number;
	readonly iso: number;
	readonly support: Shot['camera']['support'];
	readonly frames: number;
	readonly seed: number;
	readonly spreads: Spreads;
	readonly longSidePx: number;
	readonly firstNumber: number;
	readonly localMs: number;
	readonly softMm?: number;
}

const HEIGHT_M = 1.6;
/** The sheet fills so much of the frame where its corners count. */
const FRAME_FILL_SHARE = 0.94;
/** Front or back is looked for from so many focal lengths away (common practice, no source). */
const FOCAL_LENGTHS = 28;
const TURN_DEG = { sharpness: 0, scale: 45 } as const;

/** How far from the camera a chart hangs, m. */
export function chartDistanceM(
	kind: ChartKind,
	paper: ChartPaper,
	{ body, lens, focalMm }: Pick<ChartShooting, 'body' | 'lens' | 'focalMm'>
): number {
	const { widthMm, heightMm } = CHART_PAPERS[paper];
	const { sensor } = body;
	const filled = Math.max(widthMm / sensor.widthMm, heightMm / sensor.heightMm) / FRAME_FILL_SHARE;
	const wantedM = (kind === 'scale' ? FOCAL_LENGTHS * focalMm : (filled + 1) * focalMm) / 1000;
	return Math.max(wantedM, lens.closestFocusM + 0.02);
}

/** The roll of a chart. @throws when body and lens do not go together */
export function chartRoll(shooting: ChartShooting): RollOrder {
	const { kind, paper, body, lens, focalMm, fNumber, shutterS, iso, support } = shooting;
	const { widthMm, heightMm } = CHART_PAPERS[paper];
	const input: ShotInput = {
		format: 'focalis-shot',
		version: 1,
		title: 'A chart',
		body,
		lens,
		camera: { position: { x: 0, y: HEIGHT_M, z: 0 }, focalMm, support },
		things: [
			{
				id: 'chart',
				label: 'the chart',
				position: { x: 0, y: HEIGHT_M, z: chartDistanceM(kind, paper, shooting) },
				widthM: widthMm / 1000,
				heightM: heightMm / 1000,
				detailMm: 1,
				intent: 'sharp',
				look: 'wall'
			}
		],
		// as bright as these settings ask for
		light: {
			mode: 'ambient',
			ev100: 2 * Math.log2(fNumber) - Math.log2(shutterS) - Math.log2(iso / 100)
		},
		choices: { fNumberExact: fNumber }
	};
	const reading = readShot(input);
	if (!reading.ok) throw new Error(reading.message);
	const shapes = chartOf(kind, paper).shapes.map((shape) => ({ ...shape, tone: 0 }));
	const chart: HungChart = { drawing: { shapes }, turnDeg: TURN_DEG[kind], tiltDeg: 0 };
	const { frames, seed, spreads, longSidePx, localMs, firstNumber, softMm } = shooting;
	return {
		shot: reading.shot,
		own: { fNumber, shutterS, iso },
		frames,
		seed,
		spreads,
		longSidePx,
		localMs,
		offsetMinutes: 0,
		firstNumber,
		charts: { chart },
		softMm,
		driftM: support === 'tripod' ? 0 : driftM(spreads[`${support}Mm`], spreads.singleLagS)
	};
}

/** Of somebody's sway what does not come from between focus and release, m (section 8). */
const driftM = (swayMm: number, lagS: number): number =>
	(swayMm / 1000) * Math.sqrt(1 - (1 - Math.exp(-lagS)) / 2);

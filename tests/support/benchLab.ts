import { chartOf, MARK_MM, type ChartKind, type ChartPaper } from '$core/bench/chart';
import type { ExerciseName } from '$core/format/exerciseLog';
import type { MeasuredChart } from '$core/bench/measuredChart';
import { cameraPose, framePoint, seenFrom } from '$core/geometry/camera';
import { ASSUMED, type Spreads } from '$core/tables/spreads';
import { BODIES, LENSES } from '$data/kit';
import { measureChart } from '../../src/photograph/measureChart';
import { openPicture } from '../../src/photograph/read/openPicture';
import { chartDistanceM, chartRoll, type ChartShooting } from '../../src/practice/chartRoll';
import { develop } from '../../src/practice/develop';
import { exerciseRolls } from '../../src/practice/exerciseRolls';
import { framesOf, type PlannedFrame, type RollOrder } from '../../src/practice/roll';
import type { Tile } from '../../src/practice/sensor';
import { base64Of } from './base64';
import { Studio } from '../../src/preview/render/studio';

/** Runs in a page: takes charts with the practice camera, and measures the files. */

export type Sitting = Partial<Omit<ChartShooting, 'spreads' | 'body' | 'lens'>> & {
	readonly body?: keyof typeof BODIES;
	readonly lens?: keyof typeof LENSES;
	readonly spreads?: Partial<Spreads>;
	/** What is wrong with it. */
	readonly amiss?: {
		/** So many times as far away as it should be, so far to the right, so much brighter. */
		readonly timesAsFar?: number;
		readonly asideM?: number;
		readonly brighterStops?: number;
	};
};

export interface Taken {
	readonly measured: MeasuredChart | null;
	readonly problem: string | null;
	readonly name: string;
	/** Depth that was focused on, and that of the middle of the chart, m. */
	readonly focusedM: number;
	readonly lineM: number;
	readonly base64?: string;
}

const ALONE = { breathe: () => Promise.resolve(), tell: () => undefined };
let studio: Studio | null = null;

function shootingOf(kind: ChartKind, sitting: Sitting): ChartShooting {
	const { body = 'reflex24', lens = 'portrait85', spreads, ...rest } = sitting;
	const glass = LENSES[lens];
	return {
		kind,
		paper: 'a3' as ChartPaper,
		body: BODIES[body],
		lens: glass,
		focalMm: glass.focalMm[0],
		fNumber: 4,
		shutterS: 1 / 125,
		iso: 100,
		support: 'tripod',
		frames: 1,
		seed: 1,
		longSidePx: 6000,
		firstNumber: 1,
		localMs: Date.UTC(2026, 4, 1, 15, 30, 0),
		...rest,
		spreads: { ...ASSUMED, wrongPoint: 0, ...spreads }
	};
}

/** The same roll with something wrong. */
function spoilt(order: RollOrder, amiss: Sitting['amiss']): RollOrder {
	if (!amiss) return order;
	const { timesAsFar = 1, asideM = 0, brighterStops = 0 } = amiss;
	const { light, things } = order.shot;
	if (light?.mode !== 'ambient') throw new Error('a chart hangs in the light of a room');
	return {
		...order,
		shot: {
			...order.shot,
			light: { ...light, ev100: light.ev100 + brighterStops },
			things: things.map((thing) => ({
				...thing,
				position: {
					...thing.position,
					x: thing.position.x + asideM,
					z: thing.position.z * timesAsFar
				}
			}))
		}
	};
}

/** Whether a part of a frame shows a mark of the chart, or an edge that is measured. */
function showsChart(shooting: ChartShooting, frame: PlannedFrame): (tile: Tile) => boolean {
	const { release, size } = frame;
	const { shot } = release;
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const { x, y, z } = shot.things[0]?.position ?? { x: 0, y: 0, z: 1 };
	const turn = shooting.kind === 'scale' ? Math.PI / 4 : 0;
	const { marks, edges } = chartOf(shooting.kind, shooting.paper);
	const reachMm = (place: object) =>
		'roomMm' in place ? Math.max(Number(place.roomMm), 30) : 1.7 * MARK_MM[shooting.kind];
	const boxes = [...marks, ...Object.values(edges).flat()].flatMap((place) =>
		[-1, 1].map((side) => {
			const at = place.x + side * reachMm(place);
			const point = {
				x: x + (at / 1000) * Math.cos(turn),
				y: y + (place.y + side * reachMm(place)) / 1000,
				z: z + (at / 1000) * Math.sin(turn)
			};
			const seen = framePoint(pose, seenFrom(pose, point), release.focus.imageDistanceMm);
			return { x: seen.x * size.widthPx, y: seen.y * size.heightPx };
		})
	);
	return ({ left, top, widthPx, heightPx }) =>
		boxes.some((from, i) => {
			const to = boxes[i + 1];
			if (i % 2 === 1 || !to) return false;
			return from.x < left + widthPx && to.x > left && to.y < top + heightPx && from.y > top;
		});
}

export const benchLab = {
	/** The files of an exercise, as the practice camera takes them. */
	async exercise(
		name: ExerciseName,
		seed: number,
		longSidePx: number
	): Promise<{ name: string; base64: string }[]> {
		studio ??= new Studio(new OffscreenCanvas(1, 1));
		const [body, lens] = [BODIES.fullFrame24, LENSES.normal50];
		const spreads = { ...ASSUMED, wrongPoint: 0, middlePoint: 0.05 };
		const files: { name: string; base64: string }[] = [];
		for (const order of exerciseRolls(name, { body, lens, otherLens: null, spreads, seed })) {
			for (const frame of framesOf({ ...order, longSidePx })) {
				const { jpeg } = await develop(studio, order, frame, ALONE);
				files.push({ name: frame.name, base64: await base64Of(jpeg) });
			}
		}
		return files;
	},

	/** Frames of a chart, measured; of each only the chart is drawn. */
	async shoot(kind: ChartKind, sitting: Sitting, keepsFiles = false): Promise<Taken[]> {
		studio ??= new Studio(new OffscreenCanvas(1, 1));
		const shooting = shootingOf(kind, sitting);
		const order = spoilt(chartRoll(shooting), sitting.amiss);
		const taken: Taken[] = [];
		for (const frame of framesOf(order)) {
			const { name, jpeg } = await develop(
				studio,
				order,
				frame,
				ALONE,
				showsChart(shooting, frame)
			);
			const opening = await openPicture(jpeg);
			if (!opening.ok) throw new Error(opening.problem);
			const result = measureChart(opening.picture, name, kind, shooting.paper);
			taken.push({
				measured: result.ok ? result.measured : null,
				problem: result.ok ? null : result.problem,
				name,
				focusedM: frame.release.focus.planeM,
				lineM: chartDistanceM(kind, shooting.paper, shooting),
				...(keepsFiles ? { base64: await base64Of(jpeg) } : {})
			});
		}
		return taken;
	}
};

Object.assign(globalThis, { benchLab });

import type { ShotInput } from '$core/format/shot';
import { practiceLab } from './practiceLab';
import { drawn, green, partOf, subjectOf, theStudio, type Drawing } from './drawing';
import { Engine, type Delivery } from '../../src/preview/engine';
import { MOST_SAMPLES } from '../../src/preview/lens/aperture';
import { settledSamples } from '../../src/preview/lens/samples';
import type { Window } from '../../src/preview/scene';

/** Runs in a page: draws shots with the app's own preview, and measures what was drawn. */

/** A place in the picture, px from the top left, and how far around it is looked at. */
export interface Place {
	readonly x: number;
	readonly y: number;
	readonly reachPx: number;
}

/** A spot of light that one shot has and another has not. */
export interface Spot {
	/** Sum over all pixels of green light, px². */
	readonly energy: number;
	/** Diameter of an even disc with as much light, as bright as the brightest pixel, px. */
	readonly diameterPx: number;
	/** Middle, px from the top left. */
	readonly x: number;
	readonly y: number;
	/** Root of the mean square distance from the middle across and up, px. */
	readonly spreadX: number;
	readonly spreadY: number;
}

const until = async (isTrue: () => boolean) => {
	while (!isTrue()) await new Promise((resolve) => setTimeout(resolve, 5));
};

/** An engine of its own with a way to order one view. */
function anEngine(input: ShotInput, drawing: Drawing) {
	const canvas = document.createElement('canvas');
	const deliveries: Delivery[] = [];
	const engine = new Engine(
		canvas,
		() => createImageBitmap(canvas),
		(one) => deliveries.push(one)
	);
	const { scene, ...view } = subjectOf(input, drawing);
	const order = () =>
		engine.order({ scenes: [scene], revision: 1, views: [{ ...view, key: 'view', scene: 0 }] });
	return { canvas, engine, deliveries, order };
}

const harness = {
	...practiceLab,

	/** The picture as a data address of a PNG. */
	png: (input: ShotInput, drawing: Drawing): string =>
		drawn(input, drawing, (canvas) => canvas.toDataURL('image/png')),

	/** What `bright` adds to `plain`. */
	spot(bright: ShotInput, plain: ShotInput, drawing: Drawing): Spot {
		const { widthPx, left, top } = partOf(drawing);
		const a = green(bright, drawing);
		const b = green(plain, drawing);
		const light = a.map((value, i) => value - (b[i] as number));
		const energy = light.reduce((sum, value) => sum + value, 0);
		const most = light.reduce((top, value) => Math.max(top, value), 0);
		const mean = (of: (x: number, y: number) => number) =>
			light.reduce(
				(sum, value, i) => sum + value * of((i % widthPx) + 0.5, Math.floor(i / widthPx) + 0.5),
				0
			) / energy;
		const x = mean((x) => x);
		const y = mean((_, y) => y);
		return {
			energy,
			diameterPx: 2 * Math.sqrt(energy / most / Math.PI),
			x: left + x,
			y: top + y,
			spreadX: Math.sqrt(mean((px) => (px - x) ** 2)),
			spreadY: Math.sqrt(mean((_, py) => (py - y) ** 2))
		};
	},

	/** Green light along the row in the middle, from the left. */
	middleRow(input: ShotInput, drawing: Drawing): number[] {
		const { widthPx, heightPx } = partOf(drawing);
		const from = Math.floor(heightPx / 2) * widthPx;
		return [...green(input, drawing).subarray(from, from + widthPx)];
	},

	/** Middle of what is darker than a limit around each of some places, px from the top left. */
	darkMiddles(input: ShotInput, drawing: Drawing, places: readonly Place[], limit: number) {
		const light = green(input, drawing);
		const { widthPx, left, top } = partOf(drawing);
		return places.map(({ x: inX, y: inY, reachPx }) => {
			const [x, y] = [inX - left, inY - top];
			let [count, sumX, sumY] = [0, 0, 0];
			for (let row = Math.floor(y - reachPx); row <= y + reachPx; row++) {
				for (let column = Math.floor(x - reachPx); column <= x + reachPx; column++) {
					if ((light[row * widthPx + column] ?? 1) > limit) continue;
					count += 1;
					sumX += column + 0.5;
					sumY += row + 0.5;
				}
			}
			return { count, x: left + sumX / count, y: top + sumY / count };
		});
	},

	/** Mean light, red, green and blue, around each of some places. */
	lightAt(
		input: ShotInput,
		drawing: Drawing,
		places: readonly Place[]
	): [number, number, number][] {
		const { widthPx, heightPx, left, top } = partOf(drawing);
		return drawn(input, drawing, (_, linear) => {
			const all = linear();
			return places.map(({ x: inX, y: inY, reachPx }) => {
				const [x, y] = [inX - left, inY - top];
				const sum: [number, number, number] = [0, 0, 0];
				let count = 0;
				for (let row = Math.floor(y - reachPx); row <= y + reachPx; row++) {
					for (let column = Math.floor(x - reachPx); column <= x + reachPx; column++) {
						const at = 4 * ((heightPx - 1 - row) * widthPx + column);
						for (const c of [0, 1, 2] as const) sum[c] += all[at + c] as number;
						count += 1;
					}
				}
				return sum.map((value) => value / count) as [number, number, number];
			});
		});
	},

	/** How far a picture with as many samples as it settles with is from one with 256, of 255 steps. */
	settledAgainstMost(input: ShotInput, drawing: Drawing) {
		const samples = settledSamples(subjectOf(input, drawing));
		const step = (light: number) => 255 * Math.min(1, Math.max(0, light)) ** (1 / 2.2);
		const most = green(input, { ...drawing, samples: MOST_SAMPLES });
		const off = green(input, { ...drawing, samples })
			.map((light, i) => Math.abs(step(light) - step(most[i] as number)))
			.sort();
		const mean = off.reduce((sum, one) => sum + one, 0) / off.length;
		return { samples, mean, ofAThousand: off[Math.floor(0.999 * off.length)] as number };
	},

	/** How an engine goes on after its context was lost and given back: samples before and after. */
	async afterLoss(input: ShotInput, drawing: Drawing): Promise<{ before: number; after: number }> {
		const { canvas, deliveries, order } = anEngine(input, drawing);
		const settled = async () => {
			await until(() => deliveries.at(-1)?.isSettled ?? false);
			return deliveries.at(-1)?.samples ?? 0;
		};
		order();
		const before = await settled();
		deliveries.length = 0;
		const heard = (name: string) =>
			new Promise((resolve) => canvas.addEventListener(name, resolve, { once: true }));
		const [lost, restored] = [heard('webglcontextlost'), heard('webglcontextrestored')];
		const extension = canvas.getContext('webgl2')?.getExtension('WEBGL_lose_context');
		extension?.loseContext();
		await lost;
		// it can be given back only after the event is over
		await new Promise((resolve) => setTimeout(resolve, 0));
		extension?.restoreContext();
		await restored;
		return { before, after: await settled() };
	},

	/** Deliveries of an engine that is stopped after the first, and let go on after it came to rest. */
	async whilePaused(input: ShotInput, drawing: Drawing) {
		const { engine, deliveries, order } = anEngine(input, drawing);
		order();
		await until(() => deliveries.length > 0);
		engine.pause(true);
		await until(() => engine.isIdle);
		const stopped = deliveries.length;
		order();
		await until(() => engine.isIdle);
		const ordered = deliveries.length;
		const wasSettled = deliveries.some(({ isSettled }) => isSettled);
		engine.pause(false);
		await until(() => deliveries.at(-1)?.isSettled ?? false);
		return { stopped, ordered, wasSettled, after: deliveries.length };
	},

	/** Time of a sample when everything is put in place and lit anew for each, ms. */
	async anewForEachSample(input: ShotInput, drawing: Drawing): Promise<number> {
		const { studio } = theStudio();
		const samples = drawing.samples ?? 64;
		const subject = subjectOf(input, drawing);
		const draw = async () => {
			const picture = studio.begin(subject);
			picture.addSample();
			picture.develop();
			await studio.finish();
			picture.dispose();
		};
		await draw();
		const startedAt = performance.now();
		for (let i = 0; i < samples; i++) await draw();
		return (performance.now() - startedAt) / samples;
	},

	/**
	 * Draws views with an engine of its own, from the order to the first picture of each and until
	 * all are settled; the second time everything is sculpted already. Times in ms.
	 */
	async times(inputs: readonly ShotInput[], drawing: Drawing, windows: readonly Window[] = []) {
		// as the app's worker does it
		const canvas = new OffscreenCanvas(1, 1);
		let take: (delivery: Delivery) => void = () => undefined;
		const engine = new Engine(
			canvas,
			() => canvas.transferToImageBitmap(),
			(one) => take(one)
		);
		const run = (input: ShotInput, revision: number) =>
			new Promise<{ firstMs: number; settledMs: number; samples: number }>((resolve) => {
				const { scene, ...view } = subjectOf(input, drawing);
				const views = (windows.length > 0 ? windows : [view.window]).map((window, i) => ({
					...view,
					window,
					key: `view ${i}`,
					scene: 0
				}));
				const startedAt = performance.now();
				const first = new Set<string>();
				const settled = new Set<string>();
				let [firstMs, samples] = [0, 0];
				take = (delivery) => {
					delivery.bitmap.close();
					if (delivery.revision !== revision) return;
					first.add(delivery.key);
					if (first.size === views.length && firstMs === 0) firstMs = performance.now() - startedAt;
					if (!delivery.isSettled || settled.has(delivery.key)) return;
					settled.add(delivery.key);
					samples += delivery.samples;
					if (settled.size < views.length) return;
					resolve({ firstMs, settledMs: performance.now() - startedAt, samples });
				};
				engine.order({ scenes: [scene], views, revision });
			});
		const results = [];
		for (const [i, input] of inputs.entries()) results.push(await run(input, i + 1));
		return results;
	}
};

export type Harness = typeof harness;
Object.assign(window, { harness });

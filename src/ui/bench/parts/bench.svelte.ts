import { SvelteMap } from 'svelte/reactivity';
import type { ChartKind, ChartPaper } from '$core/bench/chart';
import type { Corrected } from '$core/bench/focusScale';
import type { MeasuredChart } from '$core/bench/measuredChart';
import { CHART_PROBLEM_WORDS } from '$words/bench';
import { benchPort, type BenchProblem } from '../../../workers/ports';
import type { RollOrder } from '../../../practice/roll';
import { PROBLEM_WORDS } from '../../photograph/problems';
import { LongWork } from '../../working/longWork.svelte';
import { shootRolls } from './shootRolls';

/** A file of no use here, and why, in words. */
export interface PassedOver {
	readonly name: string;
	readonly words: string;
}

/** The frames of a chart on one bench: chosen or shot, measured one after the other. */
class BenchFrames {
	readonly kind: ChartKind;
	readonly work = new LongWork();
	frames = $state.raw<readonly MeasuredChart[]>([]);
	passedOver = $state.raw<readonly PassedOver[]>([]);

	constructor(kind: ChartKind) {
		this.kind = kind;
	}

	clear(): void {
		this.work.stop();
		this.frames = [];
		this.passedOver = [];
	}

	/** Measures files, beside those that are there. */
	async open(files: readonly File[], paper: ChartPaper): Promise<void> {
		await this.work.run(async (signal) => {
			for (const [i, file] of files.entries()) {
				this.work.share = i / files.length;
				await this.#measure(file, file.name, paper, signal);
			}
		});
	}

	/** Has the practice camera take rolls of the chart, and measures what it brings. */
	async shoot(rolls: readonly RollOrder[], paper: ChartPaper): Promise<void> {
		this.clear();
		await this.work.run(async (signal) => {
			const measuring: Promise<void>[] = [];
			await shootRolls(
				rolls,
				signal,
				(share) => (this.work.share = share),
				({ jpeg, name }) => measuring.push(this.#measure(jpeg, name, paper, signal))
			);
			await Promise.all(measuring);
		});
	}

	async #measure(file: Blob, name: string, paper: ChartPaper, signal: AbortSignal): Promise<void> {
		const { kind } = this;
		const answer = await benchPort.ask('measure', { file, name, kind, paper }, { signal });
		if (signal.aborted) return;
		if (answer.ok) this.frames = [...this.frames, answer.measured];
		else this.passedOver = [...this.passedOver, { name, words: wordsOf(answer.problem) }];
	}
}

const wordsOf = (problem: BenchProblem): string =>
	({ ...PROBLEM_WORDS, ...CHART_PROBLEM_WORDS })[problem];

/** One for each bench; they stay while one is elsewhere. */
export const BENCH_FRAMES = {
	aperture: new BenchFrames('sharpness'),
	focus: new BenchFrames('scale'),
	hands: new BenchFrames('sharpness')
} as const;
export type BenchName = keyof typeof BENCH_FRAMES;

/** Series shot at settings of a body’s own correction, by the name of the lens. */
export const CORRECTED = new SvelteMap<string, readonly Corrected[]>();

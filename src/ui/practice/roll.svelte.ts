import { practicePort, type TakenFrame } from '../../workers/ports';
import type { RollOrder } from '../../practice/roll';

/** A frame on the strip: a small picture at first, then its file. */
export interface StripFrame {
	readonly index: number;
	/** Address of the small picture. */
	readonly small: string;
	readonly taken: TakenFrame | null;
}

/** A roll of practice frames that is being taken, or was. What is done stays, whatever happens. */
export class Roll {
	frames = $state.raw<readonly StripFrame[]>([]);
	/** Share of the frame that is being drawn; null while nothing is. */
	share = $state<number | null>(null);
	/** Why it stopped, in words; empty when all is well. */
	problem = $state('');
	#order = $state.raw<RollOrder | null>(null);
	#control: AbortController | null = null;

	get order(): RollOrder | null {
		return this.#order;
	}
	get taken(): readonly TakenFrame[] {
		return this.frames.flatMap(({ taken }) => taken ?? []);
	}
	get isBusy(): boolean {
		return this.share !== null;
	}
	get isWhole(): boolean {
		return this.#order !== null && this.taken.length === this.#order.frames;
	}

	/** Begins another roll; the one before is gone. */
	take(order: RollOrder): void {
		this.dispose();
		this.#order = order;
		void this.goOn();
	}

	/** Takes what is still missing of the roll. */
	async goOn(): Promise<void> {
		const order = this.#order;
		if (!order || this.isBusy) return;
		const control = new AbortController();
		this.#control = control;
		this.problem = '';
		this.share = 0;
		try {
			const from = this.taken.length;
			await practicePort.ask(
				'roll',
				{ order, from },
				{
					signal: control.signal,
					tell: (news) => {
						if (news.kind === 'share') this.share = news.share;
						else this.#put(news.index, news.small, news.kind === 'frame' ? news : null);
					}
				}
			);
		} catch (error) {
			if (!control.signal.aborted) {
				this.problem = error instanceof Error ? error.message : String(error);
			}
		} finally {
			if (this.#control === control) this.share = null;
		}
	}

	stop(): void {
		this.#control?.abort(new Error('given up'));
		this.share = null;
	}

	/** Stops, and gives the pictures back. */
	dispose(): void {
		this.stop();
		for (const { small } of this.frames) URL.revokeObjectURL(small);
		this.frames = [];
		this.problem = '';
		this.#order = null;
	}

	#put(index: number, blob: Blob, taken: TakenFrame | null): void {
		const small = this.frames[index]?.small ?? URL.createObjectURL(blob);
		this.frames = [...this.frames.slice(0, index), { index, small, taken }];
	}
}

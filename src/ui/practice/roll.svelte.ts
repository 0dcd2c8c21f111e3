import { practicePort, type TakenFrame } from '../../workers/ports';
import { LongWork } from '../working/longWork.svelte';
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
	readonly work = new LongWork();
	#order = $state.raw<RollOrder | null>(null);

	get order(): RollOrder | null {
		return this.#order;
	}
	get taken(): readonly TakenFrame[] {
		return this.frames.flatMap(({ taken }) => taken ?? []);
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
		if (!order || this.work.isBusy) return;
		const from = this.taken.length;
		await this.work.run(async (signal) => {
			await practicePort.ask(
				'roll',
				{ order, from },
				{
					signal,
					tell: (news) => {
						if (news.kind === 'share') this.work.share = news.share;
						else this.#put(news.index, news.small, news.kind === 'frame' ? news : null);
					}
				}
			);
		});
	}

	/** Stops, and gives the pictures back. */
	dispose(): void {
		this.work.stop();
		for (const { small } of this.frames) URL.revokeObjectURL(small);
		this.frames = [];
		this.work.problem = '';
		this.#order = null;
	}

	#put(index: number, blob: Blob, taken: TakenFrame | null): void {
		const small = this.frames[index]?.small ?? URL.createObjectURL(blob);
		this.frames = [...this.frames.slice(0, index), { index, small, taken }];
	}
}

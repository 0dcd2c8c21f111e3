import { settings } from '../shared/settings.svelte';

/** Four sentences on the way, once: they can be skipped, and do not come back by themselves. */
class Tour {
	/** The sentence that is shown; null while none is. */
	step = $state<number | null>(null);

	/** Begins, unless it was there before. */
	begin(): void {
		if (settings.isToured) return;
		settings.set({ isToured: true });
		this.step = 0;
	}

	next(steps: number): void {
		this.step = this.step === null || this.step + 1 >= steps ? null : this.step + 1;
	}

	end(): void {
		this.step = null;
	}
}

export const tour = new Tour();

/** What is seen of a target in some frames: its defocus at f/1 and its streak in a second, as squares over what is allowed. */
export interface Seen {
	readonly discs: Float64Array;
	readonly streaks: Float64Array;
}

/**
 * In every frame the target with the most defocus and the one with the most streak. A frame is sharp for all when
 * it would be for a target that had the most of both, and lost when it is for one of those two; where neither
 * is so, one frame in a hundred, all of its targets are looked at again.
 */
export class WorstPoints {
	/** The most defocus, and that target's streak. */
	readonly #mostDisc: Float64Array;
	readonly #streakBeside: Float64Array;
	/** The most streak, and that target's defocus. */
	readonly #mostStreak: Float64Array;
	readonly #discBeside: Float64Array;
	readonly #lookAgain: (frame: number) => readonly Seen[];

	/** @param lookAgain at every target of one frame */
	constructor(frames: number, lookAgain: (frame: number) => readonly Seen[]) {
		this.#mostDisc = new Float64Array(frames);
		this.#streakBeside = new Float64Array(frames);
		this.#mostStreak = new Float64Array(frames);
		this.#discBeside = new Float64Array(frames);
		this.#lookAgain = lookAgain;
	}

	/** Adds a target in some frames. */
	add({ discs, streaks }: Seen, first: number, count: number): void {
		const [mostDisc, streakBeside] = [this.#mostDisc, this.#streakBeside];
		const [mostStreak, discBeside] = [this.#mostStreak, this.#discBeside];
		for (let i = 0; i < count; i++) {
			const frame = first + i;
			const disc = discs[i] as number;
			const streak = streaks[i] as number;
			if (disc > (mostDisc[frame] as number)) {
				mostDisc[frame] = disc;
				streakBeside[frame] = streak;
			}
			if (streak > (mostStreak[frame] as number)) {
				mostStreak[frame] = streak;
				discBeside[frame] = disc;
			}
		}
	}

	/** Whether every target of a frame is sharp. */
	areSharp(frame: number, fNumber: number, standsForS: number): boolean {
		return this.#sharpFrames(fNumber, standsForS, frame, frame + 1, null) === 1;
	}

	/** In how many frames every target is sharp; those marked with 1 as lost are left out. */
	sharpFrames(fNumber: number, standsForS: number, isLost: Uint8Array): number {
		return this.#sharpFrames(fNumber, standsForS, 0, isLost.length, isLost);
	}

	#sharpFrames(
		fNumber: number,
		standsForS: number,
		from: number,
		to: number,
		isLost: Uint8Array | null
	): number {
		const [mostDisc, streakBeside] = [this.#mostDisc, this.#streakBeside];
		const [mostStreak, discBeside] = [this.#mostStreak, this.#discBeside];
		const wide = 1 / (fNumber * fNumber);
		const long = standsForS * standsForS;
		let sharp = 0;
		for (let frame = from; frame < to; frame++) {
			if (isLost?.[frame] === 1) continue;
			const disc = (mostDisc[frame] as number) * wide;
			const streak = (mostStreak[frame] as number) * long;
			if (disc + streak > 1) {
				if (disc + (streakBeside[frame] as number) * long > 1) continue;
				if ((discBeside[frame] as number) * wide + streak > 1) continue;
				if (!this.#allSharp(frame, wide, long)) continue;
			}
			sharp += 1;
		}
		return sharp;
	}

	#allSharp(frame: number, wide: number, long: number): boolean {
		return this.#lookAgain(frame).every(
			({ discs, streaks }) => (discs[0] as number) * wide + (streaks[0] as number) * long <= 1
		);
	}

	/** The most that motion and shake add in a second at any target of a frame. */
	mostStreak(frame: number): number {
		return this.#mostStreak[frame] as number;
	}
}

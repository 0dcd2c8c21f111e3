/** Of every target of every frame, frame by frame, as squares over what is allowed. */
export interface Blurs {
	/** The defocus at f/1. */
	readonly disc: Float64Array;
	/** What motion and shake add in a second. */
	readonly streak: Float64Array;
}

/**
 * The targets that decide whether a frame is sharp. A target with less defocus and less streak than
 * another fails at no f-number and no shutter at which the other does not: of dozens a few are left.
 * These are the maxima of a set of vectors (Kung, Luccio and Preparata, 1975, from memory).
 */
export class WorstPoints {
	/** Where the points of each frame begin. */
	readonly #from: Uint32Array;
	#disc: Float64Array;
	#streak: Float64Array;

	constructor({ disc, streak }: Blurs, frames: number) {
		const count = disc.length / frames;
		this.#from = new Uint32Array(frames + 1);
		this.#disc = new Float64Array(disc.length);
		this.#streak = new Float64Array(disc.length);
		let end = 0;
		for (let frame = 0; frame < frames; frame++) {
			const start = end;
			for (let at = frame * count; at < (frame + 1) * count; at++) {
				end = this.#insert(start, end, disc[at] as number, streak[at] as number);
			}
			this.#from[frame + 1] = end;
		}
		this.#disc = this.#disc.slice(0, end);
		this.#streak = this.#streak.slice(0, end);
	}

	/** Puts a point among those of a frame, unless one is worse, and drops those that it beats. */
	#insert(start: number, end: number, disc: number, streak: number): number {
		const discs = this.#disc;
		const streaks = this.#streak;
		let kept = start;
		for (let i = start; i < end; i++) {
			const ownDisc = discs[i] as number;
			const ownStreak = streaks[i] as number;
			const isNoBetter = ownDisc >= disc;
			const isNoSteadier = ownStreak >= streak;
			if (isNoBetter && isNoSteadier) return end;
			if (isNoBetter || isNoSteadier) {
				discs[kept] = ownDisc;
				streaks[kept] = ownStreak;
				kept += 1;
			}
		}
		discs[kept] = disc;
		streaks[kept] = streak;
		return kept + 1;
	}

	/** Whether every target of a frame is sharp. */
	areSharp(frame: number, fNumber: number, standsForS: number): boolean {
		const wide = 1 / (fNumber * fNumber);
		const long = standsForS * standsForS;
		const end = this.#from[frame + 1] as number;
		for (let i = this.#from[frame] as number; i < end; i++) {
			if ((this.#disc[i] as number) * wide + (this.#streak[i] as number) * long > 1) return false;
		}
		return true;
	}

	/** The most that motion and shake add in a second at any target of a frame. */
	mostStreak(frame: number): number {
		let most = 0;
		const end = this.#from[frame + 1] as number;
		for (let i = this.#from[frame] as number; i < end; i++) {
			most = Math.max(most, this.#streak[i] as number);
		}
		return most;
	}
}

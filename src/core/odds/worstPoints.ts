/** Room for so many in every frame at first: of dozens a few may decide. */
const USUALLY_LEFT = 20;

/**
 * The targets that may decide whether a frame is sharp. A target with less defocus and less streak than
 * another fails at no f-number and no shutter at which the other does not. Each is held against one
 * other alone, the worst so far: some are left that decide nothing, but that is sooner done than
 * finding those that do.
 */
export class WorstPoints {
	/** Where the points of each frame begin. */
	readonly #from: Uint32Array;
	#disc: Float64Array;
	#streak: Float64Array;
	/** The most of each in every frame. */
	readonly #mostDisc: Float64Array;
	readonly #mostStreak: Float64Array;

	/** @param targets in each of the frames */
	constructor(frames: number, targets: number) {
		const room = frames * Math.min(targets, USUALLY_LEFT);
		this.#from = new Uint32Array(frames + 1);
		this.#disc = new Float64Array(room);
		this.#streak = new Float64Array(room);
		this.#mostDisc = new Float64Array(frames);
		this.#mostStreak = new Float64Array(frames);
	}

	/** Keeps those targets of a frame that may decide; frames come one after the other. */
	keep(frame: number, discs: Float64Array, streaks: Float64Array): void {
		let end = this.#from[frame] as number;
		if (end + discs.length > this.#disc.length) this.#grow(discs.length);
		const keptDiscs = this.#disc;
		const keptStreaks = this.#streak;
		let mostDisc = 0;
		let mostStreak = 0;
		let worstDisc = -1;
		let worstStreak = -1;
		for (let i = 0; i < discs.length; i++) {
			const disc = discs[i] as number;
			const streak = streaks[i] as number;
			if (worstDisc >= disc && worstStreak >= streak) continue;
			keptDiscs[end] = disc;
			keptStreaks[end] = streak;
			end += 1;
			if (disc > mostDisc) mostDisc = disc;
			if (streak > mostStreak) mostStreak = streak;
			if (worstDisc < 0 || disc * streak > worstDisc * worstStreak) {
				worstDisc = disc;
				worstStreak = streak;
			}
		}
		this.#mostDisc[frame] = mostDisc;
		this.#mostStreak[frame] = mostStreak;
		this.#from[frame + 1] = end;
	}

	/** Half as much room again, and some for one frame. */
	#grow(targets: number): void {
		const larger = (values: Float64Array) => {
			const grown = new Float64Array(Math.ceil(1.5 * values.length) + targets);
			grown.set(values);
			return grown;
		};
		this.#disc = larger(this.#disc);
		this.#streak = larger(this.#streak);
	}

	/** Whether every target of a frame is sharp. */
	areSharp(frame: number, fNumber: number, standsForS: number): boolean {
		const wide = 1 / (fNumber * fNumber);
		const long = standsForS * standsForS;
		// most frames are sharp even for a target that had the most of both
		const most = (this.#mostDisc[frame] as number) * wide + this.mostStreak(frame) * long;
		if (most <= 1) return true;
		const end = this.#from[frame + 1] as number;
		for (let i = this.#from[frame] as number; i < end; i++) {
			if ((this.#disc[i] as number) * wide + (this.#streak[i] as number) * long > 1) return false;
		}
		return true;
	}

	/** The most that motion and shake add in a second at any target of a frame. */
	mostStreak(frame: number): number {
		return this.#mostStreak[frame] as number;
	}
}

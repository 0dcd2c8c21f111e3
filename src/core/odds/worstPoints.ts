/** Room for so many at first: of dozens few decide. */
const POINTS_A_FRAME = 8;

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
	/** The most of each in every frame: most frames are sharp even for a target that had both. */
	readonly #mostDisc: Float64Array;
	readonly #mostStreak: Float64Array;

	/** Of the frame that is being put together: where it begins, and where the next point goes. */
	#start = 0;
	#end = 0;
	#frame = 0;
	/** Which point beat another one last: likely the next one, too. */
	#winner = 0;

	constructor(frames: number) {
		this.#from = new Uint32Array(frames + 1);
		this.#disc = new Float64Array(POINTS_A_FRAME * frames);
		this.#streak = new Float64Array(POINTS_A_FRAME * frames);
		this.#mostDisc = new Float64Array(frames);
		this.#mostStreak = new Float64Array(frames);
	}

	/** Puts a point among those of the frame, unless one is worse, and drops those that it beats. */
	add(disc: number, streak: number): void {
		const discs = this.#disc;
		const streaks = this.#streak;
		const last = this.#winner;
		if (
			last < this.#end &&
			(discs[last] as number) >= disc &&
			(streaks[last] as number) >= streak
		) {
			return;
		}
		let kept = this.#start;
		for (let i = kept; i < this.#end; i++) {
			const ownDisc = discs[i] as number;
			const ownStreak = streaks[i] as number;
			const isNoBetter = ownDisc >= disc;
			const isNoSteadier = ownStreak >= streak;
			if (isNoBetter && isNoSteadier) {
				this.#winner = i;
				return;
			}
			if (isNoBetter || isNoSteadier) {
				discs[kept] = ownDisc;
				streaks[kept] = ownStreak;
				kept += 1;
			}
		}
		if (kept === discs.length) this.#grow();
		this.#disc[kept] = disc;
		this.#streak[kept] = streak;
		this.#end = kept + 1;
	}

	/** The frame has all its points: the next one begins. */
	close(): void {
		let [disc, streak] = [0, 0];
		for (let i = this.#start; i < this.#end; i++) {
			disc = Math.max(disc, this.#disc[i] as number);
			streak = Math.max(streak, this.#streak[i] as number);
		}
		this.#mostDisc[this.#frame] = disc;
		this.#mostStreak[this.#frame] = streak;
		this.#start = this.#end;
		this.#winner = this.#end;
		this.#from[++this.#frame] = this.#end;
	}

	#grow(): void {
		const [disc, streak] = [this.#disc, this.#streak];
		this.#disc = new Float64Array(2 * disc.length);
		this.#disc.set(disc);
		this.#streak = new Float64Array(2 * streak.length);
		this.#streak.set(streak);
	}

	/** Whether every target of a frame is sharp. */
	areSharp(frame: number, fNumber: number, standsForS: number): boolean {
		const wide = 1 / (fNumber * fNumber);
		const long = standsForS * standsForS;
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

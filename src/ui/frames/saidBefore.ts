import { UNJUDGED, type Judgement } from '$core/format/review';
import type { FrameShelf } from '$data/store/frameShelf';

/** What was said before of the frames of a job: also of such as are not here yet, of which a backup told. */
export class SaidBefore {
	readonly #shelf: FrameShelf;
	readonly #jobId: string;
	#said = new Map<string, Judgement>();

	constructor(shelf: FrameShelf, jobId: string) {
		this.#shelf = shelf;
		this.#jobId = jobId;
	}

	async read(): Promise<void> {
		this.#said = new Map(await this.#shelf.saidOf(this.#jobId));
	}

	/**
	 * What was said of a frame. A file that was copied to another device may have another time: then it is known by
	 * its name and size.
	 *
	 * @param isHere whether a frame of an id is here itself
	 */
	of(id: string, isHere: (id: string) => boolean): Judgement {
		const exact = this.#said.get(id);
		if (exact) return exact;
		const timeless = id.slice(0, id.lastIndexOf('|') + 1);
		for (const [other, judgement] of this.#said) {
			if (!other.startsWith(timeless) || isHere(other)) continue;
			this.#said.delete(other);
			this.#said.set(id, judgement);
			// what cannot be kept now is kept with the frame once it is measured
			void this.#shelf.renameSaid(other, id).catch(() => undefined);
			return judgement;
		}
		return UNJUDGED;
	}
}

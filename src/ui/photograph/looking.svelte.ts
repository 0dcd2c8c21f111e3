import { photographLookingText as say } from '$words/screens/photograph';
import type { FoundFace } from '$core/photograph/fitHead';
import type { Build } from '$core/tables/heads';
import type { SeenPhotograph } from '../../photograph/lookFor';
import { photographPort } from '../../workers/ports';
import { LongWork } from '../working/longWork.svelte';
import { PROBLEM_WORDS } from './problems';

/** A face on a photograph, found or pointed at; places in pixels from its top left. */
export interface RingedFace extends FoundFace {
	readonly id: number;
	readonly x: number;
	readonly y: number;
	readonly widthPx: number;
	readonly irisPx: number | null;
	readonly build: Build;
	/** Distance that was said, m. */
	readonly knownM?: number | undefined;
	/** Row that was said, from the front, from 1. */
	readonly knownRow?: number | undefined;
	/** Counts for nothing: somebody who only walked by. */
	readonly isOut: boolean;
}

export interface PictureSpot {
	readonly x: number;
	readonly y: number;
}

/** How well a finger points at an eye, as a share of the distance between the eyes. */
const POINTED_SHARE = 0.04;
/** From ear to ear, over the distance between the eyes (the table of heads). */
const EARS_OVER_EYES = 140 / 63;

const unlooked = (error: unknown): string => {
	const why = error instanceof Error ? error.message : String(error);
	return say.itCouldNotBeExaminedWithout(why);
};

/** A photograph that is looked at: who is on it, and what was said of them. */
export class Looking {
	readonly work = new LongWork();
	seen = $state.raw<SeenPhotograph | null>(null);
	/** Address of the photograph for the screen. */
	address = $state('');
	marks = $state.raw<readonly RingedFace[]>([]);

	/** Those who count. */
	get counted(): readonly RingedFace[] {
		return this.marks.filter(({ isOut }) => !isOut);
	}

	/** Looks at a file; what was there before goes when the new one is there. */
	async look(file: File): Promise<void> {
		await this.work.run(async (signal) => {
			const tell = (share: number) => {
				this.work.share = share;
			};
			const look = await photographPort
				.ask('look', { file }, { signal, tell })
				.catch((error: unknown) => {
					throw new Error(unlooked(error));
				});
			if (!look.ok) throw new Error(PROBLEM_WORDS[look.problem]);
			this.#show(look.seen);
		});
	}

	/** Gives the picture back. */
	dispose(): void {
		this.work.stop();
		URL.revokeObjectURL(this.address);
		this.address = '';
		this.seen = null;
		this.marks = [];
	}

	change(id: number, change: Partial<RingedFace>): void {
		this.marks = this.marks.map((mark) => (mark.id === id ? { ...mark, ...change } : mark));
	}

	/** Adds a face by its eyes, in whichever order; returns its id. */
	add(a: PictureSpot, b: PictureSpot): number | null {
		const { seen } = this;
		if (!seen) return null;
		// the person's left is at the right of the picture
		const [right, left] = a.x < b.x ? [a, b] : [b, a];
		const eyesPx = Math.hypot(a.x - b.x, a.y - b.y);
		if (!(eyesPx > 0)) return null;
		const found = (landmark: 'left-eye' | 'right-eye', { x, y }: PictureSpot) => ({
			landmark,
			x: x - seen.size.widthPx / 2,
			y: seen.size.heightPx / 2 - y,
			sigmaPx: POINTED_SHARE * eyesPx
		});
		const id = Math.max(0, ...this.marks.map((mark) => mark.id)) + 1;
		const mark: RingedFace = {
			id,
			landmarks: [found('left-eye', left), found('right-eye', right)],
			x: (a.x + b.x) / 2,
			y: (a.y + b.y) / 2,
			widthPx: eyesPx * EARS_OVER_EYES,
			irisPx: null,
			build: 'adult',
			isOut: false
		};
		this.marks = [...this.marks, mark].toSorted((one, other) => one.x - other.x);
		return id;
	}

	#show(seen: SeenPhotograph): void {
		URL.revokeObjectURL(this.address);
		this.address = URL.createObjectURL(seen.small);
		this.seen = seen;
		this.marks = seen.faces.map((face, id) => ({ ...face, id, build: 'adult', isOut: false }));
	}
}

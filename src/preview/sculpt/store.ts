import { sculpt, type PartName } from './parts';

/** A part as it is drawn: arrays for the graphics card. */
export interface Sculpted {
	readonly positions: Float32Array;
	readonly normals: Float32Array;
	/** Two matters and the share of the second. */
	readonly matters: Float32Array;
	/** Openness and gloss. */
	readonly finish: Float32Array;
	/** Triangles that are plain, and those that mirror like a wet eye. */
	readonly matte: Uint32Array;
	readonly wet: Uint32Array;
}

/** From this gloss on a surface mirrors. */
export const WET_GLOSS = 0.5;

/** Parts are sculpted once and kept. */
export class PartStore {
	readonly #made = new Map<PartName, Sculpted>();

	/** Whether a part is there already. */
	has(name: PartName): boolean {
		return this.#made.has(name);
	}

	of(name: PartName): Sculpted {
		const made = this.#made.get(name) ?? finished(name);
		this.#made.set(name, made);
		return made;
	}
}

function finished(name: PartName): Sculpted {
	const clay = sculpt(name);
	const matte: number[] = [];
	const wet: number[] = [];
	for (let i = 0; i < clay.indices.length; i += 3) {
		const corners = clay.indices.slice(i, i + 3);
		const isWet = corners.every((corner) => (clay.finish[corner * 2 + 1] ?? 0) > WET_GLOSS);
		(isWet ? wet : matte).push(...corners);
	}
	return {
		positions: new Float32Array(clay.positions),
		normals: new Float32Array(clay.normals),
		matters: new Float32Array(clay.matters),
		finish: new Float32Array(clay.finish),
		matte: new Uint32Array(matte),
		wet: new Uint32Array(wet)
	};
}

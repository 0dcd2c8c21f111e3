import { evenly, normalQuantile, rayleighQuantile, shuffled } from '../numeric/evenly';
import { Random } from '../numeric/random';

/** What chance gives to a frame as a whole. */
const OF_FRAME = ['camera', 'lean', 'focusing', 'wrong', 'shake', 'foresight'] as const;
export type FrameDraw = (typeof OF_FRAME)[number];
/** What it gives to each person in it. */
const OF_PERSON = ['sway', 'depth', 'speed', 'lids'] as const;
export type PersonDraw = (typeof OF_PERSON)[number];

/**
 * The frames' draws for a seed: the same for every f-number, shutter, focus and choice, so that what
 * is compared differs only in what was changed, and the odds are steady under a drag. A person keeps
 * their draws whoever else comes and goes. Each is made when first asked for.
 */
export class Draws {
	readonly frames: number;
	readonly #seed: number;
	readonly #parts: Float64Array;
	readonly #normals: Float64Array;
	readonly #known = new Map<number, Float64Array>();
	readonly #speeds = new Map<string, Float64Array>();
	readonly #happening = new Map<string, Uint8Array>();

	constructor(seed: number, frames: number) {
		this.#seed = seed;
		this.frames = frames;
		this.#parts = evenly(frames);
		this.#normals = this.#parts.map(normalQuantile);
	}

	/** Standard normal values, one a frame. */
	normal(of: Exclude<FrameDraw, 'wrong' | 'shake'>): Float64Array {
		return this.#stream(OF_FRAME.indexOf(of), this.#normals);
	}

	/**
	 * The frames in which the camera takes something else than was meant: 1 there, else 0.
	 *
	 * @param chance that it does in one frame
	 */
	wrong(chance: number): Uint8Array {
		const of = () => this.#stream(OF_FRAME.indexOf('wrong'), this.#parts);
		return this.#happens(`wrong ${chance}`, chance, of);
	}

	/** Draws from a Rayleigh distribution with scale 1. */
	shake(): Float64Array {
		return this.#stream(OF_FRAME.indexOf('shake'), this.#parts, rayleighQuantile);
	}

	/**
	 * Standard normal values of a person; for the lids evenly from 0 to 1.
	 *
	 * @param index place among the people of the shot
	 */
	ofPerson(index: number, of: PersonDraw): Float64Array {
		const stream = OF_FRAME.length + OF_PERSON.length * index + OF_PERSON.indexOf(of);
		return this.#stream(stream, of === 'lids' ? this.#parts : this.#normals);
	}

	/**
	 * How many times its median a person's speed is: lognormal.
	 *
	 * @param spread of its logarithm
	 */
	speed(index: number, spread: number): Float64Array {
		const key = `${index} ${spread}`;
		const known = this.#speeds.get(key);
		if (known) return known;
		const made = this.ofPerson(index, 'speed').map((z) => Math.exp(spread * z));
		this.#speeds.set(key, made);
		return made;
	}

	/**
	 * The frames in which a person's eyes are shut: 1 there, else 0.
	 *
	 * @param chance that they are in one frame
	 */
	shut(index: number, chance: number): Uint8Array {
		return this.#happens(`${index} ${chance}`, chance, () => this.ofPerson(index, 'lids'));
	}

	#happens(key: string, chance: number, partsOf: () => Float64Array): Uint8Array {
		const known = this.#happening.get(key);
		if (known) return known;
		const made = Uint8Array.from(partsOf(), (part) => (part < chance ? 1 : 0));
		this.#happening.set(key, made);
		return made;
	}

	#stream(
		stream: number,
		values: Float64Array,
		quantile?: (share: number) => number
	): Float64Array {
		const known = this.#known.get(stream);
		if (known) return known;
		const order = new Random(Math.imul(this.#seed + 1, 0x9e3779b1) + stream);
		const made = shuffled(quantile ? values.map(quantile) : values, order);
		this.#known.set(stream, made);
		return made;
	}
}

const known = new Map<string, Draws>();
/** Draws of so many kinds are kept. */
const MOST_KEPT = 4;

/** The draws of a seed; made once as long as few others are asked for. */
export function drawsOf(seed: number, frames: number): Draws {
	const key = `${seed} ${frames}`;
	const found = known.get(key);
	if (found) return found;
	const made = new Draws(seed, frames);
	if (known.size >= MOST_KEPT) known.clear();
	known.set(key, made);
	return made;
}

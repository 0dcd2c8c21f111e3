/**
 * A seeded source of chance: the same seed gives the same numbers everywhere. Generator: sfc32 of
 * PractRand (Doty-Humphrey; from memory), seeded through a mixer (murmur3's finaliser; from memory).
 */
export class Random {
	#a: number;
	#b: number;
	#c: number;
	#counter = 1;
	#spare = NaN;

	constructor(seed: number) {
		this.#a = mixed(seed);
		this.#b = mixed(seed + 0x9e3779b9);
		this.#c = mixed(seed ^ 0x85ebca6b);
		for (let i = 0; i < 12; i++) this.uniform();
	}

	/** Evenly from 0 (included) to 1. */
	uniform(): number {
		const sum = (this.#a + this.#b + this.#counter) | 0;
		this.#counter = (this.#counter + 1) | 0;
		this.#a = this.#b ^ (this.#b >>> 9);
		this.#b = (this.#c + (this.#c << 3)) | 0;
		this.#c = (((this.#c << 21) | (this.#c >>> 11)) + sum) | 0;
		return (sum >>> 0) / 4294967296;
	}

	/** From the standard normal distribution. Source: Marsaglia's polar method, 1964. */
	normal(): number {
		if (!Number.isNaN(this.#spare)) {
			const spare = this.#spare;
			this.#spare = NaN;
			return spare;
		}
		for (;;) {
			const x = 2 * this.uniform() - 1;
			const y = 2 * this.uniform() - 1;
			const square = x * x + y * y;
			if (square > 0 && square < 1) {
				const scale = Math.sqrt((-2 * Math.log(square)) / square);
				this.#spare = y * scale;
				return x * scale;
			}
		}
	}

	/** From Rayleigh's distribution with scale 1, by its inverse. */
	rayleigh(): number {
		return Math.sqrt(-2 * Math.log(1 - this.uniform()));
	}
}

function mixed(seed: number): number {
	let h = Math.imul(seed ^ (seed >>> 16), 0x85ebca6b);
	h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
	return (h ^ (h >>> 16)) | 0;
}

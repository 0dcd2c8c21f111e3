import { linearFit } from '../numeric/linearFit';
import { frequencyOf, placesOf, RINGS, WAYS, type Spectrum } from './spectrum';
import { meanSquare, type Spread } from './spread';

/** Power is told from noise when it is so many times as much, and told well when it is so many times. */
const OVER_NOISE = 2;
const WELL_OVER_NOISE = 8;
/** Fewer places of the spectra decide nothing. */
const LEAST_PLACES = 8;
/** A disc's power falls as a Gaussian's up to so many cycles across it, and vanishes at 1.22. */
const CYCLES_ACROSS = 0.7;
/** Rings that are looked at, however wide the disc. */
const LEAST_FREQUENCY = 0.09;
const ROUNDS = 4;
const SETTLED = 0.01;

/**
 * By how much more the second is blurred than the first, where both show the same thing: of what a blur with the
 * spread s² leaves, the logarithm of the power falls by (2π f)² s² along each frequency f. Negative where it is
 * blurred less; null where noise hides both or they are not of one scale.
 *
 * @param firstPx about how much the first is blurred, px
 */
export function difference(first: Spectrum, second: Spectrum, firstPx: number): Spread | null {
	if (first.scale !== second.scale) return null;
	const places = [placesOf(first.sidePx), placesOf(second.sidePx)] as const;
	const equations = Array.from({ length: RINGS * WAYS }, (_, i) => {
		const over = [first, second].map(({ power, noise }) => (power[i] as number) / noise - 1);
		const [a, b] = over as [number, number];
		const count = Math.min(places[0][i] as number, places[1][i] as number);
		if (count === 0 || Math.min(a, b) < OVER_NOISE) return [];
		const f = frequencyOf(Math.floor(i / WAYS));
		const angle = ((i % WAYS) * Math.PI) / WAYS;
		const [fx, fy] = [f * Math.cos(angle), f * Math.sin(angle)];
		const fall = Math.log((a * first.noise) / (b * second.noise));
		return {
			f,
			terms: [fx * fx, fy * fy, 2 * fx * fy, 1],
			value: (DISC_OVER_VARIANCE * fall) / (2 * Math.PI) ** 2,
			weight: Math.sqrt(count) * Math.min(1, Math.min(a, b) / WELL_OVER_NOISE)
		};
	}).flat();
	let answer: Spread | null = null;
	let most = Infinity;
	for (let round = 0; round < ROUNDS; round++) {
		const used = equations.filter(({ f }) => f < most);
		const fit = used.length >= LEAST_PLACES ? linearFit(used) : null;
		if (!fit) break;
		const [xx, yy, xy] = fit as [number, number, number];
		answer = { xx, yy, xy };
		const widest = Math.hypot(firstPx / first.scale, Math.sqrt(Math.abs(meanSquare(answer))));
		const next = Math.max(LEAST_FREQUENCY, CYCLES_ACROSS / widest);
		if (Math.abs(next - most) < SETTLED) break;
		most = next;
	}
	const square = first.scale ** 2;
	return answer && { xx: answer.xx * square, yy: answer.yy * square, xy: answer.xy * square };
}

/** A disc's diameter is four of its spreads along one axis. */
const DISC_OVER_VARIANCE = 16;

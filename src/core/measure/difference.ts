import { EquationSum } from '../numeric/linearFit';
import { frequencyOf, placesOf, FREQUENCY_BANDS, DIRECTION_BANDS, type Spectrum } from './spectrum';
import { meanSquare, type BlurSpread } from './spread';

/** Power is told from noise when it is so many times as much, and told well when it is so many times. */
const OVER_NOISE = 2;
const WELL_OVER_NOISE = 8;
/** With fewer frequencies there is no answer. */
const LEAST_PLACES = 8;
/** A disc's power falls as a Gaussian's up to so many cycles across it, and vanishes at 1.22. */
const CYCLES_ACROSS = 0.7;
/** Rings that are looked at, however wide the disc. */
const LEAST_FREQUENCY = 0.09;
const MAX_ROUNDS = 4;
const SETTLED_PX2 = 0.01;

/**
 * By how much more the second is blurred than the first, where both show the same thing: of what a blur with the
 * spread s² leaves, the logarithm of the power falls by (2π f)² s² along each frequency f. Negative where it is
 * blurred less; null where noise hides both or they are not of one scale.
 *
 * @param firstPx about how much the first is blurred, px
 */
export function difference(first: Spectrum, second: Spectrum, firstPx: number): BlurSpread | null {
	if (first.scale !== second.scale) return null;
	weigh(first, second);
	let answer: BlurSpread | null = null;
	let most = Infinity;
	for (let round = 0; round < MAX_ROUNDS; round++) {
		const fit = fitBelow(most);
		if (!fit) break;
		const [xx, yy, xy] = fit as [number, number, number];
		answer = { xx, yy, xy };
		const widest = Math.hypot(firstPx / first.scale, Math.sqrt(Math.abs(meanSquare(answer))));
		const next = Math.max(LEAST_FREQUENCY, CYCLES_ACROSS / widest);
		if (Math.abs(next - most) < SETTLED_PX2) break;
		most = next;
	}
	const square = first.scale ** 2;
	return answer && { xx: answer.xx * square, yy: answer.yy * square, xy: answer.xy * square };
}

/** What a place of the spectra multiplies: its frequency, and the squares of that along and across. */
const PLACES = Array.from({ length: FREQUENCY_BANDS * DIRECTION_BANDS }, (_, i) => {
	const f = frequencyOf(Math.floor(i / DIRECTION_BANDS));
	const angle = ((i % DIRECTION_BANDS) * Math.PI) / DIRECTION_BANDS;
	const [fx, fy] = [f * Math.cos(angle), f * Math.sin(angle)];
	return { f, terms: [fx * fx, fy * fy, 2 * fx * fy, 1] };
});

/** For the two spectra being compared: how far the power falls at each frequency, and its weight. */
const falls = new Float64Array(PLACES.length);
const weights = new Float64Array(PLACES.length);

/** Fills both; what noise hides in either counts for nothing. */
function weigh(first: Spectrum, second: Spectrum): void {
	const [firstPlaces, secondPlaces] = [placesOf(first.sidePx), placesOf(second.sidePx)];
	for (let i = 0; i < PLACES.length; i++) {
		weights[i] = 0;
		const a = (first.power[i] as number) / first.noise - 1;
		const b = (second.power[i] as number) / second.noise - 1;
		const count = Math.min(firstPlaces[i] as number, secondPlaces[i] as number);
		const over = Math.min(a, b);
		if (count === 0 || over < OVER_NOISE) continue;
		const fall = Math.log((a * first.noise) / (b * second.noise));
		falls[i] = (DISC_OVER_VARIANCE * fall) / (2 * Math.PI) ** 2;
		weights[i] = Math.sqrt(count) * Math.min(1, over / WELL_OVER_NOISE);
	}
}

/**
 * The spread that makes the power fall so at the frequencies below one, beside a change of contrast; null where too few
 * places tell.
 */
function fitBelow(most: number): number[] | null {
	const summed = (count: 3 | 4, contrast: number): EquationSum => {
		const sum = new EquationSum(count);
		PLACES.forEach(({ f, terms }, i) => {
			const weight = weights[i] as number;
			if (weight > 0 && f < most) sum.add(terms, (falls[i] as number) - contrast, weight);
		});
		return sum;
	};
	const free = summed(4, 0);
	if (free.count < LEAST_PLACES) return null;
	const fit = free.solved();
	const contrast = fit?.[3] ?? 0;
	if (Math.abs(contrast) <= MOST_CONTRAST) return fit;
	return summed(3, Math.sign(contrast) * MOST_CONTRAST).solved();
}

/** A disc's diameter is four of its spreads along one axis. */
const DISC_OVER_VARIANCE = 16;
/** Light changes the contrast of what is looked at by so many times at most: what leaves less of it is blur. */
const MOST_CONTRAST_TIMES = 4;
const MOST_CONTRAST =
	(DISC_OVER_VARIANCE * Math.log(MOST_CONTRAST_TIMES ** 2)) / (2 * Math.PI) ** 2;

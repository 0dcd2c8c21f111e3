import { stopsBetween } from '../optics/fNumber';

/** The f-numbers of a whole day. */

export interface DaySpread {
	/** Each f-number with how many shots are taken at it, the widest first. */
	readonly counts: readonly { readonly fNumber: number; readonly shots: number }[];
	/** The f-numbers among which too many shots lie, and how many; null where the day is varied. */
	readonly alike: { readonly from: number; readonly to: number; readonly shots: number } | null;
}

/** Shots this near to each other look alike, stops. */
const ALIKE_STOPS = 2 / 3;
/** What engraving rounds away, stops. */
const A_HAIR = 0.1;
/** So large a share of a day makes a set with one look, from so many shots on. Common practice, no source. */
const TOO_MANY = 0.6;
const MOST_SEPARATE = 5;

/** @param fNumbers of the shots, as engraved */
export function spreadOf(fNumbers: readonly number[]): DaySpread {
	const order = fNumbers.toSorted((a, b) => a - b);
	const counts = [...new Set(order)].map((fNumber) => ({
		fNumber,
		shots: order.filter((one) => one === fNumber).length
	}));
	const within = (from: number) =>
		order.filter((one) => one >= from && stopsBetween(from, one) <= ALIKE_STOPS + A_HAIR);
	const most = counts
		.map(({ fNumber }) => within(fNumber))
		.reduce<readonly number[]>((best, one) => (one.length > best.length ? one : best), []);
	const isAlike = order.length >= MOST_SEPARATE && most.length >= TOO_MANY * order.length;
	const [from, to] = [most[0], most.at(-1)];
	return {
		counts,
		alike:
			isAlike && from !== undefined && to !== undefined ? { from, to, shots: most.length } : null
	};
}

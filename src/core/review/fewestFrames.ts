/** The frames that together hold everybody. */

/** Beyond so many frames the search for the fewest is given up for one that is nearly as good. */
const MOST_EXACT = 12;

/**
 * The fewest frames in which everybody who is good in any is good at least once, the best frame first: exact up
 * to 12 frames, greedy beyond (Chvatal, "A greedy heuristic for the set-covering problem", 1979, from memory).
 *
 * @param good for each frame whether each person is good in it
 * @returns indices of frames; empty where nobody is good in any
 */
export function fewestFrames(good: readonly (readonly boolean[])[]): number[] {
	const held = good.map((people) => {
		let bits = 0n;
		people.forEach((isGood, i) => {
			if (isGood) bits |= 1n << BigInt(i);
		});
		return bits;
	});
	const wanted = held.reduce((all, bits) => all | bits, 0n);
	const greedy = greedyCover(held, wanted);
	const chosen = greedy.length > MOST_EXACT ? greedy : exactCover(held, wanted, greedy);
	return chosen.toSorted((a, b) => count(held[b] ?? 0n) - count(held[a] ?? 0n) || a - b);
}

function count(bits: bigint): number {
	let [left, all] = [bits, 0];
	for (; left > 0n; left &= left - 1n) all++;
	return all;
}

function greedyCover(held: readonly bigint[], wanted: bigint): number[] {
	const chosen: number[] = [];
	let missing = wanted;
	while (missing > 0n) {
		let [best, most] = [-1, 0];
		held.forEach((bits, i) => {
			const gained = count(bits & missing);
			if (gained > most) [best, most] = [i, gained];
		});
		if (best < 0) break;
		chosen.push(best);
		missing &= ~(held[best] as bigint);
	}
	return chosen;
}

/** Branches on the person whom the fewest frames hold; what cannot beat the best so far is left. */
function exactCover(held: readonly bigint[], wanted: bigint, greedy: readonly number[]): number[] {
	// a frame that holds no more than another is never needed
	const useful = held
		.map((bits, i) => ({ bits, i }))
		.filter(
			({ bits, i }) =>
				bits > 0n && !held.some((other, k) => (bits | other) === other && (other !== bits || k < i))
		);
	let best: readonly number[] = greedy;
	const search = (missing: bigint, chosen: readonly number[]): void => {
		if (missing === 0n) {
			if (chosen.length < best.length) best = chosen;
			return;
		}
		const most = Math.max(...useful.map(({ bits }) => count(bits & missing)));
		if (chosen.length + Math.ceil(count(missing) / most) >= best.length) return;
		let rarest: typeof useful = [];
		for (let left = missing; left > 0n; left &= left - 1n) {
			const one = left & -left;
			const having = useful.filter(({ bits }) => (bits & one) > 0n);
			if (rarest.length === 0 || having.length < rarest.length) rarest = having;
		}
		const sorted = rarest.toSorted((a, b) => count(b.bits & missing) - count(a.bits & missing));
		for (const { bits, i } of sorted) search(missing & ~bits, [...chosen, i]);
	};
	search(wanted, []);
	return [...best];
}

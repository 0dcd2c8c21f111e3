/** Lists in words. */

/** "a", "a and b", "a, b and c". */
export const listed = (words: readonly string[]): string =>
	words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** Frames by their numbers, from 1: "frame 2", "frames 1 to 3 and 5". @param indices rising, from 0 */
export function frameNumbers(indices: readonly number[]): string {
	const runs: { from: number; to: number }[] = [];
	for (const index of indices) {
		const last = runs.at(-1);
		if (last && index === last.to + 1) last.to = index;
		else runs.push({ from: index, to: index });
	}
	const told = runs.flatMap(({ from, to }) =>
		to - from > 1
			? [`${from + 1} to ${to + 1}`]
			: to > from
				? [`${from + 1}`, `${to + 1}`]
				: [`${from + 1}`]
	);
	return `${indices.length === 1 ? 'frame' : 'frames'} ${listed(told)}`;
}

import { mean } from '../numeric/mean';

/** Who stands in one row, by height in the frame and size together (section 10 of the model). */

/** A head as it was fitted: depth and its spread, and how far beside and above the axis it is seen, over the depth. */
export interface RowHead {
	readonly depthM: number;
	readonly sigmaM: number;
	readonly aside: number;
	readonly above: number;
}

/** How unevenly a row stands, m. */
export const WITHIN_ROW_M = 0.15;
/** How much heights differ within a row, m: those of adults' eyes, and a little for shoes (from memory). */
const HEIGHTS_M = 0.1;
/** By how much less another row must leave unexplained, in squares of spreads. */
const WORTH_A_ROW = 6;
/** Two of one row stand at least so far apart, m, shoulder behind shoulder; nearer ones cost as much as this. */
const SHOULDERS_M = 0.33;
const SAME_PLACE = 4;
const MOST_ROWS = 8;
/** From row to row, m, and how much that differs (common practice, no source). */
const GAP_M = 0.8;
const GAP_SPREAD_M = 0.3;
/** Prior odds that two heights are two rows rather than one, before sizes count. */
const SPLIT_LIKELIHOOD_RATIO = 3;
/** How much height counts against size when heads are put in order: rows on steps, rows on level ground. */
const MIXES_DEG = [0, 15, 30, 45, 55, 65, 75, 82, 90];

/**
 * The row of each head, counted from the front, from 1. Of all ways to part the heads, put in order by size
 * and height, into rows, the one that leaves least unexplained; another row must be worth it.
 */
export function photographRows(heads: readonly RowHead[]): number[] {
	if (heads.length === 0) return [];
	const typicalM = mean(heads.map(({ depthM }) => depthM));
	const points = heads.map(({ depthM, sigmaM, aside, above }) => ({
		depth: depthM / Math.hypot(sigmaM, WITHIN_ROW_M),
		height: (above * typicalM) / HEIGHTS_M,
		asideM: aside * typicalM
	}));
	const partings = MIXES_DEG.map((mixDeg) => settled(parted(points, mixDeg), points));
	const best = partings.reduce((a, b) => (costOf(b, points) < costOf(a, points) ? b : a));
	const rows = apart(best, heads);
	return heads.map((_, i) => rows.findIndex((row) => row.includes(i)) + 1);
}

interface Point {
	/** In spreads. */
	readonly depth: number;
	readonly height: number;
	readonly asideM: number;
}
/** Heads by their number. */
type Row = readonly number[];

/** What a row leaves unexplained: squares of spreads from its mean, and people in one place. */
function leftOver(row: Row, points: readonly Point[]): number {
	const all = row.map((i) => points[i] as Point);
	const [depth, height] = [mean(all.map((one) => one.depth)), mean(all.map((one) => one.height))];
	return all.reduce((sum, one, i) => {
		const squares = (one.depth - depth) ** 2 + (one.height - height) ** 2;
		const close = all
			.slice(0, i)
			.filter((other) => Math.abs(other.asideM - one.asideM) < SHOULDERS_M);
		return sum + squares + SAME_PLACE * close.length;
	}, 0);
}

const costOf = (rows: readonly Row[], points: readonly Point[]): number =>
	rows.reduce((sum, row) => sum + WORTH_A_ROW + leftOver(row, points), 0);

/** The best parting into rows of heads in one order: by dynamic programming over where rows end. */
function parted(points: readonly Point[], mixDeg: number): readonly Row[] {
	const mix = (mixDeg * Math.PI) / 180;
	const key = (i: number) => {
		const { depth, height } = points[i] as Point;
		return Math.cos(mix) * depth + Math.sin(mix) * height;
	};
	const order = points.map((_, i) => i).sort((a, b) => key(a) - key(b));
	/** Best rows of the first so many heads, however many rows. */
	const best: { readonly cost: number; readonly rows: readonly Row[] }[] = [{ cost: 0, rows: [] }];
	for (let end = 1; end <= order.length; end++) {
		let least: (typeof best)[number] = { cost: Infinity, rows: [] };
		for (let start = 0; start < end; start++) {
			const before = best[start] as (typeof best)[number];
			if (before.rows.length >= MOST_ROWS) continue;
			const row = order.slice(start, end);
			const cost = before.cost + WORTH_A_ROW + leftOver(row, points);
			if (cost < least.cost) least = { cost, rows: [...before.rows, row] };
		}
		best.push(least);
	}
	return best.at(-1)?.rows ?? [];
}

/** The parting with heads moved to other rows one by one, as long as that explains more. */
function settled(rows: readonly Row[], points: readonly Point[]): readonly Row[] {
	for (const [r, row] of rows.entries()) {
		if (row.length === 1) continue;
		for (const i of row) {
			const without = row.filter((one) => one !== i);
			const gain = leftOver(row, points) - leftOver(without, points);
			for (const [s, other] of rows.entries()) {
				if (s === r) continue;
				const joined = [...other, i];
				if (leftOver(joined, points) - leftOver(other, points) < gain - 1e-9) {
					return settled(rows.with(r, without).with(s, joined), points);
				}
			}
		}
	}
	return rows;
}

/** Rows that stand too near together are one: a child beside its parents is lower, not nearer. */
function apart(rows: readonly Row[], heads: readonly RowHead[]): readonly Row[] {
	const sorted = rows.toSorted((a, b) => depthOf(a, heads).depthM - depthOf(b, heads).depthM);
	const close = sorted.findIndex((row, r) => r > 0 && !areTwo(sorted[r - 1] as Row, row, heads));
	if (close < 0) return sorted;
	const merged = [...(sorted[close - 1] as Row), ...(sorted[close] as Row)];
	return apart([...sorted.slice(0, close - 1), merged, ...sorted.slice(close + 1)], heads);
}

/** Whether a gap between rows explains their sizes better than none. */
function areTwo(near: Row, far: Row, heads: readonly RowHead[]): boolean {
	const [a, b] = [depthOf(near, heads), depthOf(far, heads)];
	const apartM = b.depthM - a.depthM;
	const ofOne = Math.hypot(a.sigmaM, b.sigmaM);
	const ofTwo = Math.hypot(ofOne, GAP_SPREAD_M);
	const surprise = (offM: number, sigmaM: number) => (offM / sigmaM) ** 2 / 2 + Math.log(sigmaM);
	const asTwo = surprise(apartM - GAP_M, ofTwo) - Math.log(SPLIT_LIKELIHOOD_RATIO);
	return apartM > GAP_M || asTwo < surprise(apartM, ofOne);
}

/** Mean depth of a row, and how far off that may be. */
function depthOf(row: Row, heads: readonly RowHead[]) {
	const all = row.map((i) => heads[i] as RowHead);
	const squares = all.reduce((sum, one) => sum + one.sigmaM ** 2 + WITHIN_ROW_M ** 2, 0);
	return { depthM: mean(all.map(({ depthM }) => depthM)), sigmaM: Math.sqrt(squares) / all.length };
}

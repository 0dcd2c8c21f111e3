import { leastSquares } from '../numeric/leastSquares';
import { mean } from '../numeric/mean';
import type { Build } from '../tables/heads';
import { fitHead, type FittedHead, type FoundFace } from './fitHead';
import { photographRows, WITHIN_ROW_M } from './rows';
import { depthByRulers } from './rulers';

/** Where everybody in a photograph stands (section 10 of the model). */

/** A face as it was found, and what is known of whose it is. */
export interface FoundHead extends FoundFace {
	/** Width of the iris; null where it was not found. */
	readonly irisPx: number | null;
	readonly build: Build;
	/** Depth that was measured, m. */
	readonly knownM?: number | undefined;
	/** Row that was said, counted from the front, from 1. */
	readonly knownRow?: number | undefined;
}

/** A head where it stands: how it is held, how deep, how far off that may be, in which row from the front. */
export interface StandingHead extends Pick<FittedHead, 'turnDeg' | 'nodDeg' | 'leanDeg'> {
	readonly rightM: number;
	readonly upM: number;
	readonly depthM: number;
	readonly sigmaM: number;
	/** The same without what is common to all: that moves nobody out of focus. */
	readonly amongSigmaM: number;
	readonly row: number;
}

/** How well a lens is known that gave a photograph: share of its focal length in pixels. */
export interface PhotographLens {
	readonly focalPx: number;
	readonly share: number;
}

/** A distance that was said is right to so much: its share, and a hand's breadth less. */
const KNOWN_SHARE = 0.01;
const KNOWN_M = 0.03;

/**
 * Everybody who was found, in their order; null for whom no head fits. Depths are the likeliest, all together:
 * each by its rulers, near those of the same row, the lens's own share common to all; one that is known is
 * taken as such, and sharpens the others by what they have in common with it.
 */
export function standingOf(
	heads: readonly FoundHead[],
	{ focalPx, share }: PhotographLens
): (StandingHead | null)[] {
	const fits = heads.map((head) => {
		const { build, irisPx, knownM, knownRow } = head;
		const fitted = fitHead(head, focalPx, build);
		if (!fitted) return null;
		const ruled = depthByRulers(build, fitted.depthM, fitted.pixelSigmaM, irisPx, focalPx);
		const [aside, above] = [fitted.rightM / fitted.depthM, fitted.upM / fitted.depthM];
		return { fitted, ...ruled, aside, above, knownM, knownRow };
	});
	const found = fits.filter((fit) => fit !== null);
	const seenRows = photographRows(found);
	const rows = counted(found.map(({ knownRow }, i) => knownRow ?? (seenRows[i] as number)));
	const depths = depthsTogether(
		found.map((fit, i) => ({ ...fit, row: rows[i] as number })),
		share
	);
	let next = 0;
	return fits.map((fit) => {
		if (!fit) return null;
		const i = next++;
		const { depthM, sigmaM, amongSigmaM } = depths[i] as TogetherDepth;
		const { turnDeg, nodDeg, leanDeg, rightM, upM } = fit.fitted;
		const nearer = depthM / fit.fitted.depthM;
		const place = { rightM: rightM * nearer, upM: upM * nearer, depthM, sigmaM, amongSigmaM };
		return { turnDeg, nodDeg, leanDeg, ...place, row: rows[i] as number };
	});
}

/** Rows counted anew from 1: one may be empty since somebody was said to stand in another. */
function counted(rows: readonly number[]): number[] {
	const there = [...new Set(rows)].sort((a, b) => a - b);
	return rows.map((row) => there.indexOf(row) + 1);
}

interface Depth {
	readonly depthM: number;
	readonly sigmaM: number;
}
type TogetherDepth = Depth & Pick<StandingHead, 'amongSigmaM'>;

/**
 * All depths at once, by least squares in their logarithms, in which everything is linear: of each, of each
 * row, and of the scale that all have in common. With one row a head, and a lens known exactly, each stays as it is.
 */
function depthsTogether(
	heads: readonly (Depth & { readonly row: number; readonly knownM?: number | undefined })[],
	share: number
): TogetherDepth[] {
	const rows = Math.max(0, ...heads.map(({ row }) => row));
	const rowAt = (row: number) => heads.length + row - 1;
	const scaleAt = heads.length + rows;
	const residuals = (values: readonly number[]) => {
		const at = (i: number) => values[i] as number;
		const scale = at(scaleAt);
		return [
			scale / share,
			...heads.flatMap(({ depthM, sigmaM, row, knownM }, i) => {
				const seen = ((at(i) + scale - Math.log(depthM)) * depthM) / sigmaM;
				const inRow = ((at(i) - at(rowAt(row))) * depthM) / WITHIN_ROW_M;
				if (knownM === undefined) return [seen, inRow];
				const knownShare = Math.hypot(KNOWN_SHARE, KNOWN_M / knownM);
				return [seen, inRow, (at(i) - Math.log(knownM)) / knownShare];
			})
		];
	};
	const logs = heads.map(({ depthM }) => Math.log(depthM));
	const start = [...logs, ...Array.from({ length: rows }, () => logs[0] ?? 0), 0];
	const { values, covariance } = leastSquares(
		residuals,
		start,
		start.map(() => 1)
	);
	const shared = (i: number, k: number) => covariance?.[i]?.[k] ?? 0;
	return heads.map((_, i) => {
		const depthM = Math.exp(values[i] as number);
		const withOthers = heads.flatMap((_other, k) => (k === i ? [] : shared(i, k)));
		const among = withOthers.length > 0 ? shared(i, i) - mean(withOthers) : 0;
		return {
			depthM,
			sigmaM: depthM * Math.sqrt(shared(i, i)),
			amongSigmaM: depthM * Math.sqrt(Math.max(0, among))
		};
	});
}

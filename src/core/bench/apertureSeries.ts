import type { Body } from '../format/shot';
import { mean } from '../numeric/mean';
import { nominalFNumber } from '../optics/fNumber';
import { CORNERS, type Corner, type ChartSpot } from './chart';
import { intervalsOf, type MeanInterval } from '../numeric/interval';
import { lensOf } from '../photograph/lensOf';
import type { MeasuredChart } from './measuredChart';

/**
 * At which f-number a lens is sharpest (section 12): a series of photographs of the chart, several at each f-number.
 */
export interface ApertureSeries {
	readonly bodyName: string | null;
	readonly focalMm: number | null;
	/** From the widest f-number. */
	readonly stops: readonly ApertureStop[];
	/** Places in `stops`: the sharpest in the centre, the widest that is as good, the narrowest that is. */
	readonly best: number;
	readonly from: number;
	readonly to: number;
	/** The widest at which no corner is far below the centre; null where there is none. */
	readonly cornersFrom: number | null;
	/** Corners far below the centre at the sharpest f-number. */
	readonly softCorners: readonly Corner[];
	/** Sharpening was seen: it lifts what is measured. */
	readonly isSharpened: boolean;
}

export interface ApertureStop {
	/** As it is engraved. */
	readonly fNumber: number;
	/** Cycles per pixel. */
	readonly centre: MeanInterval;
	/** Mean of each corner. */
	readonly corners: Readonly<Record<Corner, number | null>>;
}

/** Why a series says nothing. */
export type SeriesProblem =
	| { readonly code: 'few-apertures'; readonly count: number }
	| { readonly code: 'no-f-number'; readonly names: readonly string[] }
	| { readonly code: 'two-lenses'; readonly focalMm: readonly number[] }
	| { readonly code: 'moved'; readonly names: readonly string[] }
	| { readonly code: 'flicker'; readonly stops: number }
	| { readonly code: 'clipped'; readonly names: readonly string[] }
	| { readonly code: 'too-small'; readonly share: number };

export type SeriesReading =
	| { readonly ok: true; readonly series: ApertureSeries }
	| { readonly ok: false; readonly problem: SeriesProblem };

/** Fewer f-numbers are no series. */
const LEAST_STOPS = 3;
/** A corner so much below the centre is named. */
const CORNER_BELOW = 0.7;
/** An edge that swings so far beyond its ends was sharpened. */
const SHARPENED_OVERSHOOT = 0.04;
/** The marks of a chart that did not move stay within such a share of the width of the picture. */
const MOST_MOVED = 0.01;
/** Light that is steady gives the same brightness for the same exposure, stops. */
const MOST_FLICKER = 0.35;
/** The marks are so much of the width of the picture apart where its corners are the lens’s. */
const LEAST_WIDE = 0.7;

/** What a series of frames of the sharpness chart says. */
export function apertureSeries(frames: readonly MeasuredChart[]): SeriesReading {
	const problem = problemOf(frames);
	if (problem) return { ok: false, problem };
	const numbers = [...new Set(frames.map(fNumberOf))].toSorted((a, b) => a - b);
	const known = numbers.flatMap((fNumber) => {
		const its = frames.filter((frame) => fNumberOf(frame) === fNumber);
		const values = its.flatMap((frame) => spotOf(frame, 'centre') ?? []);
		return values.length > 0 ? [{ fNumber, its, values }] : [];
	});
	const centres = intervalsOf(known.map(({ values }) => values));
	const stops = known.map(({ fNumber, its }, i): ApertureStop => {
		const corners = Object.fromEntries(
			CORNERS.map((corner) => {
				const seen = its.flatMap((frame) => spotOf(frame, corner) ?? []);
				return [corner, seen.length > 0 ? mean(seen) : null];
			})
		) as Record<Corner, number | null>;
		return { fNumber, centre: centres[i] as MeanInterval, corners };
	});
	if (stops.length < LEAST_STOPS) {
		return { ok: false, problem: { code: 'few-apertures', count: stops.length } };
	}
	const means = stops.map(({ centre }) => centre.mean);
	const best = means.indexOf(Math.max(...means));
	const { centre } = stops[best] as ApertureStop;
	// a single frame has no interval: then nothing else counts as equal
	const least = Number.isFinite(centre.low) ? centre.low : centre.mean;
	const isEqual = (i: number) => (means[i] as number) >= least;
	let [from, to] = [best, best];
	while (from > 0 && isEqual(from - 1)) from -= 1;
	while (to < means.length - 1 && isEqual(to + 1)) to += 1;
	const softAt = ({ centre, corners }: ApertureStop) =>
		CORNERS.filter((corner) => {
			const value = corners[corner];
			return value === null || value < CORNER_BELOW * centre.mean;
		});
	const first = stops.findIndex((stop) => softAt(stop).length === 0);
	const [frame] = frames as [MeasuredChart];
	return {
		ok: true,
		series: {
			bodyName: frame.facts.bodyName ?? null,
			focalMm: frame.facts.focalMm ?? null,
			stops,
			best,
			from,
			to,
			cornersFrom: first < 0 ? null : first,
			softCorners: softAt(stops[best] as ApertureStop),
			isSharpened: frames.some(({ edges }) =>
				edges.some(({ overshoot }) => overshoot > SHARPENED_OVERSHOOT)
			)
		}
	};
}

const fNumberOf = ({ facts }: MeasuredChart): number => nominalFNumber(facts.fNumber ?? NaN);

/** Where the response of a place falls to a half: the mean of its edges; null where none could be measured. */
function spotOf({ edges }: MeasuredChart, spot: ChartSpot): number | null {
	const values = edges.flatMap((edge) => (edge.spot === spot ? (edge.mtf50 ?? []) : []));
	return values.length > 0 ? mean(values) : null;
}

/** Pixels of the picture to a millimetre of the sensor, by the kit's bodies or the file; null where neither says. */
export function pxPerMmOf(frame: MeasuredChart, bodies: readonly Body[]): number | null {
	const { focalMm } = frame.facts;
	const lens = lensOf(frame.facts, frame, bodies);
	return lens && focalMm ? lens.focalPx / focalMm : null;
}

function problemOf(frames: readonly MeasuredChart[]): SeriesProblem | null {
	const unknown = frames.filter(({ facts }) => facts.fNumber === undefined);
	if (unknown.length > 0) return { code: 'no-f-number', names: namesOf(unknown) };
	const focals = [...new Set(frames.flatMap(({ facts }) => facts.focalMm ?? []))];
	const lenses = new Set(frames.flatMap(({ facts }) => facts.lensName ?? []));
	if (focals.length > 1 || lenses.size > 1) return { code: 'two-lenses', focalMm: focals };
	const share = Math.min(...frames.map(widthShare));
	if (share < LEAST_WIDE) return { code: 'too-small', share };
	const moved = frames.filter((frame) => movedFrom(frames[0] as MeasuredChart, frame) > MOST_MOVED);
	if (moved.length > 0) return { code: 'moved', names: namesOf(moved) };
	const clipped = frames.filter(({ edges }) => edges.some(({ problem }) => problem === 'clipped'));
	if (clipped.length > 0) return { code: 'clipped', names: namesOf(clipped) };
	const flicker = flickerOf(frames);
	return flicker > MOST_FLICKER ? { code: 'flicker', stops: flicker } : null;
}

const namesOf = (frames: readonly MeasuredChart[]) => frames.map(({ name }) => name);

/** How far apart the marks are, of the width of the picture. */
function widthShare({ seen, widthPx }: MeasuredChart): number {
	const xs = seen.marks.map(({ x }) => x);
	return (Math.max(...xs) - Math.min(...xs)) / widthPx;
}

function movedFrom(first: MeasuredChart, { seen, widthPx }: MeasuredChart): number {
	const away = seen.marks.map(({ x, y }, i) => {
		const at = first.seen.marks[i] ?? { x, y };
		return Math.hypot(x - at.x, y - at.y);
	});
	return Math.max(...away) / widthPx;
}

/** How much the light differs between frames of one exposure, or of what should be one, stops. */
function flickerOf(frames: readonly MeasuredChart[]): number {
	const byExposure = new Map<string, number[]>();
	for (const { facts, paper } of frames) {
		const { fNumber, shutterS, iso } = facts;
		if (!fNumber || !shutterS || !iso || paper <= 0) continue;
		// frames of one f-number alone: engraved ones are not exactly what they say
		const key = `${nominalFNumber(fNumber)} ${shutterS} ${iso}`;
		byExposure.set(key, [...(byExposure.get(key) ?? []), Math.log2(paper)]);
	}
	return Math.max(0, ...[...byExposure.values()].map((all) => Math.max(...all) - Math.min(...all)));
}

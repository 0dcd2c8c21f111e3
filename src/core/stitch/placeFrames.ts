import { angleDeg } from '../technique/stitching';
import { linearFit } from '../numeric/linearFit';
import { aroundCamera, type AroundCamera, type GreyPicture } from './aroundCamera';
import {
	comparable,
	phased,
	shiftBetween,
	shiftNear,
	sureness,
	type Shift
} from './phaseCorrelation';

/** Where the frames of a set looked, by what they show of each other. */

/** Two frames that show the same, and by how much the camera was turned from one to the other. */
interface Link {
	readonly from: number;
	readonly to: number;
	readonly turnDeg: number;
	readonly tiltDeg: number;
	/** Correlation of what both show. */
	readonly likeness: number;
	/** How much that is, a share of a square that is the same for all. */
	readonly shared: number;
}

/** Where a frame looked, degrees to the right of the first and above level; null where it shares nothing with the others. */
type Place = { readonly turnDeg: number; readonly tiltDeg: number } | null;

export interface PlacedSet {
	readonly places: readonly Place[];
	/** Those that the places were found by. */
	readonly links: readonly Link[];
}

/** Sides of the squares that are compared: any with any, then those that go together. */
const COARSE_PX = 128;
const FINE_PX = 256;
/** So much of a square its frame fills: what is tilted is wider. */
const MIN_FILL_SHARE = 0.72;
/**
 * Less sure at first is not looked at more finely. What stays less sure then is chance: of frames that share nothing the
 * surest came to 0.25, of neighbours that share a seventh the least to 0.37.
 */
const WORTH_A_LOOK = 0.1;
const LEAST_SURE = 0.27;
/** Links that disagree by more than this with the others are mistaken, a share of a frame. */
const MOST_OFF = 0.05;

/** Of the work. */
const COARSE_SHARE = 0.7;

/** What is done between two comparisons; told how much is done, 0 to 1. */
export type PlacingRest = (share: number) => Promise<void>;

/**
 * @param pictures in the order they were taken
 * @param tiltDeg  how far the camera was tilted up in the middle of the set
 */
export async function placeFrames(
	pictures: readonly GreyPicture[],
	tiltDeg: number,
	rest: PlacingRest
): Promise<PlacedSet> {
	const frameDeg = Math.max(...pictures.map(longDeg));
	const mostOffDeg = MOST_OFF * frameDeg;
	const pairs = pictures.flatMap((_, to) =>
		Array.from({ length: to }, (_one, from) => ({ from, to }))
	);
	const coarseDeg = frameDeg / (MIN_FILL_SHARE * COARSE_PX);
	const level = pictures.map(() => tiltDeg);
	const coarse = squares(pictures, level, COARSE_PX, coarseDeg).map((one) =>
		phased(one, COARSE_PX)
	);
	const found: Link[] = [];
	for (const [i, pair] of pairs.entries()) {
		const shift = shiftBetween(...pairOf(coarse, pair));
		if (shift && sureness(shift) >= WORTH_A_LOOK) found.push(linkOf(pair, shift, coarseDeg));
		await rest(((i + 1) / pairs.length) * COARSE_SHARE);
	}

	// once more, each as it was really tilted, and finer
	const roughly = placed(pictures.length, found, mostOffDeg);
	const tilts = aroundLevel(roughly.places, tiltDeg).map((place) => place?.tiltDeg ?? tiltDeg);
	const fineDeg = frameDeg / (MIN_FILL_SHARE * FINE_PX);
	const fine = squares(pictures, tilts, FINE_PX, fineDeg).map((one) => comparable(one, FINE_PX));
	const sure: Link[] = [];
	for (const [i, link] of found.entries()) {
		const about = { right: link.turnDeg / fineDeg, down: -link.tiltDeg / fineDeg };
		const shift = shiftNear(...pairOf(fine, link), about);
		if (shift && sureness(shift) >= LEAST_SURE) sure.push(linkOf(link, shift, fineDeg));
		await rest(COARSE_SHARE + ((i + 1) / found.length) * (1 - COARSE_SHARE));
	}
	const { places, links } = placed(pictures.length, sure, mostOffDeg);
	return { places: aroundLevel(places, tiltDeg), links };
}

const linkOf = (
	{ from, to }: Pick<Link, 'from' | 'to'>,
	{ right, down, likeness, shared }: Shift,
	degPerPx: number
): Link => ({ from, to, turnDeg: right * degPerPx, tiltDeg: -down * degPerPx, likeness, shared });

/** The places with the middle of the set tilted so. */
function aroundLevel(places: readonly Place[], tiltDeg: number): Place[] {
	const tilts = places.flatMap((place) => place?.tiltDeg ?? []);
	const middleDeg = (Math.min(...tilts) + Math.max(...tilts)) / 2;
	return places.map((place) => place && { ...place, tiltDeg: place.tiltDeg - middleDeg + tiltDeg });
}

const longDeg = ({ widthPx, heightPx, focalPx }: GreyPicture): number =>
	angleDeg(Math.max(widthPx, heightPx), focalPx);

/** Each frame around the camera, in a square of so many pixels. */
const squares = (
	pictures: readonly GreyPicture[],
	tilts: readonly number[],
	sidePx: number,
	degPerPx: number
): AroundCamera[] =>
	pictures.map((picture, i) => aroundCamera(picture, tilts[i] as number, sidePx, degPerPx));

/** A pair in whatever is known of each. */
const pairOf = <T>(each: readonly T[], { from, to }: Pick<Link, 'from' | 'to'>) =>
	[each[from] as T, each[to] as T] as const;

/** The places that the links agree on; those that contradict the surest ones are left out. */
function placed(count: number, links: readonly Link[], mostOffDeg: number): PlacedSet {
	const surest = links.toSorted((a, b) => sureness(b) - sureness(a));
	// each frame begins as a group of its own; the surest links join them
	const groupOf = Array.from({ length: count }, (_, i) => i);
	const at = Array.from({ length: count }, () => ({ turnDeg: 0, tiltDeg: 0 }));
	const offOf = ({ from, to, turnDeg, tiltDeg }: Link) => {
		const [a, b] = [at[from] as Turned, at[to] as Turned];
		return {
			turnDeg: turnDeg - (b.turnDeg - a.turnDeg),
			tiltDeg: tiltDeg - (b.tiltDeg - a.tiltDeg)
		};
	};
	for (const link of surest) {
		const [kept, joining] = [groupOf[link.from] as number, groupOf[link.to] as number];
		if (kept === joining) continue;
		const off = offOf(link);
		groupOf.forEach((group, i) => {
			if (group !== joining) return;
			const own = at[i] as Turned;
			at[i] = { turnDeg: own.turnDeg + off.turnDeg, tiltDeg: own.tiltDeg + off.tiltDeg };
			groupOf[i] = kept;
		});
	}
	const sizeOf = (group: number) => groupOf.filter((one) => one === group).length;
	const [largest = 0] = [...new Set(groupOf)].toSorted((a, b) => sizeOf(b) - sizeOf(a));
	const members = groupOf.flatMap((group, i) => (group === largest ? [i] : []));
	const agreeing = links.filter((link) => {
		const off = offOf(link);
		return groupOf[link.from] === largest && Math.hypot(off.turnDeg, off.tiltDeg) <= mostOffDeg;
	});
	const turns = agreed(members, agreeing, ({ turnDeg }) => turnDeg);
	const tilts = agreed(members, agreeing, ({ tiltDeg }) => tiltDeg);
	return {
		places: groupOf.map((group, i) => {
			const k = members.indexOf(i);
			return group === largest && (members.length > 1 || count === 1)
				? { turnDeg: turns[k] ?? 0, tiltDeg: tilts[k] ?? 0 }
				: null;
		}),
		links: agreeing
	};
}

type Turned = NonNullable<Place>;

/** Each member's angle from the first, by least squares over all links. */
function agreed(
	members: readonly number[],
	links: readonly Link[],
	angleOf: (link: Link) => number
): readonly number[] {
	const [first, ...others] = members;
	if (first === undefined || others.length === 0) return [0];
	const equations = links.map((link) => ({
		terms: others.map((i) => Number(i === link.to) - Number(i === link.from)),
		value: angleOf(link),
		weight: sureness(link) ** 2
	}));
	return [0, ...(linearFit(equations) ?? others.map(() => 0))];
}

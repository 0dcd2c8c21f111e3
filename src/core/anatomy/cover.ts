import type { Person, Thing } from '../format/shot';
import { seenFrom, worldPoint, type CameraPose } from '../geometry/camera';
import { entersEllipsoid, entersPillar } from '../geometry/solids';
import { subtract, type Vec3 } from '../geometry/vector';
import { bodyPillars } from './body';
import { placeHead } from './head';
import { crossesThing, isOpaque, skullOf } from './sight';

/** How much of a thing is covered by who and what stands before it. */

/** A rectangle as the camera sees it: its depth, and its sides from the axis, m. */
export interface SeenRectangle {
	readonly depthM: number;
	readonly left: number;
	readonly right: number;
	readonly low: number;
	readonly high: number;
}

interface Span {
	readonly from: number;
	readonly to: number;
}

/** Somebody or something that may stand before a part of the area's width. */
interface Cover extends Span {
	/** @param risePerM of the look at the place, over the level distance */
	readonly hides: (place: Vec3, risePerM: number) => boolean;
}

/** Places on a thing that are looked at, across and up. */
const SAMPLES_ACROSS = 16;
const SAMPLES_UP = 10;
/** Nobody reaches farther aside from their eyes, or nearer to the camera, m. */
const REACH_M = 0.5;
/** Nor so far above them, however they hold their head, m. */
const CROWN_M = 0.25;

/**
 * The share of a rectangle that heads, bodies and other things hide, 0 to 1; good to a few hundredths.
 * Bodies are those of the figures; only things that hide eyes hide things.
 */
export function coveredShare(
	pose: CameraPose,
	area: SeenRectangle,
	thing: Thing,
	people: readonly Person[],
	things: readonly Thing[]
): number {
	/** What somebody or something at a place may hide of the area's width, as on the area; null for nothing. */
	const spanOf = (place: Vec3, reachM: number): Span | null => {
		const { depthM, rightM } = seenFrom(pose, place);
		if (depthM - REACH_M > area.depthM) return null;
		if (depthM <= REACH_M) return { from: -Infinity, to: Infinity };
		const perM = area.depthM / (depthM - REACH_M);
		const aside = rightM * (area.depthM / depthM);
		const [from, to] = [aside - reachM * perM, aside + reachM * perM];
		return to >= area.left && from <= area.right ? { from, to } : null;
	};
	const covers = [
		...people.flatMap((person): Cover[] => {
			const span = spanOf(person.eyeMidpoint, REACH_M);
			if (!span) return [];
			const skull = skullOf(placeHead(person, pose.position));
			const pillars = bodyPillars(person, pose.position);
			const { nearM, farM, topM } = reachOf(person.eyeMidpoint, pose.position);
			const hides = (to: Vec3, risePerM: number) =>
				// over their head is sooner told than past all of their body; straight up it cannot be told so
				!(Math.min(nearM * risePerM, farM * risePerM) > topM) &&
				(entersEllipsoid(pose.position, to, skull) !== null ||
					pillars.some((one) => entersPillar(pose.position, to, one) !== null));
			return [{ ...span, hides }];
		}),
		...things.flatMap((one): Cover[] => {
			const span =
				one.id !== thing.id && isOpaque(one) ? spanOf(one.position, one.widthM / 2) : null;
			if (!span) return [];
			const hides = (to: Vec3) => {
				const at = crossesThing(pose, to, one);
				return at !== null && at < 1 - 1e-9;
			};
			return [{ ...span, hides }];
		})
	];
	if (covers.length === 0) return 0;
	let hidden = 0;
	for (let column = 0; column < SAMPLES_ACROSS; column++) {
		const right = area.left + ((area.right - area.left) * (column + 0.5)) / SAMPLES_ACROSS;
		const before = covers.filter(({ from, to }) => from <= right && right <= to);
		for (let row = 0; row < SAMPLES_UP && before.length > 0; row++) {
			const up = area.low + ((area.high - area.low) * (row + 0.5)) / SAMPLES_UP;
			const place = worldPoint(pose, area.depthM, right, up);
			const { x, y, z } = subtract(place, pose.position);
			const risePerM = y / Math.hypot(x, z);
			if (before.some(({ hides }) => hides(place, risePerM))) hidden++;
		}
	}
	return hidden / (SAMPLES_ACROSS * SAMPLES_UP);
}

/** The level distances from the camera between which somebody stands, and how far above it they reach, m. */
function reachOf(eyes: Vec3, from: Vec3) {
	const { x, y, z } = subtract(eyes, from);
	const awayM = Math.hypot(x, z);
	return { nearM: Math.max(0, awayM - REACH_M), farM: awayM + REACH_M, topM: y + CROWN_M };
}

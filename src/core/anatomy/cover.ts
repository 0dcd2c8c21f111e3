import type { Person, Thing } from '../format/shot';
import { seenFrom, worldPoint, type CameraPose } from '../geometry/camera';
import { entersEllipsoid, entersPillar } from '../geometry/solids';
import type { Vec3 } from '../geometry/vector';
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

/** Places on a thing that are looked at, across and up. */
const ACROSS = 16;
const UP = 10;
/** Nobody reaches farther aside from their eyes, or nearer to the camera, m. */
const REACH_M = 0.5;

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
	const isNear = (place: Vec3, reachM: number): boolean => {
		const { depthM, rightM } = seenFrom(pose, place);
		if (depthM - REACH_M > area.depthM) return false;
		if (depthM <= REACH_M) return true;
		const perM = area.depthM / (depthM - REACH_M);
		const aside = rightM * (area.depthM / depthM);
		return aside + reachM * perM >= area.left && aside - reachM * perM <= area.right;
	};
	const covers = [
		...people
			.filter(({ eyeMidpoint }) => isNear(eyeMidpoint, REACH_M))
			.flatMap((person) => {
				const skull = skullOf(placeHead(person, pose.position));
				const pillars = bodyPillars(person, pose.position);
				return [
					(to: Vec3) => entersEllipsoid(pose.position, to, skull) !== null,
					...pillars.map((one) => (to: Vec3) => entersPillar(pose.position, to, one) !== null)
				];
			}),
		...things
			.filter((one) => one.id !== thing.id && isOpaque(one) && isNear(one.position, one.widthM / 2))
			.map((one) => (to: Vec3) => {
				const at = crossesThing(pose, to, one);
				return at !== null && at < 1 - 1e-9;
			})
	];
	if (covers.length === 0) return 0;
	let hidden = 0;
	for (let row = 0; row < UP; row++) {
		const up = area.low + ((area.high - area.low) * (row + 0.5)) / UP;
		for (let column = 0; column < ACROSS; column++) {
			const right = area.left + ((area.right - area.left) * (column + 0.5)) / ACROSS;
			const place = worldPoint(pose, area.depthM, right, up);
			if (covers.some((isInTheWay) => isInTheWay(place))) hidden++;
		}
	}
	return hidden / (ACROSS * UP);
}

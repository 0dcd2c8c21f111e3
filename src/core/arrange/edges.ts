import { faceHeightM, partCorners } from '../anatomy/figure';
import type { Person, Shot } from '../format/shot';
import { add, scale } from '../geometry/vector';
import { imageDistanceMm } from '../geometry/thinLens';
import { cameraPose, seenFrom, type CameraPose } from '../geometry/camera';
import { extentOf, type Extent } from './framing';

/** How people and things lie in the frame: who is cut, and how much room is left at the edges. */

/** A head this near an edge, as a share of the frame, is nearly cut: you can crop in, never out. */
const NEAR_EDGE_SHARE = 0.03;

export interface FrameEdges {
	/** Room from each edge to the nearest head, as a share of the frame; negative when cut. */
	readonly room: Readonly<Record<keyof Extent, number>>;
	/** People, then things, in the order of the shot. */
	readonly cutIds: readonly string[];
	readonly nearlyIds: readonly string[];
}

/** A thing that would find room in the frame and reaches over its edge, or touches it; a wall need not end. */
function thingsAround(shot: Shot, pose: CameraPose) {
	return shot.things.flatMap(({ id, look, position, widthM, heightM }) => {
		if (look === 'wall') return [];
		const corners = [-0.5, 0.5].flatMap((aside) =>
			[-0.5, 0.5].map((above) =>
				add(position, add(scale(pose.right, aside * widthM), scale(pose.up, above * heightM)))
			)
		);
		const extent = extentOf(pose, corners);
		if (!extent || isOutside(extent)) return [];
		const findsRoom = extent.right - extent.left <= 1 && extent.bottom - extent.top <= 1;
		return findsRoom ? [{ id, room: roomAround(extent) }] : [];
	});
}

const isOutside = ({ left, right, top, bottom }: Extent): boolean =>
	left > 1 || right < 0 || top > 1 || bottom < 0;

/** @returns null when there is nobody before the camera */
export function frameEdgesOf(shot: Shot): FrameEdges | null {
	const pose = cameraPose(shot.camera, shot.body.sensor);
	const heads = shot.people.flatMap((person) => {
		const extent = extentOf(pose, partCorners(person, 'face', pose.right));
		return extent ? [{ id: person.id, room: roomAround(extent) }] : [];
	});
	if (heads.length === 0) return null;
	const least = (edge: keyof Extent) => Math.min(...heads.map(({ room }) => room[edge]));
	const all = [...heads, ...thingsAround(shot, pose)];
	return {
		room: {
			left: least('left'),
			right: least('right'),
			top: least('top'),
			bottom: least('bottom')
		},
		cutIds: all.filter(({ room }) => tightest(room) < 0).map(({ id }) => id),
		nearlyIds: all
			.filter(({ room }) => tightest(room) >= 0 && tightest(room) < NEAR_EDGE_SHARE)
			.map(({ id }) => id)
	};
}

const tightest = ({ left, right, top, bottom }: FrameEdges['room']): number =>
	Math.min(left, right, top, bottom);

/** The least room that something leaves at an edge of the frame, as a share of it; negative when cut. */
export const roomIn = (extent: Extent): number => tightest(roomAround(extent));

const roomAround = ({ left, right, top, bottom }: Extent): FrameEdges['room'] => ({
	left,
	right: 1 - right,
	top,
	bottom: 1 - bottom
});

/** How much of the frame's height a face fills, from hairline to chin. */
export function faceShare(pose: CameraPose, person: Person): number {
	const { depthM } = seenFrom(pose, person.eyeMidpoint);
	const v = imageDistanceMm(pose.focalMm, depthM);
	return (faceHeightM(person.build) * v) / depthM / pose.heightMm;
}

/**
 * Width of the background in the frame, m, at a depth: held sensor width x D / v.
 *
 * @param imageMm image distance of the plane of focus, mm
 */
export function backgroundWidthM({ widthMm }: CameraPose, depthM: number, imageMm: number): number {
	return (widthMm * depthM) / imageMm;
}

import { stageSceneText as say } from '$words/screens/drawing';
import { commonText as common } from '$words/screens/common';
import type { Take } from '$core/study/candidate';
import { headPoint } from '$core/anatomy/head';
import { flatOutline, type Flat, type Outline } from '$core/anatomy/outline';
import type { Sighting } from '$core/anatomy/sight';
import type { Shot, Thing } from '$core/format/shot';
import type { State } from '$core/format/plan';
import { imageDistanceMm } from '$core/geometry/thinLens';
import { mean } from '$core/numeric/mean';
import { radians } from '$core/geometry/angle';
import { focusCurve } from '$core/optics/focusCurve';
import { worldPoint, type CameraPose } from '$core/geometry/camera';
import { rowName } from '$words/rows';
import { along, meanPoint, type Vec3 } from '$core/geometry/vector';
import type { Scene } from '$core/study/scene';
import { faceRatios } from '$core/study/take';
import { stateOf } from '$core/sharpness/state';
import { CAMERA, PLANE, type ObjectRef } from './stageObjects';
import { drawnM, toPx, type StageView } from './stageView';
import type { Zone } from './zone';

/** What the stage draws, in px, worked out from the scene and the view. */

export interface HeadMark {
	readonly id: string;
	readonly name: string;
	readonly outline: Outline;
	/** The tip of the nose, and the two points of the head it stands on. */
	readonly nose: readonly [Flat, Flat, Flat];
	readonly nearEye: Flat | null;
	readonly state: State | null;
	readonly isFocus: boolean;
}

export interface StageObject {
	readonly ref: ObjectRef;
	readonly at: Flat;
	readonly label: string;
}

/** Half the least size of a head on the stage, px: still a head when the whole place is shown. */
const LEAST_HEAD_PX = 5.5;

/** A point of the slice of the world that is shown: at the height of the eyes from above, in their middle from the side. */
export function sliceThrough(shot: Shot, side: StageView['side']): Vec3 {
	const counted =
		shot.people.length > 0 ? shot.people.map((p) => p.eyeMidpoint) : [shot.camera.position];
	const { x, y } = meanPoint(counted);
	// nothing else of it matters, and what stays the same is not drawn anew
	return side === 'above' ? { x: 0, y, z: 0 } : { x, y: 0, z: 0 };
}

/** Things up to this many times as far as the people are fitted into the pane; the rest by zooming out. */
const THINGS_REACH = 1.4;

/** What must be on the pane: camera, people, and the things not far behind them. */
export function fittedPoints(shot: Shot): Vec3[] {
	const near = [shot.camera.position, ...shot.people.map(({ eyeMidpoint }) => eyeMidpoint)];
	const deepest = Math.max(3, ...near.map(({ z }) => z - shot.camera.position.z));
	const things = shot.things
		.map(({ position }) => position)
		.filter(({ z }) => z - shot.camera.position.z < deepest * THINGS_REACH);
	const ground = { ...shot.camera.position, y: 0 };
	const ahead = { ...shot.camera.position, z: shot.camera.position.z + deepest * 1.06 };
	return [...near, ...things, ahead, ground];
}

export function headMarks(view: StageView, scene: Scene, take: Take | null): HeadMark[] {
	const ratios = take ? faceRatios(take) : new Map<string, number>();
	return scene.sightings.map((sighting) => headMark(view, sighting, take, ratios));
}

function headMark(
	view: StageView,
	{ person, head, nearEye, eyes }: Sighting,
	take: Take | null,
	ratios: ReadonlyMap<string, number>
): HeadMark {
	const flat = flatOutline(head, (v) => drawnM(view, v));
	const centre = toPx(view, headPoint(head, head.measures.skullCentre));
	const grow = Math.max(1, LEAST_HEAD_PX / (flat.ry * view.pxPerM));
	const size = view.pxPerM * grow;
	const outline = { ...flat, ...centre, rx: flat.rx * size, ry: flat.ry * size };
	const at = (offset: Vec3): Flat => {
		const to = drawnM(view, offset);
		return { x: centre.x + to.x * size, y: centre.y + to.y * size };
	};
	const out = head.measures.skullHalfAxes[2] / 1000;
	const wide = head.measures.skullHalfAxes[0] / 1000;
	const none: Vec3 = { x: 0, y: 0, z: 0 };
	const side = view.side === 'above' ? head.left : head.up;
	const base = along(none, head.out, out * 0.82);
	const ratio = ratios.get(person.id);
	const eye = nearEye ?? null;
	const eyeSide = eye === eyes[0] ? 1 : -1;
	return {
		id: person.id,
		name: person.name,
		outline,
		nose: [
			at(along(base, side, wide * 0.38)),
			at(along(none, head.out, out * 1.62)),
			at(along(base, side, -wide * 0.38))
		],
		nearEye: eye ? at(along(base, head.left, eyeSide * wide * 0.42)) : null,
		state: ratio === undefined ? null : stateOf(ratio),
		isFocus: take?.candidate.personId === person.id
	};
}

/** A thing as a stroke as wide as it is, seen edge on. */
export function thingStroke(
	view: StageView,
	pose: CameraPose,
	thing: Thing
): readonly [Flat, Flat] {
	const [direction, size] =
		view.side === 'above' ? [pose.right, thing.widthM] : [pose.up, thing.heightM];
	return [
		toPx(view, along(thing.position, direction, -size / 2)),
		toPx(view, along(thing.position, direction, size / 2))
	];
}

/** The two edges of what the lens takes in, px, far beyond everything. */
export function frameWedge(view: StageView, pose: CameraPose): readonly [Flat, Flat] {
	const imageMm = imageDistanceMm(pose.focalMm, 1e6);
	const farM = 200;
	const half = (sideMm: number) => (farM * sideMm) / (2 * imageMm);
	const [aside, up] = view.side === 'above' ? [half(pose.widthMm), 0] : [0, half(pose.heightMm)];
	return [
		toPx(view, worldPoint(pose, farM, -aside, -up)),
		toPx(view, worldPoint(pose, farM, aside, up))
	];
}

/** Directions fan out this far to each side of the camera's own. */
const FAN_DEG = 70;
const FAN_STEPS = 56;

/** The surface of focus where it crosses the slice, px. */
export function focusLine(view: StageView, { pose, focus }: Zone, through: Vec3): Flat[] {
	const { x, y, z } = pose.axis;
	const pan = Math.atan2(x, z);
	const tilt = Math.asin(y);
	const fan = Array.from(
		{ length: FAN_STEPS + 1 },
		(_, i) => radians(FAN_DEG) * (i / (FAN_STEPS / 2) - 1)
	);
	const start =
		view.side === 'above' ? { ...pose.position, y: through.y } : { ...pose.position, x: through.x };
	const directions = fan.map((angle) =>
		view.side === 'above'
			? { x: Math.sin(pan + angle), y: 0, z: Math.cos(pan + angle) }
			: { x: 0, y: Math.sin(tilt + angle), z: Math.cos(tilt + angle) }
	);
	return focusCurve(pose, focus, start, directions).map((p) => toPx(view, p));
}

/** Where the handle of the plane of focus sits: on its line, just inside the pane. */
export function planeHandle(view: StageView, line: readonly Flat[]): Flat | null {
	const edge = 26;
	const inside = ({ x, y }: Flat) =>
		x >= edge && x <= view.widthPx - edge && y >= edge + 12 && y <= view.heightPx - edge;
	for (let i = 1; i < line.length; i++) {
		const [a, b] = [line[i - 1], line[i]] as [Flat, Flat];
		for (let step = 0; step <= 20; step++) {
			const t = step / 20;
			const point = { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
			if (inside(point)) return point;
		}
	}
	return null;
}

/** How far the handle that turns is set off, px, so that a finger does not cover what it turns. */
const TURN_HANDLE_PX = { head: 38, camera: 52 };

/** The handle that turns the selected head or aims the camera; null when nothing can be turned. */
export function turnHandleOf(
	view: StageView,
	scene: Scene,
	heads: readonly HeadMark[],
	selected: ObjectRef | null
): { readonly ref: ObjectRef; readonly at: Flat } | null {
	if (selected?.kind === 'camera') {
		const from = toPx(view, scene.pose.position);
		return {
			ref: selected,
			at: setOff(from, drawnM(view, scene.pose.axis), TURN_HANDLE_PX.camera)
		};
	}
	if (selected?.kind !== 'person') return null;
	const head = scene.sightings.find(({ person }) => person.id === selected.id)?.head;
	const outline = heads.find(({ id }) => id === selected.id)?.outline;
	if (!head || !outline) return null;
	return { ref: selected, at: setOff(outline, drawnM(view, head.out), TURN_HANDLE_PX.head) };
}

function setOff(from: Flat, towards: Flat, byPx: number): Flat {
	// seen end on a direction has no length to speak of
	const sizePx = Math.max(0.3, Math.hypot(towards.x, towards.y));
	return { x: from.x + (towards.x / sizePx) * byPx, y: from.y + (towards.y / sizePx) * byPx };
}

/** Size of a row's label, px. */
export const LABEL_PX = { width: 48, height: 20 };

/** The labels of the rows, in a line beside their ends, clear of the heads and of each other. */
function rowLabels(view: StageView, scene: Scene): StageObject[] {
	if (scene.rows.length < 2) return [];
	const runsUp = view.side === 'above' && view.isTall;
	const all = scene.shot.people.map(({ eyeMidpoint }) => toPx(view, eyeMidpoint));
	const beside = runsUp
		? Math.max(LABEL_PX.width, Math.min(...all.map(({ x }) => x)) - 44)
		: Math.max(...all.map(({ y }) => y)) + (view.side === 'side' ? 40 : 28);
	const middles = scene.rows.map(({ members }) => {
		const places = members.flatMap(({ personId }) => {
			const person = scene.shot.people.find(({ id }) => id === personId);
			return person ? [toPx(view, person.eyeMidpoint)] : [];
		});
		return mean(places.map(({ x, y }) => (runsUp ? y : x)));
	});
	const sizePx = (runsUp ? LABEL_PX.height : LABEL_PX.width) + 2;
	const spreadOut = spread(middles, sizePx);
	const paneEnd = (runsUp ? view.heightPx : view.widthPx) - sizePx / 2;
	const overPx = Math.max(0, Math.max(...spreadOut) - paneEnd);
	const along = spreadOut.map((place) => place - overPx);
	return scene.rows.flatMap(({ members: [first] }, index) => {
		const at = along[index];
		if (!first || at === undefined) return [];
		return [
			{
				ref: { kind: 'row', id: first.personId } as const,
				at: runsUp ? { x: beside, y: at } : { x: at, y: beside },
				label: rowName(index, scene.rows.length).replace(' row', '')
			}
		];
	});
}

/** The same places, at least so far apart, moved as little as their mean allows. */
function spread(places: readonly number[], least: number): number[] {
	const order = places.map((_, i) => i).sort((a, b) => (places[a] ?? 0) - (places[b] ?? 0));
	const moved = [...places];
	let last = -Infinity;
	for (const i of order) {
		last = moved[i] = Math.max(moved[i] ?? 0, last + least);
	}
	const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0);
	const shift = (sum(moved) - sum(places)) / places.length;
	return moved.map((place) => place - shift);
}

/** Everything on the stage that can be taken hold of. */
export function stageObjects(
	view: StageView,
	scene: Scene,
	heads: readonly HeadMark[],
	handle: Flat | null
): StageObject[] {
	return [
		{ ref: CAMERA, at: toPx(view, scene.pose.position), label: common.camera },
		...heads.map(({ id, name, outline }) => ({
			ref: { kind: 'person', id } as const,
			at: { x: outline.x, y: outline.y },
			label: name
		})),
		...scene.things.map(({ thing }) => ({
			ref: { kind: 'thing', id: thing.id } as const,
			at: toPx(view, thing.position),
			label: thing.label
		})),
		...rowLabels(view, scene),
		...(handle ? [{ ref: PLANE, at: handle, label: say.planeOfFocus }] : [])
	];
}

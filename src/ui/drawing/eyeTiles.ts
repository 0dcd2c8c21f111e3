import { eyeTilesText as say } from '$words/screens/drawing';
import { commonText as common } from '$words/screens/common';
import { landmarkPoint } from '$core/anatomy/head';
import type { Sighting } from '$core/anatomy/sight';
import type { State } from '$core/format/plan';
import { defocusAt } from '$core/optics/blur';
import { seenFrom, sensorPoint, type CameraPoint } from '$core/geometry/camera';
import { mean } from '$core/numeric/mean';
import { dot, subtract } from '$core/geometry/vector';
import { whereStands } from '$core/arrange/rows';
import { whereWords } from '$words/rows';
import { stateOf } from '$core/sharpness/state';
import { headSize } from '$core/tables/heads';
import type { Landmark } from '$core/tables/landmarks';
import type { Scene } from '$core/study/scene';
import type { Window } from '../../preview/scene';
import { imageMmOf, settingOf, type Drawable } from './drawable';

/** Close-ups of faces at the scale of the sensor, those that fail first. */

/** A window of the sensor as it is shown: how many of its pixels to one of the screen. */
interface CloseUp {
	readonly window: Window;
	/** Screen pixels over sensor pixels, at most 1: nothing is enlarged. */
	readonly share: number;
}

export interface EyeTile {
	readonly id: string;
	readonly name: string;
	/** "middle row, third from left"; empty when there is nothing to tell apart. */
	readonly where: string;
	/** The worst of the eyes that count; null for somebody nothing is asked of. */
	readonly ratio: number | null;
	readonly state: State | null;
	/** Sharp as asked, but blurred over more than two pixels: it looks soft at full size. */
	readonly isSoftAtFullSize: boolean;
	readonly isFocus: boolean;
	readonly closeUp: CloseUp;
}

/** Pixels over which blur is seen at full size. */
const SEEN_PX = 2;
/** Room around a pair of eyes, as shares of their distance; for an eye alone, of its own width. */
const ROOM_SHARE = 1.75;
const EYE_M = 0.06;

/**
 * The tiles of everybody whose eyes can be seen: those that fail first, the worst of them first, the
 * others by depth.
 *
 * @param widthPx  sides of a tile, px of the device
 */
export function eyeTiles(drawable: Drawable, widthPx: number, heightPx: number): EyeTile[] {
	const { scene, plan } = drawable;
	return scene.sightings
		.filter(({ nearEye }) => nearEye !== null)
		.map((sighting) => ({ sighting, ratio: worstEye(drawable, sighting) }))
		.sort(
			(a, b) => failing(b.ratio) - failing(a.ratio) || depthOf(a.sighting) - depthOf(b.sighting)
		)
		.map(({ sighting, ratio }) => {
			const { id, name } = sighting.person;
			return {
				id,
				name,
				where: whereWords(whereStands(scene.rows, id)),
				ratio,
				state: ratio === null ? null : stateOf(ratio),
				isSoftAtFullSize: ratio !== null && ratio <= 1 && blurredPx(drawable, sighting) > SEEN_PX,
				isFocus: plan?.focus?.personId === id,
				closeUp: pairOf(drawable, sighting, widthPx, heightPx)
			};
		});
}

const failing = (ratio: number | null): number => (ratio !== null && ratio > 1 ? ratio : 0);
const depthOf = ({ nearEye }: Sighting): number => nearEye?.seen.depthM ?? Infinity;

function worstEye({ plan }: Drawable, { person }: Sighting): number | null {
	const ratios = (plan?.targets ?? [])
		.filter(({ personId, landmark }) => personId === person.id && landmark.endsWith('-eye'))
		.map(({ ratio }) => ratio);
	return ratios.length > 0 ? Math.max(...ratios) : null;
}

function blurMm(drawable: Drawable, seen: CameraPoint): number {
	const { focus, fNumber } = settingOf(drawable);
	return defocusAt(focus, fNumber, seen);
}

function blurredPx(drawable: Drawable, { eyes }: Sighting): number {
	const seen = eyes.filter(({ lost }) => lost === null);
	return Math.max(...seen.map((eye) => blurMm(drawable, eye.seen))) / drawable.scene.pixelMm;
}

/** A window around a place, as wide as asked or wider, never enlarged. */
function closeUpAt(
	scene: Scene,
	at: { readonly x: number; readonly y: number },
	leastMm: number,
	widthPx: number,
	heightPx: number
): CloseUp {
	const fullMm = widthPx * scene.pixelMm;
	const widthMm = Math.max(fullMm, leastMm);
	const heightMm = (widthMm * heightPx) / widthPx;
	return { window: { x: at.x, y: -at.y, widthMm, heightMm }, share: fullMm / widthMm };
}

/** Both eyes, or the one that can be seen. */
function pairOf(
	drawable: Drawable,
	{ eyes }: Sighting,
	widthPx: number,
	heightPx: number
): CloseUp {
	const v = imageMmOf(drawable);
	const seen = eyes.filter(({ lost }) => lost === null);
	const places = seen.map((eye) => sensorPoint(eye.seen, v));
	const at = { x: mean(places.map(({ x }) => x)), y: mean(places.map(({ y }) => y)) };
	const spread = Math.max(...places.map(({ x }) => x)) - Math.min(...places.map(({ x }) => x));
	const eyeMm = (EYE_M * v) / (seen[0]?.seen.depthM ?? 1);
	const tall = Math.max(...places.map(({ y }) => y)) - Math.min(...places.map(({ y }) => y));
	const least = Math.max(spread * ROOM_SHARE, eyeMm, ((tall + 0.5 * eyeMm) * widthPx) / heightPx);
	return closeUpAt(drawable.scene, at, least, widthPx, heightPx);
}

/** A part of a face in the large view. */
export interface FaceCloseUp {
	readonly key: 'near' | 'far' | 'nose' | 'ear';
	readonly title: string;
	/** What to focus on; null for what nobody focuses on. */
	readonly landmark: Landmark | null;
	/** Blur over what is allowed, and in pixels of the sensor. */
	readonly ratio: number;
	readonly blurPx: number;
	readonly closeUp: CloseUp;
}

/** Breadth of a face that a part's window shows, m. */
const PART_M = 0.062;

/** Near eye, far eye, nose and the ear on the camera's side, all at one scale. */
export function faceParts(drawable: Drawable, personId: string, sidePx: number): FaceCloseUp[] {
	const { scene } = drawable;
	const sighting = scene.sightings.find(({ person }) => person.id === personId);
	if (!sighting) return [];
	const { head, eyes, person } = sighting;
	const [left, right] = eyes;
	const [near, far] = right.seen.depthM < left.seen.depthM - 1e-9 ? [right, left] : [left, right];
	const isLeftNearer = dot(subtract(scene.pose.position, head.origin), head.left) > 0;
	const look = (landmark: Landmark) => seenFrom(scene.pose, landmarkPoint(head, landmark));
	const parts = [
		{ key: 'near', title: common.nearEye, landmark: near.landmark, seen: near.seen },
		{ key: 'far', title: say.farEye, landmark: far.landmark, seen: far.seen },
		{
			key: 'nose',
			title: say.nose,
			landmark: 'nose-tip',
			seen: look('nose-tip')
		},
		{
			key: 'ear',
			title: say.ear,
			landmark: null,
			seen: look(isLeftNearer ? 'left-ear' : 'right-ear')
		}
	] as const;
	const v = imageMmOf(drawable);
	const nearest = Math.min(...parts.map(({ seen }) => seen.depthM));
	const leastMm = (PART_M * headSize(person.build) * v) / nearest;
	return parts.map(({ key, title, landmark, seen }) => {
		const blur = blurMm(drawable, seen);
		return {
			key,
			title,
			landmark,
			ratio: blur / scene.toleranceMm,
			blurPx: blur / scene.pixelMm,
			closeUp: closeUpAt(scene, sensorPoint(seen, v), leastMm, sidePx, sidePx)
		};
	});
}

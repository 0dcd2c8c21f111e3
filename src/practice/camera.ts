import { cameraPose } from '$core/geometry/camera';
import type { Release } from '$core/odds/release';
import { widestFNumber } from '$core/optics/fNumber';
import type { CameraSettings } from '$core/study/settings';
import type { Picture } from '../preview/render/picture';
import type { Studio } from '../preview/render/studio';
import {
	previewOf,
	type HungChart,
	type PreviewSize,
	type PreviewScene,
	type Subject
} from '../preview/scene';
import { finenessOf } from './fineness';
import { exposureGlimpses, lampPlaces, type OpenShutter } from './glimpses';
import { noiseOf, sensorTiles, windowOf, type Tile } from './sensor';

/** Exposes frames: draws what was released, as the sensor would have it. */

/** A frame as it is exposed, before a pixel of it is drawn. */
export interface LatentFrame {
	readonly release: Release;
	readonly settings: CameraSettings;
	/** As held. */
	readonly size: PreviewSize;
	readonly seed: number;
	/** Charts that hang in the place of things, by their ids. */
	readonly charts?: Readonly<Record<string, HungChart>>;
	/** How soft the lens is wide open: how far the edge of its opening misses, mm on the sensor. */
	readonly softMm?: number;
}

/** What it does between two pieces of work. */
export interface ExposurePauses {
	/** Lets others work. @throws when nobody waits any more */
	readonly breathe: () => Promise<void>;
	/** Is told how much of the frame is done, 0 to 1. */
	readonly tell: (share: number) => void;
}

/** The graphics card has stopped drawing. */
export class LostGraphics extends Error {}

/** Sides of the parts that a frame is drawn in: no card's limit, and little memory. */
const TILE_PX = 480;
/** Glimpses that are told to the card at once. */
const AT_ONCE = 4;

/**
 * The frame, drawn part by part on a canvas of its size.
 * @param isWanted which parts are drawn; what is not stays black
 */
export async function expose(
	studio: Studio,
	latent: LatentFrame,
	{ breathe, tell }: ExposurePauses,
	isWanted: (tile: Tile) => boolean = () => true
): Promise<OffscreenCanvas> {
	const { release, settings, size, seed } = latent;
	const whole = new OffscreenCanvas(size.widthPx, size.heightPx);
	const context = whole.getContext('2d', { alpha: false });
	if (!context) throw new LostGraphics('there is no memory for a picture of this size');
	const noise = noiseOf(release.shot.body, settings.iso, size);
	const tiles = sensorTiles(size, TILE_PX).filter(isWanted);
	for (const [i, tile] of tiles.entries()) {
		const { picture, count } = beginTile(studio, latent, tile);
		try {
			let before = Promise.resolve();
			while (picture.count < count) {
				for (let k = 0; k < AT_ONCE; k++) picture.addSample();
				// the next ones are told before these are done, so that the card need not wait
				const told = studio.finish();
				await before;
				before = told;
				tell((i + picture.count / count) / tiles.length);
				await breathe();
			}
			const [left, bottom] = [tile.left, size.heightPx - tile.top - tile.heightPx];
			picture.expose(tile, { ...noise, gain: settings.gain, left, bottom, seed });
			if (studio.isLost) throw new LostGraphics('the graphics card stopped drawing');
		} finally {
			picture.dispose();
		}
		context.drawImage(studio.canvas, tile.left, tile.top);
	}
	return whole;
}

/** A part of a frame, about to be drawn with so many glimpses. */
export function beginTile(
	studio: Studio,
	latent: LatentFrame,
	tile: Tile
): { readonly picture: Picture; readonly count: number } {
	const { release, settings, seed } = latent;
	const subject = subjectOf(latent, tile);
	const { glimpses: count, coarseness } = finenessOf(subject);
	const drawn = {
		...subject,
		widthPx: Math.ceil(subject.widthPx / coarseness),
		heightPx: Math.ceil(subject.heightPx / coarseness)
	};
	const shutter: OpenShutter = {
		setting: subject.setting,
		pxPerMm: drawn.widthPx / subject.window.widthMm,
		shutterS: settings.shutterS,
		roomBelowStops: settings.roomBelowStops,
		shakeMmPerS: release.shakeMmPerS,
		softMm: softMmOf(latent),
		isExact: latent.charts !== undefined
	};
	const glimpses = exposureGlimpses(shutter, count, seed + tile.left + tile.top);
	const picture = studio.begin(drawn, { glimpses, lampShifts: lampPlaces(shutter) });
	return { picture, count };
}

/** How soft the lens is as it is set: as the cube of how wide it is open. */
function softMmOf({ release: { shot }, settings, softMm = 0 }: LatentFrame): number {
	return softMm * (widestFNumber(shot.lens, shot.camera.focalMm) / settings.fNumber) ** 3;
}

/** What a part of a frame is of. */
export function subjectOf(latent: LatentFrame, tile: Tile): Subject {
	const { release, settings, size } = latent;
	const { shot, focus } = release;
	const { widthMm } = cameraPose(shot.camera, shot.body.sensor);
	const scene = sceneOf(latent);
	return {
		scene,
		setting: { focus, fNumber: settings.fNumber, blades: shot.lens.blades },
		window: windowOf(tile, size, widthMm / size.widthPx),
		widthPx: tile.widthPx,
		heightPx: tile.heightPx,
		streakMm: streakMmOf(latent, scene),
		showsDiffraction: false
	};
}

/** How far anything moves on the sensor while the shutter is open, mm. */
function streakMmOf({ release, settings }: LatentFrame, { figures }: PreviewScene): number {
	const { shakeMmPerS, focus } = release;
	const perS = figures.map(
		({ acrossMPerS, head }) =>
			(Math.abs(acrossMPerS) * focus.imageDistanceMm) / Math.max(head.origin.z, 0.1)
	);
	return (Math.hypot(shakeMmPerS.x, shakeMmPerS.y) + Math.max(0, ...perS)) * settings.shutterS;
}

/** What stood before the camera, with lids and movement, in the light of the settings. */
function sceneOf({ release, settings, charts = {} }: LatentFrame): PreviewScene {
	const scene = previewOf(release.shot);
	const { roomBelowStops, fNumber } = settings;
	return {
		...scene,
		things: scene.things.map((thing) => {
			const chart = charts[thing.id];
			return chart ? { ...thing, look: 'chart', chart } : thing;
		}),
		figures: scene.figures.map((figure, i) => ({
			...figure,
			isShut: release.people[i]?.isShut ?? false,
			acrossMPerS: release.people[i]?.acrossMPerS ?? 0
		})),
		light:
			roomBelowStops === null
				? scene.light
				: { ...scene.light, roomStopsBelow: roomBelowStops - 2 * Math.log2(fNumber) }
	};
}

import { roomShare, type LensSetting, type PreviewScene } from '../scene';
import { dot, type Vec3 } from '$core/geometry/vector';

/** Light on surfaces: sky and ground, one large soft source, and a flash at the camera. */

type Triple = readonly [red: number, green: number, blue: number];

/** Colours, linear: daylight under a high sky, a warm ground, the clear light of a flash. */
const SKY: Triple = [0.46, 0.49, 0.53];
const GROUND: Triple = [0.27, 0.25, 0.22];
const KEY: Triple = [0.68, 0.62, 0.53];
const FLASH: Triple = [1.22, 1.2, 1.16];
/** Towards the large soft source, in the world: up, from the left, and from the camera's side. */
const KEY_FROM: Vec3 = { x: -0.56, y: 0.58, z: -0.59 };
/** How far light reaches around an edge: it goes a little way into skin and comes out redder. */
const WRAP: Triple = [0.42, 0.3, 0.26];

/** The light of a scene for a lens as set, in the camera's coordinates. */
export interface Lighting {
	readonly up: Vec3;
	readonly key: Vec3;
	readonly keyColour: Triple;
	readonly sky: Triple;
	readonly ground: Triple;
	/** Colour of the flash at 1 m; black without one. */
	readonly flashAt1M: Triple;
	/** The light of the room as a share of what the exposure asks for. */
	readonly room: number;
}

/** A flash leaves the room dark at narrow apertures. */
export function lightingOf({ ground, light }: PreviewScene, { fNumber }: LensSetting): Lighting {
	const room = roomShare(light, fNumber);
	const { right, up, away } = ground;
	const { x, y, z } = KEY_FROM;
	const times = (colour: Triple, share: number): Triple => [
		colour[0] * share,
		colour[1] * share,
		colour[2] * share
	];
	return {
		up,
		key: {
			x: right.x * x + up.x * y + away.x * z,
			y: right.y * x + up.y * y + away.y * z,
			z: right.z * x + up.z * y + away.z * z
		},
		keyColour: times(KEY, room),
		sky: times(SKY, room),
		ground: times(GROUND, room),
		flashAt1M: times(FLASH, (light.flashAtM ?? 0) ** 2),
		room
	};
}

/**
 * Light that a surface sends on, as a share of white.
 *
 * @param normal out of the surface
 * @param at     its place in the camera's coordinates, m
 * @param open   how open it lies to the light, 0 to 1
 * @param sheen  how much it shines
 */
export function lightOn(
	lighting: Lighting,
	normal: Vec3,
	at: Vec3,
	open: number,
	sheen: number
): [number, number, number] {
	const { up, key, keyColour, sky, ground, flashAt1M } = lighting;
	const over = 0.5 + 0.5 * dot(normal, up);
	const facing = dot(normal, key);
	const distance2 = at.x * at.x + at.y * at.y + at.z * at.z;
	const distance = Math.sqrt(distance2);
	const back = { x: -at.x / distance, y: -at.y / distance, z: -at.z / distance };
	const towards = Math.max(0, dot(normal, back)) / distance2;
	const keyOpen = 1 - 0.6 * (1 - open);
	let shine = 0;
	if (sheen > 0) {
		const half = { x: key.x + back.x, y: key.y + back.y, z: key.z + back.z };
		const along = dot(normal, half) / Math.sqrt(dot(half, half));
		shine = along > 0 ? sheen * along ** 18 : 0;
	}
	const channel = (i: 0 | 1 | 2): number => {
		const wrapped = Math.min(1, Math.max(0, (facing + WRAP[i]) / (1 + WRAP[i])));
		const dome = (ground[i] + (sky[i] - ground[i]) * over) * open;
		return dome + keyColour[i] * wrapped * keyOpen + flashAt1M[i] * towards;
	};
	return [
		channel(0) + shine * keyColour[0],
		channel(1) + shine * keyColour[1],
		channel(2) + shine * keyColour[2]
	];
}

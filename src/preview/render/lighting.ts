import { sceneryOf, type Triple } from '../places';
import { roomShare, type LensSetting, type PreviewScene } from '../scene';
import { dot, type Vec3 } from '$core/geometry/vector';

/** Light on surfaces: sky and ground, one large soft source, and a flash at the camera. */

/** The clear light of a flash, linear. */
const FLASH: Triple = [1.22, 1.2, 1.16];
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

/** The warmest light, with a white balance that leaves some of it: more red, less blue, shares. */
const WARMER = [0.12, 0.2] as const;

/** A flash leaves the room dark at narrow apertures. */
export function lightingOf(
	{ ground, light, place }: PreviewScene,
	{ fNumber }: LensSetting
): Lighting {
	const room = roomShare(light, fNumber);
	const { right, up, away } = ground;
	const around = sceneryOf(place);
	const { x, y, z } = around.keyFrom;
	// what is warmer has more red and less blue
	const warm: Triple = [1 + WARMER[0] * light.warmth, 1, 1 - WARMER[1] * light.warmth];
	const times = (colour: Triple, share: number): Triple => [
		colour[0] * share,
		colour[1] * share,
		colour[2] * share
	];
	const inRoom = ([red, green, blue]: Triple): Triple =>
		times([red * warm[0], green * warm[1], blue * warm[2]], room);
	return {
		up,
		key: {
			x: right.x * x + up.x * y + away.x * z,
			y: right.y * x + up.y * y + away.y * z,
			z: right.z * x + up.z * y + away.z * z
		},
		keyColour: inRoom(around.key),
		sky: inRoom(around.dome),
		ground: inRoom(around.bounce),
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

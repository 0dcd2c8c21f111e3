import type { IUniform } from 'three';
import type { PlaceKind } from '$core/format/shot';
import type { Vec3 } from '$core/geometry/vector';
import { KEEP_GLSL } from '../lens/glsl';
import { lightOn, type Lighting } from '../render/lighting';
import { colour, seedOf, type Colour } from '../looks';
import type { PreviewSize, PreviewThing } from '../scene';
import { PATTERNS, type PanelLook } from './patterns';
import { WALLS } from './walls';
import { tintOf } from './tint';

/** The pattern of a panel as a program that paints it once for a picture, at the picture's scale. */
export interface Painting extends PreviewSize {
	/** Of the pattern: each is made into a program once. */
	readonly name: string;
	readonly fragment: string;
	readonly uniforms: Record<string, IUniform>;
}

/** A part of a thing's rectangle: its middle from the thing's, and its sides, m. */
export interface PanelPatch {
	readonly x: number;
	readonly y: number;
	readonly widthM: number;
	readonly heightM: number;
}

const FRAGMENT = (pattern: string) => /* glsl */ `
uniform vec4 uPatch;       // middle and half sides, mm
uniform vec2 uHalf;        // half sides of the whole, mm
uniform float uDetailMm;
uniform vec3 uTint;
uniform float uSeed;
uniform float uClear;      // 1 where somebody stands behind: what is seen through stays seen
uniform vec3 uLight;       // on the panel
uniform float uOutside;    // of the day outside, for what is lit from behind

${KEEP_GLSL}
float random(vec2 cell) {
	vec3 p = fract(vec3(cell.xyx) * vec3(0.1031, 0.1030, 0.0973) + uSeed);
	p += dot(p, p.yzx + 33.33);
	return fract((p.x + p.y) * p.z);
}

/** Share of a pixel that lies on the odd bars of a pattern of bars one unit wide. */
float bars(float x) {
	float w = max(fwidth(x), 1e-4);
	vec2 ends = vec2(x - 0.5 * w, x + 0.5 * w);
	vec2 pairs = floor(ends * 0.5) + clamp(2.0 * fract(ends * 0.5) - 1.0, 0.0, 1.0);
	return clamp((pairs.y - pairs.x) / w, 0.0, 1.0);
}

/** 1 inside an edge at 0, soft over a pixel. */
float within(float x) {
	return clamp(0.5 - x / max(fwidth(x), 1e-4), 0.0, 1.0);
}

/** What shows here: its colour, how much it covers, and whether the light falls on it or through it. */
struct Paint { vec3 colour; float cover; float lit; };

${pattern}

void main() {
	Paint paint = pattern(uPatch.xy + vAt * uPatch.zw, uHalf, uDetailMm);
	vec3 light = paint.colour * mix(vec3(uOutside), uLight, paint.lit);
	colour = kept(light, paint.cover);
}
`;

/** The colour of a look when its label names none. */
const TINTS: Readonly<Record<PanelLook, Colour>> = {
	bars: colour('#4a4f57'),
	foliage: colour('#55703c'),
	wall: colour('#a06a4c'),
	window: colour('#6a5b49'),
	crowd: colour('#7a7168')
};

export function paintPanel(
	thing: PreviewThing,
	look: PanelLook,
	patch: PanelPatch,
	size: PreviewSize,
	lighting: Lighting
): Painting {
	const { centre, detailMm, id, label, hasPeopleBehind } = thing;
	return {
		name: look,
		fragment: FRAGMENT(PATTERNS[look]),
		...size,
		uniforms: {
			...uniformsOf(patch, lighting),
			uHalf: { value: [thing.widthM * 500, thing.heightM * 500] },
			uDetailMm: { value: detailMm },
			uTint: { value: tintOf(label) ?? TINTS[look] },
			uSeed: { value: (seedOf(id) % 997) / 997 },
			uClear: { value: hasPeopleBehind ? 1 : 0 },
			uLight: { value: lightOn(lighting, { x: 0, y: 0, z: -1 }, centre, 0.95, 0) }
		}
	};
}

/** What closes the view: its pattern is measured from below the camera. */
export function paintWall(
	kind: PlaceKind,
	patch: PanelPatch,
	size: PreviewSize,
	lighting: Lighting,
	facing: Vec3,
	middle: Vec3
): Painting {
	return {
		name: `wall of ${kind}`,
		fragment: FRAGMENT(WALLS[kind]),
		...size,
		uniforms: {
			...uniformsOf(patch, lighting),
			uHalf: { value: [0, 0] },
			uDetailMm: { value: 1 },
			uTint: { value: [0, 0, 0] },
			uSeed: { value: 0.37 },
			uClear: { value: 0 },
			uLight: { value: lightOn(lighting, facing, middle, 0.9, 0) }
		}
	};
}

const uniformsOf = ({ x, y, widthM, heightM }: PanelPatch, { room }: Lighting) => ({
	uDither: { value: 0 },
	uPatch: { value: [x * 1000, y * 1000, widthM * 500, heightM * 500] },
	uOutside: { value: room }
});

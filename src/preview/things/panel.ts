import {
	BufferAttribute,
	DoubleSide,
	GLSL3,
	Mesh,
	PlaneGeometry,
	RawShaderMaterial,
	type BufferGeometry,
	type IUniform,
	type WebGLRenderTarget
} from 'three';
import { KEEP_GLSL, LENS_GLSL } from '../lens/glsl';
import { pupilRadiusM } from '../lens/lensUniforms';
import type { Lighting } from '../render/lighting';
import type { LensSetting, PreviewSize, PreviewThing, Subject } from '../scene';
import type { Painter } from '../render/painter';
import { paintPanel, type PanelPatch } from './panelPaint';

/** Things that are a rectangle parallel to the sensor: one picture of their pattern, seen through the lens. */

const VERTEX = /* glsl */ `
precision highp float;
in vec3 position;
in vec2 uv;
${LENS_GLSL}
out vec2 vUv;
void main() {
	vUv = uv;
	gl_Position = throughLens(position);
}
`;

/** What is covered in part is kept in as large a share of the views through the lens. */
const SIEVE = /* glsl */ `
	float draw = fract(dot(gl_FragCoord.xy, vec2(0.75487767, 0.56984029)) + dot(uPupil, vec2(7919.0, 15473.0)));
	if (paint.a < 0.998 && paint.a <= draw) discard;`;

const FRAGMENT = (isWhole: boolean) => /* glsl */ `
precision highp float;
in vec2 vUv;
uniform sampler2D uPainting;
uniform vec2 uPupil;
${KEEP_GLSL}
out vec4 colour;
void main() {
	vec4 paint = texture(uPainting, vUv);
	${isWhole ? '' : SIEVE}
	colour = dithered(paint.rgb, 1.0);
}
`;

/** A bent surface of focus moves vertices, so a panel needs some then. */
export const BENT_PARTS = 24;
/** Share of the window drawn beyond its edges. */
export const WINDOW_OVERDRAW = 1.1;
const MOST_PX = 2048;
/** Pixels of a painting for one of the picture: it is drawn from many points. */
const PAINT_RESOLUTION_RATIO = 1.25;

/** The panel of a thing and its painting; null for looks that are no panel, or out of the window. */
export function panelMesh(
	thing: PreviewThing,
	subject: Subject,
	lighting: Lighting,
	uniforms: Record<string, IUniform>,
	painter: Painter
): { readonly mesh: Mesh; readonly painting: WebGLRenderTarget } | null {
	const { look, centre } = thing;
	if (look === 'lights' || look === 'object' || look === 'chart') return null;
	const patch = patchIn(thing, subject);
	if (!patch) return null;
	const { focus } = subject.setting;
	const painting = painter.paint(
		paintPanel(thing, look, patch, paintingSize(patch, centre.z, subject), lighting)
	);
	const parts = focus.fieldCurvature === 0 ? 1 : BENT_PARTS;
	const geometry = new PlaneGeometry(patch.widthM, patch.heightM, parts, parts);
	const position = geometry.getAttribute('position') as BufferAttribute;
	for (let i = 0; i < position.count; i++) {
		const [x, y] = [position.getX(i) + patch.x, position.getY(i) + patch.y];
		position.setXYZ(i, centre.x + x, centre.y + y, centre.z);
	}
	const isWhole = look !== 'foliage' && !thing.hasPeopleBehind;
	return { mesh: paintedMesh(geometry, painting, uniforms, isWhole), painting };
}

/**
 * A surface with a painting on it.
 * @param isWhole whether it hides all that lies behind it
 */
export function paintedMesh(
	geometry: BufferGeometry,
	painting: WebGLRenderTarget,
	uniforms: Record<string, IUniform>,
	isWhole: boolean
): Mesh {
	const material = new RawShaderMaterial({
		glslVersion: GLSL3,
		vertexShader: VERTEX,
		fragmentShader: FRAGMENT(isWhole),
		side: DoubleSide,
		uniforms: { ...uniforms, uPainting: { value: painting.texture } }
	});
	return new Mesh(geometry, material);
}

/** How large a part is painted that is so far away. */
export function paintingSize(
	{ widthM, heightM }: PanelPatch,
	depthM: number,
	{ setting, window, widthPx }: Subject
): PreviewSize {
	const pxPerM = (setting.focus.imageDistanceMm / depthM) * (widthPx / window.widthMm);
	const side = (lengthM: number) =>
		Math.min(MOST_PX, Math.max(2, Math.ceil(lengthM * pxPerM * PAINT_RESOLUTION_RATIO)));
	return { widthPx: side(widthM), heightPx: side(heightM) };
}

/** How far aside of the middle's view the pupil's edge sees a point at a depth, m. */
export function blurAtM(setting: LensSetting, depthM: number): number {
	const { planeM, fieldCurvature } = setting.focus;
	return pupilRadiusM(setting) * (Math.abs(depthM / planeM - 1) + Math.abs(fieldCurvature));
}

/** The part of a thing's rectangle that may show in a window; null when none does. */
function patchIn(
	{ centre, widthM, heightM }: PreviewThing,
	{ setting, window, streakMm = 0 }: Subject
): PanelPatch | null {
	const { focus } = setting;
	if (centre.z <= 0.02) return null;
	const perMm = centre.z / focus.imageDistanceMm;
	const blurM = blurAtM(setting, centre.z);
	const range = (middle: number, halfMm: number, at: number, sizeM: number) => {
		const reach = (halfMm * WINDOW_OVERDRAW + streakMm) * perMm + blurM;
		const low = Math.max(-sizeM / 2, middle * perMm - reach - at);
		const high = Math.min(sizeM / 2, middle * perMm + reach - at);
		return { middle: (low + high) / 2, length: high - low };
	};
	const across = range(window.x, window.widthMm / 2, centre.x, widthM);
	const up = range(window.y, window.heightMm / 2, centre.y, heightM);
	if (across.length <= 0 || up.length <= 0) return null;
	return { x: across.middle, y: up.middle, widthM: across.length, heightM: up.length };
}

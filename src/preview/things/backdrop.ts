import {
	PlaneGeometry,
	type BufferAttribute,
	type IUniform,
	type Mesh,
	type WebGLRenderTarget
} from 'three';
import { along, dot, scale, type Vec3 } from '$core/geometry/vector';
import { sceneryOf, wallAtM } from '../places';
import type { Lighting } from '../render/lighting';
import type { Painter } from '../render/painter';
import type { Subject } from '../scene';
import { BENT_PARTS, blurAtM, WINDOW_OVERDRAW, paintedMesh, paintingSize } from './panel';
import { paintWall, type PanelPatch } from './panelPaint';

/** What closes the view behind everybody: an upright wall that faces the camera's side of the world. */

/** A wall goes so far to both sides and up, m. */
const FAR_M = 200;
const HIGH_M = 60;
/** Rays nearer than this to lying along it meet it as far as it goes. */
const GRAZING_SLOPE = 0.02;
/** Of one that stands nearer no more is painted. */
const NEAREST_M = 0.5;

/** The wall of a place and its painting; null where nothing closes the view, or it is out of the window. */
export function backdropMesh(
	subject: Subject,
	lighting: Lighting,
	uniforms: Record<string, IUniform>,
	painter: Painter
): { readonly mesh: Mesh; readonly painting: WebGLRenderTarget } | null {
	const { scene, setting } = subject;
	const { ground, place } = scene;
	const awayM = wallAtM(place);
	if (!place || awayM === Infinity) return null;
	const patch = patchIn(subject, awayM);
	if (!patch) return null;
	const at = (x: number, y: number): Vec3 =>
		along(along(along(ground.origin, ground.away, awayM), ground.right, x), ground.up, y);
	const middle = at(patch.x, patch.y);
	const painting = painter.paint(
		paintWall(
			place.kind,
			patch,
			paintingSize(patch, Math.max(middle.z, NEAREST_M), subject),
			lighting,
			scale(ground.away, -1),
			middle
		)
	);
	const parts = setting.focus.fieldCurvature === 0 ? 1 : BENT_PARTS;
	const geometry = new PlaneGeometry(patch.widthM, patch.heightM, parts, parts);
	const position = geometry.getAttribute('position') as BufferAttribute;
	for (let i = 0; i < position.count; i++) {
		const { x, y, z } = at(position.getX(i) + patch.x, position.getY(i) + patch.y);
		position.setXYZ(i, x, y, z);
	}
	return {
		mesh: paintedMesh(geometry, painting, uniforms, !sceneryOf(place).hasSkyAbove),
		painting
	};
}

/** The part of the wall that may show in a window, m right of the camera and above the ground; null when none does. */
function patchIn(
	{ scene: { ground }, setting, window, streakMm = 0 }: Subject,
	awayM: number
): PanelPatch | null {
	const { focus } = setting;
	const v = focus.imageDistanceMm;
	const heightM = -dot(ground.origin, ground.up);
	const seen = [-1, 0, 1].flatMap((across) =>
		[-1, 0, 1].map((up) => {
			const x = window.x + across * ((window.widthMm / 2) * WINDOW_OVERDRAW + streakMm);
			const y = window.y + up * ((window.heightMm / 2) * WINDOW_OVERDRAW + streakMm);
			const ray = { x: x / v, y: y / v, z: 1 };
			const times = awayM / Math.max(GRAZING_SLOPE, dot(ray, ground.away));
			return {
				x: times * dot(ray, ground.right),
				y: heightM + times * dot(ray, ground.up),
				blurM: blurAtM(setting, times)
			};
		})
	);
	const reach = (of: (one: (typeof seen)[number]) => number) => seen.map(of);
	const left = Math.max(-FAR_M, Math.min(...reach(({ x, blurM }) => x - blurM)));
	const right = Math.min(FAR_M, Math.max(...reach(({ x, blurM }) => x + blurM)));
	const low = Math.max(0, Math.min(...reach(({ y, blurM }) => y - blurM)));
	const high = Math.min(HIGH_M, Math.max(...reach(({ y, blurM }) => y + blurM)));
	if (left >= right || low >= high) return null;
	return { x: (left + right) / 2, y: (low + high) / 2, widthM: right - left, heightM: high - low };
}

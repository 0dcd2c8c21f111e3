import {
	BufferAttribute,
	BufferGeometry,
	DoubleSide,
	GLSL3,
	Mesh,
	RawShaderMaterial,
	ShapeUtils,
	Vector2,
	type IUniform
} from 'three';
import { radians } from '$core/geometry/angle';
import { along, cross, dot, subtract, type Vec3 } from '$core/geometry/vector';
import { KEEP_GLSL, LENS_GLSL } from '../lens/glsl';
import type { Lighting } from '../render/lighting';
import { pupilRadiusM } from '../lens/lensUniforms';
import type { HungChart, Drawing, PreviewThing, Subject } from '../scene';

/** A flat chart, printed on paper: drawn from its outlines, so that edges are as sharp as the lens has them. */

const VERTEX = /* glsl */ `
precision highp float;
in vec3 position;
in float tone;
${LENS_GLSL}
out float vTone;
void main() {
	vTone = tone;
	gl_Position = throughLens(position);
}
`;

const FRAGMENT = /* glsl */ `
precision highp float;
in float vTone;
uniform vec3 uLight;
${KEEP_GLSL}
out vec4 colour;
void main() { colour = kept(uLight * vTone, 1.0); }
`;

/** Shares of the light that paper and ink send back: usual values, from memory. */
const PAPER_REFLECTANCE = 0.82;
const INK_REFLECTANCE = 0.04;
/** Evenly lit, as charts should be. */
const LIGHT_LEVEL = 0.95;

/** The paper, and what is printed just before it; nothing for other things. */
export function chartMeshes(
	{ chart, centre, widthM, heightM }: PreviewThing,
	{ room }: Lighting,
	uniforms: Record<string, IUniform>
): Mesh[] {
	if (!chart) return [];
	const [halfX, halfY] = [500 * widthM, 500 * heightM];
	const paper = {
		tone: 1,
		outline: [
			[-halfX, -halfY],
			[halfX, -halfY],
			[halfX, halfY],
			[-halfX, halfY]
		] as const
	};
	const [right, up] = sidesOf(chart);
	const placed = (x: number, y: number) => along(along(centre, right, x / 1000), up, y / 1000);
	const mesh = (shapes: Drawing['shapes'], isPrinted: boolean) => {
		const material = new RawShaderMaterial({
			glslVersion: GLSL3,
			vertexShader: VERTEX,
			fragmentShader: FRAGMENT,
			side: DoubleSide,
			polygonOffset: isPrinted,
			polygonOffsetFactor: -1,
			polygonOffsetUnits: -4,
			uniforms: {
				...uniforms,
				uLight: { value: [LIGHT_LEVEL * room, LIGHT_LEVEL * room, LIGHT_LEVEL * room] }
			}
		});
		return new Mesh(geometryOf(shapes, placed), material);
	};
	return [mesh([paper], false), mesh(chart.drawing.shapes, true)];
}

/** A window with what the pixel and the lens's own softness let in over its edges, over its size. */
const LET_IN = 1.04;
const CORNERS = [
	[-1, -1],
	[1, -1],
	[1, 1],
	[-1, 1]
] as const;

/**
 * Whether a chart fills a window whichever point of the pupil it is seen from, so that nothing behind it shows: it is
 * flat, so that the outermost rays of all decide.
 */
export function chartFills(thing: PreviewThing, subject: Subject): boolean {
	const { chart, centre, widthM, heightM } = thing;
	const { setting, window, streakMm = 0 } = subject;
	const { imageDistanceMm, planeM, fieldCurvature } = setting.focus;
	if (!chart || fieldCurvature !== 0) return false;
	const [right, up] = sidesOf(chart);
	const normal = cross(right, up);
	const radiusM = pupilRadiusM(setting);
	const halfX = (LET_IN * window.widthMm) / 2 + streakMm;
	const halfY = (LET_IN * window.heightMm) / 2 + streakMm;
	return CORNERS.every(([aside, over]) => {
		const slopeX = (window.x + aside * halfX) / imageDistanceMm;
		const slopeY = (window.y + over * halfY) / imageDistanceMm;
		return CORNERS.every(([pupilX, pupilY]) => {
			// the ray from a corner around the pupil to where the window's corner lies in focus
			const from = { x: pupilX * radiusM, y: pupilY * radiusM, z: 0 };
			const ray = { x: slopeX - from.x / planeM, y: slopeY - from.y / planeM, z: 1 };
			const depthM = dot(normal, subtract(centre, from)) / dot(normal, ray);
			const at = subtract(along(from, ray, depthM), centre);
			const isOnIt = Math.abs(dot(at, right)) <= widthM / 2 && Math.abs(dot(at, up)) <= heightM / 2;
			return depthM > 0 && isOnIt;
		});
	});
}

/** To the right and up along the chart, in the camera's coordinates. */
function sidesOf({ turnDeg, tiltDeg }: HungChart): readonly [right: Vec3, up: Vec3] {
	const [turn, tilt] = [radians(turnDeg), radians(tiltDeg)];
	return [
		{ x: Math.cos(turn), y: 0, z: Math.sin(turn) },
		{
			x: -Math.sin(turn) * Math.sin(tilt),
			y: Math.cos(tilt),
			z: Math.cos(turn) * Math.sin(tilt)
		}
	];
}

function geometryOf(
	shapes: Drawing['shapes'],
	placed: (x: number, y: number) => Vec3
): BufferGeometry {
	const positions: number[] = [];
	const tones: number[] = [];
	const indices: number[] = [];
	for (const { outline, hole = [], tone } of shapes) {
		const first = tones.length;
		for (const [x, y] of [...outline, ...hole]) {
			const at = placed(x, y);
			positions.push(at.x, at.y, at.z);
			tones.push(INK_REFLECTANCE + (PAPER_REFLECTANCE - INK_REFLECTANCE) * tone);
		}
		const [corners, left] = [outline, hole].map((line) => line.map(([x, y]) => new Vector2(x, y)));
		for (const triangle of ShapeUtils.triangulateShape(corners ?? [], left?.length ? [left] : [])) {
			indices.push(...triangle.map((corner) => first + corner));
		}
	}
	const geometry = new BufferGeometry();
	geometry.setAttribute('position', new BufferAttribute(new Float32Array(positions), 3));
	geometry.setAttribute('tone', new BufferAttribute(new Float32Array(tones), 1));
	geometry.setIndex(indices);
	return geometry;
}

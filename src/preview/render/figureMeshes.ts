import {
	BufferAttribute,
	BufferGeometry,
	FrontSide,
	GLSL3,
	Mesh,
	RawShaderMaterial,
	type IUniform
} from 'three';
import { KEEP_GLSL, LENS_GLSL } from '../lens/glsl';
import type { Baked } from './bake';
import type { Lighting } from './lighting';

/** Where a vertex is at the time of the glimpse. */
const MOVED_GLSL = /* glsl */ `
#ifdef MOVES
in float across;           // m/s
uniform float uTimeS;
vec3 moved(vec3 p) { return vec3(p.x + across * uTimeS, p.yz); }
#else
vec3 moved(vec3 p) { return p; }
#endif
`;

const MATTE_VERTEX = /* glsl */ `
precision highp float;
in vec3 position;
in vec3 tint;
${LENS_GLSL}
${MOVED_GLSL}
out vec3 vTint;
void main() {
	vTint = tint;
	gl_Position = throughLens(moved(position));
}
`;

const MATTE_FRAGMENT = /* glsl */ `
precision highp float;
in vec3 vTint;
${KEEP_GLSL}
out vec4 colour;
void main() { colour = kept(vTint, 1.0); }
`;

const WET_VERTEX = /* glsl */ `
precision highp float;
in vec3 position;
in vec3 normal;
in vec3 tint;
${LENS_GLSL}
${MOVED_GLSL}
out vec3 vTint;
out vec3 vNormal;
out vec3 vPoint;
void main() {
	vTint = tint;
	vNormal = normal;
	vPoint = moved(position);
	gl_Position = throughLens(vPoint);
}
`;

/** A wet eye mirrors its light: a broad window, or the small spark of a flash. */
const WET_FRAGMENT = /* glsl */ `
precision highp float;
in vec3 vTint;
in vec3 vNormal;
in vec3 vPoint;
uniform vec3 uKey;
uniform vec3 uKeyColour;
uniform vec3 uFlash;
${KEEP_GLSL}
out vec4 colour;
void main() {
	vec3 n = normalize(vNormal);
	vec3 back = -normalize(vPoint);
	vec3 mirrored = reflect(-back, n);
	float window = smoothstep(0.945, 0.965, dot(mirrored, uKey));
	float spark = smoothstep(0.996, 0.998, dot(mirrored, back));
	vec3 light = uKeyColour * 1.6 * window + uFlash / dot(vPoint, vPoint) * 6.0 * spark;
	colour = kept(vTint + light, 1.0);
}
`;

/** The meshes of all figures: one plain, one wet. */
export function figureMeshes(
	baked: Baked,
	lighting: Lighting,
	uniforms: Record<string, IUniform>
): Mesh[] {
	const attribute = (values: Float32Array) => new BufferAttribute(values, 3);
	const position = attribute(baked.positions);
	const normal = attribute(baked.normals);
	const tint = attribute(baked.colours);
	const across = baked.across && new BufferAttribute(baked.across, 1);
	const defines = across ? { MOVES: 1 } : {};
	const mesh = (indices: Uint32Array, material: RawShaderMaterial) => {
		const geometry = new BufferGeometry();
		geometry.setAttribute('position', position);
		geometry.setAttribute('normal', normal);
		geometry.setAttribute('tint', tint);
		if (across) geometry.setAttribute('across', across);
		geometry.setIndex(new BufferAttribute(indices, 1));
		const made = new Mesh(geometry, material);
		made.frustumCulled = false;
		return made;
	};
	const plain = new RawShaderMaterial({
		glslVersion: GLSL3,
		vertexShader: MATTE_VERTEX,
		fragmentShader: MATTE_FRAGMENT,
		defines,
		side: FrontSide,
		uniforms
	});
	const wet = new RawShaderMaterial({
		glslVersion: GLSL3,
		vertexShader: WET_VERTEX,
		fragmentShader: WET_FRAGMENT,
		defines,
		side: FrontSide,
		uniforms: {
			...uniforms,
			uKey: { value: lighting.key },
			uKeyColour: { value: lighting.keyColour },
			uFlash: { value: lighting.flashAt1M }
		}
	});
	return [mesh(baked.matte, plain), mesh(baked.wet, wet)];
}

import {
	AdditiveBlending,
	BufferAttribute,
	BufferGeometry,
	DataTexture,
	GLSL3,
	InstancedBufferAttribute,
	InstancedBufferGeometry,
	Mesh,
	NearestFilter,
	NoBlending,
	Points,
	RawShaderMaterial,
	RedFormat,
	Scene,
	UnsignedByteType,
	WebGLRenderTarget,
	type DepthTexture,
	type IUniform,
	type WebGLRenderer
} from 'three';
import { edgeRadius, cellMap, CELLS_ACROSS, CELLS_REACH } from '../lens/aperture';
import { LENS_GLSL } from '../lens/glsl';
import type { Lamp } from '../things/lamps';
import { NO_CAMERA } from './pass';

/**
 * Points of light, drawn beside the samples: each as one disc of exactly its size and its energy.
 * A disc is a picture of the pupil, so what stands in front of a lamp takes from the disc the cells
 * of those samples that do not see it.
 */

const SEEN_VERTEX = /* glsl */ `
precision highp float;
precision highp sampler2D;
in vec3 position;
in float lamp;
uniform sampler2D uDepth;
uniform vec2 uSize;
uniform float uSample;
${LENS_GLSL}
out float vSeen;
void main() {
	vec4 p = throughLens(position);
	vec3 ndc = p.xyz / p.w;
	vec2 at = (ndc.xy * 0.5 + 0.5) * uSize;
	// just outside, what stands at the edge hides it: a cell that reaches in belongs to a place nearby
	ivec2 nearest = ivec2(clamp(at, vec2(0.0), uSize - 1.0));
	float isSeen = step(ndc.z * 0.5 + 0.5, texelFetch(uDepth, nearest, 0).r + 1e-6);
	vSeen = p.w <= 0.0 ? 0.0 : isSeen;
	vec2 target = (vec2(lamp, uSample) + 0.5) / vec2(float(LAMPS), float(SAMPLES));
	gl_Position = vec4(target * 2.0 - 1.0, 0.0, 1.0);
	gl_PointSize = 1.0;
}
`;

const SEEN_FRAGMENT = /* glsl */ `
precision highp float;
in float vSeen;
out vec4 colour;
void main() { colour = vec4(vSeen, 0.0, 0.0, 1.0); }
`;

const DISC_VERTEX = /* glsl */ `
precision highp float;
in vec3 position;
in vec3 lampAt;
in vec4 lampLight;         // light, own diameter in m
in float lamp;
uniform vec2 uPxPerMm;     // across, up
uniform vec2 uOpening;     // half the diameter of the opening, m; image distance, mm
uniform vec2 uSize;
uniform float uReach;      // corner of the opening over its half diameter
uniform float uShare;      // of its light
${LENS_GLSL}
out vec2 vOff;             // px from the middle
out vec3 vLight;
flat out vec3 vDisc;       // radius px, width of its edge px, 1 where the opening shapes it
flat out float vSide;      // 1 or -1: which way round the pupil is seen
flat out float vLamp;
void main() {
	float depth = lampAt.z;
	float bent = depth * surfaceVergence(lampAt) - 1.0;
	float perM = uOpening.y / depth * uPxPerMm.x;
	float blur = 2.0 * uOpening.x * abs(bent) * perM;
	float own = lampLight.w * perM;
	float edge = max(min(blur, own), 1.5);
	float radius = 0.5 * max(max(blur, own), edge);
	vDisc = vec3(radius, edge, step(own, blur));
	vSide = bent < 0.0 ? -1.0 : 1.0;
	vLamp = lamp;
	float area = 3.14159265 * (radius * radius + edge * edge / 12.0);
	vLight = lampLight.rgb * uShare * perM * perM / area;
	float outer = (radius + 0.5 * edge) * mix(1.0, uReach, vDisc.z) + 1.0;
	vOff = position.xy * outer;
	vec4 p = throughLens(lampAt);
	gl_Position = depth > 0.02 ? vec4(p.xy / p.w + vOff * 2.0 / uSize, 0.0, 1.0) : vec4(2.0, 2.0, 2.0, 1.0);
}
`;

const DISC_FRAGMENT = /* glsl */ `
precision highp float;
precision highp sampler2D;
in vec2 vOff;
in vec3 vLight;
flat in vec3 vDisc;
flat in float vSide;
flat in float vLamp;
uniform sampler2D uSeen;
uniform sampler2D uCells;
uniform float uBlades;
uniform float uEdge;       // straight edges of the opening over its half diameter
out vec4 colour;

/** How much of a place lies within the disc, 0 to 1. */
float within(vec2 off) {
	float reach = length(off);
	if (uBlades > 2.5 && vDisc.z > 0.5) {
		float sector = 6.28318531 / uBlades;
		float fromEdge = atan(off.y * vSide, off.x * vSide) + 1.57079633;
		reach *= cos(fromEdge - sector * floor(fromEdge / sector + 0.5)) / uEdge;
	}
	return clamp(0.5 - (reach - vDisc.x) / vDisc.y, 0.0, 1.0);
}

void main() {
	float inside = 0.25 * (within(vOff + vec2(0.25)) + within(vOff - vec2(0.25)) +
		within(vOff + vec2(0.25, -0.25)) + within(vOff + vec2(-0.25, 0.25)));
	vec2 pupil = vOff / vDisc.x * vSide;
	vec2 cell = clamp(pupil / ${CELLS_REACH.toFixed(1)} * 0.5 + 0.5, 0.001, 0.999);
	float nearest = floor(texture(uCells, cell).r * 255.0 + 0.5);
	float seen = texelFetch(uSeen, ivec2(int(vLamp + 0.5), int(nearest)), 0).r;
	colour = vec4(vLight * inside * seen, 0.0);
}
`;

export class LampSplats {
	readonly #seenTarget: WebGLRenderTarget;
	readonly #seen = new Scene();
	readonly #discs = new Scene();
	readonly #blades: number;
	readonly #cells = { value: null as DataTexture | null };
	readonly #sample = { value: 0 };
	readonly #share = { value: 1 };
	readonly #maps = new Map<number, DataTexture>();
	readonly #disposables: { dispose(): void }[] = [];

	/**
	 * @param reach    corner of the opening over its half diameter
	 * @param uniforms those of the lens, with the size of the picture and its opening
	 */
	constructor(
		lamps: readonly Lamp[],
		blades: number,
		reach: number,
		uniforms: Record<string, IUniform>,
		depth: DepthTexture,
		mostSamples: number
	) {
		this.#blades = blades;
		this.#seenTarget = new WebGLRenderTarget(lamps.length, mostSamples, {
			format: RedFormat,
			type: UnsignedByteType,
			minFilter: NearestFilter,
			magFilter: NearestFilter,
			depthBuffer: false
		});
		const places = new Float32Array(lamps.flatMap(({ at }) => [at.x, at.y, at.z]));
		const numbers = new Float32Array(lamps.map((_, i) => i));

		const points = new BufferGeometry();
		points.setAttribute('position', new BufferAttribute(places, 3));
		points.setAttribute('lamp', new BufferAttribute(numbers, 1));
		const looking = new RawShaderMaterial({
			glslVersion: GLSL3,
			defines: { LAMPS: lamps.length, SAMPLES: mostSamples },
			vertexShader: SEEN_VERTEX,
			fragmentShader: SEEN_FRAGMENT,
			uniforms: { ...uniforms, uDepth: { value: depth }, uSample: this.#sample },
			depthTest: false,
			depthWrite: false,
			blending: NoBlending
		});
		const eyes = new Points(points, looking);
		eyes.frustumCulled = false;
		this.#seen.add(eyes);

		const quads = new InstancedBufferGeometry();
		const corners = new Float32Array([-1, -1, 0, 1, -1, 0, 1, 1, 0, -1, 1, 0]);
		const light = lamps.flatMap(({ power, sizeM }) => [...power, sizeM]);
		quads.setAttribute('position', new BufferAttribute(corners, 3));
		quads.setAttribute('lampAt', new InstancedBufferAttribute(places, 3));
		quads.setAttribute('lampLight', new InstancedBufferAttribute(new Float32Array(light), 4));
		quads.setAttribute('lamp', new InstancedBufferAttribute(numbers, 1));
		quads.setIndex([0, 1, 2, 0, 2, 3]);
		quads.instanceCount = lamps.length;
		const painting = new RawShaderMaterial({
			glslVersion: GLSL3,
			vertexShader: DISC_VERTEX,
			fragmentShader: DISC_FRAGMENT,
			uniforms: {
				...uniforms,
				uSeen: { value: this.#seenTarget.texture },
				uCells: this.#cells,
				uBlades: { value: blades },
				uEdge: { value: blades < 3 ? 1 : edgeRadius(blades) },
				uReach: { value: reach },
				uShare: this.#share
			},
			depthTest: false,
			depthWrite: false,
			transparent: true,
			blending: AdditiveBlending,
			premultipliedAlpha: true
		});
		const discs = new Mesh(quads, painting);
		discs.frustumCulled = false;
		this.#discs.add(discs);
		// not the materials, so that their programs are kept for the next picture
		this.#disposables.push(points, quads, this.#seenTarget);
	}

	/** Notes which lamps the sample just drawn sees. */
	look(renderer: WebGLRenderer, sample: number): void {
		this.#sample.value = sample;
		renderer.setRenderTarget(this.#seenTarget);
		renderer.render(this.#seen, NO_CAMERA);
	}

	/**
	 * Adds the discs to a target, from the samples taken so far.
	 *
	 * @param share of their light: those that move are painted in several places
	 */
	paint(renderer: WebGLRenderer, target: WebGLRenderTarget, samples: number, share: number): void {
		this.#share.value = share;
		this.#cells.value = this.#mapOf(
			4 ** Math.floor(Math.log(Math.max(1, samples)) / Math.log(4) + 1e-9)
		);
		renderer.setRenderTarget(target);
		renderer.render(this.#discs, NO_CAMERA);
	}

	#mapOf(samples: number): DataTexture {
		const made = this.#maps.get(samples);
		if (made) return made;
		const cells = cellMap(samples, this.#blades);
		const map = new DataTexture(cells, CELLS_ACROSS, CELLS_ACROSS, RedFormat, UnsignedByteType);
		map.minFilter = NearestFilter;
		map.magFilter = NearestFilter;
		map.needsUpdate = true;
		this.#maps.set(samples, map);
		this.#disposables.push(map);
		return map;
	}

	dispose(): void {
		for (const one of this.#disposables) one.dispose();
	}
}

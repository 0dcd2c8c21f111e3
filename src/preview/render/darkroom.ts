import {
	DataTexture,
	FloatType,
	NearestFilter,
	RedFormat,
	RGBAFormat,
	Vector2,
	Vector3,
	Vector4,
	WebGLRenderTarget,
	type Texture,
	type WebGLRenderer
} from 'three';
import { KEPT_GLSL } from '../lens/glsl';
import { airyKernel, NO_BLUR, type Kernel } from '../lens/airy';
import { roomShare, type PictureSize, type Subject } from '../scene';
import { Pass } from './pass';

/** Adds samples up, puts the background behind them and makes light into a picture for a screen. */

/** The light of a pixel: the mean of the samples over the background, and the lamps. */
const LIGHT = /* glsl */ `
precision highp sampler2D;
uniform sampler2D uSum;
uniform float uPerSample;
uniform sampler2D uLamps;
uniform bool uHasLamps;
uniform vec4 uWindow;     // middle and half sides of the window, mm
uniform float uImageMm;
uniform vec3 uUp;
uniform float uRoom;

/** Behind everything: haze at the horizon, a high pale sky. */
vec3 background() {
	vec3 ray = vec3(uWindow.xy + vAt * uWindow.zw, uImageMm);
	float height = clamp(dot(ray, uUp) * inversesqrt(dot(ray, ray)) / 0.75, 0.0, 1.0);
	return mix(vec3(0.56, 0.545, 0.51), vec3(0.4, 0.455, 0.52), height * height * (3.0 - 2.0 * height)) * uRoom;
}

vec3 light(ivec2 at, vec3 behind) {
	vec4 mean = texelFetch(uSum, at, 0) * uPerSample;
	vec3 found = mean.rgb + max(0.0, 1.0 - mean.a) * behind;
	return uHasLamps ? found + texelFetch(uLamps, at, 0).rgb : found;
}
`;

/** Spreads by a kernel, rolls off what is brighter than white, and encodes for screens. */
const DEVELOP = /* glsl */ `
${LIGHT}
uniform sampler2D uKernel;
uniform int uRadius;

/** sRGB by roots, within 0.002 of the exact curve; its straight foot as it is (IEC 61966-2-1). */
vec3 encode(vec3 light) {
	vec3 half_ = sqrt(light);
	vec3 quarter = sqrt(half_);
	vec3 curve = 0.585122381 * half_ + 0.783140355 * quarter - 0.368262736 * sqrt(quarter);
	return mix(curve, light * 12.92, step(light, vec3(0.0031308)));
}

void main() {
	vec3 behind = background();
	ivec2 at = ivec2(gl_FragCoord.xy);
	vec3 found = vec3(0.0);
	if (uRadius == 0) {
		found = light(at, behind);
	} else {
		ivec2 last = textureSize(uSum, 0) - 1;
		for (int row = -uRadius; row <= uRadius; row++) {
			for (int column = -uRadius; column <= uRadius; column++) {
				float weight = texelFetch(uKernel, ivec2(column, row) + uRadius, 0).r;
				found += weight * light(clamp(at + ivec2(column, row), ivec2(0), last), behind);
			}
		}
	}
	// what is brighter than white keeps most of its hue
	float most = max(max(found.r, found.g), max(found.b, 1e-4));
	float over = max(0.0, (most - 0.75) * 4.0);
	float shown = min(most, 0.75) + 0.25 * over / (1.0 + over);
	found = mix(found * (shown / most), vec3(shown), 0.45 * over / (6.0 + over));
	colour = vec4(encode(found), 1.0);
}
`;

/**
 * What a sensor makes of light: electrons with the noise of counting them and of reading them, clipped
 * where the well is full, encoded exactly (IEC 61966-2-1). Numbers: PCG, a hash for graphics (Jarzynski
 * and Olano, 2020, from memory); normal ones by Box and Muller, 1958.
 */
const SENSOR = /* glsl */ `
precision highp int;
${LIGHT}
uniform float uGain;
uniform float uFullWell;   // electrons that make white
uniform float uReadNoise;  // electrons
uniform ivec2 uOrigin;     // of this part in the whole picture, px from the bottom left
uniform int uSeed;
uniform vec2 uDrawn;       // drawn pixels for one of the sensor

uint hashed(uint v) {
	uint state = v * 747796405u + 2891336453u;
	uint word = ((state >> ((state >> 28u) + 4u)) ^ state) * 277803737u;
	return (word >> 22u) ^ word;
}

vec2 normals(uint seed) {
	uint a = hashed(seed);
	uint b = hashed(a ^ 0x9e3779b9u);
	float radius = sqrt(-2.0 * log((float(a >> 8u) + 1.0) / 16777217.0));
	float angle = 6.28318531 * float(b >> 8u) / 16777216.0;
	return radius * vec2(cos(angle), sin(angle));
}

/** The light between pixels. */
vec3 smoothly(vec2 at) {
	vec3 behind = background();
	ivec2 low = ivec2(floor(at));
	vec2 part = at - vec2(low);
	ivec2 last = textureSize(uSum, 0) - 1;
	ivec2 from = clamp(low, ivec2(0), last);
	if (part.x + part.y < 1e-4) return light(from, behind);
	ivec2 to = clamp(low + 1, ivec2(0), last);
	return mix(
		mix(light(from, behind), light(ivec2(to.x, from.y), behind), part.x),
		mix(light(ivec2(from.x, to.y), behind), light(to, behind), part.x),
		part.y
	);
}

void main() {
	ivec2 at = ivec2(gl_FragCoord.xy);
	uvec2 place = uvec2(at + uOrigin);
	uint seed = hashed(place.x + hashed(place.y + hashed(uint(uSeed))));
	vec2 one = normals(seed);
	vec2 other = normals(seed + 1u);
	vec3 electrons = smoothly((vec2(at) + 0.5) * uDrawn - 0.5) * uGain * uFullWell;
	vec3 noise = sqrt(electrons + uReadNoise * uReadNoise) * vec3(one, other.x);
	vec3 found = clamp((electrons + noise) / uFullWell, 0.0, 1.0);
	vec3 curve = 1.055 * pow(max(found, vec3(1e-6)), vec3(1.0 / 2.4)) - 0.055;
	colour = vec4(mix(curve, found * 12.92, step(found, vec3(0.0031308))), 1.0);
}
`;

const EXPOSE = /* glsl */ `
${LIGHT}
void main() { colour = vec4(light(ivec2(gl_FragCoord.xy), background()), 1.0); }
`;

/** Samples that one pass adds up: reading them costs less than adding to the sum. */
export const SAMPLES_AT_ONCE = 4;

const ADD = /* glsl */ `
uniform sampler2D uSamples[${SAMPLES_AT_ONCE}];
uniform int uCount;
${KEPT_GLSL}
void main() {
	ivec2 at = ivec2(gl_FragCoord.xy);
	colour = recalled(texelFetch(uSamples[0], at, 0));
	if (uCount > 1) colour += recalled(texelFetch(uSamples[1], at, 0));
	if (uCount > 2) colour += recalled(texelFetch(uSamples[2], at, 0));
	if (uCount > 3) colour += recalled(texelFetch(uSamples[3], at, 0));
}
`;

export class Darkroom {
	/** Whether 32-bit sums can be added to; else they are kept in 16. */
	readonly canAddFloats: boolean;
	readonly #renderer: WebGLRenderer;
	readonly #add = new Pass(
		ADD,
		{ uSamples: { value: [] as Texture[] }, uCount: { value: 0 } },
		true
	);
	readonly #uniforms = {
		uSum: { value: null as Texture | null },
		uPerSample: { value: 1 },
		uLamps: { value: null as Texture | null },
		uHasLamps: { value: false },
		uWindow: { value: new Vector4() },
		uImageMm: { value: 1 },
		uUp: { value: new Vector3() },
		uRoom: { value: 1 },
		uKernel: { value: null as Texture | null },
		uRadius: { value: 0 }
	};
	readonly #develop = new Pass(DEVELOP, this.#uniforms);
	readonly #expose = new Pass(EXPOSE, this.#uniforms);
	readonly #sensor = new Pass(SENSOR, {
		...this.#uniforms,
		uGain: { value: 1 },
		uFullWell: { value: 1 },
		uReadNoise: { value: 0 },
		uOrigin: { value: new Vector2() },
		uSeed: { value: 0 },
		uDrawn: { value: new Vector2() }
	});
	#lamps = floatTarget(1, 1);

	constructor(renderer: WebGLRenderer) {
		this.#renderer = renderer;
		this.canAddFloats = renderer.getContext().getExtension('EXT_float_blend') !== null;
	}

	/** Adds samples to a sum, at most as many as go at once. */
	add(samples: readonly WebGLRenderTarget[], sum: WebGLRenderTarget): void {
		const [first] = samples;
		if (!first) return;
		const { uSamples, uCount } = this.#add.uniforms;
		uSamples.value = Array.from(
			{ length: SAMPLES_AT_ONCE },
			(_, i) => (samples[i] ?? first).texture
		);
		uCount.value = samples.length;
		this.#add.run(this.#renderer, sum);
	}

	/** Shows the picture on the canvas. */
	develop(subject: Subject, exposure: Gathered): void {
		const { setting, window, widthPx } = subject;
		this.#prepare(subject, exposure);
		const kernel = subject.showsDiffraction
			? airyKernel(setting, window.widthMm / widthPx)
			: NO_BLUR;
		const texture = kernelTexture(kernel);
		this.#uniforms.uKernel.value = texture;
		this.#uniforms.uRadius.value = kernel.radius;
		this.#fitCanvas(subject);
		this.#develop.run(this.#renderer, null);
		texture.dispose();
	}

	/** Shows on the canvas what a sensor of a size would have of it. */
	expose(subject: Subject, exposure: Gathered, size: PictureSize, sensor: SensorReading): void {
		this.#prepare(subject, exposure);
		const { uGain, uFullWell, uReadNoise, uOrigin, uSeed, uDrawn } = this.#sensor.uniforms;
		uDrawn.value.set(subject.widthPx / size.widthPx, subject.heightPx / size.heightPx);
		uGain.value = sensor.gain;
		uFullWell.value = sensor.fullWell;
		uReadNoise.value = sensor.readNoise;
		uOrigin.value.set(sensor.left, sensor.bottom);
		uSeed.value = sensor.seed;
		this.#fitCanvas(size);
		this.#sensor.run(this.#renderer, null);
	}

	#fitCanvas({ widthPx, heightPx }: PictureSize): void {
		const { canvas } = this.#renderer.getContext();
		if (canvas.width !== widthPx || canvas.height !== heightPx) {
			this.#renderer.setSize(widthPx, heightPx, false);
		}
	}

	/** The picture in linear light, before it is spread and encoded: four numbers a pixel, rows from below. */
	linear(subject: Subject, exposure: Gathered): Float32Array {
		const { widthPx, heightPx } = subject;
		this.#prepare(subject, exposure);
		const target = floatTarget(widthPx, heightPx);
		this.#expose.run(this.#renderer, target);
		const pixels = new Float32Array(widthPx * heightPx * 4);
		this.#renderer.readRenderTargetPixels(target, 0, 0, widthPx, heightPx, pixels);
		target.dispose();
		return pixels;
	}

	#prepare(
		{ scene, setting, window, widthPx, heightPx }: Subject,
		{ sum, samples, paintLamps }: Gathered
	) {
		const { uSum, uPerSample, uLamps, uHasLamps, uWindow, uImageMm, uUp, uRoom } = this.#uniforms;
		uSum.value = sum.texture;
		uPerSample.value = 1 / Math.max(1, samples);
		uWindow.value.set(window.x, window.y, window.widthMm / 2, window.heightMm / 2);
		uImageMm.value = setting.focus.imageDistanceMm;
		uUp.value.copy(scene.ground.up as Vector3);
		uRoom.value = roomShare(scene.light, setting.fNumber);
		uHasLamps.value = paintLamps !== null;
		if (!paintLamps) return;
		if (this.#lamps.width !== widthPx || this.#lamps.height !== heightPx) {
			this.#lamps.dispose();
			this.#lamps = floatTarget(widthPx, heightPx);
		}
		this.#renderer.setRenderTarget(this.#lamps);
		this.#renderer.clear();
		paintLamps(this.#lamps);
		uLamps.value = this.#lamps.texture;
	}
}

/** What was gathered of a picture so far. */
export interface Gathered {
	readonly sum: WebGLRenderTarget;
	readonly samples: number;
	/** Adds the points of light to a target; null without any. */
	readonly paintLamps: ((target: WebGLRenderTarget) => void) | null;
}

/** How a sensor reads a part of a picture. */
export interface SensorReading {
	/** Light over what would expose rightly. */
	readonly gain: number;
	/** Electrons that make white, and the noise of reading them, electrons. */
	readonly fullWell: number;
	readonly readNoise: number;
	/** Where the part begins in the whole picture, px from its bottom left. */
	readonly left: number;
	readonly bottom: number;
	readonly seed: number;
}

function floatTarget(widthPx: number, heightPx: number): WebGLRenderTarget {
	return new WebGLRenderTarget(widthPx, heightPx, {
		format: RGBAFormat,
		type: FloatType,
		minFilter: NearestFilter,
		magFilter: NearestFilter,
		depthBuffer: false
	});
}

function kernelTexture({ radius, weights }: Kernel): DataTexture {
	const side = 2 * radius + 1;
	const texture = new DataTexture(weights, side, side, RedFormat, FloatType);
	texture.minFilter = NearestFilter;
	texture.magFilter = NearestFilter;
	texture.needsUpdate = true;
	return texture;
}

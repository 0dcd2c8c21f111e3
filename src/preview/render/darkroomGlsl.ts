import { KEPT_GLSL } from '../lens/glsl';

/** What becomes of the samples of a picture, as programs of the graphics card. */

/** Samples that one pass adds up: reading them costs less than adding to the sum. */
export const SAMPLES_AT_ONCE = 4;

/** Where a pixel is in a texture as large as the target; in software a look-up costs less than a fetch. */
const HERE = '(0.5 + 0.5 * vAt)';

/** Adds so many samples up. */
export const adding = (count: number) => /* glsl */ `
uniform sampler2D uSamples[${count}];
${KEPT_GLSL}
void main() {
	vec2 at = ${HERE};
	colour = ${Array.from({ length: count }, (_, i) => `recalled(texture(uSamples[${i}], at))`).join(' + ')};
}
`;

/**
 * What a program is for is known before it is made: in software a question costs as much, asked of
 * every pixel, as the answer.
 */
interface Purpose {
	readonly hasLamps: boolean;
}

/** The light of a pixel: the mean of the samples over the background, and the lamps. */
const light = ({ hasLamps }: Purpose) => /* glsl */ `
precision highp sampler2D;
uniform sampler2D uSum;
uniform float uPerSample;
uniform sampler2D uLamps;
uniform vec4 uWindow;     // middle and half sides of the window, mm
uniform float uImageMm;
uniform vec3 uUp;
uniform vec3 uHorizon;
uniform vec3 uZenith;

/** Behind everything: haze at the horizon, a high pale sky. */
vec3 background() {
	vec3 ray = vec3(uWindow.xy + vAt * uWindow.zw, uImageMm);
	float height = clamp(dot(ray, uUp) * inversesqrt(dot(ray, ray)) / 0.75, 0.0, 1.0);
	return mix(uHorizon, uZenith, height * height * (3.0 - 2.0 * height));
}

vec3 light(vec2 at, vec3 behind) {
	vec4 mean = texture(uSum, at) * uPerSample;
	vec3 found = mean.rgb + max(0.0, 1.0 - mean.a) * behind;
	return found${hasLamps ? ' + texture(uLamps, at).rgb' : ''};
}
`;

/** Spreads by a kernel, rolls off what is brighter than white, and encodes for screens. */
export const developing = (purpose: Purpose & { readonly spreads: boolean }) => /* glsl */ `
${light(purpose)}
uniform sampler2D uKernel;
uniform int uRadius;

/** sRGB by roots, within 0.002 of the exact curve; its straight foot as it is (IEC 61966-2-1). */
vec3 encode(vec3 light) {
	vec3 half_ = sqrt(light);
	vec3 quarter = sqrt(half_);
	vec3 curve = 0.585122381 * half_ + 0.783140355 * quarter - 0.368262736 * sqrt(quarter);
	return mix(curve, light * 12.92, step(light, vec3(0.0031308)));
}

vec3 spread(vec2 at, vec3 behind) {
	vec3 sum = vec3(0.0);
	vec2 px = 1.0 / vec2(textureSize(uSum, 0));
	for (int row = -uRadius; row <= uRadius; row++) {
		for (int column = -uRadius; column <= uRadius; column++) {
			float weight = texelFetch(uKernel, ivec2(column, row) + uRadius, 0).r;
			sum += weight * light(at + vec2(column, row) * px, behind);
		}
	}
	return sum;
}

void main() {
	vec3 found = ${purpose.spreads ? 'spread' : 'light'}(${HERE}, background());
	// what is brighter than white keeps most of its hue
	float most = max(max(found.r, found.g), max(found.b, 1e-4));
	float over = max(0.0, (most - 0.75) * 4.0);
	float shown = min(most, 0.75) + 0.25 * over / (1.0 + over);
	found = mix(found * (shown / most), vec3(shown), 0.45 * over / (6.0 + over));
	colour = vec4(encode(found), 1.0);
}
`;

/** Of a picture that was drawn coarser than it is read. */
const BETWEEN_PIXELS = /* glsl */ `
vec3 smoothly(vec2 at) {
	vec3 behind = background();
	vec2 part = fract(at);
	vec2 px = 1.0 / vec2(textureSize(uSum, 0));
	vec2 from = (floor(at) + 0.5) * px;
	vec2 to = from + px;
	return mix(
		mix(light(from, behind), light(vec2(to.x, from.y), behind), part.x),
		mix(light(vec2(from.x, to.y), behind), light(to, behind), part.x),
		part.y
	);
}
`;

/**
 * What a sensor makes of light: electrons with the noise of counting them and of reading them, clipped
 * where the well is full, encoded exactly (IEC 61966-2-1). Numbers: PCG, a hash for graphics (Jarzynski
 * and Olano, 2020, from memory); normal ones by Box and Muller, 1958.
 */
export const sensing = (purpose: Purpose & { readonly isEnlarged: boolean }) => /* glsl */ `
precision highp int;
${light(purpose)}
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

${purpose.isEnlarged ? BETWEEN_PIXELS : ''}
void main() {
	ivec2 at = ivec2(gl_FragCoord.xy);
	uvec2 place = uvec2(at + uOrigin);
	uint seed = hashed(place.x + hashed(place.y + hashed(uint(uSeed))));
	vec2 one = normals(seed);
	vec2 other = normals(seed + 1u);
	vec3 found = ${purpose.isEnlarged ? 'smoothly((vec2(at) + 0.5) * uDrawn - 0.5)' : `light(${HERE}, background())`};
	vec3 electrons = found * uGain * uFullWell;
	vec3 noise = sqrt(electrons + uReadNoise * uReadNoise) * vec3(one, other.x);
	found = clamp((electrons + noise) / uFullWell, 0.0, 1.0);
	vec3 curve = 1.055 * pow(max(found, vec3(1e-6)), vec3(1.0 / 2.4)) - 0.055;
	colour = vec4(mix(curve, found * 12.92, step(found, vec3(0.0031308))), 1.0);
}
`;

/** The light as it is. */
export const exposing = (purpose: Purpose) => /* glsl */ `
${light(purpose)}
void main() { colour = vec4(light(${HERE}, background()), 1.0); }
`;

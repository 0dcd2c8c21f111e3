/**
 * The lens as the graphics card sees it. Everything is given in the camera's own coordinates:
 * x right, y up, z the depth, metres. A ray from the point `a` of the pupil through P = (X, Y, D)
 * meets the surface of focus, at depth s' in that direction, where the lens images it at
 * v ((X, Y) + a (D/s' - 1)) / D: the sheared frustum whose window lies in the plane of focus. With a
 * bent field s' = s (1 - k (1 - cos off axis)) differs from vertex to vertex.
 */
export const LENS_GLSL = /* glsl */ `
uniform vec2 uPupil;      // a, m
uniform vec2 uSurface;    // 1/s, per m; field bend k
uniform vec4 uWindow;     // image over depth to the window's -1 to 1: scale, shift
uniform vec2 uJitter;     // part of a pixel, in the same measure
uniform vec2 uDepths;     // nearest and farthest depth drawn, m

float surfaceVergence(vec3 p) {
	if (uSurface.y == 0.0) return uSurface.x;
	return uSurface.x / (1.0 - uSurface.y * (1.0 - p.z / length(p)));
}

vec4 throughLens(vec3 p) {
	vec2 image = p.xy + uPupil * (p.z * surfaceVergence(p) - 1.0);
	float n = uDepths.x;
	float f = uDepths.y;
	return vec4(
		image * uWindow.xy + (uWindow.zw + uJitter) * p.z,
		(p.z * (f + n) - 2.0 * f * n) / (f - n),
		p.z
	);
}
`;

/**
 * How a sample keeps its light: eight bits each of the root of half the light, which is as fine as a
 * screen's own steps. A shift that differs from sample to sample lets the mean be finer than one.
 */
export const KEEP_GLSL = /* glsl */ `
uniform float uDither;     // -0.5 to 0.5 of a step

vec4 dithered(vec3 root, float cover) {
	return vec4(root + uDither / 255.0, cover);
}

vec4 kept(vec3 light, float cover) {
	return dithered(sqrt(0.5 * light), cover);
}
`;

/** The light that a sample kept. */
export const KEPT_GLSL = /* glsl */ `
vec4 recalled(vec4 kept) {
	return vec4(2.0 * kept.rgb * kept.rgb, kept.a);
}
`;

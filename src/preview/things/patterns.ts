import type { Thing } from '$core/format/shot';

/** Looks that are painted on a rectangle. */
export type PanelLook = Exclude<Thing['look'], 'lights' | 'object'>;

/**
 * What each look paints: the smallest thing in it that matters is exactly `detail` mm wide. `mm` is
 * the place on the rectangle from its middle, `half` its half sides.
 */
export const PATTERNS: Readonly<Record<PanelLook, string>> = {
	// a board of upright bars, dark on light, with a plain margin
	bars: /* glsl */ `
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec2 inner = half_ - min(min(half_.x, half_.y) * 0.12, 2.0 * detail);
	float isInside = within(abs(mm.x) - inner.x) * within(abs(mm.y) - inner.y);
	float dark = bars(mm.x / detail + 0.5) * isInside;
	vec3 board = mix(vec3(0.62, 0.58, 0.5), uTint, 0.15);
	return Paint(mix(board, uTint * 0.35, dark), mix(1.0, 0.3, uClear), 1.0);
}`,
	// courses of bricks, their joints as wide as the detail
	wall: /* glsl */ `
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec2 brick = vec2(14.0, 6.0) * detail;
	float course = floor(mm.y / brick.y);
	float along = mm.x / brick.x + 0.5 * mod(course, 2.0);
	vec2 cell = vec2(floor(along), course);
	vec2 off = abs(vec2(fract(along), fract(mm.y / brick.y)) - 0.5) * brick;
	vec2 solid = 0.5 * (brick - detail);
	float isBrick = within(off.x - solid.x) * within(off.y - solid.y);
	float fade = clamp(fwidth(mm.y) / brick.y, 0.0, 1.0);
	float shade = mix(0.72 + 0.56 * random(cell), 1.0, fade);
	vec3 joint = mix(uTint, vec3(0.5, 0.47, 0.42), 0.55);
	return Paint(mix(joint, uTint * shade, isBrick), 1.0, 1.0);
}`,
	// leaves as wide as the detail, turned every way, in three layers
	foliage: /* glsl */ `
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec3 found = uTint * 0.16;
	float cover = 0.0;
	// not of the leaf's own measure, which jumps from cell to cell
	float pixel = max(fwidth(mm.x) / detail, 1e-4);
	vec2 edge = 1.0 - abs(mm) / half_;
	float thick = smoothstep(0.0, 0.22, min(edge.x * half_.x, edge.y * half_.y) / min(half_.x, half_.y));
	for (int layer = 0; layer < 3; layer++) {
		vec2 grid = mm / (detail * 1.9) + vec2(0.37, 0.61) * float(layer);
		for (int n = 0; n < 9; n++) {
			vec2 cell = floor(grid) + vec2(float(n % 3) - 1.0, float(n / 3) - 1.0);
			float turn = 6.2832 * random(cell + 11.0 * float(layer));
			float bright = random(cell + 71.0 * float(layer) + 5.0);
			vec2 middle = cell + 0.5 + 0.35 * (vec2(random(cell + 3.0), random(cell + 7.0)) - 0.5);
			vec2 off = (grid - middle) * 1.9;
			off = vec2(cos(turn) * off.x - sin(turn) * off.y, sin(turn) * off.x + cos(turn) * off.y);
			// two arcs meeting in a point: one unit across, twice as long
			float lens = abs(off.x) + 0.5 * off.y * off.y - 0.5;
			float isHere = clamp(0.5 - lens / pixel, 0.0, 1.0) * step(0.32 + 0.5 * (1.0 - thick), bright);
			vec3 leaf = uTint * (0.45 + 0.9 * bright) * (0.8 + 0.35 * step(0.0, off.x));
			leaf.r *= 0.8 + 0.5 * random(cell + 19.0);
			found = mix(found, leaf, isHere);
			cover = max(cover, isHere);
		}
	}
	float behind = smoothstep(0.3, 0.8, thick);
	return Paint(found, max(cover, behind) * mix(1.0, 0.4, uClear), 1.0);
}`,
	// panes of sky between bars as wide as the detail
	window: /* glsl */ `
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec2 panes = max(vec2(1.0), floor(half_ * 2.0 / max(vec2(320.0), vec2(6.0 * detail))));
	vec2 pane = half_ * 2.0 / panes;
	vec2 off = abs(fract((mm + half_) / pane) - 0.5) * pane;
	vec2 rim = half_ - abs(mm) - detail * 2.0;
	float isGlass = within(off.x - 0.5 * (pane.x - detail)) * within(off.y - 0.5 * (pane.y - detail));
	isGlass *= within(-rim.x) * within(-rim.y);
	float height = mm.y / half_.y * 0.5 + 0.5;
	vec3 sky = mix(vec3(0.92, 0.9, 0.84), vec3(0.72, 0.83, 0.97), height) * 1.15;
	float cover = mix(1.0, mix(1.0, 0.12, isGlass), uClear);
	return Paint(mix(uTint, sky, isGlass), cover, 1.0 - isGlass);
}`,
	// heads over shoulders in rows, a head two details wide, an eye's shadow one
	crowd: /* glsl */ `
Paint pattern(vec2 mm, vec2 half_, float detail) {
	float head = detail * 2.0;
	vec3 found = uTint * 0.35;
	float top = half_.y;
	float rows = min(9.0, ceil(2.0 * half_.y / (head * 1.1)));
	for (float row = 0.0; row < 9.0; row += 1.0) {
		if (row >= rows) break;
		float line = top - head * (0.8 + 1.1 * row);
		float along = mm.x / (head * 1.7) + 0.5 * mod(row, 2.0);
		for (int n = -1; n <= 1; n++) {
			float seat = floor(along) + float(n);
			float draw = random(vec2(seat, row));
			float draw2 = random(vec2(seat + 31.0, row));
			vec2 p = vec2((along - seat - 0.5) * head * 1.7, mm.y - line - head * 0.3 * (draw - 0.5)) / head;
			vec3 cloth = 0.05 + 0.4 * vec3(random(vec2(seat, row + 17.0)), draw2, random(vec2(seat, row + 41.0))) * (0.4 + 0.6 * draw);
			vec3 skin = mix(vec3(0.72, 0.5, 0.38), vec3(0.16, 0.09, 0.06), draw2 * draw2);
			vec3 hair = mix(vec3(0.05, 0.035, 0.025), vec3(0.3, 0.2, 0.1), draw * draw);
			float body = length(p / vec2(0.85, 0.9) + vec2(0.0, 1.35)) - 1.0;
			found = mix(found, cloth, within(body));
			found = mix(found, skin * 0.8, within(max(abs(p.x) - 0.2, abs(p.y + 0.5) - 0.3)));
			found = mix(found, hair, within(length(p / vec2(0.54, 0.68) - vec2(0.0, 0.06)) - 1.0));
			found = mix(found, skin, within(length(p / vec2(0.44, 0.56) + vec2(0.0, 0.14)) - 1.0));
			vec2 eye = vec2(abs(p.x) - 0.19, p.y - 0.02);
			found = mix(found, hair, within(length(eye / vec2(0.11, 0.055)) - 1.0));
		}
	}
	return Paint(found, 1.0, 1.0);
}`
};

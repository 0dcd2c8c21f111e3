import type { PlaceKind } from '$core/format/shot';

/** What closes the view in each place; the place is measured in mm from below the camera, right and up. */

const STONE = /* glsl */ `
/** Blocks of stone in courses, with their joints. */
vec3 stone(vec2 m, vec2 block, vec3 tint) {
	float course = floor(m.y / block.y);
	float at = m.x / block.x + 0.5 * mod(course, 2.0);
	vec2 off = abs(vec2(fract(at), fract(m.y / block.y)) - 0.5) * block;
	float joint = max(within(0.5 * block.x - 0.012 - off.x), within(0.5 * block.y - 0.012 - off.y));
	return tint * (0.86 + 0.24 * random(vec2(floor(at), course))) * mix(1.0, 0.74, joint);
}
`;

/** A window with bars, lit from outside: 1 on the glass. */
const GLASS = /* glsl */ `
float glass(vec2 m, vec2 half_, vec2 panes) {
	vec2 pane = 2.0 * half_ / panes;
	vec2 off = abs(fract((m + half_) / pane) - 0.5) * pane;
	float isIn = within(abs(m.x) - half_.x) * within(abs(m.y) - half_.y);
	return isIn * within(off.x - 0.5 * pane.x + 0.02) * within(off.y - 0.5 * pane.y + 0.02);
}
`;

export const WALLS: Readonly<Record<PlaceKind, string>> = {
	// pillars and round arches, a bright court with a hedge behind them
	arcade: /* glsl */ `
${STONE}
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec2 m = mm / 1000.0;
	float bay = 3.4;
	float x = mod(m.x + 0.5 * bay, bay) - 0.5 * bay;
	float spring = 2.5;
	float radius = 1.25;
	float edge = m.y < spring ? abs(x) - radius : length(vec2(x, m.y - spring)) - radius;
	float isOpen = within(edge);
	float isRing = within(abs(edge - 0.16) - 0.16) * step(spring, m.y);
	// the side of the opening that one sees into
	float isReveal = within(edge) * (1.0 - within(edge + (x > 0.0 ? 0.05 : 0.24)));
	vec3 wall = stone(m, vec2(0.9, 0.42), vec3(0.56, 0.5, 0.41));
	wall = mix(wall, vec3(0.64, 0.58, 0.49) * (0.9 + 0.15 * random(vec2(floor(atan(x, m.y - spring) * 6.0), 3.0))), isRing);
	float leaf = random(floor(m * 7.0)) * 0.5 + random(floor(m * 3.0)) * 0.5;
	float hedge = within(m.y - 1.75 - 0.25 * sin(m.x * 2.1) - 0.12 * sin(m.x * 7.3));
	vec3 court = mix(vec3(0.86, 0.85, 0.8), mix(vec3(0.1, 0.17, 0.06), vec3(0.3, 0.4, 0.16), leaf), hedge);
	court = mix(court, vec3(0.6, 0.56, 0.48), within(m.y - 0.5));
	vec3 found = mix(wall, mix(court, wall * 0.55, isReveal), isOpen);
	return Paint(found, 1.0, 1.0 - isOpen * (1.0 - isReveal));
}`,
	// stone steps up to a tall door
	steps: /* glsl */ `
${STONE}
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec2 m = mm / 1000.0;
	float top = 2.24;
	float rise = fract(m.y / 0.16);
	float tread = within(0.78 - rise);
	vec3 step_ = stone(vec2(m.x + 0.37 * floor(m.y / 0.16), 0.1), vec2(1.4, 9.0), vec3(0.5, 0.485, 0.44));
	step_ *= mix(0.8 + 0.12 * rise, 1.22, tread);
	vec2 up = vec2(m.x, m.y - top);
	vec3 house = stone(up, vec2(1.1, 0.5), vec3(0.55, 0.51, 0.44));
	float isPier = within(abs(abs(m.x) - 1.9) - 0.3);
	house = mix(house, vec3(0.62, 0.58, 0.5), isPier);
	float frame = max(abs(m.x) - 1.25, up.y - 3.5);
	float door = max(abs(m.x) - 1.05, up.y - 3.3);
	house = mix(house, vec3(0.66, 0.62, 0.54), within(frame));
	vec2 leaf = vec2(abs(abs(m.x) - 0.525), abs(mod(up.y, 1.1) - 0.55));
	float panel = within(max(leaf.x - 0.34, leaf.y - 0.42)) * (1.0 - within(max(leaf.x - 0.3, leaf.y - 0.38)));
	vec3 wood = vec3(0.15, 0.105, 0.075) * (1.0 - 0.45 * panel) * (0.9 + 0.1 * within(abs(m.x) - 0.015));
	house = mix(house, wood, within(door));
	return Paint(mix(house, step_, within(m.y - top)), 1.0, 1.0);
}`,
	// houses across the water
	quay: /* glsl */ `
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec2 m = mm / 1000.0;
	float shore = 1.1;
	float lot = floor(m.x / 6.5);
	float draw = random(vec2(lot, 1.0));
	float draw2 = random(vec2(lot, 7.0));
	float x = m.x - (lot + 0.5) * 6.5;
	float eaves = shore + 4.5 + 4.5 * draw;
	float gable = draw2 > 0.45 ? max(0.0, 1.9 - abs(x) * 0.62) : 0.25;
	float isHouse = within(m.y - eaves - gable);
	vec3 wall = mix(vec3(0.46, 0.3, 0.22), vec3(0.6, 0.54, 0.44), draw2);
	wall = mix(wall, vec3(0.38, 0.42, 0.46), step(0.72, random(vec2(lot, 13.0))));
	vec2 cell = vec2(mod(x + 3.25, 1.3) - 0.65, mod(m.y - shore, 1.5) - 0.8);
	float isPane = within(abs(cell.x) - 0.26) * within(abs(cell.y) - 0.42) * within(m.y - eaves + 0.5) * within(abs(x) - 2.9);
	vec3 found = mix(wall, vec3(0.12, 0.14, 0.17), isPane);
	found = mix(found, wall * 0.6, within(abs(m.y - eaves) - 0.09));
	// the wall of the other quay
	found = mix(found, vec3(0.3, 0.28, 0.26), within(m.y - shore));
	return Paint(found, max(isHouse, within(m.y - shore)), 1.0);
}`,
	// panelled wood below, tall windows above
	hall: /* glsl */ `
${GLASS}
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec2 m = mm / 1000.0;
	float bay = 3.6;
	float x = mod(m.x + 0.5 * bay, bay) - 0.5 * bay;
	vec3 plaster = vec3(0.58, 0.52, 0.43) * (0.97 + 0.05 * random(floor(m * 2.0)));
	float isPane = glass(vec2(x, m.y - 2.9), vec2(0.72, 1.45), vec2(2.0, 5.0));
	float isFrame = within(max(abs(x) - 0.86, abs(m.y - 2.9) - 1.6));
	vec3 found = mix(plaster, vec3(0.42, 0.33, 0.24), isFrame);
	vec2 board = vec2(abs(mod(m.x, 0.6) - 0.3), abs(m.y - 0.55));
	float groove = within(max(board.x - 0.22, board.y - 0.34)) * (1.0 - within(max(board.x - 0.195, board.y - 0.315)));
	vec3 wood = vec3(0.25, 0.16, 0.095) * (1.0 - 0.4 * groove);
	found = mix(found, wood, within(m.y - 1.06));
	found = mix(found, vec3(0.34, 0.23, 0.14), within(abs(m.y - 1.06) - 0.04));
	float beam = within(abs(mod(m.x + 0.9, 1.8) - 0.9) - 0.09);
	found = mix(found, mix(vec3(0.3, 0.24, 0.18), vec3(0.17, 0.115, 0.075), beam), within(5.0 - m.y));
	found = mix(found, vec3(0.4, 0.3, 0.2), within(abs(m.y - 5.0) - 0.1));
	float height = clamp((m.y - 1.4) / 3.0, 0.0, 1.0);
	return Paint(mix(found, mix(vec3(0.8, 0.8, 0.76), vec3(0.86, 0.92, 1.0), height), isPane), 1.0, 1.0 - isPane);
}`,
	// a quiet wall with one large window, and a picture
	window: /* glsl */ `
${GLASS}
Paint pattern(vec2 mm, vec2 half_, float detail) {
	vec2 m = mm / 1000.0;
	float bay = 4.6;
	float x = mod(m.x + 1.35 + 0.5 * bay, bay) - 0.5 * bay;
	vec3 found = vec3(0.5, 0.51, 0.48) * (0.98 + 0.03 * random(floor(m * 3.0)));
	vec2 at = vec2(x, m.y - 1.72);
	float isPane = glass(at, vec2(0.78, 0.82), vec2(3.0, 3.0));
	found = mix(found, vec3(0.7, 0.68, 0.63), within(max(abs(at.x) - 0.88, abs(at.y) - 0.93)));
	float fold = 0.82 + 0.18 * sin(m.x * 60.0);
	float isCurtain = within(abs(abs(at.x) - 0.98) - 0.2) * within(abs(m.y - 1.55) - 1.2);
	found = mix(found, vec3(0.6, 0.54, 0.46) * fold, isCurtain);
	float isGlass = isPane * (1.0 - isCurtain);
	vec2 hung = vec2(abs(abs(x) - 2.2), abs(m.y - 1.75));
	found = mix(found, vec3(0.2, 0.15, 0.1), within(max(hung.x - 0.34, hung.y - 0.27)));
	found = mix(found, vec3(0.52, 0.5, 0.44), within(max(hung.x - 0.29, hung.y - 0.22)));
	found = mix(found, vec3(0.62, 0.6, 0.56), within(m.y - 0.12));
	float height = clamp((m.y - 0.9) / 1.6, 0.0, 1.0);
	vec3 outside = mix(vec3(0.62, 0.7, 0.56), vec3(0.96, 0.98, 1.0), smoothstep(0.15, 0.45, height));
	return Paint(mix(found, outside, isGlass), 1.0, 1.0 - isGlass);
}`
};

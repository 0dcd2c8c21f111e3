import {
	BufferAttribute,
	BufferGeometry,
	DataTexture,
	DoubleSide,
	GLSL3,
	InstancedBufferAttribute,
	InstancedBufferGeometry,
	NearestFilter,
	NearestMipmapNearestFilter,
	Mesh,
	RawShaderMaterial,
	RedFormat,
	RepeatWrapping,
	UnsignedByteType,
	type IUniform
} from 'three';
import { along, type Vec3 } from '$core/geometry/vector';
import { KEEP_GLSL, LENS_GLSL } from '../lens/glsl';
import { lightOn, type Lighting } from '../render/lighting';
import { sceneryOf, type Scenery } from '../places';
import type { Figure, Ground, PreviewScene } from '../scene';

/** The ground in slabs, so that distance reads, and the soft shadows that tie feet to it. */

/** Side of the square of slabs that repeats, m, and its pixels. */
const SLABS_M = 3.6;
const SLABS_PX = 512;
const SLAB_M = [0.9, 0.6] as const;
const JOINT_M = 0.012;

const FLOOR_VERTEX = /* glsl */ `
precision highp float;
in vec3 position;
in vec2 place;
${LENS_GLSL}
out vec2 vSlab;
#ifdef FLASH
out vec3 vPoint;
#endif
void main() {
	vSlab = place / ${SLABS_M.toFixed(1)};
#ifdef FLASH
	vPoint = position;
#endif
	gl_Position = throughLens(position);
}
`;

/** Colours and patterns are roots of light, as they are kept: a root fewer for each pixel. */
const FLOOR_FRAGMENT = /* glsl */ `
precision highp float;
in vec2 vSlab;
uniform sampler2D uSlabs;
uniform vec3 uColour;
#ifdef WATER
uniform vec3 uWater;
uniform float uWaterFrom;  // along the depth, from below the camera, in squares of slabs
#endif
#ifdef HAZE
uniform float uHaze2;      // square of the distance at which half of it is gone, in squares of slabs
#endif
#ifdef FLASH
in vec3 vPoint;
uniform vec3 uLight;       // of the room, on level ground
uniform vec3 uFlash;
uniform vec3 uUp;
#endif
${KEEP_GLSL}
out vec4 colour;

void main() {
	vec3 root = uColour * texture(uSlabs, vSlab).r;
#ifdef WATER
	if (vSlab.y > uWaterFrom) root = uWater;
#endif
#ifdef FLASH
	float far2 = dot(vPoint, vPoint);
	root *= sqrt(uLight + uFlash * max(0.0, -dot(uUp, vPoint)) * inversesqrt(far2) / far2);
#endif
#ifdef HAZE
	// what is far fades into the background: it covers less
	float near = min(1.0, 1.09 * uHaze2 / (uHaze2 + dot(vSlab, vSlab)));
	colour = dithered(root * sqrt(near), near);
#else
	colour = dithered(root, 1.0);
#endif
}
`;

/** Boards along the depth: how wide they are, and how long, m. */
const BOARD_M = [0.18, 1.8] as const;

/** The root of how bright each place of a floor is, over twice the mean. */
function floorTexture(floor: Scenery['floor']): DataTexture {
	const [sideX, sideY] = floor === 'slabs' ? SLAB_M : BOARD_M;
	const jointM = floor === 'slabs' ? JOINT_M : JOINT_M / 2;
	const data = new Uint8Array(SLABS_PX * SLABS_PX);
	const perRow = Math.round(SLABS_M / sideX);
	for (let row = 0; row < SLABS_PX; row++) {
		const y = (row / SLABS_PX) * SLABS_M;
		const course = Math.floor(y / sideY);
		const fromJointY = Math.min(y % sideY, sideY - (y % sideY));
		for (let column = 0; column < SLABS_PX; column++) {
			const x = (column / SLABS_PX) * SLABS_M + (course % 2) * 0.5 * sideX;
			const slab = Math.floor(x / sideX) % perRow;
			const fromJoint = Math.min(fromJointY, x % sideX, sideX - (x % sideX));
			const tone = 0.92 + 0.16 * ((((slab * 7 + course * 13) * 29) % 17) / 16);
			const share = 0.5 * tone * (fromJoint < jointM ? 0.66 : 1);
			data[row * SLABS_PX + column] = Math.round(255 * Math.sqrt(share));
		}
	}
	const texture = new DataTexture(data, SLABS_PX, SLABS_PX, RedFormat, UnsignedByteType);
	texture.wrapS = texture.wrapT = RepeatWrapping;
	texture.magFilter = NearestFilter;
	texture.minFilter = NearestMipmapNearestFilter;
	texture.generateMipmaps = true;
	texture.needsUpdate = true;
	return texture;
}

/** Each made once: it is the same in every picture. */
const textures = new Map<Scenery['floor'], DataTexture>();

function textureOf(floor: Scenery['floor']): DataTexture {
	const texture = textures.get(floor) ?? floorTexture(floor);
	textures.set(floor, texture);
	return texture;
}

/** How far one sees: where nothing closes the view the ground goes over into the sky. */
const HAZE_M = 33;

/** Still water under the sky. */
const WATER = [0.2, 0.25, 0.28];

/** How far the floor goes, m. */
const FAR_M = 320;
/** Lines of the floor's net where a bent surface of focus moves its vertices, m from the foot. */
const RINGS = [0, 0.5, 1, 1.5, 2, 3, 4, 5, 6.5, 8, 10, 13, 17, 22, 30, 45, 80, FAR_M];
const RAY_COUNT = 32;

export function floorMesh(
	{ ground, place }: PreviewScene,
	fieldCurvature: number,
	lighting: Lighting,
	uniforms: Record<string, IUniform>
): Mesh {
	const { floor, floorColour, waterM, wallM } = sceneryOf(place);
	const room = { ...lighting, flashAt1M: [0, 0, 0] as const };
	const light = lightOn(room, ground.up, ground.origin, 0.85, 0);
	const hasFlash = lighting.flashAt1M[0] > 0;
	/** As a sample keeps a colour: in the light of the room, unless that is added to a flash's. */
	const rootOf = (colour: readonly number[]) =>
		colour.map((share, i) => Math.sqrt(0.5 * share * (hasFlash ? 1 : (light[i] as number))));
	const material = new RawShaderMaterial({
		glslVersion: GLSL3,
		vertexShader: FLOOR_VERTEX,
		fragmentShader: FLOOR_FRAGMENT,
		defines: {
			...(hasFlash && { FLASH: 1 }),
			...(wallM === null && { HAZE: 1 }),
			...(place && waterM !== null && { WATER: 1 })
		},
		side: DoubleSide,
		uniforms: {
			...uniforms,
			uSlabs: { value: textureOf(floor) },
			// the texture holds half of it
			uColour: { value: rootOf(floorColour.map((share) => 2 * share)) },
			uHaze2: { value: (HAZE_M / SLABS_M) ** 2 },
			uWater: { value: rootOf(WATER) },
			uWaterFrom: { value: (place && waterM !== null ? place.lastM + waterM : FAR_M) / SLABS_M },
			uLight: { value: light },
			uFlash: { value: lighting.flashAt1M },
			uUp: { value: ground.up }
		}
	});
	return new Mesh(fieldCurvature === 0 ? flatFloor(ground) : nettedFloor(ground), material);
}

function flatFloor(ground: Ground): BufferGeometry {
	const corners = [
		[-FAR_M, -FAR_M],
		[FAR_M, -FAR_M],
		[FAR_M, FAR_M],
		[-FAR_M, FAR_M]
	] as const;
	return floorGeometry(ground, corners, [0, 1, 2, 0, 2, 3]);
}

function nettedFloor(ground: Ground): BufferGeometry {
	const places: [number, number][] = [];
	const indices: number[] = [];
	RINGS.forEach((radius, ring) => {
		for (let ray = 0; ray <= RAY_COUNT; ray++) {
			const angle = (2 * Math.PI * ray) / RAY_COUNT;
			places.push([radius * Math.sin(angle), radius * Math.cos(angle)]);
			if (ring === 0 || ray === RAY_COUNT) continue;
			const here = ring * (RAY_COUNT + 1) + ray;
			const within = here - RAY_COUNT - 1;
			indices.push(here, here + 1, within, here + 1, within + 1, within);
		}
	});
	return floorGeometry(ground, places, indices);
}

function floorGeometry(
	ground: Ground,
	places: readonly (readonly [number, number])[],
	indices: number[]
): BufferGeometry {
	const positions = places.flatMap(([x, z]) => {
		const { x: px, y: py, z: pz } = onGround(ground, x, z);
		return [px, py, pz];
	});
	const geometry = new BufferGeometry();
	geometry.setAttribute('position', new BufferAttribute(new Float32Array(positions), 3));
	geometry.setAttribute('place', new BufferAttribute(new Float32Array(places.flat()), 2));
	geometry.setIndex(indices);
	return geometry;
}

function onGround({ origin, right, away }: Ground, x: number, z: number): Vec3 {
	return along(along(origin, right, x), away, z);
}

const SHADOW_VERTEX = /* glsl */ `
precision highp float;
in vec3 position;
in vec3 foot;
uniform vec3 uRight;
uniform vec3 uUp;
uniform vec3 uAway;
${LENS_GLSL}
out vec2 vOff;
void main() {
	vOff = position.xy;
	vec3 p = foot + uRight * position.x * 0.62 + uAway * position.y * 0.5 + uUp * 0.004;
	gl_Position = throughLens(p);
}
`;

const SHADOW_FRAGMENT = /* glsl */ `
precision highp float;
in vec2 vOff;
out vec4 colour;
void main() {
	// taken from the root of the light, so it counts twice
	float dark = max(0.0, 1.0 - dot(vOff, vOff));
	colour = vec4(0.0, 0.0, 0.0, 0.3 * dark * dark);
}
`;

/** Soft shadows on the ground under figures. */
export function shadowMesh(
	figures: readonly Figure[],
	ground: Ground,
	uniforms: Record<string, IUniform>
): Mesh {
	const feet = figures.flatMap(({ body, eyeHeightM }) => {
		// the body stands somewhat behind the eyes
		const foot = along(along(body.origin, ground.up, -eyeHeightM), body.out, -0.09);
		return [foot.x, foot.y, foot.z];
	});
	const geometry = new InstancedBufferGeometry();
	const corners = new Float32Array([-1, -1, 0, 1, -1, 0, 1, 1, 0, -1, 1, 0]);
	geometry.setAttribute('position', new BufferAttribute(corners, 3));
	geometry.setAttribute('foot', new InstancedBufferAttribute(new Float32Array(feet), 3));
	geometry.setIndex([0, 1, 2, 0, 2, 3]);
	geometry.instanceCount = figures.length;
	const material = new RawShaderMaterial({
		glslVersion: GLSL3,
		vertexShader: SHADOW_VERTEX,
		fragmentShader: SHADOW_FRAGMENT,
		side: DoubleSide,
		transparent: true,
		depthWrite: false,
		uniforms: {
			...uniforms,
			uRight: { value: ground.right },
			uUp: { value: ground.up },
			uAway: { value: ground.away }
		}
	});
	return new Mesh(geometry, material);
}

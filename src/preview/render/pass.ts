import {
	BufferAttribute,
	BufferGeometry,
	Camera,
	GLSL3,
	Mesh,
	NoBlending,
	AdditiveBlending,
	RawShaderMaterial,
	Scene,
	type IUniform,
	type WebGLRenderer,
	type WebGLRenderTarget
} from 'three';

/** Nothing of ours is placed by three's camera: the lens does it. */
export const NO_CAMERA = new Camera();

const VERTEX = /* glsl */ `
precision highp float;
in vec3 position;
out vec2 vAt;
void main() {
	vAt = position.xy;
	gl_Position = vec4(position.xy, 0.0, 1.0);
}
`;

/** A program that paints every pixel of a target; \`vAt\` runs from -1 to 1 both ways. */
export class Pass<U extends Record<string, IUniform>> {
	readonly uniforms: U;
	readonly #scene = new Scene();

	constructor(fragment: string, uniforms: U, adds = false) {
		this.uniforms = uniforms;
		const geometry = new BufferGeometry();
		const corners = new Float32Array([-1, -1, 0, 3, -1, 0, -1, 3, 0]);
		geometry.setAttribute('position', new BufferAttribute(corners, 3));
		const material = new RawShaderMaterial({
			glslVersion: GLSL3,
			vertexShader: VERTEX,
			fragmentShader: `precision highp float;\nin vec2 vAt;\nout vec4 colour;\n${fragment}`,
			uniforms,
			depthTest: false,
			depthWrite: false,
			blending: adds ? AdditiveBlending : NoBlending,
			premultipliedAlpha: true,
			transparent: adds
		});
		const mesh = new Mesh(geometry, material);
		mesh.frustumCulled = false;
		this.#scene.add(mesh);
	}

	run(renderer: WebGLRenderer, target: WebGLRenderTarget | null): void {
		renderer.setRenderTarget(target);
		renderer.render(this.#scene, NO_CAMERA);
	}
}

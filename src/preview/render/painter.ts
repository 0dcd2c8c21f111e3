import {
	NearestFilter,
	RGBAFormat,
	WebGLRenderTarget,
	type IUniform,
	type WebGLRenderer
} from 'three';
import type { Painting } from '../things/panelPaint';
import { Pass } from './pass';

/** Paints the patterns of panels; one program for each, made when it is first needed. */
export class Painter {
	readonly #renderer: WebGLRenderer;
	readonly #programs = new Map<string, Pass<Record<string, IUniform>>>();

	constructor(renderer: WebGLRenderer) {
		this.#renderer = renderer;
	}

	/** The painting as a target whose texture is drawn; whoever asked for it disposes of it. */
	paint({ name, fragment, uniforms, widthPx, heightPx }: Painting): WebGLRenderTarget {
		const program = this.#programs.get(name) ?? new Pass(fragment, { ...uniforms });
		this.#programs.set(name, program);
		for (const [key, { value }] of Object.entries(uniforms)) {
			const uniform = program.uniforms[key];
			if (uniform) uniform.value = value;
		}
		const target = new WebGLRenderTarget(widthPx, heightPx, {
			format: RGBAFormat,
			minFilter: NearestFilter,
			magFilter: NearestFilter,
			depthBuffer: false
		});
		program.run(this.#renderer, target);
		return target;
	}
}

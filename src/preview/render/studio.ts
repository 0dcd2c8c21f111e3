import { WebGLRenderer } from 'three';
import { Darkroom } from './darkroom';
import { whyNoPictures } from './graphics';
import type { Workshop } from './world';
import { PartStore } from '../sculpt/store';
import { Painter } from './painter';
import type { Subject } from '../scene';
import { Picture, type Making } from './picture';

/** Why no picture can be drawn here. */
export class NoGraphics extends Error {}

/** Everything that pictures share: the graphics card, the darkroom, the parts of figures. */
export class Studio {
	readonly canvas: HTMLCanvasElement | OffscreenCanvas;
	readonly #renderer: WebGLRenderer;
	readonly #darkroom: Darkroom;
	readonly #workshop: Workshop;

	/** @throws NoGraphics when the browser offers no WebGL 2 with floating-point pictures */
	constructor(canvas: HTMLCanvasElement | OffscreenCanvas) {
		this.canvas = canvas;
		const options = {
			alpha: false,
			antialias: false,
			depth: false,
			stencil: false,
			powerPreference: 'high-performance',
			preserveDrawingBuffer: true
		} as const;
		const context = canvas.getContext('webgl2', options) as WebGL2RenderingContext | null;
		const why = whyNoPictures(context);
		if (!context || why !== null) throw new NoGraphics(why ?? '');
		this.#renderer = new WebGLRenderer({ canvas, context });
		this.#renderer.autoClear = false;
		// drawn in the order they were added
		this.#renderer.sortObjects = false;
		this.#renderer.setClearColor(0x000000, 0);
		this.#darkroom = new Darkroom(this.#renderer);
		this.#workshop = { parts: new PartStore(), painter: new Painter(this.#renderer) };
	}

	begin(subject: Subject, making: Making = {}): Picture {
		return new Picture(this.#renderer, this.#darkroom, this.#workshop, subject, making);
	}

	/** Whether the context is gone: what is drawn then is blank. */
	get isLost(): boolean {
		return this.#renderer.getContext().isContextLost();
	}

	/** Waits until the graphics card has done what it was told so far. */
	async finish(): Promise<void> {
		const gl = this.#renderer.getContext() as WebGL2RenderingContext;
		const fence = gl.fenceSync(gl.SYNC_GPU_COMMANDS_COMPLETE, 0);
		if (!fence) return;
		gl.flush();
		while (gl.clientWaitSync(fence, 0, 0) === gl.TIMEOUT_EXPIRED) {
			await new Promise((resolve) => setTimeout(resolve, 1));
		}
		gl.deleteSync(fence);
	}

	/** Gives the graphics card back. */
	dispose(): void {
		this.#renderer.dispose();
	}
}

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
	type IUniform,
	type Texture,
	type WebGLRenderer
} from 'three';
import { airyKernel, NO_BLUR, type Kernel } from '../lens/airy';
import { sceneryOf } from '../places';
import { roomShare, type PreviewSize, type Subject } from '../scene';
import { adding, developing, exposing, SAMPLES_AT_ONCE, sensing } from './darkroomGlsl';
import { Pass } from './pass';

/** Adds samples up, puts the background behind them and makes light into a picture for a screen. */

export class Darkroom {
	/** Whether 32-bit sums can be added to; else they are kept in 16. */
	readonly canAddFloats: boolean;
	readonly #renderer: WebGLRenderer;
	readonly #samples = { uSamples: { value: [] as Texture[] } };
	/** By how many samples they add. */
	readonly #adders = Array.from(
		{ length: SAMPLES_AT_ONCE },
		(_, i) => new Pass(adding(i + 1), this.#samples, true)
	);
	readonly #uniforms = {
		uSum: { value: null as Texture | null },
		uPerSample: { value: 1 },
		uLamps: { value: null as Texture | null },
		uWindow: { value: new Vector4() },
		uImageMm: { value: 1 },
		uUp: { value: new Vector3() },
		uHorizon: { value: new Vector3() },
		uZenith: { value: new Vector3() },
		uKernel: { value: null as Texture | null },
		uRadius: { value: 0 }
	};
	readonly #ofSensor = {
		uGain: { value: 1 },
		uFullWell: { value: 1 },
		uReadNoise: { value: 0 },
		uOrigin: { value: new Vector2() },
		uSeed: { value: 0 },
		uDrawn: { value: new Vector2() }
	};
	/** Programs by what they say, made when they are first needed. */
	readonly #programs = new Map<string, Pass<Record<string, IUniform>>>();
	#lamps = floatTarget(1, 1);

	constructor(renderer: WebGLRenderer) {
		this.#renderer = renderer;
		this.canAddFloats = renderer.getContext().getExtension('EXT_float_blend') !== null;
	}

	/** Adds samples to a sum, at most as many as go at once. */
	add(samples: readonly WebGLRenderTarget[], sum: WebGLRenderTarget): void {
		const adder = this.#adders[samples.length - 1];
		if (!adder) return;
		this.#samples.uSamples.value = samples.map(({ texture }) => texture);
		adder.run(this.#renderer, sum);
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
		const purpose = { ...purposeOf(exposure), spreads: kernel.radius > 0 };
		this.#program(developing(purpose)).run(this.#renderer, null);
		texture.dispose();
	}

	/** Shows on the canvas what a sensor of a size would have of it. */
	expose(subject: Subject, exposure: Gathered, size: PreviewSize, sensor: SensorReading): void {
		this.#prepare(subject, exposure);
		const { uGain, uFullWell, uReadNoise, uOrigin, uSeed, uDrawn } = this.#ofSensor;
		uDrawn.value.set(subject.widthPx / size.widthPx, subject.heightPx / size.heightPx);
		uGain.value = sensor.gain;
		uFullWell.value = sensor.fullWell;
		uReadNoise.value = sensor.readNoise;
		uOrigin.value.set(sensor.left, sensor.bottom);
		uSeed.value = sensor.seed;
		this.#fitCanvas(size);
		const purpose = { ...purposeOf(exposure), isEnlarged: subject.widthPx < size.widthPx };
		this.#program(sensing(purpose)).run(this.#renderer, null);
	}

	#program(fragment: string): Pass<Record<string, IUniform>> {
		const program =
			this.#programs.get(fragment) ??
			new Pass<Record<string, IUniform>>(fragment, { ...this.#uniforms, ...this.#ofSensor });
		this.#programs.set(fragment, program);
		return program;
	}

	#fitCanvas({ widthPx, heightPx }: PreviewSize): void {
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
		this.#program(exposing(purposeOf(exposure))).run(this.#renderer, target);
		const pixels = new Float32Array(widthPx * heightPx * 4);
		this.#renderer.readRenderTargetPixels(target, 0, 0, widthPx, heightPx, pixels);
		target.dispose();
		return pixels;
	}

	#prepare(
		{ scene, setting, window, widthPx, heightPx }: Subject,
		{ sum, samples, paintLamps }: Gathered
	) {
		const { uSum, uPerSample, uLamps, uWindow, uImageMm, uUp, uHorizon, uZenith } = this.#uniforms;
		const room = roomShare(scene.light, setting.fNumber);
		const { horizon, zenith } = sceneryOf(scene.place);
		uSum.value = sum.texture;
		uPerSample.value = 1 / Math.max(1, samples);
		uWindow.value.set(window.x, window.y, window.widthMm / 2, window.heightMm / 2);
		uImageMm.value = setting.focus.imageDistanceMm;
		uUp.value.copy(scene.ground.up as Vector3);
		uHorizon.value.set(...horizon).multiplyScalar(room);
		uZenith.value.set(...zenith).multiplyScalar(room);
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

const purposeOf = ({ paintLamps }: Gathered) => ({ hasLamps: paintLamps !== null });

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

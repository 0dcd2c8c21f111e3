import {
	DepthTexture,
	FloatType,
	HalfFloatType,
	NearestFilter,
	RGBAFormat,
	UnsignedByteType,
	UnsignedIntType,
	Vector2,
	WebGLRenderTarget,
	type WebGLRenderer
} from 'three';
import {
	cornerRadius,
	evenPoint,
	MOST_SAMPLES,
	pupilPoints,
	type PupilPoint
} from '../lens/aperture';
import { LensUniforms, pupilRadiusM } from '../lens/lensUniforms';
import type { Subject } from '../scene';
import { LampSplats } from './lampSplats';
import { NO_CAMERA } from './pass';
import { SAMPLES_AT_ONCE, type Darkroom, type Gathered } from './darkroom';
import { buildWorld, type Workshop, type World } from './world';

/** A picture in the making: the same scene from more and more points of the pupil, added up. */
export class Picture {
	readonly subject: Subject;
	/** Samples taken so far. */
	count = 0;
	/** Those of them that are in the sum. */
	#added = 0;
	readonly #renderer: WebGLRenderer;
	readonly #darkroom: Darkroom;
	readonly #lens = new LensUniforms();
	readonly #world: World;
	readonly #lamps: LampSplats | null;
	readonly #points: readonly PupilPoint[];
	/** Samples that wait to be added up, so many at a time. */
	readonly #samples: readonly WebGLRenderTarget[];
	readonly #sum: WebGLRenderTarget;

	constructor(
		renderer: WebGLRenderer,
		darkroom: Darkroom,
		workshop: Workshop,
		subject: Subject,
		inHaste: boolean
	) {
		const { scene, setting, window, widthPx, heightPx } = subject;
		const { blades } = setting;
		this.#renderer = renderer;
		this.#darkroom = darkroom;
		this.subject = subject;
		this.#points = pupilPoints(MOST_SAMPLES, blades);
		this.#lens.set(setting, window);
		this.#world = buildWorld(scene, setting, window, widthPx, workshop, this.#lens.all, inHaste);

		const depthTexture = new DepthTexture(widthPx, heightPx, UnsignedIntType);
		const exact = {
			format: RGBAFormat,
			minFilter: NearestFilter,
			magFilter: NearestFilter
		} as const;
		this.#samples = Array.from(
			{ length: SAMPLES_AT_ONCE },
			() =>
				new WebGLRenderTarget(widthPx, heightPx, { ...exact, type: UnsignedByteType, depthTexture })
		);
		this.#sum = new WebGLRenderTarget(widthPx, heightPx, {
			...exact,
			type: darkroom.canAddFloats ? FloatType : HalfFloatType,
			depthBuffer: false
		});
		renderer.setRenderTarget(this.#sum);
		renderer.clear();
		this.#lamps =
			this.#world.lamps.length === 0
				? null
				: new LampSplats(
						this.#world.lamps,
						blades,
						blades < 3 ? 1 : cornerRadius(blades),
						{
							...this.#lens.all,
							uSize: { value: new Vector2(widthPx, heightPx) },
							uPxPerMm: {
								value: new Vector2(widthPx / window.widthMm, heightPx / window.heightMm)
							},
							uOpening: { value: new Vector2(pupilRadiusM(setting), setting.focus.imageDistanceMm) }
						},
						depthTexture,
						MOST_SAMPLES
					);
	}

	/** Whether figures are coarser than they should be. */
	get isRough(): boolean {
		return this.#world.isRough;
	}

	/** Draws the scene from the next point of the pupil. */
	addSample(): void {
		const point = this.#points[this.count];
		if (!point) return;
		const { setting, widthPx, heightPx } = this.subject;
		// a sequence of its own, so that place in the pixel and place in the pupil are unrelated
		const [u, v] = evenPoint(this.count * 5 + 2);
		const jitter = [(2 * u - 1) / widthPx, (2 * v - 1) / heightPx] as const;
		const dither = ((this.count * 0.618034) % 1) - 0.5;
		this.#lens.throughPoint(point, pupilRadiusM(setting), jitter, dither);
		const waiting = this.count % SAMPLES_AT_ONCE;
		this.#renderer.setRenderTarget(this.#samples[waiting] as WebGLRenderTarget);
		this.#renderer.clear();
		this.#renderer.render(this.#world.root, NO_CAMERA);
		this.#lamps?.look(this.#renderer, this.count);
		this.count += 1;
		if (waiting === SAMPLES_AT_ONCE - 1) this.#addWaiting();
	}

	/** Develops what there is so far on the canvas. */
	develop(): void {
		this.#darkroom.develop(this.subject, this.#exposure());
	}

	/** The picture so far in linear light: four numbers a pixel, rows from below. */
	linear(): Float32Array {
		return this.#darkroom.linear(this.subject, this.#exposure());
	}

	/** Adds the samples that are not in the sum yet. */
	#addWaiting(): void {
		const waiting = this.count - this.#added;
		const last = this.count % SAMPLES_AT_ONCE || SAMPLES_AT_ONCE;
		this.#darkroom.add(this.#samples.slice(last - waiting, last), this.#sum);
		this.#added = this.count;
	}

	#exposure(): Gathered {
		if (this.#added < this.count) this.#addWaiting();
		// discs of light stand where the middle of the pupil images them
		this.#lens.throughPoint({ x: 0, y: 0 }, 0, [0, 0]);
		return { sum: this.#sum, samples: this.count, lamps: this.#lamps };
	}

	dispose(): void {
		this.#world.dispose();
		this.#lamps?.dispose();
		this.#samples[0]?.depthTexture?.dispose();
		for (const sample of this.#samples) sample.dispose();
		this.#sum.dispose();
	}
}

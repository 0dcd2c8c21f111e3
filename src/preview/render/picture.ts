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
import { cornerRadius, MOST_SAMPLES } from '../lens/aperture';
import { STRAIGHT, stillGlimpses, type Glimpse } from '../lens/glimpse';
import { LensUniforms, pupilRadiusM } from '../lens/lensUniforms';
import type { PreviewSize, Subject } from '../scene';
import { LampSplats } from './lampSplats';
import { NO_CAMERA } from './pass';
import type { Darkroom, Gathered, SensorReading } from './darkroom';
import { SAMPLES_AT_ONCE } from './darkroomGlsl';
import { buildWorld, type Workshop, type World } from './world';

/** How a picture is made; by default still, with as many glimpses as any picture takes. */
export interface Making {
	/** Takes coarse figures where fine ones would have to be sculpted first. */
	readonly inHaste?: boolean;
	readonly glimpses?: readonly Glimpse[];
	readonly lampShifts?: readonly Glimpse['shiftPx'][];
}

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
	readonly #glimpses: readonly Glimpse[];
	/** Where on the sensor points of light stand in turn, px. */
	readonly #lampShifts: readonly Glimpse['shiftPx'][];
	/** Samples that wait to be added up, so many at a time. */
	readonly #samples: readonly WebGLRenderTarget[];
	readonly #sum: WebGLRenderTarget;

	constructor(
		renderer: WebGLRenderer,
		darkroom: Darkroom,
		workshop: Workshop,
		subject: Subject,
		{ inHaste = false, glimpses, lampShifts = [STRAIGHT.shiftPx] }: Making = {}
	) {
		const { setting, widthPx, heightPx, window } = subject;
		const { blades } = setting;
		this.#renderer = renderer;
		this.#darkroom = darkroom;
		this.subject = subject;
		this.#glimpses = glimpses ?? stillGlimpses(MOST_SAMPLES, blades);
		this.#lampShifts = lampShifts;
		this.#lens.set(setting, window);
		this.#world = buildWorld(subject, workshop, this.#lens.all, inHaste);

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
		const glimpse = this.#glimpses[this.count];
		if (!glimpse) return;
		this.#lens.look(glimpse, pupilRadiusM(this.subject.setting), this.subject);
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

	/** Develops it as a sensor would have it, on the canvas, which may have more pixels than were drawn. */
	expose(size: PreviewSize, sensor: SensorReading): void {
		this.#darkroom.expose(this.subject, this.#exposure(), size, sensor);
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
		const lamps = this.#lamps;
		return {
			sum: this.#sum,
			samples: this.count,
			paintLamps: lamps && ((target) => this.#paintLamps(lamps, target))
		};
	}

	/** Discs of light stand where the middle of the pupil images them, shared out over their places. */
	#paintLamps(lamps: LampSplats, target: WebGLRenderTarget): void {
		const share = 1 / this.#lampShifts.length;
		for (const shiftPx of this.#lampShifts) {
			this.#lens.look({ ...STRAIGHT, shiftPx }, 0, this.subject);
			lamps.paint(this.#renderer, target, this.count, share);
		}
	}

	dispose(): void {
		this.#world.dispose();
		this.#lamps?.dispose();
		this.#samples[0]?.depthTexture?.dispose();
		for (const sample of this.#samples) sample.dispose();
		this.#sum.dispose();
	}
}

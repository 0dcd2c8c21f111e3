import { CAUSES, type Cause } from '../format/odds';
import { defocusMm } from '../optics/blur';
import { bendFactor, vergenceOfImage } from '../optics/focus';
import { vergence } from '../optics/vergence';
import type { Chances } from './chances';
import { Random } from '../numeric/random';

/** The frames themselves: each focused anew, each with its own sway, shake and blinks. */

/** The accidents of one frame. */
export interface Accidents {
	/** Camera forward, m. */
	cameraM: number;
	/** Image distance focused at, mm. */
	imageMm: number;
	shakeMm: number;
	/** Away from the camera, m, one for each person. */
	readonly personM: Float64Array;
	readonly isShut: Uint8Array;
}

/** Draws frames one after the other and counts what comes of them. */
export class Frames {
	readonly #chances: Chances;
	readonly #random: Random;
	readonly accidents: Accidents;
	/** The worst blur over what is allowed, of those that count, in each frame so far. */
	readonly worst: Float32Array;
	count = 0;
	keepers = 0;
	/** Frames in which each person is sharp with open eyes. */
	readonly personHits: Uint32Array;
	/** Frames in which each target fails. */
	readonly targetMisses: Uint32Array;
	/** Frames spoilt by each cause, in their order. */
	readonly spoilt = new Uint32Array(CAUSES.length);
	readonly #isMissed: Uint8Array;

	/** @param capacity the most frames that will be drawn */
	constructor(chances: Chances, seed: number, capacity: number) {
		this.#chances = chances;
		this.#random = new Random(seed);
		const people = chances.personIds.length;
		this.accidents = {
			cameraM: 0,
			imageMm: chances.imageMm,
			shakeMm: 0,
			personM: new Float64Array(people),
			isShut: new Uint8Array(people)
		};
		this.worst = new Float32Array(capacity);
		this.personHits = new Uint32Array(people);
		this.targetMisses = new Uint32Array(chances.depthM.length);
		this.#isMissed = new Uint8Array(people);
	}

	/** Draws so many frames more. */
	draw(frames: number): void {
		const last = Math.min(this.worst.length, this.count + frames);
		while (this.count < last) {
			this.#accidents();
			this.#judge();
		}
	}

	/** Chance plays: the order of the draws is part of what a seed means. */
	#accidents(): void {
		const { accidents } = this;
		const chances = this.#chances;
		const random = this.#random;
		accidents.cameraM = chances.cameraM * random.normal();
		accidents.imageMm = chances.imageMm + chances.biasMm + chances.focusingMm * random.normal();
		accidents.shakeMm = chances.shakeMm * random.rayleigh();
		const { personM, stepM } = chances;
		for (let i = 0; i < personM.length; i++) {
			accidents.personM[i] = (personM[i] as number) * random.normal() - (stepM[i] as number);
			const isShut = random.uniform() < chances.shutChance && chances.blinks[i] === 1;
			accidents.isShut[i] = isShut ? 1 : 0;
		}
	}

	#judge(): void {
		const c = this.#chances;
		const { cameraM, shakeMm, personM, isShut } = this.accidents;
		const missed = this.#isMissed.fill(0);
		let worst = 0;
		let worstTarget = -1;
		for (let i = 0; i < c.depthM.length; i++) {
			const owner = c.owner[i] as number;
			const moved = owner < 0 ? 0 : (personM[owner] as number);
			const defocus = this.#defocusMm(i, (c.depthM[i] as number) + moved - cameraM);
			const motion = owner < 0 ? 0 : (c.motionMm[owner] as number);
			const blur = Math.sqrt(defocus * defocus + motion * motion + shakeMm * shakeMm);
			const ratio = blur / (c.allowedMm[i] as number);
			if (ratio > 1) {
				this.targetMisses[i] = (this.targetMisses[i] as number) + 1;
				if (owner >= 0) missed[owner] = 1;
			}
			if (c.targetCounts[i] === 1 && ratio > worst) {
				worst = ratio;
				worstTarget = i;
			}
		}
		let hasBlink = false;
		for (let p = 0; p < missed.length; p++) {
			if (isShut[p] === 1 && c.personCounts[p] === 1) hasBlink = true;
			if (missed[p] === 0 && isShut[p] === 0) {
				this.personHits[p] = (this.personHits[p] as number) + 1;
			}
		}
		this.worst[this.count] = worst;
		this.count += 1;
		if (worst > 1) this.#blame(CAUSES.indexOf(this.#causeAt(worstTarget)));
		else if (hasBlink) this.#blame(CAUSES.indexOf('blinking'));
		else this.keepers += 1;
	}

	#blame(cause: number): void {
		this.spoilt[cause] = (this.spoilt[cause] as number) + 1;
	}

	/** Defocus of a target at a depth, as this frame is focused, mm. */
	#defocusMm(target: number, depthM: number): number {
		return this.#discMm(target, depthM, this.accidents.imageMm);
	}

	/** Defocus with the plane of focus given by its image distance. */
	#discMm(target: number, depthM: number, imageMm: number): number {
		const { focalMm, fNumber, fieldBend } = this.#chances;
		let planePerM = vergenceOfImage(focalMm, imageMm);
		if (fieldBend !== 0) {
			const aside = this.#chances.asideM[target] as number;
			planePerM /= bendFactor(fieldBend, depthM / Math.hypot(depthM, aside));
		}
		const lens = { focalMm, imageDistanceMm: imageMm };
		return defocusMm(lens, fNumber, Math.abs(vergence(depthM) - planePerM));
	}

	/** What weighs most at a target that failed. */
	#causeAt(target: number): Cause {
		const c = this.#chances;
		const { cameraM, shakeMm, imageMm, personM } = this.accidents;
		const owner = c.owner[target] as number;
		const depthM = c.depthM[target] as number;
		const planned = this.#discMm(target, depthM, c.plannedMm);
		const off = (depth: number, image: number) =>
			Math.abs(this.#discMm(target, depth, image) - planned);
		const perM = ((c.focalMm / c.fNumber) * c.imageMm) / (1000 * depthM * depthM);
		const perImageMm = c.focalMm / c.fNumber / c.imageMm;
		let cause: Cause = 'depth';
		let most = planned;
		const weigh = (name: Cause, mm: number) => {
			if (mm > most) [cause, most] = [name, mm];
		};
		weigh('camera', Math.abs(cameraM) * perM);
		weigh('focusing', Math.abs(imageMm - c.imageMm) * perImageMm);
		weigh('reframing', c.imageMm === c.plannedMm ? 0 : off(depthM, c.imageMm));
		weigh('people', owner < 0 ? 0 : Math.abs(personM[owner] as number) * perM);
		weigh('motion', owner < 0 ? 0 : (c.motionMm[owner] as number));
		weigh('shake', shakeMm);
		return cause;
	}
}

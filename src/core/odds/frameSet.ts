import { FEW_LOST, SOME_LOST, type ShutterLimits } from '../study/candidate';
import { bendFactor, vergenceOfImage } from '../optics/focus';
import { imageOf, type Conditions, type PersonConditions } from './conditions';
import type { Draws } from './draws';
import { WorstPoints, type Blurs } from './worstPoints';

/** No picture of people by hand is taken slower. Common practice, no source. */
const SLOWEST_S = 1 / 30;

/** The accidents of one frame. */
export interface Accidents {
	/** Camera forward, m. */
	readonly cameraM: number;
	/** Image distance focused at, mm. */
	readonly imageMm: number;
	/** mm/s on the sensor. */
	readonly shakeMmPerS: number;
	/** Those with a target first, in the order of the conditions, then the others. */
	readonly people: readonly PersonAccidents[];
}

/** What one person did in one frame. */
interface PersonAccidents {
	readonly personId: string;
	/** Away from the camera, m. */
	readonly awayM: number;
	/** Across the frame, mm/s. */
	readonly speedMmPerS: number;
	readonly isShut: boolean;
}

/**
 * The frames of one focus: each with its own focusing, sway, shake and motion. Defocus goes with 1/N
 * and motion with the shutter, so that both are worked out once a frame, not once for each f-number.
 */
export class FrameSet {
	readonly conditions: Conditions;
	readonly draws: Draws;
	readonly #worst: WorstPoints;
	/** Played once more when single targets are asked for: many sets are only asked for shares. */
	#blurs: Blurs | null = null;
	readonly #isWrong: Uint8Array;
	#isLost: Uint8Array | null = null;
	/**
	 * Camera forward, m; image distance focused at, mm; a person away, m, those who decide nothing only
	 * when they are asked for; and how many times as fast.
	 */
	readonly #cameraM: Float64Array;
	readonly #imageMm: Float64Array;
	readonly #personM: Float64Array[];
	readonly #times: readonly Float64Array[];
	#limits: ShutterLimits | null = null;

	constructor(conditions: Conditions, draws: Draws) {
		const { people, wrongChance } = conditions;
		this.conditions = conditions;
		this.draws = draws;
		this.#isWrong = Uint8Array.from(draws.wrong(), (part) => (part < wrongChance ? 1 : 0));
		this.#cameraM = this.#sway();
		this.#imageMm = this.#focusing();
		this.#personM = people.map((person) => this.#alongAxis(person));
		this.#times = people.map(({ index, speedSpread }) => draws.speed(index, speedSpread));
		this.#worst = new WorstPoints(this.#play(), draws.frames);
	}

	get frames(): number {
		return this.draws.frames;
	}

	/** What becomes of every target in every frame. */
	#play(): Blurs {
		const { targets, people, focalMm, fieldBend, shakeMmPerS } = this.conditions;
		const count = targets.length;
		const disc = new Float64Array(this.frames * count);
		const streak = new Float64Array(this.frames * count);
		const shake = this.draws.shake();
		const planePerM = this.#imageMm.map((imageMm) => vergenceOfImage(focalMm, imageMm));
		const shaken = shake.map((scale) => (shakeMmPerS * scale) ** 2);
		const still = new Float64Array(this.frames);
		targets.forEach(({ depthM, asideM, allowedMm, owner }, target) => {
			const away = this.#personM[owner] ?? still;
			const times = this.#times[owner] ?? still;
			const speed = people[owner]?.speedMmPerS ?? 0;
			const perAllowed = 1 / (allowedMm * allowedMm);
			for (let frame = 0, at = target; frame < this.frames; frame++, at += count) {
				const imageMm = this.#imageMm[frame] as number;
				const perM = 1 / (depthM + (away[frame] as number) - (this.#cameraM[frame] as number));
				const bend = fieldBend === 0 ? 1 : bendFactor(fieldBend, 1 / Math.hypot(1, asideM * perM));
				const width = (focalMm * imageMm * (perM - (planePerM[frame] as number) / bend)) / 1000;
				const run = (speed * (times[frame] as number) * imageMm * perM) / 1000;
				disc[at] = width * width * perAllowed;
				streak[at] = ((shaken[frame] as number) + run * run) * perAllowed;
			}
		});
		return { disc, streak };
	}

	/** Where each frame is focused, mm behind the lens. */
	#focusing(): Float64Array {
		const { planeM, lockedOn, people, biasMm, focusingMm } = this.conditions;
		const locked = people[lockedOn] ? this.#unsure(people[lockedOn]) : null;
		const steadyMm = imageOf(this.conditions, planeM);
		return this.draws.normal('focusing').map((z, frame) => {
			const imageMm = locked
				? imageOf(this.conditions, planeM + (locked[frame] as number))
				: steadyMm;
			return imageMm + biasMm + focusingMm * z;
		});
	}

	/** Where a camera goes between focus and release, forward, m. */
	#sway(): Float64Array {
		const { cameraM, leanM } = this.conditions;
		const lean = this.draws.normal('lean');
		return this.draws
			.normal('camera')
			.map((z, frame) => cameraM * z + (leanM === 0 ? 0 : leanM * (lean[frame] as number)));
	}

	/** How far a person is from where the plan has them, away from the camera, m. */
	#alongAxis(person: PersonConditions): Float64Array {
		const { index, swayM, nearerM, isWalking } = person;
		const sway = this.draws.ofPerson(index, 'sway');
		const unsure = this.#unsure(person);
		const foresight = this.draws.normal('foresight');
		const foresightM = isWalking ? this.conditions.foresightM : 0;
		const away = new Float64Array(this.frames);
		for (let frame = 0; frame < away.length; frame++) {
			away[frame] =
				swayM * (sway[frame] as number) -
				nearerM +
				foresightM * (foresight[frame] as number) +
				(unsure ? (unsure[frame] as number) : 0);
		}
		return away;
	}

	/** How far off the known depth of a person is, m; null where it is known. */
	#unsure({ index, depthSigmaM }: PersonConditions): Float64Array | null {
		if (depthSigmaM === 0) return null;
		return this.draws.ofPerson(index, 'depth').map((z) => depthSigmaM * z);
	}

	/**
	 * Share of the frames that are sharp, blinks left aside.
	 *
	 * @param standsForS the shutter, s, or what stands for it under flash
	 */
	sharpShare(fNumber: number, standsForS: number): number {
		return this.#shareOf(this.#isWrong, fNumber, standsForS);
	}

	/** Share of the frames that are sharp and have the eyes open of all who count. */
	keeperShare(fNumber: number, standsForS: number): number {
		this.#isLost ??= this.#wrongOrShut();
		return this.#shareOf(this.#isLost, fNumber, standsForS);
	}

	#shareOf(isLost: Uint8Array, fNumber: number, standsForS: number): number {
		let sharp = 0;
		for (let frame = 0; frame < this.frames; frame++) {
			if (isLost[frame] === 0 && this.#worst.areSharp(frame, fNumber, standsForS)) sharp += 1;
		}
		return sharp / this.frames;
	}

	#wrongOrShut(): Uint8Array {
		const lost = this.#isWrong.slice();
		const { people, shutChance } = this.conditions;
		for (const { counts, blinks, index } of people) {
			if (!counts || !blinks) continue;
			this.draws.ofPerson(index, 'lids').forEach((part, frame) => {
				if (part < shutChance) lost[frame] = 1;
			});
		}
		return lost;
	}

	/** Whether somebody who counts has their eyes shut. */
	hasBlink(frame: number): boolean {
		return this.conditions.people.some(({ counts }, i) => counts && this.isShut(frame, i));
	}

	/** Whether a person's eyes are shut; place among the people with a target. */
	isShut(frame: number, person: number): boolean {
		return this.#isShut(frame, this.conditions.people[person] as PersonConditions);
	}

	#isShut(frame: number, { blinks, index }: PersonConditions): boolean {
		const lids = this.draws.ofPerson(index, 'lids')[frame] as number;
		return blinks && lids < this.conditions.shutChance;
	}

	/**
	 * The square of a target's blur over what is allowed, in a frame.
	 *
	 * @returns 1 where it is just sharp
	 */
	excess(frame: number, target: number, fNumber: number, standsForS: number): number {
		const at = frame * this.conditions.targets.length + target;
		const { disc, streak } = (this.#blurs ??= this.#play());
		return (
			(disc[at] as number) / (fNumber * fNumber) + (streak[at] as number) * standsForS * standsForS
		);
	}

	isWrong(frame: number): boolean {
		return this.#isWrong[frame] === 1;
	}

	/** How slow the shutter may be when defocus uses up half of what is allowed, as squares. */
	get shutterLimits(): ShutterLimits {
		this.#limits ??= limitsOf(this.#halfway());
		return this.#limits;
	}

	/** The slowest shutter that saves each frame with half the room, s, fastest first. */
	#halfway(): Float64Array {
		return Float64Array.from({ length: this.frames }, (_, frame) =>
			Math.sqrt(0.5 / this.#worst.mostStreak(frame))
		).sort();
	}

	/** What happened in a frame. */
	accidents(frame: number): Accidents {
		const at = (values: Float64Array): number => values[frame] as number;
		return {
			cameraM: at(this.#cameraM),
			imageMm: at(this.#imageMm),
			shakeMmPerS: this.conditions.shakeMmPerS * at(this.draws.shake()),
			people: [...this.conditions.people, ...this.conditions.others].map((person, i) => ({
				personId: person.personId,
				awayM: at((this.#personM[i] ??= this.#alongAxis(person))),
				speedMmPerS: person.speedMmPerS * at(this.draws.speed(person.index, person.speedSpread)),
				isShut: this.#isShut(frame, person)
			}))
		};
	}
}

/** @param slowest the slowest shutter that saves each frame, s, fastest first */
function limitsOf(slowest: Float64Array): ShutterLimits {
	const frames = slowest.length;
	const losing = (share: number) =>
		Math.min(SLOWEST_S, slowest[Math.min(frames - 1, Math.floor(share * frames))] as number);
	return {
		fewS: losing(FEW_LOST),
		someS: losing(SOME_LOST),
		lossAt(shutterS) {
			let [low, high] = [0, frames];
			while (low < high) {
				const middle = (low + high) >> 1;
				if ((slowest[middle] as number) < shutterS) low = middle + 1;
				else high = middle;
			}
			return low / frames;
		}
	};
}

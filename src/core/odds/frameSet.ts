import type { ShutterLimits } from '../study/candidate';
import type { Accidents, CameraAccidents, Moved } from './accidents';
import { blursOf, worstPointsOf, type FrameBlurs, type Happened } from './blurs';
import { imageOf, type Conditions, type PersonConditions } from './conditions';
import type { Draws } from './draws';
import { shutterLimitsOf } from './shutterLimits';
import type { WorstPoints } from './worstPoints';

/**
 * The frames of one focus: each with its own focusing, sway, shake and motion. Defocus goes with 1/N
 * and motion with the shutter, so that both are worked out once a frame, not once for each f-number.
 */
export class FrameSet {
	readonly conditions: Conditions;
	readonly draws: Draws;
	#worst: WorstPoints | null = null;
	/** Kept only when single targets are asked for: many sets are only asked for shares. */
	#blurs: FrameBlurs | null = null;
	readonly #isWrong: Uint8Array;
	/** Frames in which somebody who counts has their eyes shut. */
	#blinks: Uint8Array | null = null;
	#open: Uint32Array | null = null;
	#isLost: Uint8Array | null = null;
	/** What happens in the frames; for people who decide nothing it is worked out only when asked for. */
	readonly #happened: Happened;
	#limits: ShutterLimits | null = null;

	constructor(conditions: Conditions, draws: Draws) {
		const { people, wrongChance } = conditions;
		this.conditions = conditions;
		this.draws = draws;
		this.#isWrong = draws.wrong(wrongChance);
		this.#happened = {
			cameraM: this.#sway(),
			imageMm: this.#focusing(),
			personM: people.map((person) => this.#alongAxis(person)),
			times: people.map((person) => this.#speeds(person)),
			shake: draws.shake()
		};
	}

	get frames(): number {
		return this.draws.frames;
	}

	/** What becomes of every target in every frame; kept from then on. */
	get blurs(): FrameBlurs {
		return (this.#blurs ??= blursOf(this.conditions, this.#happened));
	}

	get #worstPoints(): WorstPoints {
		return (this.#worst ??= worstPointsOf(this.conditions, this.#happened));
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
		const worst = this.#worstPoints;
		let sharp = 0;
		for (let frame = 0; frame < this.frames; frame++) {
			if (isLost[frame] === 0 && worst.areSharp(frame, fNumber, standsForS)) sharp += 1;
		}
		return sharp / this.frames;
	}

	#wrongOrShut(): Uint8Array {
		return this.#isWrong.map((isWrong, frame) => isWrong | Number(this.hasBlink(frame)));
	}

	/** Whether every target of a frame is sharp. */
	areSharp(frame: number, fNumber: number, standsForS: number): boolean {
		return this.#worstPoints.areSharp(frame, fNumber, standsForS);
	}

	/** Whether somebody who counts has their eyes shut. */
	hasBlink(frame: number): boolean {
		this.#blinks ??= this.#blinking();
		return this.#blinks[frame] === 1;
	}

	#blinking(): Uint8Array {
		const blinks = new Uint8Array(this.frames);
		for (const person of this.conditions.people) {
			if (!person.counts) continue;
			const shut = this.#shutOf(person);
			for (let frame = 0; frame < this.frames; frame++) {
				if (shut[frame] === 1) blinks[frame] = 1;
			}
		}
		return blinks;
	}

	/** Whether a person's eyes are shut; place among the people with a target. */
	isShut(frame: number, person: number): boolean {
		return this.#shutOf(this.conditions.people[person] as PersonConditions)[frame] === 1;
	}

	#shutOf({ blinks, index }: PersonConditions): Uint8Array {
		return this.draws.shut(index, blinks ? this.conditions.shutChance : 0);
	}

	/** For each person in how many frames their eyes are open and the camera took what was meant. */
	get openFrames(): Uint32Array {
		this.#open ??= Uint32Array.from(this.conditions.people, (person) => {
			const shut = this.#shutOf(person);
			let open = 0;
			for (let frame = 0; frame < this.frames; frame++) {
				if (shut[frame] === 0 && !this.isWrong(frame)) open += 1;
			}
			return open;
		});
		return this.#open;
	}

	/**
	 * The square of a target's blur over what is allowed, in a frame.
	 *
	 * @returns 1 where it is just sharp
	 */
	excess(frame: number, target: number, fNumber: number, standsForS: number): number {
		const at = frame * this.conditions.targets.length + target;
		const { disc, streak } = this.blurs;
		return (
			(disc[at] as number) / (fNumber * fNumber) + (streak[at] as number) * standsForS * standsForS
		);
	}

	isWrong(frame: number): boolean {
		return this.#isWrong[frame] === 1;
	}

	/** How slow the shutter may be when defocus uses up half of what is allowed, as squares. */
	get shutterLimits(): ShutterLimits {
		this.#limits ??= shutterLimitsOf(this.#halfway());
		return this.#limits;
	}

	/** The slowest shutter that saves each frame with half the room, s, fastest first. */
	#halfway(): Float64Array {
		const worst = this.#worstPoints;
		const slowest = new Float64Array(this.frames);
		for (let frame = 0; frame < slowest.length; frame++) {
			slowest[frame] = Math.sqrt(0.5 / worst.mostStreak(frame));
		}
		return slowest.sort();
	}

	/** What happened in a frame to the camera. */
	cameraAccidents(frame: number): CameraAccidents {
		return {
			cameraM: this.#happened.cameraM[frame] as number,
			imageMm: this.#happened.imageMm[frame] as number,
			shakeMmPerS: this.conditions.shakeMmPerS * (this.#happened.shake[frame] as number)
		};
	}

	/** How a person moved; place among those with a target. A thing, -1, stays where it is. */
	movedIn(frame: number, person: number): Moved {
		return {
			awayM: this.#happened.personM[person]?.[frame] ?? 0,
			speedMmPerS:
				(this.conditions.people[person]?.speedMmPerS ?? 0) *
				(this.#happened.times[person]?.[frame] ?? 0)
		};
	}

	/** What happened in a frame. */
	accidents(frame: number): Accidents {
		return {
			...this.cameraAccidents(frame),
			people: [...this.conditions.people, ...this.conditions.others].map((person, i) => ({
				personId: person.personId,
				awayM: (this.#happened.personM[i] ??= this.#alongAxis(person))[frame] as number,
				speedMmPerS:
					person.speedMmPerS *
					((this.#happened.times[i] ??= this.#speeds(person))[frame] as number),
				isShut: this.#shutOf(person)[frame] === 1
			}))
		};
	}

	#speeds({ index, speedSpread }: PersonConditions): Float64Array {
		return this.draws.speed(index, speedSpread);
	}
}

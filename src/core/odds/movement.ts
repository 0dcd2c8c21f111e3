import type { PersonConditions } from './conditions';
import type { Draws } from './draws';

/** How somebody moves in every frame: section 8 of the model. */
export interface Movement {
	/** Spread of their sway, and how much nearer they are at the release, m. */
	readonly swayM: number;
	readonly nearerM: number;
	/** What of their walking is not foreseen, and how well their depth is known: spreads, m; 0 for none. */
	readonly foresightM: number;
	readonly depthSigmaM: number;
	/** In spreads. */
	readonly sway: Float64Array;
	readonly foresight: Float64Array;
	readonly depth: Float64Array;
	/** Median speed across the frame, mm/s, and how many times as fast they are. */
	readonly speedMmPerS: number;
	readonly times: Float64Array;
}

/** @param foresightM spread of what of walking is not foreseen, m */
export function movementOf(
	{ index, swayM, nearerM, isWalking, depthSigmaM, speedMmPerS, speedSpread }: PersonConditions,
	foresightM: number,
	draws: Draws
): Movement {
	const foresight = draws.normal('foresight');
	return {
		swayM,
		nearerM,
		foresightM: isWalking ? foresightM : 0,
		depthSigmaM,
		sway: draws.ofPerson(index, 'sway'),
		foresight,
		// made only where it counts
		depth: depthSigmaM === 0 ? foresight : draws.ofPerson(index, 'depth'),
		speedMmPerS,
		times: draws.speed(index, speedSpread)
	};
}

/** Of what stays where it is. */
export function noMovement(frames: number): Movement {
	const none = new Float64Array(frames);
	return {
		swayM: 0,
		nearerM: 0,
		foresightM: 0,
		depthSigmaM: 0,
		sway: none,
		foresight: none,
		depth: none,
		speedMmPerS: 0,
		times: none
	};
}

/** How far somebody is in some frames from where the plan has them, away from the camera, m: put into the last. */
export function awayIn(
	{ swayM, nearerM, foresightM, depthSigmaM, sway, foresight, depth }: Movement,
	first: number,
	count: number,
	awayM: Float64Array
): void {
	for (let i = 0; i < count; i++) awayM[i] = swayM * (sway[first + i] as number) - nearerM;
	if (foresightM !== 0) add(foresightM, foresight, first, count, awayM);
	if (depthSigmaM !== 0) add(depthSigmaM, depth, first, count, awayM);
}

function add(
	times: number,
	values: Float64Array,
	first: number,
	count: number,
	to: Float64Array
): void {
	for (let i = 0; i < count; i++) {
		to[i] = (to[i] as number) + times * (values[first + i] as number);
	}
}

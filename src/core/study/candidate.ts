import type { CameraPoint } from '../geometry/camera';
import type { FocusedOptic } from '../optics/focus';
import type { Landmark } from '../tables/landmarks';
import type { Scene, Target } from './scene';

/** A way to focus, a way to take the picture so, and what chance does to it. */

/** Something to focus on. */
export interface FocusSpot {
	readonly kind: 'eye' | 'landmark' | 'thing' | 'depth' | 'plane';
	readonly personId: string | null;
	readonly thingId: string | null;
	readonly landmark: Landmark | null;
	readonly seen: CameraPoint;
	readonly planeM: number;
	readonly isKey: boolean;
	/** From what to lock on to the plane, forward positive, m; null where the spot itself is in focus. */
	readonly leanM: number | null;
}

/** A spot with the lens focused on it, and what that does to every target at f/1. */
export interface Candidate extends FocusSpot {
	readonly focus: FocusedOptic;
	readonly offCentreMm: number;
	/** Every target with its ratio at f/1; at f/N it is N times smaller. Worked out when first asked for. */
	readonly judged: () => readonly JudgedTarget[];
	readonly worstAtF1: number;
	/** The worst among the targets of `key` people; 0 when there are none. */
	readonly keyWorstAtF1: number;
	/** What chance does to the frames of this focus. */
	readonly chance: Chance;
}

/** A target and what a focus does to it. */
export interface JudgedTarget {
	readonly target: Target;
	/** Defocus over what is allowed, at f/1: also the f-number at which the target is just sharp. */
	readonly ratioAtF1: number;
}

/** One way to take a scene: focused on a candidate, at an f-number. Everything else follows from it. */
export interface Take {
	readonly scene: Scene;
	readonly candidate: Candidate;
	/** Exact. */
	readonly fNumber: number;
}

/**
 * What chance does to the frames of a shot, as far as the solver needs it. It is worked out by
 * `odds/` and handed in, so that the study knows nothing of how frames are drawn.
 */
export interface Chance {
	/** How slow the shutter may be, for the focus of a take. */
	shutterLimits(take: Take): ShutterLimits;
	/** Share of the frames in which everything that counts is sharp, blinks left aside. */
	sharpShare(take: Take): number;
	/** The same, and with the eyes open of all who count. */
	keeperShare(take: Take): number;
}

/** Frames that motion and shake alone would spoil, by the shutter. */
export interface ShutterLimits {
	/** The slowest shutter that spoils few of them, and the slowest worth having, s. */
	readonly fewLostS: number;
	readonly someLostS: number;
	/** Share of all frames that a shutter, s, spoils. */
	lossAt(shutterS: number): number;
}

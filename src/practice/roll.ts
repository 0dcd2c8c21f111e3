import type { Shot } from '$core/format/shot';
import { chanceOf } from '$core/odds/chanceOf';
import { releasesOf, type Release } from '$core/odds/release';
import { along, dot, subtract } from '$core/geometry/vector';
import { Random } from '$core/numeric/random';
import { focusAt } from '$core/optics/focus';
import { settingsOf, type CameraSettings, type OwnSettings } from '$core/study/settings';
import type { Scene } from '$core/study/scene';
import { study } from '$core/study/study';
import type { Spreads } from '$core/tables/spreads';
import type { HungChart, PreviewSize } from '../preview/scene';
import { sizeOf } from './sensor';

/** A roll of practice frames: one shot taken several times. */

export interface RollOrder {
	readonly shot: Shot;
	/** Instead of what the plan says; what is left out follows it, and the light. */
	readonly own: OwnSettings & { readonly fNumber?: number };
	readonly frames: number;
	/** The same one gives the same frames. */
	readonly seed: number;
	readonly spreads: Spreads;
	/** Pixels along the long side, up to the body's own. */
	readonly longSidePx: number;
	/** Local time of the first release, ms as if it were UTC; minutes that the place is ahead of UTC. */
	readonly localMs: number;
	readonly offsetMinutes: number;
	/** Number in the name of the first file. */
	readonly firstNumber: number;
	/** Charts that hang in the place of things, by their ids. */
	readonly charts?: Readonly<Record<string, HungChart>>;
	/** How soft the lens is wide open: how far the edge of its opening misses, mm on the sensor. */
	readonly softMm?: number | undefined;
	/** Whoever holds the camera does not stand where they meant to: how far off, its spread, m. */
	readonly driftM?: number;
}

/** One frame of a roll, as it will be drawn. */
export interface PlannedFrame {
	readonly name: string;
	readonly release: Release;
	readonly settings: CameraSettings;
	readonly size: PreviewSize;
	readonly localMs: number;
}

/** From one release to the next, ms. */
const LEAST_PAUSE_MS = 900;
const MORE_PAUSE_MS = 2400;

/**
 * The frames of a roll: everything that is true of them, without a pixel drawn.
 *
 * @throws when the lens can focus on nothing in the shot
 */
export function framesOf(order: RollOrder): PlannedFrame[] {
	const { own, seed, spreads } = order;
	const { fNumber = order.shot.choices.fNumberExact, ...rest } = own;
	const shot = { ...order.shot, choices: { ...order.shot.choices, fNumberExact: fNumber } };
	const { taken } = study(shot, chanceOf(spreads));
	if (!taken) throw new Error('there is nothing in this shot that the lens can focus on');
	const settings = settingsOf(taken, rest);
	const size = sizeOf(shot.body, shot.camera, order.longSidePx);
	const pauses = new Random(seed);
	const drift = driftOf(order.driftM ?? 0, seed);
	let { localMs } = order;
	return releasesOf(taken, settings, order.frames, seed, spreads).map((still, i) => {
		const pauseMs = i > 0 ? Math.round(LEAST_PAUSE_MS + MORE_PAUSE_MS * pauses.uniform()) : 0;
		localMs += pauseMs;
		const number = String(order.firstNumber + i).padStart(4, '0');
		const release = order.driftM
			? stoodElsewhere(still, taken.scene, drift(pauseMs / 1000))
			: still;
		return { name: `practice-${number}.jpg`, release, settings, size, localMs };
	});
}

/**
 * How far somebody stands from where they meant to, time and again: forgotten within a second, as sway is (section 8:
 * the process of Uhlenbeck and Ornstein, "On the theory of the Brownian motion", 1930).
 */
function driftOf(spreadM: number, seed: number): (passedS: number) => number {
	const random = new Random(seed ^ 0x5bd1e995);
	let atM = spreadM * random.normal();
	return (passedS) => {
		const kept = Math.exp(-passedS);
		atM = kept * atM + Math.sqrt(1 - kept * kept) * spreadM * random.normal();
		return atM;
	};
}

/**
 * The same release from somewhere else: camera and focus are as far from each other as they were. What was swayed since
 * the focus is half forward of where somebody stands in the mean, half behind.
 */
function stoodElsewhere(release: Release, { shot: meant, pose }: Scene, byM: number): Release {
	const { shot, focus } = release;
	const swayedM = dot(subtract(shot.camera.position, meant.camera.position), pose.axis);
	const forwardM = byM - swayedM / 2;
	const position = along(shot.camera.position, pose.axis, forwardM);
	return {
		...release,
		shot: { ...shot, camera: { ...shot.camera, position } },
		focus: focusAt(focus, focus.planeM - forwardM)
	};
}

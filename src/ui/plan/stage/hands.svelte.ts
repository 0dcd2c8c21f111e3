import type { Flat } from '$core/anatomy/outline';
import type { Shot } from '$core/format/shot';
import { degrees, wrapDeg } from '$core/geometry/angle';
import { planeThrough } from '$core/optics/focus';
import { seenFrom } from '$core/geometry/camera';
import type { Scene } from '$core/study/scene';
import { NUDGES } from '$words/numbers';
import { settings } from '../../shared/settings.svelte';
import { changeCamera, changePerson, moveObject, rowPeople, turnObject } from '../view/edits';
import { PLANE, sameObject, type ObjectRef } from '../../drawing/stageObjects';
import { type PlanView } from '../view/plan.svelte';
import type { StageObject } from '../../drawing/stageScene';
import { moveInWorld, panBy, toWorld, zoomAt, type StageView } from '../../drawing/stageView';

/** Taking hold of things on the stage, by pointer and by keyboard. One hold is one gesture. */

/** What the hands need to know of the stage at the moment they act. */
export interface HandsContext {
	readonly view: StageView;
	readonly scene: Scene;
	readonly objects: readonly StageObject[];
	/** Handles that turn the selected head or aim the camera, set off from it. */
	readonly turnHandle: { readonly ref: ObjectRef; readonly at: Flat } | null;
	readonly setView: (view: StageView) => void;
	/** Somebody pointed at the empty floor; true when it meant something. */
	readonly pointAt: (at: Flat) => boolean;
}

type Hold =
	| {
			readonly does: 'move';
			readonly ref: ObjectRef;
			readonly rowIds: readonly string[];
			readonly from: Shot;
			readonly start: Flat;
	  }
	| { readonly does: 'turn'; readonly ref: ObjectRef; readonly from: Shot }
	| { readonly does: 'pan'; readonly last: Flat };

/** How near a finger, and a mouse, must come, px. */
const REACH_PX = { touch: 44, fine: 22 };
const HANDLE_PX = { touch: 30, fine: 14 };
/** The plane of focus goes to an eye this near, px. */
const SNAP_PX = 6;
/** A pointer that stays within this has only pointed, px. */
const CLICK_PX = 3;
const STEP_DEG = 5;

const apart = (a: Flat, b: Flat): number => Math.hypot(a.x - b.x, a.y - b.y);

export class StageHands {
	readonly #plan: PlanView;
	readonly #around: () => HandsContext;
	#hold = $state.raw<Hold | null>(null);
	#gesture = '';
	#hasMoved = $state(false);
	// not shown anywhere, so it need not be reactive
	// eslint-disable-next-line svelte/prefer-svelte-reactivity
	readonly #fingers = new Map<number, Flat>();

	/** The object the keyboard is at. */
	active = $state.raw<ObjectRef | null>(null);
	/** The keyboard has hold of the active object. */
	isHolding = $state(false);

	constructor(plan: PlanView, around: () => HandsContext) {
		this.#plan = plan;
		this.#around = around;
	}

	/** What is being moved or turned right now. */
	get held(): ObjectRef | null {
		if (this.isHolding) return this.active;
		return this.#hold && this.#hold.does !== 'pan' && this.#hasMoved ? this.#hold.ref : null;
	}

	down(id: number, at: Flat, isTouch: boolean): void {
		this.letGo();
		this.#fingers.set(id, at);
		if (this.#fingers.size > 1) {
			this.#hold = null;
			return;
		}
		const reach = isTouch ? 'touch' : 'fine';
		const { turnHandle, objects } = this.#around();
		this.#hasMoved = false;
		this.#gesture = this.#plan.newGesture('stage');
		const from = this.#plan.shot;
		if (turnHandle && apart(turnHandle.at, at) <= HANDLE_PX[reach]) {
			this.#hold = { does: 'turn', ref: turnHandle.ref, from };
			return;
		}
		const nearest = nearestTo(objects, at, REACH_PX[reach]);
		this.#hold = nearest
			? { does: 'move', ref: nearest.ref, rowIds: this.#rowIds(nearest.ref), from, start: at }
			: { does: 'pan', last: at };
	}

	move(id: number, at: Flat): void {
		const before = this.#fingers.get(id);
		if (!before) return;
		this.#fingers.set(id, at);
		if (this.#fingers.size === 2) return this.#pinch(id, before, at);
		const hold = this.#hold;
		const { view, setView } = this.#around();
		if (hold?.does === 'pan') {
			// a finger that only points trembles
			if (!this.#hasMoved && apart(hold.last, at) <= CLICK_PX) return;
			this.#hasMoved = true;
			setView(panBy(view, at.x - hold.last.x, at.y - hold.last.y));
			this.#hold = { does: 'pan', last: at };
		} else if (hold?.does === 'turn') {
			this.#begin();
			this.#turnTo(hold.ref, hold.from, at);
		} else if (hold?.does === 'move') {
			if (!this.#hasMoved && apart(hold.start, at) <= CLICK_PX) return;
			this.#begin();
			if (hold.ref.kind === 'plane') return this.#focusAt(at);
			const by = moveInWorld(view, at.x - hold.start.x, at.y - hold.start.y);
			this.#plan.change(moveObject(hold.from, hold.ref, by, hold.rowIds), this.#gesture);
		}
	}

	/** The pointer moves what it holds. */
	#begin(): void {
		this.#hasMoved = true;
		this.#plan.isMoving = true;
	}

	/** Ends a pointer's hold; one that never moved has selected what it pointed at. */
	up(id: number): void {
		this.#fingers.delete(id);
		this.#plan.isMoving = false;
		const hold = this.#hold;
		this.#hold = null;
		if (!hold || this.#hasMoved) {
			this.#hasMoved = false;
			return;
		}
		if (hold.does === 'pan') {
			if (!this.#around().pointAt(hold.last)) this.#plan.selected = null;
		} else this.select(hold.ref);
	}

	select(ref: ObjectRef): void {
		this.active = ref;
		if (!sameObject(ref, PLANE)) this.#plan.selected = ref;
	}

	/** Answers a key; true when it meant something here. */
	key(key: string, isFine: boolean): boolean {
		const arrow = {
			ArrowLeft: [-1, 0],
			ArrowRight: [1, 0],
			ArrowUp: [0, -1],
			ArrowDown: [0, 1]
		}[key];
		if (arrow) {
			const [dx = 0, dy = 0] = arrow;
			const step = NUDGES[settings.units];
			if (this.isHolding) this.#nudge(dx, dy, isFine ? step.fineM : step.m);
			else this.#goTowards(dx, dy);
			return true;
		}
		if (key === 'Enter' && this.active) {
			if (this.isHolding) this.letGo();
			else this.#takeHold(this.active);
			return true;
		}
		if (key === 'Escape' && (this.isHolding || this.#plan.selected)) {
			if (this.isHolding) this.letGo();
			else this.#plan.selected = null;
			return true;
		}
		const turn = { ',': 1, '.': -1 }[key];
		if (turn && this.isHolding && this.active) {
			const byDeg = turn * (isFine ? 1 : STEP_DEG);
			this.#plan.change(turnObject(this.#plan.shot, this.active, byDeg), this.#gesture);
			return true;
		}
		return false;
	}

	letGo(): void {
		this.isHolding = false;
	}

	#takeHold(ref: ObjectRef): void {
		this.select(ref);
		this.#gesture = this.#plan.newGesture('keys');
		this.isHolding = true;
	}

	#rowIds(ref: ObjectRef): string[] {
		if (ref.kind !== 'row') return [];
		return rowPeople(this.#plan.shot, this.#around().scene.rows, ref.id).map(({ id }) => id);
	}

	#nudge(dx: number, dy: number, stepM: number): void {
		const { view, scene } = this.#around();
		const ref = this.active;
		if (!ref) return;
		const by = moveInWorld({ ...view, pxPerM: 1 }, dx * stepM, dy * stepM);
		if (ref.kind === 'plane') {
			const { depthM } = this.#plan.solution?.plan.focus ?? {};
			if (depthM === undefined) return;
			const away = by.x * scene.pose.axis.x + by.y * scene.pose.axis.y + by.z * scene.pose.axis.z;
			this.#plan.focusOn({ depthM: Math.max(0.05, depthM + away) }, this.#gesture);
			return;
		}
		this.#plan.change(moveObject(this.#plan.shot, ref, by, this.#rowIds(ref)), this.#gesture);
	}

	/** Goes to the nearest object that lies roughly in a direction. */
	#goTowards(dx: number, dy: number): void {
		const { objects } = this.#around();
		const here = objects.find(({ ref }) => sameObject(ref, this.active));
		if (!here) {
			this.active = objects[0]?.ref ?? null;
			return;
		}
		const cost = ({ at }: StageObject) => {
			const ahead = (at.x - here.at.x) * dx + (at.y - here.at.y) * dy;
			const aside = Math.abs((at.x - here.at.x) * dy) + Math.abs((at.y - here.at.y) * dx);
			return ahead > 1 ? ahead + 2 * aside : Infinity;
		};
		const best = objects.reduce((a, b) => (cost(b) < cost(a) ? b : a), here);
		if (cost(best) < Infinity) this.active = best.ref;
	}

	#turnTo(ref: ObjectRef, from: Shot, at: Flat): void {
		const { view } = this.#around();
		const person = from.people.find(({ id }) => ref.kind === 'person' && id === ref.id);
		const origin = person?.eyeMidpoint ?? from.camera.position;
		const to = toWorld(view, at.x, at.y, origin);
		const [dx, dy, dz] = [to.x - origin.x, to.y - origin.y, to.z - origin.z];
		const whole = (deg: number, limit: number) =>
			Math.round(Math.min(limit, Math.max(-limit, deg)));
		if (!person) {
			const change =
				view.side === 'above'
					? { panDeg: whole(degrees(Math.atan2(dx, dz)), 180) }
					: { tiltDeg: whole(degrees(Math.atan2(dy, dz)), 85) };
			this.#plan.change(changeCamera(from, change), this.#gesture);
		} else if (view.side === 'above') {
			const { x, z } = from.camera.position;
			const facing = Math.atan2(x - origin.x, z - origin.z);
			const turnDeg = Math.round(wrapDeg(degrees(facing - Math.atan2(dx, dz))));
			this.#plan.change(changePerson(from, person.id, { turnDeg }), this.#gesture);
		} else {
			const nodDeg = whole(degrees(Math.atan2(-dy, Math.abs(dz))), 60);
			this.#plan.change(changePerson(from, person.id, { nodDeg }), this.#gesture);
		}
	}

	/** Puts the plane of focus through a place, or through the eye it comes close to. */
	#focusAt(at: Flat): void {
		const { view, scene } = this.#around();
		const { pose, optic, sightings, shot } = scene;
		const through = sightings[0]?.person.eyeMidpoint ?? shot.camera.position;
		const seen = seenFrom(pose, toWorld(view, at.x, at.y, through));
		const depthM = planeThrough(optic, Math.max(seen.depthM, 0.05), seen.cosOffAxis);
		const eyes = sightings.flatMap(({ person, nearEye }) => {
			if (!nearEye) return [];
			const planeM = planeThrough(optic, nearEye.seen.depthM, nearEye.seen.cosOffAxis);
			return [{ personId: person.id, awayPx: Math.abs(planeM - depthM) * view.pxPerM }];
		});
		const snap = eyes.sort((a, b) => a.awayPx - b.awayPx)[0];
		const isClose = snap !== undefined && snap.awayPx <= SNAP_PX;
		this.#plan.focusOn(isClose ? { personId: snap.personId } : { depthM }, this.#gesture);
	}

	#pinch(id: number, before: Flat, at: Flat): void {
		const { view, setView } = this.#around();
		const other = [...this.#fingers].find(([finger]) => finger !== id)?.[1];
		if (!other) return;
		const factor = apart(at, other) / Math.max(1, apart(before, other));
		const middle = { x: (at.x + other.x) / 2, y: (at.y + other.y) / 2 };
		const zoomed = zoomAt(view, middle.x, middle.y, factor);
		setView(panBy(zoomed, (at.x - before.x) / 2, (at.y - before.y) / 2));
	}
}

function nearestTo(objects: readonly StageObject[], at: Flat, reachPx: number): StageObject | null {
	return objects.reduce<StageObject | null>((best, object) => {
		const away = apart(object.at, at);
		return away <= reachPx && (!best || away < apart(best.at, at)) ? object : best;
	}, null);
}

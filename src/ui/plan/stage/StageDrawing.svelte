<script lang="ts">
	import { stageDrawingText as say } from '$words/screens/plan/stage';
	import { onDestroy, untrack } from 'svelte';
	import type { Flat } from '$core/anatomy/outline';
	import { NUDGES, smallLength } from '$words/numbers';
	import { keeping, reusing } from '../../picture/reuse';
	import { settings } from '../../shared/settings.svelte';
	import BesideSelection from '../cards/BesideSelection.svelte';
	import SelectionCard from '../cards/SelectionCard.svelte';
	import { CAMERA, sameObject } from '../../drawing/stageObjects';
	import { type PlanView } from '../view/plan.svelte';
	import CameraMark from './CameraMark.svelte';
	import HeadMark from './HeadMark.svelte';
	import Readout from './Readout.svelte';
	import Ruler from './Ruler.svelte';
	import RowLabel from './RowLabel.svelte';
	import ThingStroke from './ThingStroke.svelte';
	import SunMark from './SunMark.svelte';
	import StandingFloor from './StandingFloor.svelte';
	import Zone from './Zone.svelte';
	import { StageHands } from './hands.svelte';
	import { dragWords } from './dragWords';
	import {
		fittedPoints,
		focusLine,
		frameWedge,
		headMarks,
		planeHandle,
		sliceThrough,
		stageObjects,
		turnHandleOf
	} from '../../drawing/stageScene';
	import { fit, toPx, toWorld, zoomAt, type StageView } from '../../drawing/stageView';
	import { zoneOf } from '../../drawing/zone';

	/** The place from above or from the side, with everything in it movable by hand. */
	interface Props {
		plan: PlanView;
		isPhone: boolean;
		side: StageView['side'];
		/** Shows where to stand instead of the sharp zone. */
		showsFloor: boolean;
	}

	let { plan, isPhone, side, showsFloor }: Props = $props();
	let widthPx = $state(0);
	let heightPx = $state(0);
	/** Set by hand; null while the stage fits itself. */
	let ownView = $state.raw<StageView | null>(null);

	const pane = $derived({
		side,
		isTall: side === 'above' && heightPx > widthPx,
		widthPx,
		heightPx
	} as const);
	const shot = $derived(plan.shot);
	const scene = $derived(plan.drawable.scene);
	const take = $derived(plan.drawable.take);

	/** Who and what is there: the stage fits itself anew when this changes, not while things move. */
	const cast = $derived(
		[...shot.people, ...shot.things].map(({ id }) => id).join() + shot.title + shot.lens.name
	);
	const fitted = $derived.by(() => {
		void cast;
		const size = pane;
		return untrack(() => fit(size, fittedPoints(shot)));
	});
	const view = $derived<StageView>(ownView ? { ...ownView, ...pane } : fitted);

	// mostly the same while somebody is moved whom the focus is not on
	const through = $derived.by(keeping(() => sliceThrough(shot, view.side)));
	const zone = $derived.by(keeping(() => take && zoneOf(take)));
	const heads = $derived.by(reusing(() => headMarks(view, scene, take)));
	const line = $derived(zone ? focusLine(view, zone, through) : []);
	const handle = $derived(planeHandle(view, line));
	const objects = $derived(stageObjects(view, scene, heads, handle));
	const wedge = $derived(frameWedge(view, scene.pose));
	const camera = $derived(toPx(view, scene.pose.position));
	const labels = $derived(objects.filter(({ ref }) => ref.kind === 'row'));

	const turnHandle = $derived(turnHandleOf(view, scene, heads, plan.selected));

	const step = $derived(smallLength(NUDGES[settings.units].m, settings.units));
	const fineStep = $derived(smallLength(NUDGES[settings.units].fineM, settings.units));
	const setView = (next: StageView) => (ownView = next);
	let floor = $state<StandingFloor>();
	/** With the floor shown, pointing at a place is standing there. */
	function pointAt({ x, y }: Flat): boolean {
		floor?.standAt(toWorld(view, x, y, shot.camera.position));
		return showsFloor;
	}
	const around = () => ({ view, scene, objects, turnHandle, setView, pointAt });
	const hands = untrack(() => new StageHands(plan, around));
	onDestroy(() => (plan.isMoving = false));
	const readout = $derived(hands.held ? dragWords(hands.held, shot, scene, settings.units) : null);
	const activeLabel = $derived(
		objects.find(({ ref }) => sameObject(ref, hands.active))?.label ?? ''
	);

	const place = (event: PointerEvent | WheelEvent) => {
		const box = (event.currentTarget as Element).getBoundingClientRect();
		return { x: event.clientX - box.left, y: event.clientY - box.top };
	};

	function down(event: PointerEvent) {
		if (event.button !== 0) return;
		const svg = event.currentTarget as SVGElement;
		svg.setPointerCapture(event.pointerId);
		svg.focus({ preventScroll: true, focusVisible: false } as FocusOptions);
		hands.down(event.pointerId, place(event), event.pointerType === 'touch');
	}

	/** The wheel zooms at the pointer; it must not scroll the page as well. */
	function zoomByWheel(node: SVGElement) {
		const onwheel = (event: WheelEvent) => {
			event.preventDefault();
			const { x, y } = place(event);
			ownView = zoomAt(view, x, y, Math.exp(-event.deltaY * 0.0015));
		};
		node.addEventListener('wheel', onwheel, { passive: false });
		return () => node.removeEventListener('wheel', onwheel);
	}

	/** Zooms at the middle of the pane. */
	export function zoom(factor: number) {
		ownView = zoomAt(view, widthPx / 2, heightPx / 2, factor);
	}

	/** Fits everything into the pane again. */
	export function showAll() {
		ownView = null;
	}

	function press(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (hands.key(event.key, event.shiftKey)) {
			event.preventDefault();
			event.stopPropagation();
		}
	}

	/** The card stands along the edge where neither its object nor the camera is. */
	const cardEdge = $derived.by(() => {
		const at = objects.find(({ ref }) => sameObject(ref, plan.selected))?.at ?? camera;
		const low = [at, camera].filter(({ y }) => y > 0.52 * heightPx).length;
		const high = [at, camera].filter(({ y }) => y < 0.48 * heightPx).length;
		return low > high ? 'top' : 'bottom';
	});
</script>

<div class="drawing">
	{#if showsFloor}
		<StandingFloor bind:this={floor} {plan} {view} />
	{/if}
	<div class="field" bind:clientWidth={widthPx} bind:clientHeight={heightPx}>
		{#if !showsFloor}
			<Zone {view} {zone} {through} />
		{/if}
		<!-- an application: arrow keys go from object to object, as the hint says -->
		<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
		<svg
			role="application"
			tabindex="0"
			aria-label={say.stageArrowsGoFromObjectTo(step, fineStep)}
			width={widthPx}
			height={heightPx}
			onpointerdown={down}
			onpointermove={(event) => hands.move(event.pointerId, place(event))}
			onpointerup={(event) => hands.up(event.pointerId)}
			onpointercancel={(event) => hands.up(event.pointerId)}
			onkeydown={press}
			onblur={() => hands.letGo()}
			{@attach zoomByWheel}
		>
			<path
				class="wedge"
				d="M{wedge[0].x} {wedge[0].y} L{camera.x} {camera.y} L{wedge[1].x} {wedge[1].y}"
			/>
			<Ruler {view} camera={scene.pose.position} units={settings.units} />
			{#each scene.things as { thing } (thing.id)}
				{@const met = plan.shown?.plan.things.find(({ id }) => id === thing.id)?.met ?? null}
				<ThingStroke
					{view}
					pose={scene.pose}
					{thing}
					{met}
					isSelected={sameObject(plan.selected, { kind: 'thing', id: thing.id })}
					isActive={sameObject(hands.active, { kind: 'thing', id: thing.id })}
				/>
			{/each}
			{#if shot.sun && shot.sun.altitudeDeg > 0 && side === 'above'}
				<SunMark {view} sun={shot.sun} />
			{/if}
			{#if line.length > 1}
				<polyline class="plane" points={line.map(({ x, y }) => `${x},${y}`).join(' ')} />
			{/if}
			{#each heads as mark (mark.id)}
				<HeadMark
					{mark}
					isSelected={sameObject(plan.selected, { kind: 'person', id: mark.id })}
					isActive={sameObject(hands.active, { kind: 'person', id: mark.id })}
				/>
			{/each}
			{#each labels as { ref, at, label } (ref.id)}
				<RowLabel
					{at}
					{label}
					isSelected={sameObject(plan.selected, ref)}
					isActive={sameObject(hands.active, ref)}
				/>
			{/each}
			{#if handle}
				<circle
					class="handle"
					class:active={hands.active?.kind === 'plane'}
					cx={handle.x}
					cy={handle.y}
					r="7"
				/>
			{/if}
			<CameraMark {view} pose={scene.pose} isActive={sameObject(hands.active, CAMERA)} />
			{#if turnHandle}
				<circle class="turn" cx={turnHandle.at.x} cy={turnHandle.at.y} r="7" />
			{/if}
			{#if readout}
				{@const at = objects.find(({ ref }) => sameObject(ref, hands.held))?.at ?? { x: 0, y: 0 }}
				<Readout words={readout} {at} {widthPx} />
			{/if}
		</svg>
		{#if plan.selected && !hands.held}
			<BesideSelection edge={cardEdge} {isPhone}>
				<SelectionCard
					{plan}
					{view}
					selected={plan.selected}
					onclose={() => (plan.selected = null)}
				/>
			</BesideSelection>
		{/if}
	</div>
</div>
<p class="sr-only" aria-live="polite">
	{activeLabel}
	{hands.isHolding ? 'held' : ''}
</p>

<style>
	.drawing,
	.field {
		position: relative;
		flex: 1;
		min-height: 0;
		min-width: 0;
		overflow: hidden;
	}
	.drawing {
		display: flex;
		flex-direction: column;
	}
	svg {
		position: absolute;
		/* its size is that of its attributes: with a share of the pane all words in it would be laid out anew at every move */
		inset: 0 auto auto 0;
		touch-action: none;
		/* what is dragged is no text to be marked */
		user-select: none;
		cursor: grab;
	}
	svg:focus:not(:focus-visible) {
		outline: none;
	}
	svg:focus-visible {
		outline-offset: -3px;
	}
	.wedge {
		fill: none;
		stroke: var(--ink-2);
		stroke-dasharray: 2 4;
	}
	.plane {
		fill: none;
		stroke: var(--focus);
		stroke-width: 1.5;
	}
	.handle,
	.turn {
		fill: var(--sheet);
		stroke: var(--focus);
		stroke-width: 2;
	}
	.turn {
		stroke: var(--ink);
	}
	.handle.active {
		stroke: var(--focus);
		stroke-width: 4;
	}
</style>

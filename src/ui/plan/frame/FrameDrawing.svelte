<script lang="ts">
	import { frameDrawingText as say } from '$words/screens/plan/frame';
	import { commonText as common } from '$words/screens/common';
	import type { Drawn, DrawnHead } from '../../drawing/frameScene';
	import EyeMark from './EyeMark.svelte';
	import type { ComponentProps } from 'svelte';
	import FrameGuides from './FrameGuides.svelte';
	import ThingMark from './ThingMark.svelte';

	/**
	 * What the camera sees as a drawing; over a rendered picture only its marks. One tab stop: the
	 * arrows go from face to face.
	 */
	interface Props {
		drawn: readonly Drawn[];
		/** Sides of the sensor as held, mm. */
		width: number;
		height: number;
		focusId: string | null;
		/** A rendered picture lies underneath. */
		isOverPicture: boolean;
		/** The point focused on, as shares of width and height; null to leave it out. */
		point: { readonly x: number; readonly y: number } | null;
		/** Marks eyes and things by their state. */
		hasMarks: boolean;
		focusPoints: ComponentProps<typeof FrameGuides>['focusPoints'];
		hasThirds: boolean;
		hasMargin: boolean;
		/** Names those whom the edge cuts. */
		hasCuts: boolean;
		onfocuson: (id: string) => void;
	}

	let {
		drawn,
		width,
		height,
		focusId,
		isOverPicture,
		point,
		focusPoints,
		hasMarks,
		hasThirds,
		hasMargin,
		hasCuts,
		onfocuson
	}: Props = $props();

	const heads = $derived(drawn.filter((one) => one.kind === 'head'));
	const fromLeft = $derived(heads.toSorted((a, b) => a.skull.x - b.skull.x));
	let widthPx = $state(1);
	let heightPx = $state(1);
	/** mm of the sensor to a px of the screen: what is marked keeps its size on the screen. */
	const mmPerPx = $derived(Math.max(width / Math.max(widthPx, 1), height / Math.max(heightPx, 1)));
	let activeId = $state<string | null>(null);

	/** Ids in files may hold spaces, ids of elements may not. */
	const elementId = (id: string) => `face-${encodeURIComponent(id)}`;

	function press(event: KeyboardEvent) {
		const step = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key];
		const index = fromLeft.findIndex(({ id }) => id === activeId);
		if (step) {
			event.preventDefault();
			activeId = fromLeft[Math.min(fromLeft.length - 1, Math.max(0, index + step))]?.id ?? null;
		} else if (event.key === 'Enter' || event.key === ' ') {
			event.preventDefault();
			const head = fromLeft[index];
			if (head) onfocuson(head.id);
		}
	}

	/** The head under the pointer, the nearest one first. */
	function click(event: MouseEvent) {
		const head = (event.target as Element).closest('[data-head]');
		const id = head?.getAttribute('data-head');
		if (id != null) onfocuson(id);
	}

	/** Those whose head crosses the edge, with a place for their name inside it. */
	const cuts = $derived(
		heads.flatMap(({ id, name, skull: { x, y, rx, ry } }) => {
			const [right, low] = [width / 2, height / 2];
			const isCut = Math.abs(x) + rx > right || Math.abs(y) + ry > low;
			if (!isCut || Math.abs(x) - rx > right || Math.abs(y) - ry > low) return [];
			const within = (at: number, most: number) => Math.min(most, Math.max(-most, at));
			return [
				{
					id,
					name,
					x: within(x, right - 34 * mmPerPx),
					y: within(y + ry + 14 * mmPerPx, low - 8 * mmPerPx)
				}
			];
		})
	);

	function stateWords(head: DrawnHead): string {
		const states = head.eyes.map(({ state }) => state);
		if (states.includes('soft')) return 'soft';
		if (states.includes('marginal')) return common.aStopShort;
		return states.includes('sharp') ? 'sharp' : common.needNotBeSharp;
	}
</script>

<svg
	bind:clientWidth={widthPx}
	bind:clientHeight={heightPx}
	viewBox="{-width / 2} {-height / 2} {width} {height}"
	class:over={isOverPicture}
	role="listbox"
	tabindex="0"
	aria-label={say.thePictureChooseAFaceTo}
	aria-activedescendant={activeId === null ? undefined : elementId(activeId)}
	onkeydown={press}
	onclick={click}
	onfocus={() => (activeId ??= focusId ?? fromLeft[0]?.id ?? null)}
	onblur={() => (activeId = null)}
>
	<defs>
		<clipPath id="frame-edge">
			<rect x={-width / 2} y={-height / 2} {width} {height} />
		</clipPath>
	</defs>
	<rect class="ground" x={-width / 2} y={-height / 2} {width} {height} role="presentation" />
	<g clip-path="url(#frame-edge)" role="presentation">
		{#each drawn as one (`${one.kind} ${one.id}`)}
			{#if one.kind === 'thing'}
				<ThingMark thing={one} {mmPerPx} isDrawn={!isOverPicture} hasLabel={hasMarks} />
			{:else}
				<g
					id={elementId(one.id)}
					role="option"
					aria-selected={focusId === one.id}
					aria-label="{one.name}, {stateWords(one)}"
					data-head={one.id}
					class="head"
					class:animal={one.isAnimal}
					style:--skin={one.colours.skin}
					style:--hair={one.colours.hair}
					style:--cloth={one.colours.cloth}
					class:active={activeId === one.id}
				>
					{#if one.shoulders}<path class="clay body" d={one.shoulders} />{/if}
					{#each one.ears as ear, i (i)}
						<circle class="clay skull" cx={ear.x} cy={ear.y} r={one.skull.ry * 0.32} />
					{/each}
					<ellipse
						class="clay skull"
						rx={one.skull.rx}
						ry={one.skull.ry}
						transform="translate({one.skull.x} {one.skull.y}) rotate({one.skull.angleDeg})"
					/>
					{#if one.face && !one.isAnimal}
						<ellipse
							class="clay face"
							rx={one.face.rx}
							ry={one.face.ry}
							transform="translate({one.face.x} {one.face.y}) rotate({one.face.angleDeg})"
						/>
					{/if}
					{#if one.nose}
						<circle class="clay nose" cx={one.nose.x} cy={one.nose.y} r={one.skull.ry * 0.09} />
					{/if}
					{#each hasMarks ? one.eyes.filter(({ isVisible }) => isVisible) : [] as eye (eye.landmark)}
						<EyeMark {eye} size={Math.max(one.skull.ry * 0.13, 2.6 * mmPerPx)} />
					{/each}
				</g>
			{/if}
		{/each}
		<FrameGuides
			{width}
			{height}
			{mmPerPx}
			{point}
			{focusPoints}
			{hasThirds}
			{hasMargin}
			cuts={hasCuts ? cuts : []}
		/>
	</g>
	<rect class="edge" x={-width / 2} y={-height / 2} {width} {height} role="presentation" />
</svg>

<style>
	svg {
		width: 100%;
		height: 100%;
		min-width: 0;
		display: block;
	}
	.ground {
		fill: color-mix(in srgb, var(--ink) 12%, var(--sheet));
	}
	.edge {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.5px;
		vector-effect: non-scaling-stroke;
	}
	.head {
		cursor: pointer;
	}
	.skull {
		fill: var(--hair);
	}
	.face {
		fill: var(--skin);
	}
	.body {
		fill: var(--cloth);
		stroke: var(--sheet);
		stroke-width: 0.6px;
		vector-effect: non-scaling-stroke;
	}
	.nose {
		fill: color-mix(in srgb, var(--hair) 45%, var(--skin));
	}
	.animal .nose {
		fill: #241a14;
	}
	.over .ground,
	.over .clay {
		fill: transparent;
		stroke: none;
	}
	.active .skull,
	.active .body,
	.over .head:hover .skull {
		stroke: var(--focus);
		stroke-width: 2px;
		vector-effect: non-scaling-stroke;
	}
	.over .active .body {
		stroke: none;
	}
</style>

<script lang="ts">
	import { faceRingsText as say } from '$words/screens/photograph';
	import { commonText as common } from '$words/screens/common';
	import type { StandingHead } from '$core/photograph/standing';
	import { BUILD_OPTIONS } from '$words/options';
	import { distance } from '$words/numbers';
	import { unsureDistance } from '$words/photograph';
	import PointingCross from '../shared/PointingCross.svelte';
	import { settings } from '../shared/settings.svelte';
	import type { RingedFace, PictureSpot } from './looking.svelte';

	/** The photograph with a ring around every face; faces that were missed are pointed at. */
	interface Props {
		address: string;
		size: { readonly widthPx: number; readonly heightPx: number };
		marks: readonly RingedFace[];
		/** Where each stands, by the id of its mark. */
		standing: ReadonlyMap<number, StandingHead>;
		selected: number | null;
		/** Two eyes are pointed at. */
		isAdding: boolean;
		onselect: (id: number | null) => void;
		onadded: (a: PictureSpot, b: PictureSpot) => void;
	}

	let { address, size, marks, standing, selected, isAdding, onselect, onadded }: Props = $props();

	let pane = $state<HTMLElement>();
	let first = $state.raw<PictureSpot | null>(null);
	$effect(() => {
		if (!isAdding) first = null;
	});

	const RING_SCALE = 1.5;
	/** A finger takes the nearest ring within this, px of the screen. */
	const REACH_PX = 44;

	function point(spot: PictureSpot) {
		if (!first) {
			first = spot;
			return;
		}
		onadded(first, spot);
		first = null;
	}

	function tap(event: MouseEvent) {
		if (!pane) return;
		const box = pane.getBoundingClientRect();
		const scale = size.widthPx / box.width;
		const spot = { x: (event.clientX - box.left) * scale, y: (event.clientY - box.top) * scale };
		const away = (mark: RingedFace) => Math.hypot(mark.x - spot.x, mark.y - spot.y);
		const nearest = marks.toSorted((a, b) => away(a) - away(b))[0];
		const reach = Math.max(REACH_PX * scale, ((nearest?.widthPx ?? 0) * RING_SCALE) / 2);
		onselect(nearest && away(nearest) < reach ? nearest.id : null);
	}

	const percent = (value: number, of: number) => `${(100 * value) / of}%`;
	const wordsOf = (mark: RingedFace): string => {
		const at = standing.get(mark.id);
		const build = BUILD_OPTIONS.find(({ value }) => value === mark.build)?.text ?? '';
		if (mark.isOut) return say.notCounted(build);
		if (!at) return say.noDistance(build);
		return say.row(build, at.row, unsureDistance(at.depthM, at.sigmaM, settings.units));
	};
</script>

<!-- the rings are buttons for the keyboard; the picture takes the finger, which is larger than they are -->
<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
<div
	class="pane"
	bind:this={pane}
	role="group"
	aria-label={common.thePhotograph}
	style:--ratio={size.widthPx / size.heightPx}
	onclick={tap}
>
	<img src={address} alt="" draggable="false" />
	{#each marks as mark (mark.id)}
		{@const at = standing.get(mark.id)}
		<button
			type="button"
			class="ring"
			class:out={mark.isOut}
			class:chosen={mark.id === selected}
			aria-pressed={mark.id === selected}
			aria-label={wordsOf(mark)}
			style:left={percent(mark.x, size.widthPx)}
			style:top={percent(mark.y + mark.widthPx * 0.15, size.heightPx)}
			style:width={percent(mark.widthPx * RING_SCALE, size.widthPx)}
			onclick={(event) => {
				event.stopPropagation();
				onselect(mark.id);
			}}
		>
			{#if at && !mark.isOut}
				<span aria-hidden="true"
					>{at.row}<i class="far">&nbsp;· {distance(at.depthM, settings.units)}</i></span
				>
			{/if}
		</button>
	{/each}
	{#if isAdding}
		<PointingCross
			label={say.tap(first ? say.theOtherEye : say.anEye)}
			down={0.4}
			takesFocus
			onpoint={(across, down) => point({ x: across * size.widthPx, y: down * size.heightPx })}
		/>
		{#if first}
			<i
				class="eye"
				style:left={percent(first.x, size.widthPx)}
				style:top={percent(first.y, size.heightPx)}
			></i>
		{/if}
	{/if}
</div>

<style>
	.pane {
		position: relative;
		/* as wide as there is room, and no higher than one sees at once */
		width: min(100%, 62vh * var(--ratio));
		aspect-ratio: var(--ratio);
		margin: 0 auto;
		overflow: hidden;
		touch-action: manipulation;
		container-type: inline-size;
	}
	img {
		width: 100%;
		height: 100%;
		display: block;
	}
	.pane .ring {
		position: absolute;
		aspect-ratio: 1;
		transform: translate(-50%, -50%);
		border: 2px solid #fffdf7;
		outline: 1.5px solid #1b2a41;
		border-radius: 50%;
		/* a finger takes the nearest by the picture, so that rings keep the size of their faces */
		min-width: 0;
		min-height: 0;
		display: grid;
		place-items: end center;
	}
	.ring span {
		transform: translateY(115%);
		padding: 0 0.25rem;
		border-radius: 3px;
		background: rgb(20 28 44 / 0.78);
		color: #fffdf7;
		font-size: clamp(0.6rem, 1.5cqw, 0.8rem);
		line-height: 1.25;
		white-space: nowrap;
	}
	.far {
		font-style: normal;
	}
	/* there is room for the rows alone */
	@container (max-width: 34rem) {
		.ring:not(.chosen) .far {
			display: none;
		}
	}
	.ring.chosen {
		border-color: var(--focus);
		border-width: 3px;
		z-index: 1;
	}
	.ring.out {
		border-style: dashed;
		opacity: 0.75;
	}
	.ring:focus-visible {
		outline: 3px solid var(--focus);
		outline-offset: 2px;
	}
	.eye {
		position: absolute;
		width: 14px;
		height: 14px;
		transform: translate(-50%, -50%);
		pointer-events: none;
		border: 2px solid var(--focus);
		border-radius: 50%;
		background: rgb(255 253 247 / 0.6);
		z-index: 3;
	}
</style>

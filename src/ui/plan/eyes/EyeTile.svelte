<script lang="ts">
	import { eyeTileText as say } from '$words/screens/plan/eyes';
	import { commonText as common } from '$words/screens/common';
	import Picture from '../../picture/Picture.svelte';
	import { keeping } from '../../picture/reuse';
	import { watchSight } from '../../browser/sight';
	import StateMark from '../../shared/StateMark.svelte';
	import { devicePx } from '../../picture/size';
	import { wishOf, type Drawable } from '../../drawing/drawable';
	import { allowedWords, STATE_WORDS } from '$words/states';
	import type { EyeTile } from '../../drawing/eyeTiles';

	/** One face: its eyes as the sensor has them. Click to focus there, Enter for the large view. */
	interface Props {
		tile: EyeTile;
		drawable: Drawable;
		widthPx: number;
		heightPx: number;
		onfocuson: () => void;
		onlarge: () => void;
	}

	let { tile, drawable, widthPx, heightPx, onfocuson, onlarge }: Props = $props();

	let box = $state<HTMLElement>();
	let isInSight = $state(false);
	const wish = $derived.by(
		keeping(() =>
			wishOf(drawable, tile.closeUp.window, devicePx(widthPx), devicePx(heightPx), true)
		)
	);
	const scale = $derived(`${Math.round(tile.closeUp.share * 100)} %`);
	const stateWords = $derived(
		tile.state === null ? common.needNotBeSharp : STATE_WORDS[tile.state]
	);

	/** Only what is in sight is drawn. */
	$effect(() => box && watchSight(box, (isIt) => (isInSight = isIt)));

	function press(event: KeyboardEvent) {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		onlarge();
	}
</script>

<li bind:this={box} class:focus={tile.isFocus} style:width="{widthPx}px">
	<button
		class="face"
		type="button"
		aria-label={say.focusHereEnterForALarge(
			tile.name,
			stateWords,
			tile.where ? `, ${tile.where}` : ''
		)}
		aria-current={tile.isFocus}
		onclick={onfocuson}
		onkeydown={press}
	>
		<span class="eyes" style:height="{heightPx}px">
			{#if isInSight}
				<Picture
					name="eyes {tile.id}"
					rank={3}
					{wish}
					label={say.eyesOfAtOfTheSensor(tile.name, scale)}
				/>
			{/if}
		</span>
		<span class="line">
			<bdi>{tile.name}</bdi>
			{#if tile.state !== null && tile.ratio !== null}
				<span class="ratio is-{tile.state}"
					><StateMark state={tile.state} />
					{tile.state === 'marginal' ? 'short' : STATE_WORDS[tile.state]}</span
				>
			{/if}
		</span>
		{#if tile.state !== null && tile.ratio !== null}
			<!-- how much of the blur that is allowed: full is the limit -->
			<span class="bar is-{tile.state}" title={allowedWords(tile.ratio)} aria-hidden="true"
				><span style:transform="scaleX({Math.min(1, tile.ratio)})"></span></span
			>
		{/if}
		<span class="line small">
			{#if tile.isSoftAtFullSize}{say.softAtFullSize}{:else}{tile.where.split(',')[0] ?? ''}{/if}
		</span>
	</button>
	<button class="large" type="button" aria-label={say.atLarge(tile.name, scale)} onclick={onlarge}
		>{scale} ⤢</button
	>
</li>

<style>
	li {
		flex: none;
		position: relative;
		border: 1px solid var(--rule);
		background: var(--sheet);
	}
	li.focus {
		border-color: var(--focus);
		box-shadow: inset 0 0 0 1px var(--focus);
	}
	.face {
		display: flex;
		flex-direction: column;
		width: 100%;
		text-align: left;
	}
	.eyes {
		display: block;
		background: color-mix(in srgb, var(--ink) 12%, var(--sheet));
	}
	.line {
		display: flex;
		justify-content: space-between;
		gap: 0.3rem;
		padding: 0 0.3rem;
		white-space: nowrap;
		overflow: hidden;
		width: 100%;
	}
	bdi {
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.ratio {
		flex: none;
	}
	.bar {
		display: block;
		height: 4px;
		margin: 0.1rem 0.3rem;
		background: color-mix(in srgb, currentColor 22%, transparent);
	}
	/* shortened, not laid out anew: that would be all tiles at every move */
	.bar span {
		display: block;
		height: 100%;
		transform-origin: left;
		background: currentColor;
	}
	.small {
		font-size: 0.75rem;
		color: var(--ink-2);
		min-height: 1.1rem;
	}
	.large {
		position: absolute;
		right: 0;
		top: 0;
		padding: 0 0.25rem;
		min-height: 1.5rem;
		min-width: 1.5rem;
		font-size: 0.75rem;
		color: #fffdf8;
		background: #1b2a41;
	}
	@media (forced-colors: active) {
		.large {
			forced-color-adjust: none;
		}
	}
	@media (pointer: coarse) {
		.large {
			min-height: 2.75rem;
			min-width: 2.75rem;
		}
		.face {
			min-height: 2.75rem;
		}
	}
</style>

<script lang="ts">
	import { setUpText as say } from '$words/screens/bench/place';
	/** How camera and chart stand, from above. */
	let { isAslant, isByHand }: { isAslant: boolean; isByHand: boolean } = $props();
	const label = $derived(
		say.fromAboveAndTheChart(
			isByHand ? say.somebodyWithACamera : say.aCameraOnATripod,
			isAslant ? say.turnedBy45Degrees : say.straightOn
		)
	);
</script>

<svg viewBox="0 0 240 130" role="img" aria-label={label}>
	<line class="axis" x1="56" y1="65" x2="196" y2="65" />
	{#if isByHand}
		<circle class="body" cx="26" cy="65" r="13" />
	{:else}
		{#each [90, 210, 330] as turn (turn)}
			<line class="leg" x1="38" y1="65" x2="38" y2="93" transform="rotate({turn} 38 65)" />
		{/each}
	{/if}
	<rect class="camera" x="28" y="51" width="20" height="28" rx="2" />
	<rect class="camera" x="48" y="57" width="13" height="16" />
	<line
		class="sheet"
		x1="196"
		y1="24"
		x2="196"
		y2="106"
		transform="rotate({isAslant ? 45 : 0} 196 65)"
	/>
	{#if isAslant}
		<path class="axis" d="M 160 65 A 36 36 0 0 1 170.5 39.5" />
		<text x="132" y="42">45°</text>
	{/if}
</svg>

<style>
	svg {
		width: 100%;
		max-width: 15rem;
	}
	.axis {
		stroke: var(--ink-2);
		stroke-dasharray: 4 4;
		fill: none;
	}
	.leg {
		stroke: var(--ink-2);
		stroke-width: 2;
	}
	.camera {
		fill: var(--ink);
	}
	.body {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2;
	}
	.sheet {
		stroke: var(--focus);
		stroke-width: 4;
	}
	text {
		fill: var(--ink);
		font-size: 13px;
	}
</style>

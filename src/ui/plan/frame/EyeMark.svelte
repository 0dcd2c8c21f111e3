<script lang="ts">
	import type { DrawnEye } from '../../drawing/frameScene';

	/** An eye where it projects, marked by its state. */
	let { eye, size }: { eye: DrawnEye; size: number } = $props();
</script>

<g
	transform="translate({eye.x} {eye.y})"
	class={eye.state ? `is-${eye.state}` : 'none'}
	data-eye={eye.landmark}
	role="presentation"
>
	<circle class="white" r={size} />
	{#if eye.state === 'sharp'}
		<circle class="fill" r={size * 0.62} />
	{:else if eye.state === 'marginal'}
		<path class="fill" d="M0 {-size * 0.62} a{size * 0.62} {size * 0.62} 0 0 0 0 {size * 1.24} z" />
		<circle class="ring" r={size * 0.62} />
	{:else}
		<circle class="ring" r={size * 0.62} />
	{/if}
</g>

<style>
	.white {
		fill: #fffdf8;
	}
	/* on the white of the eye, so the day's colours in both looks */
	g {
		color: #505c73;
	}
	.is-sharp {
		color: #0b6464;
	}
	.is-marginal {
		color: #855800;
	}
	.is-soft {
		color: #8c1d5a;
	}
	.fill {
		fill: currentColor;
	}
	.ring {
		fill: none;
		stroke: currentColor;
		stroke-width: 1.3px;
		vector-effect: non-scaling-stroke;
	}
</style>

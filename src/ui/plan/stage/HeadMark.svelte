<script lang="ts">
	import type { HeadMark } from '../../drawing/stageScene';

	/** A head with its nose, and its state as a shape as well as a colour. */
	let { mark, isSelected, isActive }: { mark: HeadMark; isSelected: boolean; isActive: boolean } =
		$props();
	const { outline, nose } = $derived(mark);
	const points = $derived(nose.map(({ x, y }) => `${x},${y}`).join(' '));
</script>

<g class={mark.state ? `is-${mark.state}` : 'off'} data-person={mark.id}>
	{#if isSelected || isActive}
		<circle class="halo" class:active={isActive} cx={outline.x} cy={outline.y} r={outline.rx + 7} />
	{/if}
	<polygon class="nose" {points} />
	<ellipse
		class="head"
		class:focus={mark.isFocus}
		cx={outline.x}
		cy={outline.y}
		rx={outline.rx}
		ry={outline.ry}
		transform="rotate({outline.angleDeg} {outline.x} {outline.y})"
	/>
	{#if mark.state === 'marginal'}
		<!-- half filled -->
		<path
			class="half"
			d="M{outline.x} {outline.y - outline.ry * 0.55} a{outline.ry * 0.55} {outline.ry *
				0.55} 0 0 0 0 {outline.ry * 1.1} z"
		/>
	{:else if mark.state === 'sharp' && !mark.isFocus}
		<circle class="full" cx={outline.x} cy={outline.y} r={outline.ry * 0.5} />
	{/if}
	{#if mark.nearEye}
		<circle class="eye" cx={mark.nearEye.x} cy={mark.nearEye.y} r="1.9" />
	{/if}
</g>

<style>
	g {
		color: var(--ink-2);
	}
	.head {
		fill: var(--sheet);
		stroke: currentColor;
		stroke-width: 1.8;
	}
	.head.focus {
		fill: var(--focus);
	}
	.is-sharp {
		color: var(--sharp);
	}
	.is-marginal {
		color: var(--marginal);
	}
	.is-soft {
		color: var(--soft);
	}
	.off .head {
		stroke-dasharray: 2 2;
	}
	.nose,
	.full,
	.half {
		fill: currentColor;
	}
	.eye {
		fill: var(--ink);
		stroke: var(--sheet);
		stroke-width: 0.6;
	}
	.halo {
		fill: none;
		stroke: var(--ink);
		stroke-width: 1.5;
	}
	.halo.active {
		stroke: var(--focus);
		stroke-width: 2;
	}
</style>

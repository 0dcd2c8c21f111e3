<script lang="ts">
	import type { Snippet } from 'svelte';

	/**
	 * Where the card of the selection stands: along the edge of the stage where its object is not, and
	 * no farther than its middle, where the camera is; on a phone above the places of the work.
	 */
	interface Props {
		edge: 'top' | 'bottom';
		isPhone: boolean;
		children: Snippet;
	}

	let { edge, isPhone, children }: Props = $props();
</script>

<div class="place {edge}" class:phone={isPhone}>{@render children()}</div>

<style>
	.place {
		position: absolute;
		left: 0.35rem;
		right: 0.35rem;
		max-height: 48%;
		pointer-events: none;
		display: flex;
		z-index: 2;
	}
	.place > :global(*) {
		pointer-events: auto;
	}
	.top {
		top: 0.35rem;
	}
	.bottom {
		bottom: 0.35rem;
	}
	.phone {
		position: fixed;
		inset: auto 0 calc(var(--places, 0rem) + env(safe-area-inset-bottom)) 0;
		max-height: 30dvh;
		z-index: 20;
	}
</style>

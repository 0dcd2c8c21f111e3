<script lang="ts">
	import type { Snippet } from 'svelte';

	/** Where the card of the selection stands: beside the stage's drawing, or a sheet from below. */
	interface Props {
		side: 'left' | 'right';
		isPhone: boolean;
		children: Snippet;
	}

	let { side, isPhone, children }: Props = $props();
</script>

<div class="place {side}" class:phone={isPhone}>{@render children()}</div>

<style>
	.place {
		position: absolute;
		top: 0.35rem;
		bottom: 0.35rem;
		pointer-events: none;
		display: flex;
		align-items: flex-start;
		z-index: 2;
	}
	.place > :global(*) {
		pointer-events: auto;
	}
	.left {
		left: 0.35rem;
	}
	.right {
		right: 0.35rem;
	}
	.phone {
		position: fixed;
		inset: auto 0 0 0;
		max-height: 55dvh;
		z-index: 20;
	}
	.phone :global(.card) {
		width: 100%;
		max-height: 55dvh;
	}
</style>

<script lang="ts">
	import { eyesText as say } from '$words/screens/plan/eyes';
	import { commonText as common } from '$words/screens/common';
	import { reusing } from '../../picture/reuse';
	import { preview } from '../../picture/preview.svelte';
	import { devicePx } from '../../picture/size';
	import type { PlanView } from '../view/plan.svelte';
	import EyesLarge from './EyesLarge.svelte';
	import EyeTile from './EyeTile.svelte';
	import { eyeTiles } from '../../drawing/eyeTiles';

	/** Close-ups of the faces, those that fail first. */
	let { plan, isPhone }: { plan: PlanView; isPhone: boolean } = $props();

	const drawable = $derived(plan.drawable);
	const widthPx = $derived(isPhone ? 172 : 104);
	const heightPx = $derived(isPhone ? 96 : 50);
	const tiles = $derived.by(
		reusing(() => eyeTiles(drawable, devicePx(widthPx), devicePx(heightPx)))
	);
	let largeId = $state<string | null>(null);
</script>

{#if tiles.length > 0 && preview.why === null}
	<section class="eyes" class:phone={isPhone} aria-label={common.eyes}>
		<ul>
			{#key plan.shotId}
				{#each tiles as tile (tile.id)}
					<EyeTile
						{tile}
						{drawable}
						{widthPx}
						{heightPx}
						onfocuson={() => plan.focusOn({ personId: tile.id })}
						onlarge={() => (largeId = tile.id)}
					/>
				{/each}
			{/key}
		</ul>
	</section>
	<EyesLarge {plan} {drawable} bind:personId={largeId} />
{:else if isPhone}
	<p class="none">
		{preview.why === null ? say.nobodysEyesCanBeSeen : say.noCloseUps(preview.why)}
	</p>
{/if}

<style>
	.eyes {
		min-width: 0;
		overflow-x: auto;
	}
	ul {
		display: flex;
		gap: 0.5rem;
		width: max-content;
	}
	.phone {
		overflow: auto;
		max-height: max(22rem, 50dvh);
	}
	.phone ul {
		flex-wrap: wrap;
		width: auto;
		justify-content: center;
	}
	.none {
		padding: 1rem;
		color: var(--ink-2);
	}
</style>

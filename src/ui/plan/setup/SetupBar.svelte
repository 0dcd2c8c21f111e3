<script lang="ts">
	import { setupBarText as say } from '$words/screens/plan/setup';
	import { commonText as common } from '$words/screens/common';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import { lightInShort } from '$words/light';
	import { BACKGROUND_OPTIONS } from '$words/options';
	import { settings } from '../../shared/settings.svelte';

	/** The rest of the set-up, each behind a button that says how it stands. */
	let { plan }: { plan: PlanView } = $props();

	type Sheet = 'light' | 'background' | 'framing' | 'ways' | 'kit';
	let open = $state<Sheet | null>(null);
	const close = () => (open = null);
	/** What these change is seen in the picture, which stays in sight where there is room. */
	const ASIDE = {
		placement: 'center-left',
		class: 'lg:ms-4 lg:border lg:shadow-xl lg:backdrop:bg-transparent'
	} as const;
	const shot = $derived(plan.shot);
	const background = $derived(
		BACKGROUND_OPTIONS.find(({ value }) => value === shot.background?.intent)?.text ?? ''
	);
	const light = $derived(lightInShort(shot, settings.units));
</script>

<div class="setup" role="group" aria-label={say.setUp}>
	<button class="knob" type="button" aria-haspopup="dialog" onclick={() => (open = 'light')}>
		{say.light(light)}
	</button>
	<button class="knob" type="button" aria-haspopup="dialog" onclick={() => (open = 'background')}>
		{say.background(background && `: ${background}`)}
	</button>
	<button class="knob" type="button" aria-haspopup="dialog" onclick={() => (open = 'framing')}>
		{say.framing(shot.choices.wide ? say.manyFrames : '')}
	</button>
	<button class="knob" type="button" aria-haspopup="dialog" onclick={() => (open = 'ways')}>
		{common.otherLenses}
	</button>
	<button class="knob" type="button" aria-haspopup="dialog" onclick={() => (open = 'kit')}>
		{say.kit}
	</button>
</div>

<Modal
	{...ASIDE}
	title={say.light2}
	size="sm"
	bind:open={() => open === 'light', (is) => !is && close()}
>
	{#if open === 'light'}
		{#await import('./LightSheet.svelte') then { default: LightSheet }}
			<LightSheet {plan} />
		{/await}
	{/if}
</Modal>
<Modal
	{...ASIDE}
	title={say.theBackground}
	size="sm"
	bind:open={() => open === 'background', (is) => !is && close()}
>
	{#if open === 'background'}
		{#await import('./BackgroundSheet.svelte') then { default: BackgroundSheet }}
			<BackgroundSheet {plan} />
		{/await}
	{/if}
</Modal>
<Modal
	{...ASIDE}
	title={say.framing2}
	size="md"
	bind:open={() => open === 'framing', (is) => !is && close()}
>
	{#if open === 'framing'}
		{#await import('./FramingSheet.svelte') then { default: FramingSheet }}
			<FramingSheet {plan} />
		{/await}
	{/if}
</Modal>
<Modal
	title={say.theSamePictureWithOtherLenses}
	size="xl"
	bind:open={() => open === 'ways', (is) => !is && close()}
>
	{#if open === 'ways'}
		{#await import('./WaysSheet.svelte') then { default: WaysSheet }}
			<WaysSheet {plan} onclose={close} />
		{/await}
	{/if}
</Modal>
<Modal title={common.kit} size="lg" bind:open={() => open === 'kit', (is) => !is && close()}>
	{#if open === 'kit'}
		{#await import('../../kit/KitSheet.svelte') then { default: KitSheet }}
			<KitSheet />
		{/await}
	{/if}
</Modal>

<style>
	.setup {
		display: flex;
		flex-wrap: wrap;
		gap: 0.3rem;
	}
</style>

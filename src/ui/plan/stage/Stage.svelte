<script lang="ts">
	import { stageText as say } from '$words/screens/plan/stage';
	import { commonText as common } from '$words/screens/common';
	import Choice from '../../fields/Choice.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import AddMenu from './AddMenu.svelte';
	import EmptyStage from './EmptyStage.svelte';
	import ObjectList from './ObjectList.svelte';
	import StageDrawing from './StageDrawing.svelte';
	import type { StageView } from '../../drawing/stageView';

	/** The place from above, from the side, or as a list. */
	let { plan, isPhone }: { plan: PlanView; isPhone: boolean } = $props();

	type Showing = StageView['side'] | 'list';
	const SIDES = $derived([
		{ value: 'above', text: isPhone ? 'above' : say.fromAbove },
		{ value: 'side', text: isPhone ? 'side' : say.fromTheSide },
		{ value: 'list', text: say.list }
	] as const);

	let showing = $state<Showing>('above');
	let drawing = $state<StageDrawing>();
	let showsFloor = $state(false);
</script>

{#snippet zooming()}
	<div class="zoom" class:over={isPhone}>
		<button
			class="knob"
			type="button"
			aria-label={say.zoomOut}
			onclick={() => drawing?.zoom(1 / 1.3)}>−</button
		>
		<button class="knob" type="button" aria-label={say.zoomIn} onclick={() => drawing?.zoom(1.3)}
			>+</button
		>
		<button
			class="knob"
			type="button"
			aria-label={say.showEverything}
			onclick={() => drawing?.showAll()}>⤢</button
		>
	</div>
{/snippet}

<section class="pane stage" aria-label={common.stage}>
	<div class="tools">
		<Choice
			label={common.stage}
			quiet
			options={SIDES}
			value={showing}
			onchoose={(next) => (showing = next)}
		/>
		<span class="spring"></span>
		{#if showing === 'above'}
			<button
				class="knob"
				type="button"
				aria-pressed={showsFloor}
				aria-label={common.whereToStand}
				onclick={() => {
					showsFloor = !showsFloor;
					plan.selected = null;
				}}>{isPhone ? 'where?' : common.whereToStand}</button
			>
		{/if}
		<AddMenu {plan} />
		{#if showing !== 'list' && !isPhone}{@render zooming()}{/if}
	</div>
	{#if showing === 'list'}
		<ObjectList {plan} />
	{:else}
		{#if plan.shot.people.length === 0 && plan.shot.things.length === 0}<EmptyStage {plan} />{/if}
		{#key showing}
			<StageDrawing
				bind:this={drawing}
				{plan}
				{isPhone}
				side={showing}
				showsFloor={showsFloor && showing === 'above'}
			/>
		{/key}
		{#if isPhone && !(showsFloor && showing === 'above')}{@render zooming()}{/if}
	{/if}
</section>

<style>
	.stage {
		position: relative;
		display: flex;
		flex-direction: column;
		height: 100%;
	}
	.tools {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem;
		padding: 0.35rem;
		position: relative;
		z-index: 3;
	}
	.spring {
		flex: 1;
	}
	.zoom {
		display: flex;
		gap: 0.25rem;
	}
	/* there is no room for them in one line with the others: below the camera nobody stands */
	.zoom.over {
		position: absolute;
		bottom: 1.8rem;
		left: 0.35rem;
	}
</style>

<script lang="ts">
	import { rowCardText as say } from '$words/screens/plan/cards';
	import { commonText as common } from '$words/screens/common';
	import { reshape, shapeOf, type RowShape } from '$core/arrange/rowShape';
	import type { Person } from '$core/format/shot';
	import Length from '../../fields/Length.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import NamesSheet from './NamesSheet.svelte';

	/** A row as one thing: its spacing and its bend. */
	let { plan, people }: { plan: PlanView; people: readonly Person[] } = $props();

	const newGesture = (kind: string) => plan.newGesture(kind);
	let isNaming = $state(false);
	const shape = $derived(shapeOf(people));

	function set(wanted: RowShape, gesture: string) {
		const moved = new Map(reshape(people, wanted).map((person) => [person.id, person]));
		const all = plan.shot.people.map((person) => moved.get(person.id) ?? person);
		plan.change({ ...plan.shot, people: all }, gesture);
	}
</script>

{#if shape}
	<div class="fields">
		<Length
			label={common.spacing}
			value={shape.spacingM}
			low={0.2}
			high={5}
			onchange={(spacingM, gesture) => set({ ...shape, spacingM }, gesture)}
			{newGesture}
		/>
		<Length
			label={say.endsComeInBy}
			value={shape.bendM}
			low={-2}
			high={2}
			onchange={(bendM, gesture) => set({ ...shape, bendM }, gesture)}
			{newGesture}
		/>
	</div>
{:else}
	<p>{say.onePersonNothingToSpaceOut}</p>
{/if}
<button class="knob" type="button" onclick={() => (isNaming = true)}>{say.names}</button>
<NamesSheet {plan} bind:isOpen={isNaming} />

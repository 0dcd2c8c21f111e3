<script lang="ts">
	import { emptyStageText as say } from '$words/screens/plan/stage';
	import { commonText as common } from '$words/screens/common';
	import { photographAsked } from '../../photograph/asked.svelte';
	import { arrangedIn, ARRANGEMENTS } from '../../keeping/arrangements';
	import type { PlanView } from '../view/plan.svelte';

	/** Nobody is there yet: arrangements to begin with, or a photograph. */
	let { plan }: { plan: PlanView } = $props();
</script>

<div class="empty" role="group" aria-label={say.nobodyIsThereYet}>
	<p>{say.nobodyIsThereYetBeginWith}</p>
	<div class="ways">
		{#each ARRANGEMENTS as arrangement (arrangement.key)}
			<button
				class="knob"
				type="button"
				onclick={() => plan.change(arrangedIn(plan.shot, arrangement, plan.shot.lens))}
				>{arrangement.title}</button
			>
		{/each}
		<button class="knob" type="button" onclick={() => photographAsked.ask('this-shot')}
			>{common.fromAPhotograph}</button
		>
	</div>
</div>

<style>
	.empty {
		position: absolute;
		left: 50%;
		top: 50%;
		translate: -50% -50%;
		width: min(22rem, 88%);
		z-index: 2;
		background: var(--sheet);
		border: 1px solid var(--rule);
		border-radius: 4px;
		padding: 0.8rem 1rem;
		display: flex;
		flex-direction: column;
		gap: 0.5rem;
		text-align: center;
	}
	.ways {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem;
		justify-content: center;
	}
	@media (pointer: coarse) {
		.knob {
			min-height: 2.75rem;
		}
	}
</style>

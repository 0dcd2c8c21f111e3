<script lang="ts">
	import { guestPickerText as say } from '$words/screens/plan/stage';
	import { commonText as common } from '$words/screens/common';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { standsIn, withGuest } from '$core/day/guests';
	import type { Guest } from '$core/format/job';
	import { settings } from '../../shared/settings.svelte';
	import type { PlanView } from '../view/plan.svelte';

	/** Those of the day's people who do not stand in the shot yet; a click places one. */
	let { plan, isOpen = $bindable() }: { plan: PlanView; isOpen: boolean } = $props();

	const missing = $derived(plan.guests.filter(({ name }) => !standsIn(name, plan.shot)));
	function place(guest: Guest) {
		plan.change(withGuest(plan.shot, guest, settings.framing));
		const newest = plan.shot.people.find(({ name }) => name === guest.name);
		if (newest) plan.selected = { kind: 'person', id: newest.id };
	}
</script>

<Modal title={common.peopleOfTheDay} size="xs" bind:open={isOpen}>
	<ul>
		{#each missing as guest (guest.id)}
			<li>
				<button class="knob bare" type="button" onclick={() => place(guest)}>
					<bdi>{guest.name}</bdi>
					{#if guest.build !== 'adult'}<span>{guest.build}</span>{/if}
				</button>
			</li>
		{:else}
			<li>
				{plan.guests.length === 0 ? say.nobodyIsOnTheDaysList : say.everyoneOfTheDayIsIn}
			</li>
		{/each}
	</ul>
</Modal>

<style>
	ul {
		color: var(--ink);
		columns: 2;
	}
	.knob {
		width: 100%;
		justify-content: flex-start;
	}
	span {
		color: var(--ink-2);
	}
</style>

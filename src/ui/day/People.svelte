<script lang="ts">
	import { peopleText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
	import { inNoShot, newGuest, standsIn, type NewGuest } from '$core/day/guests';
	import { JOB_LIMITS, type Guest } from '$core/format/job';
	import { LIMITS } from '$core/format/shot';
	import type { DayView } from './day.svelte';
	import PasteSheet from './PasteSheet.svelte';
	import GuestCard from './GuestCard.svelte';

	/** Who is there on the day: written once, placed in shots from here. */
	let { day }: { day: DayView } = $props();

	let typed = $state('');
	let isPasting = $state(false);
	let openId = $state<string | null>(null);
	let onlyMissing = $state(false);

	const guests = $derived(day.job.people);
	const shots = $derived(day.shots.map(({ shot }) => shot));
	const missing = $derived(inNoShot(guests, shots));
	/** Whoever is open stays, also when just placed. */
	const shown = $derived(
		onlyMissing ? guests.filter((one) => missing.includes(one) || one.id === openId) : guests
	);
	const room = $derived(JOB_LIMITS.guests - guests.length);

	function add(newcomers: readonly NewGuest[]) {
		const fresh = newcomers
			.slice(0, room)
			.map((one): Guest => ({ ...one, id: crypto.randomUUID() }));
		if (fresh.length === 0) return;
		const words =
			fresh.length === 1 ? say.adding(fresh[0]?.name ?? '') : say.addingPeople(fresh.length);
		day.changePeople([...guests, ...fresh], words);
	}
	function addTyped(event: Event) {
		event.preventDefault();
		const name = typed.trim();
		if (name) add([newGuest(name)]);
		typed = '';
	}
	const countOf = ({ name }: Guest) => shots.filter((shot) => standsIn(name, shot)).length;
	const shotsWords = (n: number) =>
		n === 0 ? say.inNoShot : n === 1 ? say.inOneShot : say.inShots(n);
</script>

<section class="people" aria-label={common.peopleOfTheDay}>
	<h2>{common.peopleOfTheDay} <span>{guests.length}</span></h2>
	<form onsubmit={addTyped}>
		<input
			class="typed"
			type="text"
			aria-label={say.nameOfSomebodyWhoIsThere}
			placeholder={common.name}
			maxlength={LIMITS.name}
			bind:value={typed}
		/>
		<button class="knob" type="submit" disabled={!typed.trim() || room < 1}>{common.add}</button>
		<button class="knob" type="button" onclick={() => (isPasting = true)}>{say.pasteAList}</button>
	</form>
	{#if missing.length > 0}
		<button
			class="knob missing"
			type="button"
			aria-pressed={onlyMissing}
			onclick={() => (onlyMissing = !onlyMissing)}
			>{say.ofInNoShotYet(missing.length, guests.length)}</button
		>
	{:else if guests.length > 0}
		<p class="quiet">{say.everyoneIsInAShot}</p>
	{/if}
	<ul>
		{#each shown as guest (guest.id)}
			{@const count = countOf(guest)}
			<li>
				<button
					class="name"
					type="button"
					aria-expanded={openId === guest.id}
					onclick={() => (openId = openId === guest.id ? null : guest.id)}
				>
					<bdi>{guest.name}</bdi>
					{#if guest.glasses}<span class="quiet">{say.glasses}</span>{/if}
					{#if guest.build !== 'adult'}<span class="quiet">{guest.build}</span>{/if}
					<span class="count" class:none={count === 0}>{shotsWords(count)}</span>
				</button>
				{#if openId === guest.id}<GuestCard {day} {guest} />{/if}
			</li>
		{/each}
	</ul>
</section>

<PasteSheet {day} bind:isOpen={isPasting} />

<style>
	.people {
		display: flex;
		flex-direction: column;
		gap: 0.5rem;
		min-height: 0;
	}
	h2 {
		font-size: 1.05rem;
	}
	h2 span,
	.quiet {
		color: var(--ink-2);
		font-family: var(--font-sans);
		font-weight: 400;
	}
	form {
		display: flex;
		gap: 0.3rem;
	}
	form input {
		flex: 1;
		min-width: 4rem;
	}
	.missing {
		align-self: start;
	}
	li {
		border-bottom: 1px solid var(--rule);
	}
	.name {
		display: flex;
		gap: 0.5rem;
		width: 100%;
		min-height: 1.9rem;
		align-items: center;
		text-align: left;
	}
	.name:hover {
		background: var(--sheet);
	}
	.count {
		margin-left: auto;
		color: var(--ink-2);
	}
	.count.none {
		color: var(--soft);
	}
	@media (pointer: coarse) {
		.name {
			min-height: 2.75rem;
		}
	}
</style>

<script lang="ts">
	import { addMenuText as say } from '$words/screens/plan/stage';
	import { commonText as common } from '$words/screens/common';
	import DropdownItem from 'flowbite-svelte/DropdownItem.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import Button from 'flowbite-svelte/Button.svelte';
	import type { Shot } from '$core/format/shot';
	import { LIMITS } from '$core/format/shot';
	import {
		addCouple,
		addPerson,
		addRows,
		addThing,
		addWalker,
		USUAL_ROWS
	} from '$core/arrange/arrange';
	import { FIRST_M } from '$core/day/guests';
	import { stoodAsFramed } from '$core/arrange/framing';
	import Length from '../../fields/Length.svelte';
	import { settings } from '../../shared/settings.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import { photographAsked } from '../../photograph/asked.svelte';
	import GuestPicker from './GuestPicker.svelte';
	import NamesSheet from '../cards/NamesSheet.svelte';
	import Menu from '../../shared/Menu.svelte';

	/** Adding people and things, one or many at a time. */
	let { plan }: { plan: PlanView } = $props();

	let isOpen = $state(false);
	let isAskingRows = $state(false);
	let isPicking = $state(false);
	let isNaming = $state(false);
	let countsText = $state('5, 6, 4');
	let rowGapM = $state<number>(USUAL_ROWS.rowGapM);
	let stepM = $state<number>(USUAL_ROWS.stepM);
	let spacingM = $state<number>(USUAL_ROWS.spacingM);

	/** Newcomers stand where the others are. */
	const depthM = $derived(
		plan.solution?.study.scene.rows[0]?.depthM ?? Math.max(FIRST_M, plan.shot.lens.closestFocusM)
	);
	const counts = $derived(
		countsText
			.split(/[^0-9]+/)
			.map(Number)
			.filter((n) => n > 0)
	);
	const total = $derived(counts.reduce((sum, n) => sum + n, 0));
	const room = $derived(LIMITS.people - plan.shot.people.length);
	const problem = $derived.by(() => {
		if (total === 0) return say.sayHowManyStandInEach;
		return total > room ? say.thereIsRoomForMorePeople(room) : '';
	});

	function add(how: (shot: Shot, depthM: number) => Shot) {
		isOpen = false;
		const added = how(plan.shot, depthM);
		const next = plan.shot.people.length === 0 ? stoodAsFramed(added, settings.framing) : added;
		plan.change(next);
		const newest = next.people.at(-1);
		if (next.people.length === plan.shot.people.length && newest) {
			plan.selected = { kind: 'person', id: newest.id };
		}
	}

	function addObject() {
		isOpen = false;
		const next = addThing(
			plan.shot,
			{
				label: say.thing,
				widthM: 1,
				heightM: 1,
				detailMm: 50,
				intent: 'recognisable',
				look: 'bars',
				upM: 1.5
			},
			depthM * 2
		);
		plan.change(next);
		const newest = next.things.at(-1);
		if (newest) plan.selected = { kind: 'thing', id: newest.id };
	}

	function addTheRows(event: Event) {
		event.preventDefault();
		if (problem) return;
		isAskingRows = false;
		const rows = { counts, rowGapM, stepM, spacingM };
		add((shot, depth) => addRows(shot, rows, depth));
	}

	const gesture = () => '';
</script>

<Menu text={say.add} bind:isOpen disabled={room < 1 && plan.shot.things.length >= LIMITS.things}>
	{#if room > 0}
		<DropdownItem onclick={() => add((shot, depth) => addPerson(shot, 'adult', depth))}
			>{say.aPerson}</DropdownItem
		>
		<DropdownItem onclick={() => add((shot, depth) => addPerson(shot, 'child', depth))}
			>{say.aChild}</DropdownItem
		>
		<DropdownItem onclick={() => add((shot, depth) => addPerson(shot, 'dog', depth))}
			>{say.aDog}</DropdownItem
		>
		<DropdownItem onclick={() => add((shot, depth) => addPerson(shot, 'cat', depth))}
			>{say.aCat}</DropdownItem
		>
		<DropdownItem onclick={() => add(addWalker)}>{say.someoneWalkingIn}</DropdownItem>
	{/if}
	{#if room > 0}
		<DropdownItem
			onclick={() => {
				isOpen = false;
				isPicking = true;
			}}>{say.fromThePeopleOfTheDay}</DropdownItem
		>
	{/if}
	{#if room > 1}
		<DropdownItem onclick={() => add(addCouple)}>{common.aCouple}</DropdownItem>
		<DropdownItem
			onclick={() => {
				isOpen = false;
				isAskingRows = true;
			}}>{say.rowsOfPeople}</DropdownItem
		>
	{/if}
	<DropdownItem
		onclick={() => {
			isOpen = false;
			photographAsked.ask('this-shot');
		}}>{common.fromAPhotograph}</DropdownItem
	>
	{#if plan.shot.people.length > 0}
		<DropdownItem
			onclick={() => {
				isOpen = false;
				isNaming = true;
			}}>{say.namesRowByRow}</DropdownItem
		>
	{/if}
	{#if plan.shot.things.length < LIMITS.things}
		<DropdownItem onclick={addObject}>{say.aThing}</DropdownItem>
	{/if}
</Menu>
<GuestPicker {plan} bind:isOpen={isPicking} />
<NamesSheet {plan} bind:isOpen={isNaming} />

<Modal title={say.rowsOfPeople2} bind:open={isAskingRows} size="xs">
	<form class="flex flex-col gap-3 text-[var(--ink)]" onsubmit={addTheRows}>
		<label class="flex flex-col gap-1">
			<span>{say.howManyInEachRowThe}</span>
			<input
				class="rounded-[3px] border-[var(--edge)] bg-[var(--sheet)]"
				bind:value={countsText}
				inputmode="numeric"
			/>
		</label>
		{#if problem}<p class="is-soft" role="alert">{problem}</p>{/if}
		<div class="grid grid-cols-3 gap-2">
			<Length
				label={say.rowToRow}
				value={rowGapM}
				low={0.3}
				high={5}
				onchange={(v) => (rowGapM = v)}
				newGesture={gesture}
			/>
			<Length
				label={say.eachStepUp}
				value={stepM}
				low={0}
				high={2}
				onchange={(v) => (stepM = v)}
				newGesture={gesture}
			/>
			<Length
				label={common.spacing}
				value={spacingM}
				low={0.3}
				high={3}
				onchange={(v) => (spacingM = v)}
				newGesture={gesture}
			/>
		</div>
		<Button type="submit" disabled={problem !== ''}
			>{say.add2(total === 1 ? say.onePerson : say.people(total))}</Button
		>
	</form>
</Modal>

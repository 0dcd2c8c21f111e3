<script lang="ts">
	import { selectionCardText as say } from '$words/screens/plan/cards';
	import { commonText as common } from '$words/screens/common';
	import { NUDGES, smallLength } from '$words/numbers';
	import { settings } from '../../shared/settings.svelte';
	import { turnObject, moveObject, positionOf, removeObject, rowPeople } from '../view/edits';
	import type { ObjectRef } from '../../drawing/stageObjects';
	import type { PlanView } from '../view/plan.svelte';
	import { moveInWorld, type StageView } from '../../drawing/stageView';
	import CameraCard from './CameraCard.svelte';
	import PersonCard from './PersonCard.svelte';
	import RowCard from './RowCard.svelte';
	import ThingCard from './ThingCard.svelte';

	/** The few settings of what is selected, and buttons for everything a drag does. */
	interface Props {
		plan: PlanView;
		selected: ObjectRef;
		view: StageView;
		onclose: () => void;
	}

	let { plan, selected, view, onclose }: Props = $props();

	const shot = $derived(plan.shot);
	const rows = $derived(plan.solution?.study.scene.rows ?? []);
	const person = $derived(
		shot.people.find(({ id }) => selected.kind === 'person' && id === selected.id)
	);
	const thing = $derived(
		shot.things.find(({ id }) => selected.kind === 'thing' && id === selected.id)
	);
	const row = $derived(selected.kind === 'row' ? rowPeople(shot, rows, selected.id) : []);
	const exists = $derived(positionOf(shot, rows, selected) !== null);

	const stepM = $derived(NUDGES[settings.units].m);
	const STEP_DEG = 5;
	function nudge(dx: number, dy: number) {
		const by = moveInWorld({ ...view, pxPerM: 1 }, dx * stepM, dy * stepM);
		plan.change(
			moveObject(
				shot,
				selected,
				by,
				row.map(({ id }) => id)
			)
		);
	}

	function remove() {
		plan.change(removeObject(shot, selected));
		onclose();
	}

	function rename(name: string, gesture: string) {
		if (name.trim() === '') return;
		const change = <T extends { id: string }>(list: readonly T[], patch: Partial<T>) =>
			list.map((one) => (one.id === selected.id ? { ...one, ...patch } : one));
		if (person) plan.change({ ...shot, people: change(shot.people, { name }) }, gesture);
		if (thing) plan.change({ ...shot, things: change(shot.things, { label: name }) }, gesture);
	}
	let gesture = '';
</script>

{#if exists}
	<div class="card" role="group" aria-label={say.settingsOfTheSelection}>
		<header>
			{#if person || thing}
				<input
					class="name"
					aria-label={common.name}
					maxlength={80}
					value={person?.name ?? thing?.label}
					onfocus={() => (gesture = plan.newGesture('name'))}
					oninput={(event) => rename(event.currentTarget.value, gesture)}
				/>
			{:else}
				<h3>{selected.kind === 'camera' ? say.camera : say.rowOf(row.length)}</h3>
			{/if}
			<span class="sr-only">{say.moveBy(smallLength(stepM, settings.units))}</span>
			<button class="knob" type="button" aria-label={say.moveLeft} onclick={() => nudge(-1, 0)}
				>←</button
			>
			<button class="knob" type="button" aria-label={say.moveRight} onclick={() => nudge(1, 0)}
				>→</button
			>
			<button class="knob" type="button" aria-label={say.moveUp} onclick={() => nudge(0, -1)}
				>↑</button
			>
			<button class="knob" type="button" aria-label={say.moveDown} onclick={() => nudge(0, 1)}
				>↓</button
			>
			{#if selected.kind !== 'row' && !thing}
				<button
					class="knob"
					type="button"
					aria-label={say.turnOneWay}
					onclick={() => plan.change(turnObject(shot, selected, STEP_DEG))}>↺</button
				>
				<button
					class="knob"
					type="button"
					aria-label={say.turnTheOtherWay}
					onclick={() => plan.change(turnObject(shot, selected, -STEP_DEG))}>↻</button
				>
			{/if}
			{#if person || thing}
				<button class="knob" type="button" onclick={remove}>{common.remove}</button>
			{/if}
			<button class="knob bare close" type="button" aria-label={common.close} onclick={onclose}
				>✕</button
			>
		</header>
		<div class="body">
			{#if person}
				<PersonCard {plan} {person} />
			{:else if thing}
				<ThingCard {plan} {thing} />
			{:else if selected.kind === 'row'}
				<RowCard {plan} people={row} />
			{:else}
				<CameraCard {plan} />
			{/if}
		</div>
	</div>
{/if}

<style>
	.card {
		display: flex;
		flex-direction: column;
		gap: 0.3rem;
		width: 100%;
		max-height: 100%;
		padding: 0.3rem 0.5rem 0.4rem;
		background: var(--sheet);
		border: 1px solid var(--edge);
		border-radius: 3px;
		box-shadow: 0 3px 14px rgb(var(--shade) / 0.18);
	}
	header {
		display: flex;
		align-items: center;
		gap: 0.25rem;
		flex-wrap: wrap;
	}
	.close {
		margin-left: auto;
	}
	.body {
		display: flex;
		flex-direction: column;
		align-items: start;
		gap: 0.4rem;
		overflow-y: auto;
		min-height: 0;
	}
	h3,
	.name {
		font-family: var(--font-serif);
		font-weight: 600;
		font-size: 1.05rem;
		margin-right: 0.4rem;
	}
	.name {
		flex: 1 1 7rem;
		max-width: 14rem;
		min-width: 0;
		padding: 0 0.2rem;
		background: none;
		border: 0;
		border-bottom: 1px solid var(--edge);
	}
</style>

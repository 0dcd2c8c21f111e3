<script lang="ts">
	import { frameToolsText as say } from '$words/screens/plan/frame';
	import Dropdown from 'flowbite-svelte/Dropdown.svelte';
	import { settings, type Overlays } from '../../shared/settings.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import SavePicture from './SavePicture.svelte';
	import { secondChoices, type SecondChoice } from './secondChoices';

	/** What lies over the picture, what it is compared with, and the picture as a file. */
	interface Props {
		plan: PlanView;
		hasPicture: boolean;
		second: SecondChoice | null;
	}

	let { plan, hasPicture, second = $bindable() }: Props = $props();

	let isShowOpen = $state(false);
	let isSaving = $state(false);

	const OVERLAYS: readonly { key: keyof Overlays; text: string }[] = [
		{ key: 'point', text: say.focusPoint },
		{ key: 'reach', text: say.whereTheFocusPointsReach },
		{ key: 'states', text: say.statesOfEyesAndThings },
		{ key: 'cuts', text: say.whoIsCutByTheEdge },
		{ key: 'thirds', text: say.thirds },
		{ key: 'margin', text: say.marginToCrop }
	];

	const groups = $derived(
		plan.shown ? secondChoices(plan.shown, plan.before, plan.oddsQuestion.spreads) : []
	);

	function choose(key: string) {
		second = groups.flatMap(({ choices }) => choices).find((one) => one.key === key) ?? null;
	}
</script>

<button class="knob" type="button" aria-haspopup="dialog" aria-expanded={isShowOpen}
	>{say.show}</button
>
<Dropdown
	simple
	bind:isOpen={isShowOpen}
	role="dialog"
	aria-label={say.showOverThePicture}
	class="border border-[var(--edge)] z-30 p-2"
>
	{#each OVERLAYS as { key, text } (key)}
		<li class="overlay">
			<label>
				<input
					type="checkbox"
					checked={settings.overlays[key]}
					onchange={(event) =>
						settings.set({
							overlays: { ...settings.overlays, [key]: event.currentTarget.checked }
						})}
				/>
				{text}
			</label>
		</li>
	{/each}
</Dropdown>
{#if hasPicture && plan.shown}
	<select
		class="compare"
		aria-label={say.compareWith}
		value={second?.key ?? ''}
		onchange={(event) => choose(event.currentTarget.value)}
	>
		<option value="">{say.compare}</option>
		{#each groups as { label, choices }, group (group)}
			<optgroup {label}>
				{#each choices as { key, label: text } (key)}<option value={key}>{text}</option>{/each}
			</optgroup>
		{/each}
	</select>
	<button class="knob" type="button" onclick={() => (isSaving = true)}>{say.save}</button>
	<SavePicture {plan} solution={plan.shown} bind:isOpen={isSaving} />
{/if}

<style>
	.overlay label {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		min-height: 2rem;
		white-space: nowrap;
	}
	.overlay input {
		accent-color: var(--ink);
		width: 1.1rem;
		height: 1.1rem;
	}
	.compare {
		min-height: 1.75rem;
		max-width: 8.5rem;
		padding: 0 1.6rem 0 0.5rem;
		border: 1px solid var(--edge);
		border-radius: 3px;
		background-color: var(--sheet);
		color: var(--ink);
		font-size: inherit;
		line-height: 1.1;
	}
	@media (pointer: coarse) {
		.overlay label,
		.compare {
			min-height: 2.75rem;
		}
	}
</style>

<script lang="ts">
	import { slotSheetText as say } from '$words/screens/day';
	import { commonText as common } from '$words/screens/common';
	import Amount from '../fields/Amount.svelte';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { JOB_LIMITS } from '$core/format/job';
	import { LIMITS } from '$core/format/shot';
	import type { DayView } from './day.svelte';

	/** When and where a shot is taken, and what it is called. */
	let { day }: { day: DayView } = $props();

	const record = $derived(day.shots.find(({ id }) => id === day.editingId));
	const words = $derived(say.theTimeOf(record?.shot.title ?? ''));
	const newGesture = () => crypto.randomUUID();
	let gesture = '';
</script>

<Modal
	title={say.nameTimeAndPlace}
	size="xs"
	bind:open={() => record !== undefined, (open) => !open && (day.editingId = null)}
>
	{#if record}
		{@const { shot, slot } = record}
		<div class="stack">
			<label>
				{say.what}
				<input
					class="typed"
					type="text"
					maxlength={LIMITS.title}
					value={shot.title}
					onfocus={() => (gesture = newGesture())}
					onchange={(event) => {
						const title = event.currentTarget.value.trim();
						if (title) day.changeShot(record, { ...shot, title }, say.renaming(shot.title));
						else event.currentTarget.value = shot.title;
					}}
				/>
			</label>
			<div class="pair">
				<label>
					{say.starts}
					<input
						class="typed"
						type="datetime-local"
						value={slot.startsAt}
						onfocus={() => (gesture = newGesture())}
						oninput={(event) => {
							const startsAt = event.currentTarget.value;
							if (startsAt) day.changeSlot(record, { startsAt }, words, gesture);
						}}
					/>
				</label>
				<Amount
					of="job.shots.minutes"
					label={say.takes}
					value={slot.minutes}
					step={5}
					onchange={(minutes, by) => day.changeSlot(record, { minutes }, words, by)}
					{newGesture}
				/>
			</div>
			<label class="check">
				<input
					type="checkbox"
					checked={slot.isLocked ?? false}
					onchange={(event) =>
						day.changeSlot(record, { isLocked: event.currentTarget.checked }, words)}
				/>
				{say.thisTimeIsLockedItStays}
			</label>
			<label>
				{say.where}
				<input
					class="typed"
					type="text"
					maxlength={JOB_LIMITS.place}
					value={slot.place}
					placeholder={say.stoneSteps}
					onfocus={() => (gesture = newGesture())}
					oninput={(event) =>
						day.changeSlot(
							record,
							{ place: event.currentTarget.value },
							say.thePlaceOf(shot.title),
							gesture
						)}
				/>
			</label>
			<Button onclick={() => (day.editingId = null)}>{common.done}</Button>
		</div>
	{/if}
</Modal>

<style>
	.pair {
		display: grid;
		grid-template-columns: 1fr 6rem;
		gap: 0.7rem;
	}
	label {
		display: flex;
		flex-direction: column;
		gap: 0.1rem;
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	.check {
		flex-direction: row;
		align-items: center;
		gap: 0.5rem;
		min-height: 1.75rem;
		color: var(--ink);
		font-size: inherit;
	}
</style>

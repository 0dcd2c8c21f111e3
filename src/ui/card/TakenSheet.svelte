<script lang="ts">
	import { takenSheetText as say } from '$words/screens/card';
	import { commonText as common } from '$words/screens/common';
	import Amount from '../fields/Amount.svelte';
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { untrack } from 'svelte';
	import { JOB_LIMITS, type TakenSettings } from '$core/format/job';
	import { nominalIso, nominalShutter } from '$core/light/dials';
	import { stepBy } from '../keeping/dayActions';
	import type { CardView } from './card.svelte';

	/** The shot is taken: with which settings, and what is worth remembering. */
	let { card, open = $bindable(false) }: { card: CardView; open?: boolean } = $props();

	let note = $state('');
	let fNumber = $state(4);
	let shutterS = $state(0.01);
	let iso = $state(100);

	// begins with what was noted before, else with the plan
	$effect(() => {
		if (!open) return;
		untrack(() => {
			const was = card.session.slot?.taken;
			const plan = card.solution?.plan;
			note = was?.note ?? '';
			fNumber = was?.fNumber ?? plan?.fNumber ?? 4;
			shutterS = nominalShutter(was?.shutterS ?? plan?.exposure?.shutterS ?? 0.01);
			iso = was?.iso ?? nominalIso(plan?.exposure?.iso ?? 100);
		});
	});

	function keep() {
		const taken: TakenSettings = {
			note: note.trim(),
			fNumber,
			shutterS,
			iso,
			focalMm: card.shot.camera.focalMm
		};
		card.mark('taken', taken);
		open = false;
		void stepBy(card.session, 1);
	}
	const newGesture = () => '';
</script>

<Modal title={say.taken} size="xs" bind:open>
	<div class="stack">
		<p>{say.theSettingsYouReallyUsedFor}</p>
		<div class="three">
			<Amount
				of="job.shots.taken.fNumber"
				label="f/"
				value={fNumber}
				step={0.1}
				digits={1}
				onchange={(value) => (fNumber = value)}
				{newGesture}
			/>
			<Amount
				shownAs="one-over"
				of="job.shots.taken.shutterS"
				label={common.n1Over}
				value={shutterS}
				step={10}
				onchange={(value) => (shutterS = value)}
				{newGesture}
			/>
			<Amount
				of="job.shots.taken.iso"
				label={common.iso}
				value={iso}
				step={100}
				digits={0}
				onchange={(value) => (iso = value)}
				{newGesture}
			/>
		</div>
		<label>
			{common.note}
			<textarea class="typed" rows="3" maxlength={JOB_LIMITS.guestNote} bind:value={note}
			></textarea>
		</label>
		<Button onclick={keep}>{common.keep}</Button>
	</div>
</Modal>

<style>
	.three {
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 1fr));
		gap: 0.6rem;
	}
	label {
		display: flex;
		flex-direction: column;
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
</style>

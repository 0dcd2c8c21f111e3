<script lang="ts">
	import Button from 'flowbite-svelte/Button.svelte';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { untrack } from 'svelte';
	import { JOB_LIMITS, type Taken } from '$core/format/job';
	import { engravedIso, engravedShutter } from '$core/light/dials';
	import NumberField from '../shared/NumberField.svelte';
	import type { CardView } from './card.svelte';

	/** The shot is taken: with which settings, and what is worth remembering. */
	let { card, open = $bindable(false) }: { card: CardView; open?: boolean } = $props();

	let note = $state('');
	let fNumber = $state(4);
	/** As it stands on the dial: 160 for 1/160. */
	let perSecond = $state(100);
	let iso = $state(100);

	// begins with what was noted before, else with the plan
	$effect(() => {
		if (!open) return;
		untrack(() => {
			const was = card.session.slot?.taken;
			const plan = card.solution?.plan;
			note = was?.note ?? '';
			fNumber = was?.fNumber ?? plan?.fNumber ?? 4;
			const shutterS = was?.shutterS ?? plan?.exposure?.shutterS ?? 0.01;
			perSecond = Number((1 / engravedShutter(shutterS)).toPrecision(3));
			iso = was?.iso ?? engravedIso(plan?.exposure?.iso ?? 100);
		});
	});

	function keep() {
		const taken: Taken = {
			note: note.trim(),
			fNumber,
			shutterS: 1 / perSecond,
			iso,
			focalMm: card.shot.camera.focalMm
		};
		card.mark('taken', taken);
		open = false;
	}
	const newGesture = () => '';
</script>

<Modal title="Taken" size="xs" bind:open>
	<div class="stack">
		<p>What was really used, so that it is known afterwards.</p>
		<div class="three">
			<NumberField
				label="f/"
				value={fNumber}
				low={0.7}
				high={64}
				step={0.1}
				digits={1}
				onchange={(value) => (fNumber = value)}
				{newGesture}
			/>
			<NumberField
				label="1 over"
				unit="s"
				value={perSecond}
				low={0.01}
				high={64000}
				step={10}
				onchange={(value) => (perSecond = value)}
				{newGesture}
			/>
			<NumberField
				label="ISO"
				value={iso}
				low={1}
				high={10000000}
				step={100}
				digits={0}
				onchange={(value) => (iso = value)}
				{newGesture}
			/>
		</div>
		<label>
			note
			<textarea class="typed" rows="3" maxlength={JOB_LIMITS.guestNote} bind:value={note}
			></textarea>
		</label>
		<Button onclick={keep}>Keep</Button>
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

<script lang="ts">
	import { gearText as say } from '$words/screens/plan/verdict';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { focusedFrom } from '$core/advice/focusDistance';
	import { isZoom } from '$core/optics/zoom';
	import { distance } from '$words/numbers';
	import Length from '../../fields/Length.svelte';
	import { settings } from '../../shared/settings.svelte';
	import GearFields from '../cards/GearFields.svelte';
	import type { PlanView } from '../view/plan.svelte';

	/** Lens, focal length, distance and body in a line beside the verdict, and changed there. */
	let { plan }: { plan: PlanView } = $props();

	let isOpen = $state(false);
	const shot = $derived(plan.shot);
	const fromM = $derived(plan.shown?.plan.focus?.fromSensorM ?? null);
	const words = $derived(
		[
			`${shot.lens.name}${isZoom(shot.lens) ? say.atMm(Math.round(shot.camera.focalMm)) : ''}`,
			fromM === null ? '' : distance(fromM, settings.units),
			shot.body.name
		]
			.filter(Boolean)
			.join(' · ')
	);
	const FARTHEST_M = 200;
</script>

<button
	class="in-text"
	type="button"
	aria-haspopup="dialog"
	aria-label={say.lensAndBody(words)}
	onclick={() => (isOpen = true)}><span>{words}</span></button
>
<Modal title={say.lensBodyAndDistance} size="xs" bind:open={isOpen}>
	<div class="stack">
		<GearFields {plan} />
		{#if fromM !== null}
			<Length
				label={say.fromTheSensorMarkToWhat}
				value={fromM}
				low={shot.lens.closestFocusM}
				high={FARTHEST_M}
				digits={2}
				onchange={(metres, gesture) =>
					plan.change(focusedFrom(plan.shot, metres, plan.chance), gesture)}
				newGesture={(kind) => plan.newGesture(kind)}
			/>
		{/if}
	</div>
</Modal>

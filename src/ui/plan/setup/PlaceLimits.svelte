<script lang="ts">
	import { placeLimitsText as say } from '$words/screens/plan/setup';
	import Amount from '../../fields/Amount.svelte';
	import type { PlanView } from '../view/plan.svelte';

	/** What the place allows: advice and other lenses keep within it. */
	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	const place = $derived(shot.place ?? {});
	const LIMITS = $derived([
		{
			key: 'clearBehindCameraM',
			words: say.theRoomBehindTheCameraEnds,
			label: say.roomBehindTheCamera,
			initial: 2
		},
		{
			key: 'highestCameraM',
			words: say.theCameraCanGoNoHigher,
			label: say.highestCamera,
			initial: Math.min(6, Math.max(2.2, shot.camera.position.y))
		}
	] as const);
	type Key = (typeof LIMITS)[number]['key'];

	function limit(key: Key, metres: number | undefined, gesture?: string) {
		plan.change({ ...shot, place: { ...place, [key]: metres } }, gesture);
	}
</script>

<div class="place">
	{#each LIMITS as { key, words, label, initial } (key)}
		{@const metres = place[key]}
		<label>
			<input
				type="checkbox"
				checked={metres !== undefined}
				onchange={(event) => limit(key, event.currentTarget.checked ? initial : undefined)}
			/>
			{words}
		</label>
		{#if metres !== undefined}
			<Amount
				quiet
				of="shot.place.{key}"
				{label}
				value={metres}
				onchange={(value, gesture) => limit(key, value, gesture)}
				newGesture={(kind) => plan.newGesture(kind)}
			/>
		{/if}
	{/each}
</div>

<style>
	.place {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.8rem;
	}
	label {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		min-height: 2rem;
	}
	.place :global(.field) {
		width: 6rem;
	}
</style>

<script lang="ts">
	import { markFieldsText as say } from '$words/screens/photograph';
	import Button from 'flowbite-svelte/Button.svelte';
	import type { StandingHead } from '$core/photograph/standing';
	import { distance } from '$words/numbers';
	import { BUILD_OPTIONS } from '$words/options';
	import { unsureDistance } from '$words/photograph';
	import Length from '../fields/Length.svelte';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';
	import type { RingedFace } from './looking.svelte';

	/** What is known of one face of a photograph, and what can be said of it. */
	interface Props {
		mark: RingedFace;
		standing: StandingHead | undefined;
		rows: number;
		/** Distance of what was in focus, according to the file, m. */
		subjectM: number | undefined;
		onchange: (change: Partial<RingedFace>) => void;
	}

	let { mark, standing, rows, subjectM, onchange }: Props = $props();

	const rowOptions = $derived(
		Array.from({ length: rows + 1 }, (_, i) => ({ value: `${i + 1}`, text: `${i + 1}` }))
	);
	const newGesture = () => '';
</script>

<section aria-label={say.theFaceThatIsChosen}>
	{#if mark.isOut}
		<p>{say.notCounted}</p>
		<Button size="sm" color="alternative" onclick={() => onchange({ isOut: false })}>
			{say.countItAfterAll}
		</Button>
	{:else}
		{#if standing}
			<p>{unsureDistance(standing.depthM, standing.sigmaM, settings.units)}.</p>
		{/if}
		<div class="fields">
			<Pick
				label={say.who}
				options={BUILD_OPTIONS}
				value={mark.build}
				onchoose={(build) => onchange({ build })}
			/>
			<Pick
				label={say.rowFromTheFront}
				options={rowOptions}
				value={`${standing?.row ?? 1}`}
				onchoose={(row) => onchange({ knownRow: Number(row) })}
			/>
			{#if standing}
				<Length
					label={mark.knownM === undefined ? say.measuredDistance : say.distanceMeasured}
					value={mark.knownM ?? standing.depthM}
					low={0.2}
					high={200}
					digits={2}
					onchange={(knownM) => onchange({ knownM })}
					{newGesture}
				/>
			{/if}
		</div>
		<div class="row">
			{#if mark.knownM !== undefined}
				<Button size="sm" color="alternative" onclick={() => onchange({ knownM: undefined })}>
					{say.notMeasured}
				</Button>
			{:else if subjectM !== undefined}
				<Button size="sm" color="alternative" onclick={() => onchange({ knownM: subjectM })}>
					{say.inFocusAccordingToTheFile(distance(subjectM, settings.units))}
				</Button>
			{/if}
			<Button size="sm" color="alternative" onclick={() => onchange({ isOut: true })}>
				{say.dropThisFace}
			</Button>
		</div>
	{/if}
</section>

<style>
	section {
		display: flex;
		flex-direction: column;
		gap: 0.4rem;
	}
	.row {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem;
	}
</style>

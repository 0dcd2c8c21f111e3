<script lang="ts">
	import { heightFieldText as say } from '$words/screens/fields';
	import { heightM } from '$core/day/heights';
	import { heightWords } from '$words/day';
	import { settings } from '../shared/settings.svelte';

	/** A height of somebody, typed as people say it: "5 ft 7 in", "1,71 m", "171 cm". */
	interface Props {
		label: string;
		/** m */
		value: number;
		low: number;
		high: number;
		onchange: (metres: number) => void;
	}

	let { label, value, low, high, onchange }: Props = $props();

	const id = $props.id();
	let problem = $state('');
	const shown = $derived(heightWords(value, settings.units));

	function take(input: HTMLInputElement) {
		const text = input.value.trim();
		// a number alone is in the units that are read; from three digits on in centimetres
		const alone = /^\d+(?:[.,]\d+)?$/.test(text);
		const unit = settings.units === 'ft' ? 'ft' : Number(text.replace(',', '.')) > 3 ? 'cm' : 'm';
		const metres = heightM(alone ? `${text} ${unit}` : text);
		problem =
			metres === null
				? say.suchAs(heightWords(value, settings.units))
				: metres < low || metres > high
					? say.to(heightWords(low, settings.units), heightWords(high, settings.units))
					: '';
		if (metres !== null && problem === '') onchange(metres);
		else input.value = shown;
	}
</script>

<label class="height">
	{label}
	<input
		class="typed"
		type="text"
		autocomplete="off"
		value={shown}
		aria-describedby={problem ? `${id}-problem` : undefined}
		onchange={(event) => take(event.currentTarget)}
	/>
	{#if problem}<span id="{id}-problem" role="alert">{problem}</span>{/if}
</label>

<style>
	.height {
		display: flex;
		flex-direction: column;
		min-width: 0;
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	span {
		color: var(--soft);
	}
</style>

<script lang="ts">
	import NumberField from './NumberField.svelte';
	import { settings } from './settings.svelte';
	import { fromUnits, toUnits } from '$words/numbers';

	/** A length in metres, shown and typed in the units the user reads. */
	interface Props {
		label: string;
		metres: number;
		low: number;
		high: number;
		stepM?: number;
		onchange: (metres: number, gesture: string) => void;
		newGesture: (kind: string) => string;
		quiet?: boolean;
	}

	let {
		label,
		metres,
		low,
		high,
		stepM = 0.05,
		onchange,
		newGesture,
		quiet = false
	}: Props = $props();
	const units = $derived(settings.units);
</script>

<NumberField
	{label}
	{quiet}
	value={toUnits(metres, units)}
	unit={units}
	low={toUnits(low, units)}
	high={toUnits(high, units)}
	step={toUnits(stepM, units)}
	digits={units === 'm' ? 3 : 2}
	onchange={(value, gesture) => onchange(fromUnits(value, units), gesture)}
	{newGesture}
/>

<script lang="ts">
	import { scaleOf } from '$words/numbers';
	import NumberField from './NumberField.svelte';
	import { settings } from '../shared/settings.svelte';

	/** A length of the place, shown and typed in the units the user reads. */
	interface Props {
		label: string;
		value: number;
		/** The unit of `value`, `low` and `high`: m, cm or mm; also per second. */
		unit?: string;
		/** Behind the unit: "wide". */
		suffix?: string;
		low: number;
		high: number;
		digits?: number | undefined;
		onchange: (value: number, gesture: string) => void;
		newGesture: (kind: string) => string;
		/** The label is only for those who listen. */
		quiet?: boolean;
	}

	let {
		label,
		value,
		unit = 'm',
		suffix = '',
		low,
		high,
		digits,
		onchange,
		newGesture,
		quiet = false
	}: Props = $props();
	const scale = $derived(scaleOf(unit, settings.units));
	// digits are meant for metres: inches have their own
	const places = $derived(settings.units === 'm' ? (digits ?? scale.digits) : scale.digits);
</script>

<NumberField
	{label}
	{quiet}
	value={value / scale.one}
	unit={suffix ? `${scale.unit} ${suffix}` : scale.unit}
	low={low / scale.one}
	high={high / scale.one}
	step={scale.step}
	digits={places}
	onchange={(shown, gesture) => onchange(shown * scale.one, gesture)}
	{newGesture}
/>

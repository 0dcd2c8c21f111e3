<script lang="ts">
	import { boundsOf } from '$core/format/bounds';
	import Length from './Length.svelte';
	import NumberField from './NumberField.svelte';

	/** A number of the files: its bounds and its unit are those of the schema. */
	interface Props {
		/** Where it stands in the files, as in `shot.lens.closestFocusM`. */
		of: string;
		label: string;
		value: number;
		/** Shares are typed in per cent, parts of a second as one over them. */
		shownAs?: 'itself' | 'percent' | 'one-over';
		/** Narrower than the schema's, where something else of the shot asks for it. */
		low?: number;
		high?: number;
		/** In the unit that is shown. */
		step?: number;
		digits?: number;
		onchange: (value: number, gesture: string) => void;
		newGesture: (kind: string) => string;
		/** The label is only for those who listen. */
		quiet?: boolean;
		/** Behind the unit of a length: "wide". */
		suffix?: string;
	}

	let {
		of,
		label,
		value,
		shownAs = 'itself',
		low,
		high,
		step = 1,
		digits,
		onchange,
		newGesture,
		quiet = false,
		suffix = ''
	}: Props = $props();

	const bounds = $derived(boundsOf(of));
	const least = $derived(Math.max(bounds.low, low ?? -Infinity));
	const most = $derived(Math.min(bounds.high, high ?? Infinity));
	const UNIT_WORDS: Readonly<Record<string, string>> = { degrees: '°' };
	const shown = $derived(
		{
			itself: {
				unit: UNIT_WORDS[bounds.unit] ?? bounds.unit,
				to: (one: number) => one,
				from: (one: number) => (bounds.isWhole ? Math.round(one) : one),
				ends: [least, most] as const
			},
			percent: {
				unit: '%',
				to: (one: number) => one * 100,
				from: (one: number) => one / 100,
				ends: [least * 100, most * 100] as const
			},
			'one-over': {
				unit: bounds.unit,
				to: (one: number) => 1 / one,
				from: (one: number) => 1 / one,
				ends: [1 / most, 1 / least] as const
			}
		}[shownAs]
	);
	const places = $derived(digits ?? (bounds.isWhole ? 0 : 2));
</script>

{#if bounds.isLength}
	<Length
		{label}
		{quiet}
		{value}
		{digits}
		unit={bounds.unit}
		{suffix}
		low={least}
		high={most}
		{onchange}
		{newGesture}
	/>
{:else}
	<NumberField
		{label}
		{quiet}
		value={shown.to(value)}
		unit={shown.unit}
		low={shown.ends[0]}
		high={shown.ends[1]}
		{step}
		digits={places}
		onchange={(one, gesture) => onchange(shown.from(one), gesture)}
		{newGesture}
	/>
{/if}

<script lang="ts">
	import { rounded } from '$words/numbers';
	import { numberFieldText as say } from '$words/screens/fields';
	/**
	 * A number with its unit. It takes effect as it is typed, when it is a number within bounds; what
	 * is not is said beside it and changes nothing. All of one visit to the field is one gesture.
	 */
	interface Props {
		label: string;
		value: number;
		unit?: string;
		low: number;
		high: number;
		step?: number;
		digits?: number;
		onchange: (value: number, gesture: string) => void;
		newGesture: (kind: string) => string;
		/** The label is only for those who listen. */
		quiet?: boolean;
	}

	let {
		label,
		value,
		unit = '',
		low,
		high,
		step = 1,
		digits = 2,
		onchange,
		newGesture,
		quiet = false
	}: Props = $props();

	const id = $props.id();
	let typed = $state<string | null>(null);
	let gesture = '';

	const shown = $derived(typed ?? rounded(value, digits));
	const problem = $derived.by(() => {
		if (typed === null) return '';
		const number = parse(typed);
		if (Number.isNaN(number)) return say.aNumberPlease;
		const round = (n: number) => rounded(n, digits);
		return number < low || number > high ? say.to(round(low), round(high), unit && ` ${unit}`) : '';
	});

	/** A decimal comma is as good as a point. */
	function parse(text: string): number {
		const trimmed = text.trim().replace(',', '.');
		return trimmed === '' ? NaN : Number(trimmed);
	}

	function take(text: string) {
		typed = text;
		const number = parse(text);
		if (number >= low && number <= high) onchange(number, gesture);
	}

	function nudge(event: KeyboardEvent) {
		const direction = { ArrowUp: 1, ArrowDown: -1 }[event.key];
		if (!direction) return;
		event.preventDefault();
		const next = Math.min(high, Math.max(low, value + direction * step));
		typed = null;
		onchange(next, gesture);
	}
</script>

<div class="field">
	<label for={id} class={quiet ? 'sr-only' : ''}>{label}</label>
	<span class="box" class:wrong={problem}>
		<input
			{id}
			type="text"
			inputmode="decimal"
			autocomplete="off"
			value={shown}
			aria-invalid={problem !== ''}
			aria-describedby={problem ? `${id}-problem` : undefined}
			onfocus={() => (gesture = newGesture(label))}
			oninput={(event) => take(event.currentTarget.value)}
			onblur={() => (typed = null)}
			onkeydown={nudge}
		/>
		{#if unit}<span class="unit">{unit}</span>{/if}
	</span>
	{#if problem}<span class="problem" id="{id}-problem" role="alert">{problem}</span>{/if}
</div>

<style>
	.field {
		display: flex;
		flex-direction: column;
		gap: 0.1rem;
		min-width: 0;
	}
	label {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	.box {
		display: flex;
		align-items: center;
		border: 1px solid var(--edge);
		border-radius: 3px;
		background: var(--sheet);
		min-height: 1.75rem;
	}
	.box:focus-within {
		outline: 2px solid var(--focus);
		outline-offset: 1px;
	}
	.wrong {
		border-color: var(--soft);
	}
	input {
		width: 100%;
		min-width: 2.5rem;
		background: none;
		border: 0;
		padding: 0 0.4rem;
		font-size: inherit;
		line-height: 1.2;
		text-align: right;
	}
	input:focus {
		outline: none;
		box-shadow: none;
	}
	.unit {
		color: var(--ink-2);
		padding-right: 0.4rem;
	}
	.problem {
		color: var(--soft);
		font-size: 0.8125rem;
	}
	@media (pointer: coarse) {
		.box {
			min-height: 2.75rem;
		}
	}
</style>

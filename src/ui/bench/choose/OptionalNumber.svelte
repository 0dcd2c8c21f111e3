<script lang="ts">
	import { optionalNumberText as say } from '$words/screens/bench/choose';
	/** A number that may be left open; what is none, or beyond its bounds, is said and changes nothing. */
	interface Props {
		label: string;
		value: number | null;
		unit?: string;
		low: number;
		high: number;
		onchange: (value: number | null) => void;
		/** The label is only for those who listen. */
		quiet?: boolean;
	}

	let { label, value, unit = '', low, high, onchange, quiet = false }: Props = $props();
	const id = $props.id();
	let problem = $state('');

	function take(typed: string) {
		const number = Number(typed.trim().replace(',', '.'));
		const isFine = typed.trim() === '' || (number >= low && number <= high);
		problem = isFine ? '' : say.fromToOrNothing(low, high);
		if (isFine) onchange(typed.trim() === '' ? null : number);
	}
</script>

<div class="field">
	<label for={id} class={quiet ? 'sr-only' : ''}>{label}{unit ? ` (${unit})` : ''}</label>
	<input
		{id}
		class="typed"
		type="text"
		inputmode="decimal"
		autocomplete="off"
		value={value ?? ''}
		aria-invalid={problem !== ''}
		onchange={(event) => take(event.currentTarget.value)}
	/>
	{#if problem}<span class="problem" role="alert">{problem}</span>{/if}
</div>

<style>
	.field {
		display: flex;
		flex-direction: column;
		min-width: 0;
	}
	label {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	input {
		width: 100%;
		min-height: 1.75rem;
		padding: 0 0.4rem;
		line-height: 1.2;
	}
	.problem {
		color: var(--soft);
		font-size: 0.8125rem;
	}
	@media (pointer: coarse) {
		input {
			min-height: 2.75rem;
		}
	}
</style>

<script lang="ts" generics="T extends string">
	/** A few options side by side, one of them chosen. Arrow keys move between them, as in any radio group. */
	interface Props {
		label: string;
		options: readonly { readonly value: T; readonly text: string }[];
		value: T;
		onchoose: (value: T) => void;
		/** The label is only for those who listen. */
		quiet?: boolean;
	}

	let { label, options, value, onchoose, quiet = false }: Props = $props();
	const name = $props.id();
</script>

<fieldset class="choice">
	<legend class={quiet ? 'sr-only' : ''}>{label}</legend>
	{#each options as option (option.value)}
		<label class:on={option.value === value}>
			<input
				class="sr-only"
				type="radio"
				{name}
				value={option.value}
				checked={option.value === value}
				onchange={() => onchoose(option.value)}
			/>
			{option.text}
		</label>
	{/each}
</fieldset>

<style>
	.choice {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		min-width: 0;
	}
	legend {
		float: left;
		color: var(--ink-2);
		padding-right: 0.5rem;
	}
	label {
		display: inline-flex;
		align-items: center;
		min-height: 1.75rem;
		padding: 0 0.6rem;
		margin-left: -1px;
		border: 1px solid var(--edge);
		background: var(--sheet);
		white-space: nowrap;
		cursor: pointer;
		position: relative;
	}
	label.on {
		background: var(--ink);
		border-color: var(--ink);
		color: var(--sheet);
	}
	label:has(:focus-visible) {
		outline: 2px solid var(--focus);
		outline-offset: 2px;
		z-index: 1;
	}
	@media (pointer: coarse) {
		label {
			min-height: 2.75rem;
		}
	}
	@media (forced-colors: active) {
		label.on {
			forced-color-adjust: none;
			background: Highlight;
			color: HighlightText;
		}
	}
</style>

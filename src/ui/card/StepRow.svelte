<script lang="ts">
	import { stepRowText as say } from '$words/screens/card';
	import type { Snippet } from 'svelte';

	/** One thing that may turn out different, with minus and plus under the thumb. */
	interface Props {
		label: string;
		/** As it stands; instead of it `children` let it be typed. */
		value?: string;
		children?: Snippet;
		/** As planned, where it is another; empty where it is the same. */
		planned?: string;
		onless: (() => void) | null;
		onmore: (() => void) | null;
		less?: string;
		more?: string;
	}

	let {
		label,
		value = '',
		children,
		planned = '',
		onless,
		onmore,
		less = 'less',
		more = 'more'
	}: Props = $props();
</script>

<div class="step" role="group" aria-label={label}>
	<button
		class="knob"
		type="button"
		aria-label="{label}: {less}"
		disabled={!onless}
		onclick={onless}>−</button
	>
	<span class="now">
		<span class="label">{label}</span>
		{#if children}<span class="typed-here">{@render children()}</span>{:else}<strong
				aria-live="polite">{value}</strong
			>{/if}
		{#if planned}<span class="planned">{say.planned(planned)}</span>{/if}
	</span>
	<button
		class="knob"
		type="button"
		aria-label="{label}: {more}"
		disabled={!onmore}
		onclick={onmore}>+</button
	>
</div>

<style>
	.step {
		display: grid;
		grid-template-columns: 3.25rem minmax(0, 1fr) 3.25rem;
		align-items: center;
		gap: 0.3rem;
		border-bottom: 1px solid var(--rule);
		padding: 0.25rem 0;
	}
	.knob {
		min-height: 3rem;
		font-size: 1.5rem;
	}
	.now {
		display: flex;
		flex-wrap: wrap;
		justify-content: center;
		align-items: baseline;
		gap: 0 0.5rem;
		text-align: center;
		line-height: 1.2;
	}
	.label,
	.planned {
		color: var(--ink-2);
	}
	.planned {
		width: 100%;
		font-size: 0.8125rem;
	}
	strong {
		font-size: 1.15rem;
	}
	.typed-here {
		width: 7.5rem;
		font-size: 1.15rem;
	}
</style>

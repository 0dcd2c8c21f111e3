<script lang="ts">
	import { frameViewText as say } from '$words/screens/practice';
	import { commonText as common } from '$words/screens/common';
	import Choice from '../fields/Choice.svelte';
	import type { StripFrame } from './roll.svelte';

	/** Frames as a strip, and one of them large: as a whole, or pixel by pixel. */
	interface Props {
		frames: readonly StripFrame[];
		/** Which one is looked at. */
		looked: number;
		/** Where the focus was meant to be, shares of the frame: looked at first. */
		focus: { readonly x: number; readonly y: number } | null;
	}

	let { frames, looked = $bindable(), focus }: Props = $props();

	const SIZES = [
		{ value: 'whole', text: say.whole },
		{ value: 'pixels', text: '100 %' }
	] as const;
	let size = $state<(typeof SIZES)[number]['value']>('whole');
	let pane = $state<HTMLElement | null>(null);

	const frame = $derived(frames[looked] ?? frames[0]);
	/** Address of the file itself; the small picture until it is there. */
	let address = $state('');
	$effect(() => {
		const file = frame?.taken?.jpeg;
		const given = file ? URL.createObjectURL(file) : '';
		address = given;
		return () => URL.revokeObjectURL(given);
	});
	/** Whether the place that is looked at was chosen: it stays from frame to frame. */
	let isPlaced = false;

	/** A pixel of the file on a pixel of the screen, at first with the focus in the middle. */
	function settle(image: HTMLImageElement) {
		if (size !== 'pixels' || !pane || !address) return;
		image.style.width = `${image.naturalWidth / devicePixelRatio}px`;
		if (isPlaced) return;
		isPlaced = true;
		const { x, y } = focus ?? { x: 0.5, y: 0.5 };
		pane.scrollTo(
			x * image.clientWidth - pane.clientWidth / 2,
			y * image.clientHeight - pane.clientHeight / 2
		);
	}

	function press(event: KeyboardEvent) {
		const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
		if (!by) return;
		event.preventDefault();
		looked = Math.min(frames.length - 1, Math.max(0, looked + by));
		const strip = event.currentTarget as HTMLElement;
		strip.querySelectorAll('button')[looked]?.focus();
	}
</script>

<!-- arrows go along the buttons inside -->
<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<ol class="strip" aria-label={common.frames} onkeydown={press}>
	{#each frames as { index, small, taken } (index)}
		<li>
			<button
				type="button"
				aria-pressed={index === frame?.index}
				aria-label={say.frame(index + 1, taken ? '' : say.stillBeingTaken)}
				onclick={() => (looked = index)}
			>
				<img src={small} alt="" class:coming={!taken} />
				<span aria-hidden="true">{index + 1}</span>
			</button>
		</li>
	{/each}
</ol>
{#if frame}
	<div class="head">
		<Choice
			label={say.size}
			quiet
			options={SIZES}
			value={size}
			onchoose={(chosen) => {
				size = chosen;
				isPlaced = false;
			}}
		/>
		<span>{frame.taken?.name ?? say.aPreviewTheFrameItselfIs}</span>
	</div>
	{#key size}
		<!-- what scrolls must be reached by keyboard -->
		<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
		<div
			class="pane"
			class:whole={size === 'whole'}
			bind:this={pane}
			role="group"
			aria-label={say.frameLarge(frame.index + 1)}
			tabindex="0"
		>
			<img
				src={address || frame.small}
				alt={say.frame2(frame.index + 1)}
				onload={(event) => settle(event.currentTarget as HTMLImageElement)}
			/>
		</div>
	{/key}
{/if}

<style>
	.strip {
		display: flex;
		gap: 0.4rem;
		overflow-x: auto;
		padding: 0.15rem;
	}
	.strip button {
		display: flex;
		flex-direction: column;
		align-items: center;
		border: 1px solid var(--edge);
		border-radius: 3px;
		padding: 0.2rem 0.2rem 0;
		background: var(--sheet);
		color: var(--ink);
		font-size: 0.8125rem;
		min-width: 2.75rem;
	}
	.strip button[aria-pressed='true'] {
		outline: 2px solid var(--ink);
		font-weight: 700;
	}
	.strip img {
		height: 4.5rem;
		width: auto;
		max-width: none;
	}
	.coming {
		opacity: 0.55;
	}
	.head {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.8rem;
		color: var(--ink-2);
	}
	.pane {
		overflow: auto;
		max-height: min(60vh, 34rem);
		border: 1px solid var(--rule);
		background: var(--paper);
	}
	.pane img {
		max-width: none;
	}
	.whole {
		display: flex;
		justify-content: center;
	}
	.whole img {
		max-width: 100%;
		max-height: min(60vh, 34rem);
		object-fit: contain;
	}
</style>

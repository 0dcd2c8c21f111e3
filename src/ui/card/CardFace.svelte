<script lang="ts">
	import { cardFaceText as say } from '$words/screens/card';
	import { commonText as common } from '$words/screens/common';
	import type { Solution } from '$core/study/plan';
	import { pastMyLimits } from '../shared/limits';
	import Named from '../shared/Named.svelte';
	import StateMark from '../shared/StateMark.svelte';
	import type { CardContent } from '$words/card';
	import { drawableOf } from '../drawing/drawable';
	import SmallFrame from '../drawing/SmallFrame.svelte';

	/** The front of a card, to be read at arm's length. */
	interface Props {
		content: CardContent;
		solution: Solution;
	}

	let { content, solution }: Props = $props();
	const shot = $derived(solution.study.shot);
</script>

<div class="face">
	<div class="answer" aria-live="polite">
		{#if content.focusOn}
			<p class="focus">
				<StateMark state={content.state} />
				<Named {shot} text={content.focusOn} />
				{#if content.where}<span class="where">{content.where}</span>{/if}
			</p>
		{/if}
		<dl class="settings">
			{#each content.settings as { label, value }, i (i)}
				<div>
					<dt>{label}</dt>
					<dd>{value}</dd>
				</div>
			{/each}
		</dl>
	</div>
	<p class="sentences">
		<Named {shot} text={[...content.sentences, pastMyLimits(solution)].filter(Boolean).join(' ')} />
	</p>
	<div class="picture">
		<SmallFrame
			drawable={drawableOf(solution)}
			label={say.theFrameARingAround(content.focusOn || say.nothingYet)}
		/>
	</div>
	<dl class="facts">
		{#each content.facts as { label, value }, i (i)}
			<dt>{label}</dt>
			<dd><Named {shot} text={value} /></dd>
		{/each}
		{#if content.checks.length > 0}
			<dt>{say.lookAt}</dt>
			<dd><Named {shot} text={content.checks.join(', ')} /></dd>
		{/if}
		{#if shot.notes}
			<dt>{common.note}</dt>
			<dd><bdi>{shot.notes}</bdi></dd>
		{/if}
	</dl>
	{#if content.cautions.length > 0}
		<ul class="cautions">
			{#each content.cautions as text, i (i)}<li>{text}</li>{/each}
		</ul>
	{/if}
</div>

<style>
	.face {
		display: flex;
		flex-direction: column;
		gap: 0.6rem;
	}
	.focus {
		font-family: var(--font-serif);
		font-weight: 600;
		font-size: 1.6rem;
		line-height: 1.15;
	}
	.where {
		display: block;
		font-family: var(--font-sans);
		font-weight: 400;
		font-size: 1.2rem;
	}
	.settings {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1.4rem;
		padding: 0.3rem 0;
	}
	.settings dt {
		color: var(--ink-2);
		font-size: 0.875rem;
		line-height: 1;
	}
	.settings dd {
		font-size: 2.3rem;
		font-weight: 700;
		line-height: 1.1;
	}
	.settings div:first-child dd {
		color: var(--focus);
	}
	.sentences {
		font-size: 1.05rem;
	}
	.picture {
		height: min(17rem, 60vw);
	}
	.facts {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
		gap: 0.25rem 0.9rem;
		font-size: 1.05rem;
	}
	.facts dt {
		color: var(--ink-2);
	}
	.cautions {
		color: var(--ink-2);
		border-top: 1px solid var(--rule);
		padding-top: 0.4rem;
	}
	/* a desk has room for the picture beside the words */
	@media (min-width: 64rem) {
		.face {
			display: grid;
			grid-template-columns: minmax(0, 1fr) minmax(0, 1.05fr);
			grid-template-rows: auto 1fr;
			column-gap: 2rem;
			align-items: start;
		}
		.answer,
		.sentences {
			grid-column: 1;
		}
		.picture {
			grid-column: 2;
			grid-row: 1 / 3;
			height: min(30rem, 46vh, 23vw);
		}
		.facts {
			grid-template-columns: auto minmax(0, 1fr) auto minmax(0, 1fr);
		}
		.facts,
		.cautions {
			grid-column: 1 / -1;
		}
	}
	/* on a phone the answer stays in sight while the steppers are used */
	@media (max-width: 45rem) {
		.face {
			display: contents;
		}
		.answer {
			position: sticky;
			top: 0;
			z-index: 4;
			background: var(--paper);
			padding: 0.3rem 0;
		}
	}
</style>

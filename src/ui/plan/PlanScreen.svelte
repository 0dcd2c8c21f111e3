<script lang="ts">
	import { planScreenText as say } from '$words/screens/plan/place';
	import { commonText as common } from '$words/screens/common';
	import Choice from '../fields/Choice.svelte';
	import type { Session } from '../keeping/session.svelte';
	import { untrack } from 'svelte';
	import Eyes from './eyes/Eyes.svelte';
	import Frame from './frame/Frame.svelte';
	import Ladder from './ladder/Ladder.svelte';
	import Stepper from './ladder/Stepper.svelte';
	import { useKit } from '../kit/kit.svelte';
	import { PlanView } from './view/plan.svelte';
	import Stage from './stage/Stage.svelte';
	import TryInstead from './verdict/TryInstead.svelte';
	import Verdict from './verdict/Verdict.svelte';
	import Wishes from './verdict/Wishes.svelte';

	/** The heart: the verdict, the stage, the frame and the ladder of one shot. */
	let { session }: { session: Session } = $props();

	const kit = useKit();
	const plan = untrack(() => new PlanView(session, kit));
	/** Below this width, in the size of the text, the panes take turns. */
	const PHONE_REM = 45;
	let windowPx = $state(innerWidth);
	/** Measured on a part of the page, so that another size of the text is noticed like another window. */
	let tenRemPx = $state(10 * parseFloat(getComputedStyle(document.documentElement).fontSize));
	const isPhone = $derived((10 * windowPx) / tenRemPx < PHONE_REM);

	/**
	 * How high the three parts were before a rung was pointed at, or something was moved: what is said and the ladder have
	 * more lines, or fewer, meanwhile, and nothing must move away from under the pointer.
	 */
	let sayPx = $state(0);
	let panesPx = $state(0);
	let ladderPx = $state(0);
	const held = $derived(
		plan.isPeeking || plan.isMoving ? untrack(() => [sayPx, panesPx, ladderPx] as const) : null
	);

	/** On a slow phone the verdict need not wait until the rest is worked out: that comes when it has been seen. */
	let isVerdictSeen = $state(untrack(() => !isPhone));
	$effect(() => {
		const frame = requestAnimationFrame(() => setTimeout(() => (isVerdictSeen = true)));
		return () => cancelAnimationFrame(frame);
	});

	const TABS = [
		{ value: 'stage', text: common.stage },
		{ value: 'frame', text: common.frame },
		{ value: 'eyes', text: common.eyes }
	] as const;
	let tab = $state<(typeof TABS)[number]['value']>('stage');

	$effect(() => {
		void session.shotId;
		untrack(() => {
			plan.selected = null;
			plan.peek(null);
		});
	});
</script>

<svelte:window bind:innerWidth={windowPx} />

<main
	class="plan"
	class:phone={isPhone}
	class:peeking={plan.isPeeking}
	class:still={plan.isMoving}
	style:--say="{held?.[0] ?? 0}px"
	style:--rows={held?.map((px) => `${px}px`).join(' ')}
>
	<div class="ten-rem" bind:offsetWidth={tenRemPx} aria-hidden="true"></div>
	<div class="say" bind:offsetHeight={sayPx}>
		{#if !isPhone}<Wishes {plan} />{/if}
		<Verdict {plan} />
		{#if !isPhone}<TryInstead {plan} most={3} />{/if}
	</div>
	{#if isPhone && isVerdictSeen}
		<div class="tabs">
			<Choice
				label={common.show2}
				quiet
				options={TABS}
				value={tab}
				onchoose={(next) => (tab = next)}
			/>
		</div>
		<div class="one">
			{#if tab === 'stage'}<Stage {plan} {isPhone} />{:else if tab === 'frame'}<Frame
					{plan}
				/>{:else}<Eyes {plan} {isPhone} />{/if}
		</div>
		<Stepper {plan} />
		<div class="strip"><Ladder {plan} {isPhone} /></div>
		<TryInstead {plan} most={2} />
		<details class="more">
			<summary>{say.aboutLightFramingLensesSharpFor}</summary>
			<Wishes {plan} />
		</details>
	{:else if !isPhone}
		<div class="panes" bind:offsetHeight={panesPx}>
			<Stage {plan} {isPhone} />
			<div class="look">
				<Frame {plan} />
				<Eyes {plan} {isPhone} />
			</div>
		</div>
		<div class="ladder" bind:offsetHeight={ladderPx}><Ladder {plan} {isPhone} /></div>
	{/if}
</main>

<style>
	.ten-rem {
		position: absolute;
		width: 10rem;
		visibility: hidden;
	}
	.plan {
		flex: 1;
		min-height: 0;
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		grid-template-rows: auto minmax(14.5rem, 1fr) auto;
		gap: 0.5rem;
		padding: 0.4rem 1.25rem 0.6rem;
	}
	.say {
		display: flex;
		flex-direction: column;
		gap: 0.2rem;
	}
	.still:not(.phone) {
		grid-template-rows: var(--rows);
	}
	.still > :is(.say, .ladder) {
		overflow: hidden;
	}
	.still.phone > .say {
		height: var(--say);
	}
	/* lower than what fits without scrolling */
	@media (max-height: 41rem) {
		.peeking:not(.phone) > .say {
			height: var(--say);
			overflow: hidden;
		}
	}
	.panes {
		display: grid;
		grid-template-columns: 1.29fr 1fr;
		gap: 0.9rem;
		min-height: 0;
	}
	.look {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
		grid-template-rows: minmax(0, 1fr) auto;
		gap: 0.5rem;
		min-height: 0;
	}
	.ladder {
		max-height: min(15.2rem, 36vh);
		display: grid;
		min-height: 0;
	}
	.phone {
		display: flex;
		flex: 1 0 auto;
		flex-direction: column;
		padding: 0.3rem 0.5rem 0.5rem;
	}
	.phone .say {
		flex: none;
		min-height: 0;
		position: sticky;
		top: 0;
		background: var(--paper);
		z-index: 5;
	}
	.one {
		flex: 1 0 22rem;
		min-height: 22rem;
		display: grid;
	}
	.strip {
		max-height: 15rem;
		display: grid;
		grid-template-rows: minmax(0, 1fr);
	}
	.more summary {
		min-height: 2.75rem;
		display: flex;
		align-items: center;
		color: var(--ink-2);
	}
</style>

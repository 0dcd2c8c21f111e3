<script lang="ts">
	import { reviewScreenText as say } from '$words/screens/review/place';
	import { commonText as common } from '$words/screens/common';
	import { untrack } from 'svelte';
	import { chanceOf } from '$core/odds/chanceOf';
	import { solve } from '$core/study/plan';
	import { APART } from '$core/format/review';
	import { takingWords } from '$words/review';
	import { useKit } from '../kit/kit.svelte';
	import type { Session } from '../keeping/session.svelte';
	import Choice from '../fields/Choice.svelte';
	import Pick from '../fields/Pick.svelte';
	import { filesAsked } from '../frames/handedFiles.svelte';
	import EyesInStep from './looking/EyesInStep.svelte';
	import FrameLog from './FrameLog.svelte';
	import FrameStrip from './looking/FrameStrip.svelte';
	import GroupRow from './GroupRow.svelte';
	import { intakeOfJob } from '../frames/intakes.svelte';
	import MarkBar from './MarkBar.svelte';
	import LargeFrame from './looking/LargeFrame.svelte';
	import { FrameFolders } from '../frames/frameFolders.svelte';
	import OpenFrames from './OpenFrames.svelte';
	import PeopleMatrix from './PeopleMatrix.svelte';
	import PlanAndOutcome from './PlanAndOutcome.svelte';
	import { ORDERS, ReviewView } from './view/review.svelte';
	import { actOf, clockWords } from './reviewKeys';
	import WhereFocusFell from './WhereFocusFell.svelte';
	import WideSet from './wide/WideSet.svelte';
	import { WideSets } from './wide/wideSet.svelte';

	/** What came home: by shot, frame by frame, the same eye side by side, and what it says. */
	let { session }: { session: Session } = $props();
	const kit = useKit();
	const home = untrack(() => intakeOfJob(session));
	const folders = untrack(() => new FrameFolders(session.library.shelves.folders, home.jobId));
	void folders.look();
	$effect(() => {
		const files = filesAsked.take();
		if (files.length === 0) return;
		void home.open(files).then((taking) => (said = takingWords(taking, files.length)));
		void folders.remember(files);
	});
	const view = untrack(() => new ReviewView(home, session, kit));
	const wideSets = new WideSets();

	const SIDES = [
		{ value: 'people', text: common.people },
		{ value: 'focus', text: say.whereTheFocusFell },
		{ value: 'log', text: common.log },
		{ value: 'outcome', text: say.planAndOutcome },
		{ value: 'wide', text: say.asOneWidePicture }
	] as const;
	let side = $state<(typeof SIDES)[number]['value']>('people');
	let said = $state('');
	let isOutOpen = $state(false);

	const plan = $derived(
		view.group?.shot && side === 'focus'
			? solve(view.group.shot, chanceOf(kit.contents.spreads)).plan
			: null
	);
	const clock = $derived(clockWords(view.clockMs));
	const targets = $derived([
		...session.jobShots.map(({ id, shot }) => ({ value: id, text: shot.title })),
		{ value: APART, text: say.noShot }
	]);

	const putHere = (groupId: string) => view.file && view.put([view.file.id], groupId);

	function press(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (document.querySelector('dialog[open]')) return;
		const target = event.target as Element;
		if (target.matches('input, textarea, select, [role=group][tabindex]')) return;
		const act = actOf(event.key);
		// the space bar presses the button that has the focus
		if (!act || (event.key === ' ' && target.matches('button'))) return;
		event.preventDefault();
		act(view);
	}
</script>

<svelte:window onkeydown={press} />

<main class="review" class:is-empty={home.files.length === 0}>
	<aside class="shots" aria-label={say.shotsWithFrames}>
		<h1>{say.yourFrames}</h1>
		<OpenFrames {home} {folders} bind:said />
		{#if home.files.length > 0}
			<ul>
				{#each view.groups as group (group.id)}
					<GroupRow {view} {group} onput={putHere} />
				{/each}
			</ul>
			{#if clock}<p class="clock">{clock}</p>{/if}
			<p class="counts">
				{say.keptMaybeDropped(view.marked.keep, view.marked.maybe, view.marked.drop)}
			</p>
			<button
				class="knob"
				type="button"
				disabled={home.measuredCount === 0}
				onclick={() => (isOutOpen = true)}>{say.save}</button
			>
		{:else}
			<p>
				{say.chooseTheFramesOfAnAfternoon}
			</p>
			<p>
				{say.everyFaceIsMeasuredWhichFrames}
			</p>
		{/if}
	</aside>
	{#if home.files.length > 0}
		<section class="frames" aria-label={say.framesOf(view.group?.title ?? '')}>
			<div class="bar">
				<h2><bdi>{view.group?.title ?? common.beingMeasured}</bdi></h2>
				<Choice
					label={say.order}
					quiet
					options={ORDERS.map((one) => ({ value: one, text: one }))}
					value={view.order}
					onchoose={(to) => (view.order = to)}
				/>
				{#if view.file?.measured}
					<div class="put">
						<Pick
							label={say.moveThisFrameTo}
							options={targets}
							value={view.group?.id ?? ''}
							onchoose={putHere}
						/>
					</div>
				{/if}
			</div>
			<FrameStrip {view} />
			<div class="middle">
				<LargeFrame {view} />
				<EyesInStep {view} />
			</div>
			<MarkBar {view} />
			<Choice
				label={say.whatItSays}
				quiet
				options={SIDES}
				value={side}
				onchoose={(to) => (side = to)}
			/>
			<div class="said">
				{#if side === 'people'}
					<PeopleMatrix {view} />
				{:else if side === 'focus'}
					<WhereFocusFell {view} planeM={plan?.focus?.planeM ?? null} />
				{:else if side === 'log'}
					<FrameLog {view} />
				{:else if side === 'wide'}
					<WideSet {view} sets={wideSets} />
				{:else}
					<PlanAndOutcome {view} {session} />
				{/if}
			</div>
		</section>
	{/if}
</main>
{#if isOutOpen}
	{#await import('./out/OutSheet.svelte') then { default: OutSheet }}
		<OutSheet {view} title={session.job?.title ?? 'frames'} bind:open={isOutOpen} />
	{/await}
{/if}

<style>
	.review {
		flex: 1;
		min-height: 0;
		display: grid;
		grid-template-columns: 15rem minmax(0, 1fr);
		gap: 0.6rem;
		padding: 0.6rem 0.8rem;
	}
	.review.is-empty {
		grid-template-columns: minmax(0, 32rem);
		justify-content: center;
		align-content: start;
		padding-top: 10vh;
		font-size: 1rem;
	}
	h1 {
		font-size: 1.15rem;
	}
	.is-empty h1 {
		font-size: 1.7rem;
	}
	h2 {
		font-size: 1.05rem;
	}
	.shots,
	.frames {
		display: flex;
		flex-direction: column;
		gap: 0.4rem;
		min-width: 0;
		min-height: 0;
	}
	.shots {
		overflow-y: auto;
	}
	.shots .knob {
		align-self: flex-start;
	}
	.clock,
	.counts {
		color: var(--ink-2);
	}
	.bar {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 1rem;
	}
	.put {
		margin-left: auto;
	}
	.middle {
		flex: 1 1 18rem;
		min-height: 16.5rem;
		display: grid;
		grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
		gap: 0.6rem;
	}
	.said {
		flex: 0 1 auto;
		max-height: 15rem;
		min-height: 6rem;
		overflow: auto;
		display: flex;
		flex-direction: column;
		gap: 0.3rem;
	}
	@media (max-width: 48rem) {
		.review {
			grid-template-columns: minmax(0, 1fr);
		}
		.shots {
			overflow: visible;
		}
		.middle {
			grid-template-columns: minmax(0, 1fr);
			flex: none;
		}
		.middle > :global(.large) {
			height: 52vw;
		}
		.said {
			flex: none;
			overflow: visible;
		}
		.put {
			margin-left: 0;
		}
	}
	@media (max-width: 48rem) or (max-height: 43rem) {
		.review {
			overflow-y: auto;
		}
		.frames {
			min-height: auto;
		}
	}
</style>

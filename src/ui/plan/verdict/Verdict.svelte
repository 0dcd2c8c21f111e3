<script lang="ts">
	import { verdictText as say } from '$words/screens/plan/verdict';
	import { commonText as common } from '$words/screens/common';
	import Modal from 'flowbite-svelte/Modal.svelte';
	import { ASKS_FOR_NOTHING } from '$words/reasons';
	import { photographAsked } from '../../photograph/asked.svelte';
	import Named from '../../shared/Named.svelte';
	import { pastMyLimits } from '../../shared/limits';
	import { settings } from '../../shared/settings.svelte';
	import TakenLine from '../../shared/TakenLine.svelte';
	import StateMark from '../../shared/StateMark.svelte';
	import GearFields from '../cards/GearFields.svelte';
	import Gear from './Gear.svelte';
	import { oddsAt, type PlanView } from '../view/plan.svelte';
	import { holdState } from '$core/study/take';
	import { framesSentence } from '$words/odds';
	import ShootIt from '../../practice/ShootIt.svelte';
	import { costSentences } from '$words/about';
	import { softLensSentence } from '$words/bench';
	import { unsureSentence } from '$words/photograph';
	import { verdictOf } from '$words/verdict';

	/** One sentence one would say to an assistant; the reasons are one tap away. */
	let { plan }: { plan: PlanView } = $props();

	let isWhyOpen = $state(false);
	let shooting = $state<ShootIt>();
	const shown = $derived(plan.shown);
	const verdict = $derived(shown && verdictOf(shown, settings.units));
	/** Peeking is not announced. */
	const settled = $derived(
		plan.isPeeking ? plan.solution && verdictOf(plan.solution, settings.units) : verdict
	);
	const odds = $derived(oddsAt(plan.odds.answer, shown?.plan.fNumberExact ?? null));
	const toTake = $derived.by(() => {
		if (!shown?.plan.feasible) return '';
		return odds ? framesSentence(odds) : say.howManyFramesToTake;
	});
	/** What it costs that it is not sure where somebody stands. */
	const unsure = $derived.by(() => {
		const fNumber = shown?.plan.fNumber ?? null;
		const measured = plan.measured.answer?.fNumber ?? null;
		if (plan.isPeeking || fNumber === null || measured === null) return '';
		const sigmaM = Math.max(...plan.shot.people.map(({ depthSigmaM }) => depthSigmaM));
		return unsureSentence(sigmaM, fNumber, measured, settings.units);
	});
	/** Once, where the lens itself is soft. */
	const softness = $derived(
		plan.sharpness && shown ? softLensSentence(plan.sharpness, shown.plan.fNumber ?? 0) : ''
	);
	const past = $derived(shown ? pastMyLimits(shown) : '');
	/** What the other pictures of an arrangement with an object would cost. */
	const costs = $derived(costSentences(plan.shot, plan.aboutCosts.answer ?? []));
	const outcome = $derived(holdState(shown?.take ?? null));

	/** Spoken when a gesture has come to rest, not during it. */
	let spoken = $state('');
	$effect(() => {
		const words = settled
			? [
					`${settled.focusOn} ${settled.where} ${settled.fNumber} ${settled.exposure}.`,
					...settled.sentences
				].join(' ')
			: ASKS_FOR_NOTHING;
		const timer = setTimeout(() => (spoken = words), 700);
		return () => clearTimeout(timer);
	});
</script>

<section class="verdict" aria-label={say.verdict} data-feasible={shown?.plan.feasible ?? ''}>
	{#if verdict?.focusOn}
		<h1>
			<StateMark state={outcome} />
			{shown?.plan.feasible ? common.focusOn : say.notAllSharpBestFocusOn}
			<em><bdi>{verdict.focusOn}</bdi></em>{verdict.where ? `, ${verdict.where}` : ''}.
			<em class="f">{verdict.fNumber}</em>{verdict.exposure &&
				`, ${verdict.exposure}`}{#if plan.isPeeking}<span class="tag">{say.peek}</span
				>{:else if plan.isFixed}<span class="tag">{common.locked}</span>{/if}
		</h1>
		<p>
			<Named
				text={[...verdict.sentences, softness, unsure, past, toTake].filter(Boolean).join(' ')}
				shot={plan.shot}
			/>
			<button class="in-text" type="button" onclick={() => (isWhyOpen = true)}
				><span>{say.why}</span></button
			>
			<Gear {plan} />
			<button class="in-text" type="button" aria-haspopup="dialog" onclick={() => shooting?.shoot()}
				><span>{say.shootIt}</span></button
			>
		</p>
		{#if costs.length > 0}
			<p class="costs"><Named text={costs.join(' ')} shot={plan.shot} /></p>
		{/if}
		{#if plan.taken}<TakenLine taken={plan.taken} />{/if}
	{:else if verdict}
		<h1><Named text={verdict.sentences[0] ?? ''} shot={plan.shot} /></h1>
		<p><Named text={verdict.sentences.slice(1).join(' ')} shot={plan.shot} /></p>
	{:else if plan.shot.people.length + plan.shot.things.length === 0}
		<h1>{say.whoIsInFrontOfThe}</h1>
		<p>
			{say.withWhichLensAndBodyThen}
			<button class="in-text" type="button" onclick={() => photographAsked.ask('this-shot')}
				><span>{say.aPhotograph}</span></button
			>
			{say.sayWhereTheyStand}
		</p>
		<div class="fields first"><GearFields {plan} /></div>
	{:else}
		<h1>{say.nothingHasToBeSharpYet}</h1>
		<p>{ASKS_FOR_NOTHING}</p>
	{/if}
	<p class="sr-only" role="status">{spoken}</p>
</section>

<Modal title={say.why2} bind:open={isWhyOpen} size="lg">
	{#if isWhyOpen && shown}
		{#await import('./Why.svelte') then { default: Why }}
			<Why {plan} solution={shown} />
		{/await}
	{/if}
</Modal>

<ShootIt
	bind:this={shooting}
	shotId={plan.shotId}
	solution={shown}
	spreads={plan.spreads}
	startsAt={plan.startsAt}
	timeZone={plan.timeZone}
/>

<style>
	.first {
		max-width: 36rem;
		padding-top: 0.3rem;
	}
	h1 {
		font-size: clamp(1.1rem, 1.75vw, 1.4rem);
		line-height: 1.25;
	}
	em {
		font-style: normal;
		color: var(--focus);
	}
	.f {
		white-space: nowrap;
	}
	p {
		color: var(--ink-2);
	}
	.costs {
		font-size: 0.8125rem;
	}
	.tag {
		font-family: var(--font-sans);
		font-size: 0.8125rem;
		font-weight: 400;
		border: 1px solid var(--edge);
		border-radius: 3px;
		padding: 0 0.35rem;
		margin-left: 0.5rem;
		vertical-align: 0.2em;
	}
</style>

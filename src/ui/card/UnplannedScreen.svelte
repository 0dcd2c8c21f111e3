<script lang="ts">
	import { unplannedScreenText as say } from '$words/screens/card';
	import { commonText as common } from '$words/screens/common';
	import type { FigurePart } from '$core/anatomy/figure';
	import { setUp } from '$core/arrange/setUp';
	import { chanceOf } from '$core/odds/chanceOf';
	import { solve } from '$core/study/plan';
	import { framingProblemText, partWords, PART_OPTIONS } from '$words/framing';
	import { LIGHT_WORDS } from '$words/light';
	import { useKit } from '../kit/kit.svelte';
	import { byName } from '../shared/byName';
	import Choice from '../fields/Choice.svelte';
	import Pick from '../fields/Pick.svelte';
	import { photographAsked } from '../photograph/asked.svelte';
	import { addShot } from '../keeping/dayActions';
	import { newShot } from '../keeping/newShot';
	import type { Session } from '../keeping/session.svelte';
	import { localMinute } from '../browser/localTime';
	import { settings } from '../shared/settings.svelte';
	import CardFace from './CardFace.svelte';
	import { cardOf } from '$words/card';
	import { capital } from '$words/numbers';

	/** A shot nobody planned: lens, framing, rows, and there is the verdict. */
	interface Props {
		session: Session;
		onclose: () => void;
		onkept: () => void;
	}

	let { session, onclose, onkept }: Props = $props();

	const kit = useKit();
	const blank = newShot(common.unplanned);
	const body = $derived(session.shot?.body ?? blank.body);
	const lenses = $derived(kit.lensesFor(body));

	const GROUPS = [
		{ value: 'one', text: say.one, counts: [1] },
		{ value: 'two', text: say.two, counts: [2] },
		{ value: 'row', text: say.aRow, counts: [5] },
		{ value: 'rows-2', text: say.twoRows, counts: [5, 6] },
		{ value: 'rows-3', text: say.threeRows, counts: [5, 6, 4] },
		{ value: 'rows-4', text: say.fourRows, counts: [6, 7, 6, 7] }
	] as const;
	type Group = (typeof GROUPS)[number]['value'];
	let lensPlace = $state('');
	let part = $state<FigurePart | null>(null);
	let group = $state<Group | null>(null);
	let ev100 = $state('');

	const lens = $derived(lenses[lensPlace === '' ? -1 : Number(lensPlace)] ?? null);
	const counts = $derived(GROUPS.find(({ value }) => value === group)?.counts ?? null);
	const made = $derived.by(() => {
		if (!lens || !part || !counts) return null;
		const light = ev100 === '' ? {} : { light: { mode: 'ambient' as const, ev100: Number(ev100) } };
		return setUp({ ...blank, body, ...light }, lens, counts, part);
	});
	const solution = $derived(made && solve(made.shot, chanceOf(kit.contents.spreads)));
	const content = $derived(solution && cardOf(solution, null, settings.units));
	const facts = $derived(content?.facts.filter(({ label }) => label !== 'frames') ?? []);
	const lights = [
		{ value: '', text: say.notSaid },
		...LIGHT_WORDS.map(({ words, ev100: ev }, i) => ({ value: `${ev}`, text: words, i })).filter(
			({ value }, i, all) => all.findIndex((one) => one.value === value) === i
		)
	];
	const asked = $derived(
		[!lens && say.theLens, !part && say.howMuchOfThem, !group && say.howMany].filter(Boolean)
	);

	let answer = $state<HTMLElement>();
	/** On a phone the answer comes below what was asked. */
	$effect(() => {
		if (made) answer?.scrollIntoView({ block: 'nearest' });
	});

	async function keep() {
		if (!made || !lens || !part || !group) return;
		const words = GROUPS.find(({ value }) => value === group)?.text ?? '';
		const title = `${words}, ${partWords(part)}, ${lens.name}`;
		const startsAt = localMinute();
		const isToday = session.job?.date === startsAt.slice(0, 10);
		const shot = { ...made.shot, title: capital(title) };
		await addShot(session, shot, isToday ? { startsAt } : {});
		onkept();
	}
</script>

<main class="unplanned">
	<header>
		<h1>{common.unplanned}</h1>
		<p>{say.aShotNobodyPlannedThreeTaps}</p>
		<button class="knob" type="button" onclick={onclose}>{say.back}</button>
	</header>
	<div class="ask">
		<button
			class="knob keep"
			type="button"
			onclick={() => photographAsked.ask('new-shot', { onused: onkept })}
			>{common.fromAPhotograph}</button
		>
		<div class="taps">
			<Choice
				label={common.lens}
				options={byName(lenses)}
				value={lensPlace}
				onchoose={(place) => (lensPlace = place)}
			/>
		</div>
		<div class="taps">
			<Choice
				label={common.show}
				options={PART_OPTIONS}
				value={part ?? ''}
				onchoose={(next) => (part = next as FigurePart)}
			/>
		</div>
		<div class="taps">
			<Choice
				label={say.people}
				options={GROUPS}
				value={group ?? ''}
				onchoose={(next) => (group = next as Group)}
			/>
		</div>
		<Pick label={common.light} options={lights} value={ev100} onchoose={(next) => (ev100 = next)} />
	</div>
	<div class="answer" bind:this={answer}>
		{#if made?.problem}<p class="problem" role="status">
				{framingProblemText(made.problem, settings.units)}
			</p>{/if}
		{#if content && solution}
			<CardFace content={{ ...content, facts, checks: [] }} {solution} />
			<button class="knob keep" type="button" onclick={keep}>{say.keepItAsAShotOf}</button>
		{:else}
			<p class="wait" role="status">{say.choose(asked.join(', '))}</p>
		{/if}
	</div>
</main>

<style>
	.unplanned {
		flex: 1;
		display: grid;
		grid-template-columns: 24rem minmax(0, 1fr);
		grid-template-rows: auto minmax(0, 1fr);
		gap: 0.8rem 2rem;
		width: 100%;
		max-width: 74rem;
		margin: 0 auto;
		padding: 0.6rem 1.25rem 1rem;
		overflow: auto;
	}
	header {
		grid-column: 1 / -1;
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0.2rem 1rem;
		border-bottom: 1px solid var(--ink);
		padding-bottom: 0.4rem;
	}
	header p {
		color: var(--ink-2);
		font-size: 1rem;
	}
	header .knob {
		margin-left: auto;
	}
	h1 {
		font-size: 1.5rem;
	}
	.ask {
		display: flex;
		flex-direction: column;
		gap: 0.9rem;
	}
	/* every choice a target for a thumb */
	.taps :global(label) {
		min-height: 2.75rem;
		font-size: 1rem;
		margin: 0 0.25rem 0.25rem 0;
		border-radius: 3px;
	}
	.taps :global(legend) {
		width: 100%;
		float: none;
	}
	.wait {
		font-family: var(--font-serif);
		font-size: 1.4rem;
		color: var(--ink-2);
	}
	.problem {
		background: var(--warn);
		padding: 0.3rem 0.6rem;
		font-size: 1rem;
	}
	.keep {
		min-height: 3rem;
		font-size: 1.05rem;
		margin-top: 0.6rem;
	}
	@media (max-width: 45rem) {
		.unplanned {
			display: flex;
			flex-direction: column;
			padding: 0.3rem 0.7rem 1rem;
			overflow: visible;
		}
	}
</style>

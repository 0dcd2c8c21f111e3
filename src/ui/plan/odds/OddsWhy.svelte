<script lang="ts">
	import WorkBar from '../../working/WorkBar.svelte';
	import { oddsWhyText as say } from '$words/screens/plan/odds';
	import { commonText as common } from '$words/screens/common';
	import { useKit } from '../../kit/kit.svelte';
	import { adviceWords } from '$words/advice';
	import { supportWords } from '$words/options';
	import { Asking } from '../../working/asking.svelte';
	import NoAnswer from '../../working/NoAnswer.svelte';
	import Choice from '../../fields/Choice.svelte';
	import Named from '../../shared/Named.svelte';
	import { settings } from '../../shared/settings.svelte';
	import { oddsPort } from '../../../workers/ports';
	import { oddsAt, type PlanView } from '../view/plan.svelte';
	import FNumberChart from '../../drawing/FNumberChart.svelte';
	import { aboutShare, between, causeSentence, framesSentence, hardestSentence } from '$words/odds';
	import { personName } from '$words/names';

	/** How many frames to take, what spoils them, and what would help. */
	let { plan }: { plan: PlanView } = $props();
	const kit = useKit();
	/** Behind the spread that was measured by most. */
	const measuredFrames = $derived(Math.max(0, ...Object.values(kit.contents.measured)));

	const shot = $derived(plan.shot);
	const table = $derived(plan.odds.answer);
	const odds = $derived(oddsAt(table, plan.solution?.plan.fNumberExact ?? null));
	const asked = new Asking(oddsPort, 'supports', () => plan.oddsQuestion);
	const fNumbers = $derived(table?.rungs.map(({ fNumberExact }) => fNumberExact) ?? []);
	const lines = $derived(
		(asked.answer ?? []).map(({ support, shares }) => ({
			name: supportWords(support),
			y: shares.map((share) => share * 100)
		}))
	);
	const worstPeople = $derived(
		odds?.people.toSorted((a, b) => a.share - b.share).slice(0, 5) ?? []
	);
	/** How near to the best share of sharp frames the pick must come. */
	const SURE_SHARES = {
		wide: { sureness: 0.7 },
		balanced: { sureness: undefined },
		sure: { sureness: 0.95 }
	} as const;
	const SURENESS = [
		{ value: 'wide', text: say.theWideEnd },
		{ value: 'balanced', text: say.balanced },
		{ value: 'sure', text: say.theSureEnd }
	] as const;
	const sureness = $derived.by(() => {
		const own = shot.choices.sureness;
		if (own === undefined) return 'balanced';
		return own < 0.85 ? 'wide' : 'sure';
	});
	const advice = $derived(
		(plan.advice.answer ?? []).map((one) => ({
			one,
			words: adviceWords(one.data, shot, settings.units)
		}))
	);
</script>

<h3>{say.theOdds}</h3>
{#if plan.odds.problem}
	<NoAnswer asked={plan.odds} what={common.theOdds} />
{:else if !odds}
	<p>{say.countingFrames}</p>
{:else}
	<p>
		{say.ofSimulatedFramesAreGoodAllowing(
			framesSentence(odds),
			odds.frames,
			aboutShare(odds.share),
			between(odds),
			measuredFrames > 0 ? say.yourMeasurementsHold : say.theAssumptionsHold
		)}
	</p>
	{#if table && table.progress < 1}
		<div>
			{say.stillCounting}
			<WorkBar share={table.progress} label={say.stillCounting} />
		</div>
	{/if}
	<ul>
		{#each odds.causes as cause (cause.cause)}<li>{causeSentence(cause)}</li>{/each}
		{#if odds.hardest}<li><Named text={hardestSentence(shot, odds)} {shot} /></li>{/if}
	</ul>
	{#if worstPeople.length > 1}
		<table>
			<caption>{say.whoToCheckAtFullSize}</caption>
			<tbody>
				{#each worstPeople as one (one.personId)}
					<tr>
						<th scope="row"><bdi>{personName(shot, one.personId)}</bdi></th>
						<td>{say.goodIn(aboutShare(one.share))}</td>
						<td>{between(one)}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	{/if}
	<NoAnswer asked={plan.advice} what={say.whatWouldHelp} />
	{#if advice.length > 0}
		<h4>{say.whatWouldHelp}</h4>
		<ul class="advice">
			{#each advice as { one, words }, i (i)}
				<li>
					<button class="knob" type="button" onclick={() => plan.change(one.shot)}>
						<Named text={words.text.replace(/\.$/, '')} {shot} />
					</button>
				</li>
			{/each}
		</ul>
	{/if}
	<NoAnswer {asked} what={common.theChart} />
	{#if lines.length > 0}
		<FNumberChart
			elsewhere={common.theLadderBelowTheStage}
			{lines}
			{fNumbers}
			shownFNumber={plan.solution?.plan.fNumberExact ?? null}
			yaxis={{ title: { text: say.goodFramesInAHundred }, range: [0, 100] }}
			level={50}
			format=".0f"
			label={say.goodFramesInAHundredAt}
		/>
	{/if}
	<Choice
		label={say.pick}
		options={[
			{ value: 'widest', text: say.theWidestThatHoldsEveryone },
			{ value: 'odds', text: say.byTheOdds }
		]}
		value={shot.choices.pickBy}
		onchoose={(pickBy) => plan.change({ ...shot, choices: { ...shot.choices, pickBy } })}
	/>
	{#if shot.choices.pickBy === 'odds'}
		<Choice
			label={say.howSure}
			options={SURENESS}
			value={sureness}
			onchoose={(value) => {
				const { sureness } = SURE_SHARES[value];
				plan.change({ ...shot, choices: { ...shot.choices, sureness } });
			}}
		/>
	{/if}
	<p class="note">
		{#if measuredFrames > 0}{say.yourOwnHandsAndFocusingWere(
				measuredFrames
			)}{:else}{say.howMuchHandsBodiesAndFocusing}{/if}{say.changeItUnderKitMyHands}
	</p>
{/if}

<style>
	ul {
		list-style: disc;
		padding-left: 1.2rem;
	}
	.advice {
		list-style: none;
		padding: 0;
		display: flex;
		flex-direction: column;
		align-items: flex-start;
		gap: 0.3rem;
	}
	.advice .knob {
		text-align: left;
		height: auto;
	}
	h4 {
		font-weight: 400;
		color: var(--ink-2);
	}
	table {
		border-collapse: collapse;
		width: max-content;
		max-width: 100%;
	}
	caption {
		text-align: left;
		color: var(--ink-2);
	}
	th,
	td {
		text-align: left;
		font-weight: 400;
		padding: 0.2rem 0.8rem 0.2rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.note {
		color: var(--ink-2);
	}
</style>

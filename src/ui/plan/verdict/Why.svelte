<script lang="ts">
	import { whyText as say } from '$words/screens/plan/verdict';
	import { commonText as common } from '$words/screens/common';
	import Amount from '../../fields/Amount.svelte';
	import type { School } from '$core/format/plan';
	import { nominalFNumber, stopsBetween } from '$core/optics/fNumber';
	import { depthOfField } from '$core/optics/depthOfField';
	import { cautionText } from '$words/cautions';
	import { reasonText } from '$words/reasons';
	import { FOCUS_SCHOOLS } from '$words/schools';
	import type { Solution } from '$core/study/plan';
	import { settings } from '../../shared/settings.svelte';
	import { decimal, distance, fStop, stopsInWords } from '$words/numbers';
	import Named from '../../shared/Named.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import OddsWhy from '../odds/OddsWhy.svelte';
	import RatioChart from './RatioChart.svelte';
	import SchoolTable from './SchoolTable.svelte';

	/** The reasons: what binds, what each school would do, and how every face fares at every f-number. */
	let { plan, solution }: { plan: PlanView; solution: Solution } = $props();

	const units = $derived(settings.units);
	const shot = $derived(plan.shot);
	const reasons = $derived(solution.plan.reasons.map((one) => reasonText(one, shot, units)));
	const zone = $derived.by(() => {
		const { take, plan } = solution;
		return take && depthOfField(take.candidate.focus, take.fNumber, plan.toleranceMm);
	});

	function compared({ fNumberExact }: School): string {
		const own = solution.plan.schools.find(
			({ school }) => school === 'computed-plane'
		)?.fNumberExact;
		if (fNumberExact === null) return say.moreThanThisLensCanDo;
		if (own == null) return '';
		const cost = stopsBetween(own, fNumberExact);
		return cost < 1 / 6 ? say.asGoodAsAny : say.costs(stopsInWords(cost));
	}
</script>

<div class="why">
	<ul>
		{#each reasons as text, i (i)}<li><Named {text} {shot} /></li>{/each}
		{#if zone}
			<li>
				{say.onTheAxisItIsSharp(
					distance(zone.nearM, units),
					distance(zone.farM, units),
					decimal(solution.plan.toleranceMm * 1000, 1)
				)}
			</li>
		{/if}
		{#if solution.plan.focus}
			<li>
				{say.thePlaneOfFocusIsFrom(
					distance(solution.plan.focus.planeM, units),
					distance(solution.plan.focus.fromSensorM, units)
				)}
			</li>
		{/if}
	</ul>

	<OddsWhy {plan} />

	<h3>{say.whereEachSchoolWouldFocus}</h3>
	<table>
		<thead>
			<tr
				><th scope="col">{say.focusOn}</th><th scope="col">{common.at}</th><th scope="col"
					>{say.needs}</th
				><th scope="col">{say.andSo}</th></tr
			>
		</thead>
		<tbody>
			{#each solution.plan.schools as school (school.school)}
				<tr>
					<th scope="row">{FOCUS_SCHOOLS[school.school]}</th>
					<td>{distance(school.depthM, units)}</td>
					<td>{school.fNumberExact === null ? '—' : fStop(nominalFNumber(school.fNumberExact))}</td>
					<td>{compared(school)}</td>
				</tr>
			{/each}
		</tbody>
	</table>

	<SchoolTable {plan} {solution} />

	<h3>{say.everyFaceAtEveryFNumber}</h3>
	<RatioChart {solution} />

	<div class="margin">
		<Amount
			of="shot.choices.safetyStops"
			label={say.marginForError}
			value={shot.choices.safetyStops}
			step={1 / 3}
			onchange={(safetyStops, gesture) =>
				plan.change({ ...shot, choices: { ...shot.choices, safetyStops } }, gesture)}
			newGesture={(kind) => plan.newGesture(kind)}
		/>
	</div>

	{#if solution.plan.cautions.length > 0}
		<h3>{say.watchOut}</h3>
		<ul>
			{#each solution.plan.cautions as caution (caution.code)}<li>{cautionText(caution)}</li>{/each}
		</ul>
	{/if}
</div>

<style>
	.why {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
		color: var(--ink);
	}
	ul {
		list-style: disc;
		padding-left: 1.2rem;
	}
	table {
		border-collapse: collapse;
	}
	th,
	td {
		text-align: left;
		font-weight: 400;
		padding: 0.2rem 0.8rem 0.2rem 0;
		border-bottom: 1px solid var(--rule);
	}
	thead th {
		color: var(--ink-2);
	}
	.margin {
		max-width: 12rem;
	}
</style>

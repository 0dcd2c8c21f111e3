<script lang="ts">
	import { schoolTableText as say } from '$words/screens/plan/verdict';
	import { commonText as common } from '$words/screens/common';
	import {
		schoolResults,
		shutterSchools,
		type Result,
		type SchoolOf
	} from '$core/advice/comparisons';
	import { nominalFNumber } from '$core/optics/fNumber';
	import type { Solution } from '$core/study/plan';
	import { techniqueOf } from '$core/study/technique';
	import { FOCUS_WAYS, SCHOOL_QUESTIONS, SCHOOLS } from '$words/schools';
	import { settings } from '../../shared/settings.svelte';
	import Pick from '../../fields/Pick.svelte';
	import { decimal, fStop, smallLength, stopsInWords } from '$words/numbers';
	import type { PlanView } from '../view/plan.svelte';
	import { exposureWords, isoWords, shutterWords } from '$words/light';

	/** The schools that differ in a number, applied to this shot, side by side. */
	let { plan, solution }: { plan: PlanView; solution: Solution } = $props();

	const shot = $derived(plan.shot);
	const units = $derived(settings.units);
	const results = $derived(schoolResults(solution.study));
	const shutters = $derived(solution.take ? shutterSchools(solution.take) : []);
	const ways = $derived(solution.take ? techniqueOf(solution.take, solution.plan.free).ways : []);

	const QUESTIONS = Object.keys(SCHOOL_QUESTIONS) as SchoolOf['question'][];

	const TECHNIQUES = [
		{ value: 'move-point', text: common.moveThePoint },
		{ value: 'reframe', text: say.lockAndReframeWhereItHolds },
		{ value: 'manual', text: say.focusByHandMagnified }
	] as const;

	function comes({ fNumber, exposure }: Result): string {
		if (fNumber === null) return '—';
		const light = exposureWords(exposure);
		return `${fStop(nominalFNumber(fNumber))}${light && `, ${light}`}`;
	}
	const good = ({ keeperShare }: Result): string =>
		keeperShare === null ? '' : say.percentGood(Math.round(100 * keeperShare));
	const steadied = (stops: number): string =>
		stops > 0 ? say.slowerByTheStabiliser(stopsInWords(stops)) : '';
	function costs({ costStops }: Result): string {
		if (costStops === null || Math.abs(costStops) < 1 / 6) return '';
		return `${costStops > 0 ? 'costs' : 'saves'} ${stopsInWords(Math.abs(costStops))}`;
	}
</script>

<h3>{say.theSameShotByOtherSchools}</h3>
<table>
	<tbody>
		{#each QUESTIONS as question (question)}
			{@const own = results.filter((one) => one.question === question)}
			{#each own as { school, result, shot: changed, isOwn }, i (school)}
				<tr class:own={isOwn}>
					{#if i === 0}<th scope="rowgroup" rowspan={own.length}>{SCHOOL_QUESTIONS[question]}</th
						>{/if}
					<th scope="row">{SCHOOLS[school]}</th>
					<td>{comes(result)}</td>
					<td>
						<span class={result.feasible ? 'is-sharp' : 'is-soft'}
							>{result.feasible ? '●' : '○'}</span
						>
						{say.sharp(result.sharp, result.people, good(result))}
					</td>
					<td>{costs(result)}</td>
					<td>
						{#if isOwn}<span class="now">{common.asItIs}</span>
						{:else}<button class="knob" type="button" onclick={() => plan.change(changed)}
								>{say.doThis}</button
							>{/if}
					</td>
				</tr>
			{/each}
		{/each}
	</tbody>
</table>

<h3>{say.howSlowTheShutterMayBe}</h3>
<table>
	<tbody>
		{#each shutters as { school, shutterS, steadiedStops, exposure } (school)}
			<tr>
				<th scope="row">{SCHOOLS[school]}{steadied(steadiedStops)}</th>
				<td>{shutterWords(shutterS)}</td>
				<td>{exposure ? isoWords(exposure.iso) : ''}</td>
			</tr>
		{/each}
	</tbody>
</table>

{#if ways.length > 1}
	<h3>{say.waysToGetTheFocusThere}</h3>
	<table>
		<tbody>
			{#each ways as { way, errorM, worstRatio, holds } (way)}
				<tr>
					<th scope="row">{FOCUS_WAYS[way]}</th>
					<td
						>{Math.abs(errorM) < 0.0005
							? say.onTheSpot
							: `${smallLength(errorM, units)} ${errorM > 0 ? say.behindIt : say.beforeIt}`}</td
					>
					<td>
						<span class={holds ? 'is-sharp' : 'is-soft'}>{holds ? '●' : '○'}</span>
						{say.ofWhatIsAllowed(holds ? 'holds' : say.losesIt, decimal(worstRatio, 2))}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<Pick
		label={say.forAFaceOffCentreI}
		options={TECHNIQUES}
		value={shot.choices.technique ?? 'move-point'}
		onchoose={(technique) =>
			plan.change({
				...shot,
				choices: {
					...shot.choices,
					technique: technique === 'move-point' ? undefined : technique
				}
			})}
	/>
{/if}

<style>
	table {
		border-collapse: collapse;
	}
	th,
	td {
		text-align: left;
		vertical-align: top;
		font-weight: 400;
		padding: 0.2rem 0.8rem 0.2rem 0;
		border-bottom: 1px solid var(--rule);
	}
	td:last-child {
		padding-right: 0;
	}
	.knob,
	.now {
		white-space: nowrap;
	}
	[scope='rowgroup'],
	.now {
		color: var(--ink-2);
	}
	.own > :not([scope='rowgroup']) {
		background: color-mix(in srgb, var(--focus) 8%, var(--sheet));
	}
</style>

<script lang="ts">
	import {
		schoolResults,
		shutterSchools,
		type Result,
		type SchoolQuestion
	} from '$core/solve/comparisons';
	import { isoWords, shutterWords } from '$core/light/dials';
	import { engraved } from '$core/optics/fNumber';
	import type { Solution } from '$core/solve/solve';
	import { techniqueOf, type Way } from '$core/solve/technique';
	import { settings } from '../../shared/settings.svelte';
	import Pick from '../../shared/Pick.svelte';
	import { fStop, smallLength, stopsInWords } from '../../shared/words';
	import type { PlanView } from '../plan.svelte';
	import { exposureWords } from '../setup/lightWords';

	/** The schools that differ in a number, applied to this shot, side by side. */
	let { plan, solution }: { plan: PlanView; solution: Solution } = $props();

	const shot = $derived(plan.shot);
	const units = $derived(settings.units);
	const results = $derived(schoolResults(shot, plan.spreads));
	const shutters = $derived(shutterSchools(shot, plan.spreads));
	const ways = $derived(
		solution.pair ? techniqueOf(solution.scene, solution.pair, solution.plan.free).ways : []
	);

	const QUESTIONS: readonly { question: SchoolQuestion; text: string }[] = [
		{ question: 'how-wide', text: 'How wide' },
		{ question: 'sharp', text: 'What is sharp' },
		{ question: 'surface', text: 'The surface of focus' },
		{ question: 'shutter', text: 'The shutter by hand' },
		{ question: 'gives', text: 'What gives' }
	];
	const WAYS: Readonly<Record<Way, string>> = {
		'move-point': 'move the point',
		'reframe-wrists': 'lock and turn the wrists',
		'reframe-body': 'lock and turn the upper body',
		lean: 'lock and lean onto the computed plane',
		manual: 'by hand, magnified'
	};

	const TECHNIQUES = [
		{ value: 'move-point', text: 'move the point' },
		{ value: 'reframe', text: 'lock and reframe, where it holds' },
		{ value: 'manual', text: 'focus by hand, magnified' }
	] as const;

	function comes({ fNumber, exposure }: Result): string {
		if (fNumber === null) return '—';
		const light = exposureWords(exposure);
		return `${fStop(engraved(fNumber))}${light && `, ${light}`}`;
	}
	function costs({ costStops }: Result): string {
		if (costStops === null || Math.abs(costStops) < 1 / 6) return '';
		return `${costStops > 0 ? 'costs' : 'saves'} ${stopsInWords(Math.abs(costStops))}`;
	}
</script>

<h3>The same shot by other schools</h3>
<table>
	<tbody>
		{#each QUESTIONS as { question, text } (question)}
			{@const own = results.filter((one) => one.question === question)}
			{#each own as { says, result, shot: changed, isOwn }, i (says)}
				<tr class:own={isOwn}>
					{#if i === 0}<th scope="rowgroup" rowspan={own.length}>{text}</th>{/if}
					<th scope="row">{says}</th>
					<td>{comes(result)}</td>
					<td>
						<span class={result.feasible ? 'is-sharp' : 'is-soft'}
							>{result.feasible ? '●' : '○'}</span
						>
						{result.sharp}/{result.people} sharp
					</td>
					<td>{costs(result)}</td>
					<td>
						{#if isOwn}<span class="now">as it is</span>
						{:else}<button class="knob" type="button" onclick={() => plan.change(changed)}
								>Do so</button
							>{/if}
					</td>
				</tr>
			{/each}
		{/each}
	</tbody>
</table>

<h3>How slow the shutter may be</h3>
<table>
	<tbody>
		{#each shutters as { says, shutterS, exposure } (says)}
			<tr>
				<th scope="row">{says}</th>
				<td>{shutterWords(shutterS)}</td>
				<td>{exposure ? isoWords(exposure.iso) : ''}</td>
			</tr>
		{/each}
	</tbody>
</table>

{#if ways.length > 1}
	<h3>Ways to get the focus there</h3>
	<table>
		<tbody>
			{#each ways as { way, errorM, worstRatio, holds } (way)}
				<tr>
					<th scope="row">{WAYS[way]}</th>
					<td
						>{Math.abs(errorM) < 0.0005
							? 'on the spot'
							: `${smallLength(errorM, units)} ${errorM > 0 ? 'behind it' : 'before it'}`}</td
					>
					<td>
						<span class={holds ? 'is-sharp' : 'is-soft'}>{holds ? '●' : '○'}</span>
						{holds ? 'holds' : 'loses it'}, {worstRatio.toFixed(2)} of what is allowed
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<Pick
		label="a face off the middle: I would"
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
	[scope='rowgroup'],
	.now {
		color: var(--ink-2);
	}
	.own > :not([scope='rowgroup']) {
		background: color-mix(in srgb, var(--focus) 8%, var(--sheet));
	}
</style>

<script lang="ts">
	import { myLimitsText as say } from '$words/screens/kit';
	import { commonText as common } from '$words/screens/common';
	import { KINDS, type Kind, type Limits } from '$core/day/limits';
	import { KIND_WORDS } from '$words/limits';
	import { isoWords, shutterWords } from '$words/light';
	import { fStop } from '$words/numbers';
	import Pick from '../fields/Pick.svelte';
	import { settings } from '../shared/settings.svelte';

	/** One's own limits by the kind of shot; a shot says when it goes past them. */
	const limits = $derived(settings.limits);
	const set = (kind: Kind, change: Limits) =>
		settings.set({ limits: { ...limits, [kind]: { ...limits[kind], ...change } } });

	const NONE = { value: '', text: say.any };
	const listed = (values: readonly number[], words: (value: number) => string) => [
		NONE,
		...values.map((value) => ({ value: String(value), text: words(value) }))
	];
	const SHUTTERS = listed(
		[30, 60, 80, 100, 125, 160, 200, 250, 400, 500, 1000].map((n) => 1 / n),
		shutterWords
	);
	const F_NUMBERS = listed([1.4, 1.8, 2, 2.8, 3.5, 4, 5.6, 8, 11], fStop);
	const SPEEDS = listed([400, 800, 1600, 3200, 6400, 12800, 25600], isoWords);
	const COLUMNS = [
		{ key: 'slowestS', words: say.slowestShutter, options: SHUTTERS },
		{ key: 'fNumber', words: say.fNumberMeant, options: F_NUMBERS },
		{ key: 'highestIso', words: common.highestIso, options: SPEEDS }
	] as const;
	const typed = (value: string) => (value === '' ? undefined : Number(value));
</script>

<section>
	<h3>{say.myOwnLimits}</h3>
	<p>{say.aShotTellsYouWhenIt}</p>
	<div class="wide">
		<table>
			<thead>
				<tr>
					<th scope="col">{say.for}</th>
					{#each COLUMNS as { key, words } (key)}<th scope="col">{words}</th>{/each}
				</tr>
			</thead>
			<tbody>
				{#each KINDS as kind (kind)}
					<tr>
						<th scope="row">{KIND_WORDS[kind]}</th>
						{#each COLUMNS as { key, words, options } (key)}
							<td>
								<Pick
									quiet
									label={say.for2(words, KIND_WORDS[kind])}
									{options}
									value={String(limits[kind]?.[key] ?? '')}
									onchoose={(value) => set(kind, { [key]: typed(value) })}
								/>
							</td>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
</section>

<style>
	section {
		display: flex;
		flex-direction: column;
		gap: 0.3rem;
	}
	.wide {
		overflow-x: auto;
	}
	th {
		text-align: left;
		font-weight: 400;
		color: var(--ink-2);
		padding-right: 0.8rem;
		white-space: nowrap;
	}
	td {
		padding: 0.15rem 0.5rem 0.15rem 0;
	}
</style>

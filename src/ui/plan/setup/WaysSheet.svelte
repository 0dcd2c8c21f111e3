<script lang="ts">
	import { waysSheetText as say } from '$words/screens/plan/setup';
	import { commonText as common } from '$words/screens/common';
	import type { BestFor, LensWay } from '$core/advice/lensWays';
	import { isZoom } from '$core/optics/zoom';
	import { impressionOf } from '$core/optics/perspective';
	import { nominalFNumber } from '$core/optics/fNumber';
	import { advicePort } from '../../../workers/ports';
	import { Asking } from '../../working/asking.svelte';
	import NoAnswer from '../../working/NoAnswer.svelte';
	import { settings } from '../../shared/settings.svelte';
	import { distance, fStop, signedPercent, smallLength } from '$words/numbers';
	import { namesOf } from '$words/names';
	import type { PlanView } from '../view/plan.svelte';
	import { exposureWords, FLAG_WORDS } from '$words/light';
	import PlaceLimits from './PlaceLimits.svelte';

	/** The same picture with every lens of the kit, each from the place it needs. */
	let { plan, onclose }: { plan: PlanView; onclose: () => void } = $props();

	const shot = $derived(plan.shot);
	const units = $derived(settings.units);
	const question = $derived({ shot, lenses: plan.lenses, spreads: plan.spreads });
	const asked = new Asking(advicePort, 'ways', () => question);
	const ways = $derived(asked.answer);

	type Key = 'lens' | 'distance' | 'fNumber' | 'held' | 'background' | 'face' | 'light';
	let sortedBy = $state<Key>('distance');
	let isDown = $state(false);
	const COLUMNS = $derived<readonly { key: Key; text: string }[]>([
		{ key: 'lens', text: common.lens },
		{ key: 'distance', text: say.from },
		{ key: 'fNumber', text: 'f/' },
		{ key: 'held', text: say.faces },
		{ key: 'background', text: common.background },
		{ key: 'face', text: say.aFaceLooks },
		...(shot.light ? [{ key: 'light' as const, text: say.shutterAndIso }] : [])
	]);
	function rank(way: LensWay): number {
		switch (sortedBy) {
			case 'lens':
				return way.focalMm;
			case 'distance':
				return way.distanceM;
			case 'fNumber':
				return way.fNumber ?? Infinity;
			case 'held':
				return way.failingIds.length;
			case 'background':
				return way.backgroundWidthM;
			case 'face':
				return way.perspective;
			case 'light':
				return (way.exposure?.flashPower ?? 0) * 1e9 + (way.exposure?.iso ?? 0);
		}
	}
	const sorted = $derived(ways?.toSorted((a, b) => (isDown ? -1 : 1) * (rank(a) - rank(b))) ?? []);
	function sortBy(key: Key) {
		isDown = sortedBy === key && !isDown;
		sortedBy = key;
	}
	const ariaSort = (key: Key) =>
		sortedBy !== key ? undefined : isDown ? ('descending' as const) : ('ascending' as const);

	const BEST: Readonly<Record<BestFor, string>> = {
		faces: say.bestForFaces,
		background: say.bestForTheBackground,
		light: say.bestForTheLight
	};
	const READS = {
		flatter: 'flatter',
		usual: common.asUsual,
		strong: 'strong',
		distorted: 'distorted'
	} as const;
	const isOwn = (way: LensWay) =>
		way.lens.name === shot.lens.name && way.focalMm === shot.camera.focalMm;

	const names = (ids: readonly string[], list: readonly { id: string; name: string }[]) =>
		namesOf(ids.map((id) => list.find((one) => one.id === id)?.name ?? id));
	const things = $derived(shot.things.map(({ id, label }) => ({ id, name: label })));
	function moveWords({ backM }: LensWay): string {
		if (Math.abs(backM) < 0.05) return say.fromHere;
		return `${smallLength(backM, units)} ${backM > 0 ? say.fartherBack : 'nearer'}`;
	}

	function take(way: LensWay) {
		plan.change(way.shot);
		onclose();
	}
</script>

<div class="sheet">
	<PlaceLimits {plan} />
	{#if asked.problem}
		<NoAnswer {asked} what={common.otherLenses} />
	{:else if !ways}
		<p>{say.tryingEveryLensOfYourKit}</p>
	{:else}
		<div class="scroll" tabindex="-1">
			<table>
				<thead>
					<tr>
						{#each COLUMNS as { key, text } (key)}
							<th scope="col" aria-sort={ariaSort(key)}>
								<button type="button" onclick={() => sortBy(key)}>
									{text}<span aria-hidden="true"
										>{sortedBy === key ? (isDown ? ' ↓' : ' ↑') : ''}</span
									>
								</button>
							</th>
						{/each}
						<td></td>
					</tr>
				</thead>
				<tbody>
					{#each sorted as way (way)}
						<tr class:own={isOwn(way)} class:out={way.isOutOfRoom || way.fNumber === null}>
							<th scope="row">
								<bdi>{way.lens.name}</bdi>
								{#if isZoom(way.lens)}{say.atMm(Math.round(way.focalMm))}{/if}
								{#each way.bestFor as best (best)}<span class="best">{BEST[best]}</span>{/each}
							</th>
							<td>
								{distance(way.distanceM, units)}<br />
								<small>{way.isOutOfRoom ? say.noRoomForThat : moveWords(way)}</small>
							</td>
							<td>{way.fNumber === null ? '—' : fStop(nominalFNumber(way.fNumber))}</td>
							<td>
								{#if way.fNumber === null}
									<span class="is-soft">○</span> {say.tooNearToFocus}
								{:else if way.failingIds.length === 0}
									<span class="is-sharp">●</span> {say.allSharp}
								{:else}
									<span class="is-soft">○</span>
									<bdi>{names(way.failingIds, shot.people)}</bdi>
									{say.soft}
								{/if}
							</td>
							<td>
								{say.wide(distance(way.backgroundWidthM, units))}{#if way.intents > 0}, {way.intentsMet}/{way.intents}
									▲{/if}
								{#if way.droppedIds.length > 0}<br /><small
										>{say.without(names(way.droppedIds, things))}</small
									>{/if}
							</td>
							<td>
								{READS[impressionOf(way.perspective)]}
								<small>{signedPercent(way.perspective)}</small>
							</td>
							{#if shot.light}
								<td>
									{exposureWords(way.exposure)}
									{#each way.exposure?.flags ?? [] as flag (flag)}<br /><small class="is-marginal"
											>{FLAG_WORDS[flag]}</small
										>{/each}
								</td>
							{/if}
							<td>
								{#if isOwn(way)}
									<span class="now">{common.asItIs}</span>
								{:else}
									<button class="knob" type="button" onclick={() => take(way)}
										>{say.takeThis}</button
									>
								{/if}
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	{/if}
</div>

<style>
	.sheet {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
		color: var(--ink);
		min-height: 20rem;
	}
	.scroll {
		overflow: auto;
		max-height: 60vh;
	}
	table {
		border-collapse: collapse;
		width: 100%;
	}
	th,
	td {
		text-align: left;
		vertical-align: top;
		font-weight: 400;
		padding: 0.3rem 0.8rem 0.3rem 0;
		border-bottom: 1px solid var(--rule);
	}
	thead th {
		position: sticky;
		top: 0;
		background: var(--sheet);
	}
	thead button {
		color: var(--ink-2);
		white-space: nowrap;
		min-height: 1.75rem;
	}
	.own {
		background: color-mix(in srgb, var(--focus) 8%, var(--sheet));
	}
	.out {
		color: var(--ink-2);
	}
	small,
	.now {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	.best {
		display: block;
		width: max-content;
		color: var(--focus);
		font-size: 0.8125rem;
	}
	td:last-child {
		white-space: nowrap;
	}
	@media (max-width: 45rem) {
		table,
		thead,
		tbody,
		thead tr,
		th,
		td {
			display: block;
		}
		thead tr {
			display: flex;
			flex-wrap: wrap;
		}
		tbody tr {
			display: grid;
			grid-template-columns: 1fr 1fr;
			border-bottom: 1px solid var(--rule);
			padding: 0.3rem 0;
		}
		tbody th,
		td:last-child {
			grid-column: 1 / -1;
		}
		th,
		td {
			border-bottom: 0;
		}
	}
	@media (pointer: coarse) {
		thead button {
			min-height: 2.75rem;
		}
	}
</style>

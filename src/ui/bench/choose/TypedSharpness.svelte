<script lang="ts">
	import { typedSharpnessText as say } from '$words/screens/bench/choose';
	import type { MeasuredSharpness } from '$core/format/sharpness';
	import { nominalFNumber, ladderOf } from '$core/optics/fNumber';
	import type { KitLens } from '$data/store/database';
	import { fStop } from '$words/numbers';
	import OptionalNumber from './OptionalNumber.svelte';

	/** What others measured of a lens, typed in; marked so wherever it is shown. */
	interface Props {
		entry: KitLens;
		/** The body that new numbers are of; those that are there stay with theirs. */
		bodyName: string;
		onchange: (sharpness: MeasuredSharpness | undefined) => void;
	}

	let { entry, bodyName, onchange }: Props = $props();
	const ofBody = $derived(entry.sharpness?.bodyName ?? bodyName);
	const STOPS_OFFERED = 8;
	const MOST_LINE_PAIRS = 20_000;
	const focalMm = $derived(entry.lens.focalMm[0]);
	const fNumbers = $derived(
		ladderOf(entry.lens, focalMm)
			.filter((_, i) => i % 3 === 0)
			.slice(0, STOPS_OFFERED)
			.map(nominalFNumber)
	);
	const known = (fNumber: number) =>
		entry.sharpness?.stops.find((stop) => stop.fNumber === fNumber) ?? null;

	function set(fNumber: number, change: { centre?: number | null; corners?: number | null }) {
		const typed = fNumbers.flatMap((one) => {
			const stop = known(one);
			const next = {
				fNumber: one,
				centre: stop?.centre ?? null,
				corners: stop?.corners ?? null,
				...(one === fNumber ? change : {})
			};
			// without a centre there is nothing to compare with
			return next.centre === null ? [] : [{ ...next, centre: next.centre }];
		});
		const date = new Date().toISOString().slice(0, 10);
		onchange(
			typed.length > 0
				? { bodyName: ofBody, focalMm, date, frames: 0, isTyped: true, stops: typed }
				: undefined
		);
	}
</script>

<fieldset>
	<legend>{say.sharpnessAsOthersMeasuredItOn(ofBody)}</legend>
	<div class="wide">
		<table>
			<thead>
				<tr>
					<td></td>
					{#each fNumbers as fNumber (fNumber)}<th scope="col">{fStop(fNumber)}</th>{/each}
				</tr>
			</thead>
			<tbody>
				{#each ['centre', 'corners'] as const as where (where)}
					<tr>
						<th scope="row">{where}</th>
						{#each fNumbers as fNumber (fNumber)}
							<td>
								<OptionalNumber
									quiet
									label={say.at(where, fStop(fNumber))}
									value={known(fNumber)?.[where] ?? null}
									low={0}
									high={MOST_LINE_PAIRS}
									onchange={(value) => set(fNumber, { [where]: value })}
								/>
							</td>
						{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
</fieldset>

<style>
	legend {
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
	.wide {
		position: relative;
		overflow-x: auto;
	}
	th {
		font-weight: 400;
		text-align: left;
		padding-right: 0.5rem;
	}
	td {
		min-width: 4.2rem;
		padding: 0.1rem;
	}
</style>

<script lang="ts">
	import { decimal } from '$words/numbers';
	import { myHandsText as say } from '$words/screens/kit';
	import { commonText as common } from '$words/screens/common';
	import { ASSUMED, SPREADS, type SpreadKey } from '$core/tables/spreads';
	import Amount from '../fields/Amount.svelte';
	import { useKit } from './kit.svelte';

	/** How much one's own hands, focusing and people spread: assumptions until somebody measures. */
	const kit = useKit();
	const KEYS = Object.keys(SPREADS) as SpreadKey[];
	const GROUPS = [
		{ of: 'hands', text: say.hands },
		{ of: 'focusing', text: say.focusing },
		{ of: 'people', text: common.people }
	] as const;
	const spreads = $derived(kit.contents.spreads);
	const measured = $derived(kit.contents.measured);
	/** Typed by hand, it is no longer what was measured. */
	function put(key: SpreadKey, value: number) {
		const rest = Object.fromEntries(Object.entries(measured).filter(([other]) => other !== key));
		kit.putSpreads({ ...spreads, [key]: value }, rest);
	}
	const labelOf = (key: SpreadKey) => {
		const frames = measured[key];
		return frames ? say.measuredFrames(SPREADS[key].meaning, frames) : SPREADS[key].meaning;
	};
	const lenses = $derived(Object.entries(spreads.lensBias ?? {}));
	const isOwn = $derived(lenses.length > 0 || KEYS.some((key) => spreads[key] !== ASSUMED[key]));
	const biasWords = (biasMm: number) =>
		say.mmAtTheSensor(decimal(Math.abs(biasMm), 3), biasMm > 0 ? common.inFront : 'behind');
	function forget(lens: string) {
		const lensBias = Object.fromEntries(lenses.filter(([other]) => other !== lens));
		kit.putSpreads({ ...spreads, lensBias }, measured);
	}
	const keysOf = (of: (typeof GROUPS)[number]['of']) =>
		KEYS.filter((key) => SPREADS[key].of === of);
</script>

<div class="hands">
	<p>
		{say.theOddsAreBasedOnThese}
	</p>
	{#each GROUPS as { of, text } (of)}
		<h3>{text}</h3>
		<div class="fields">
			{#each keysOf(of) as key (key)}
				<Amount
					of={say.spreads(key)}
					label={labelOf(key)}
					value={spreads[key]}
					step={SPREADS[key].initial / 10 || 0.01}
					digits={3}
					onchange={(value) => put(key, value)}
					newGesture={(kind) => kind}
				/>
			{/each}
		</div>
		{#if of === 'focusing' && lenses.length > 0}
			<ul aria-label={say.lensesWithAFocusErrorOf}>
				{#each lenses as [lens, { biasMm, frames }], i (i)}
					<li>
						<span><bdi>{lens}</bdi>{say.measuredFrames2(biasWords(biasMm), frames)}</span>
						<button class="knob" type="button" onclick={() => forget(lens)}
							>{common.forget}<span class="sr-only"> {say.measurementsOf(lens)}</span></button
						>
					</li>
				{/each}
			</ul>
		{/if}
	{/each}
	<button class="knob" type="button" disabled={!isOwn} onclick={() => void kit.putSpreads(null)}
		>{say.backToTheAssumptions}</button
	>
</div>

<style>
	.hands {
		display: flex;
		flex-direction: column;
		align-items: flex-start;
		gap: 0.6rem;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.6rem;
	}
	.fields {
		width: 100%;
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
		gap: 0.5rem 0.8rem;
		align-items: end;
	}
</style>

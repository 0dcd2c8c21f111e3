<script lang="ts">
	import { ASSUMED, SPREADS, type SpreadKey } from '$core/tables/spreads';
	import Amount from '../fields/Amount.svelte';
	import { useKit } from './kit.svelte';

	/** How much one's own hands, focusing and people spread: assumptions until somebody measures. */
	const kit = useKit();
	const KEYS = Object.keys(SPREADS) as SpreadKey[];
	const GROUPS = [
		{ of: 'hands', text: 'Hands' },
		{ of: 'focusing', text: 'Focusing' },
		{ of: 'people', text: 'People' }
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
		return frames ? `${SPREADS[key].meaning} (measured, ${frames} frames)` : SPREADS[key].meaning;
	};
	const lenses = $derived(Object.entries(spreads.lensBias ?? {}));
	const isOwn = $derived(lenses.length > 0 || KEYS.some((key) => spreads[key] !== ASSUMED[key]));
	const biasWords = (biasMm: number) =>
		`${Math.abs(biasMm).toFixed(3)} mm ${biasMm > 0 ? 'in front' : 'behind'} at the sensor`;
	function forget(lens: string) {
		const lensBias = Object.fromEntries(lenses.filter(([other]) => other !== lens));
		kit.putSpreads({ ...spreads, lensBias }, measured);
	}
	const keysOf = (of: (typeof GROUPS)[number]['of']) =>
		KEYS.filter((key) => SPREADS[key].of === of);
</script>

<div class="hands">
	<p>
		The odds rest on these. All are assumptions until Review measures your own. What sways, sways by
		less than this in two frames of three.
	</p>
	{#each GROUPS as { of, text } (of)}
		<h3>{text}</h3>
		<div class="fields">
			{#each keysOf(of) as key (key)}
				<Amount
					of="spreads.{key}"
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
			<ul aria-label="Lenses with a bias of their own">
				{#each lenses as [lens, { biasMm, frames }], i (i)}
					<li>
						<span><bdi>{lens}</bdi>: {biasWords(biasMm)} (measured, {frames} frames)</span>
						<button class="knob" type="button" onclick={() => forget(lens)}
							>forget<span class="sr-only"> what was measured of {lens}</span></button
						>
					</li>
				{/each}
			</ul>
		{/if}
	{/each}
	<button class="knob" type="button" disabled={!isOwn} onclick={() => void kit.putSpreads(null)}
		>Back to the assumptions</button
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

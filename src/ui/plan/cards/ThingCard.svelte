<script lang="ts">
	import Amount from '../../fields/Amount.svelte';
	import type { Thing } from '$core/format/shot';
	import Pick from '../../fields/Pick.svelte';
	import { changeThing } from '../view/edits';
	import type { PlanView } from '../view/plan.svelte';
	import { seenShareWords } from '$words/numbers';
	import { INTENT_OPTIONS, LOOK_OPTIONS } from '$words/options';

	let { plan, thing }: { plan: PlanView; thing: Thing } = $props();

	const newGesture = (kind: string) => plan.newGesture(kind);
	const set = (change: Partial<Thing>, gesture?: string) =>
		plan.change(changeThing(plan.shot, thing.id, change), gesture);
	const result = $derived(plan.shown?.plan.things.find(({ id }) => id === thing.id));
	const seen = $derived(seenShareWords(result?.hiddenShare ?? 0));
</script>

<div class="fields">
	<Pick
		label="should be"
		options={INTENT_OPTIONS}
		value={thing.intent}
		onchoose={(intent) => set({ intent })}
	/>
	<Amount
		of="shot.things.detailMm"
		label="smallest detail"
		value={thing.detailMm}
		onchange={(detailMm, gesture) => set({ detailMm }, gesture)}
		{newGesture}
	/>
	<Amount
		of="shot.things.widthM"
		label="wide"
		value={thing.widthM}
		onchange={(widthM, gesture) => set({ widthM }, gesture)}
		{newGesture}
	/>
	<Amount
		of="shot.things.heightM"
		label="high"
		value={thing.heightM}
		onchange={(heightM, gesture) => set({ heightM }, gesture)}
		{newGesture}
	/>
</div>
<Pick
	label="looks like"
	options={LOOK_OPTIONS}
	value={thing.look}
	onchoose={(look) => set({ look })}
/>
{#if result?.contrast != null}
	<p class="text-[var(--ink-2)]">
		Now {result.state}: {Math.round(result.contrast * 100)} % of its detail’s contrast is left{seen ===
		'hidden'
			? '; it is hidden'
			: seen && `; ${seen} of it can be seen`}.
	</p>
{/if}
<button class="knob" type="button" onclick={() => plan.focusOn({ thingId: thing.id })}>
	Focus here
</button>

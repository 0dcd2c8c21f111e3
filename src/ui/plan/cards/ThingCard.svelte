<script lang="ts">
	import { thingCardText as say } from '$words/screens/plan/cards';
	import { commonText as common } from '$words/screens/common';
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
		label={say.shouldBe}
		options={INTENT_OPTIONS}
		value={thing.intent}
		onchoose={(intent) => set({ intent })}
	/>
	<Amount
		of="shot.things.detailMm"
		label={say.smallestDetail}
		value={thing.detailMm}
		onchange={(detailMm, gesture) => set({ detailMm }, gesture)}
		{newGesture}
	/>
	<Amount
		of="shot.things.widthM"
		label={say.wide}
		value={thing.widthM}
		onchange={(widthM, gesture) => set({ widthM }, gesture)}
		{newGesture}
	/>
	<Amount
		of="shot.things.heightM"
		label={say.high}
		value={thing.heightM}
		onchange={(heightM, gesture) => set({ heightM }, gesture)}
		{newGesture}
	/>
</div>
<Pick
	label={say.looksLike}
	options={LOOK_OPTIONS}
	value={thing.look}
	onchoose={(look) => set({ look })}
/>
{#if result?.contrast != null}
	<p class="text-[var(--ink-2)]">
		{say.nowPercentOfItsDetailsContrast(
			result.state,
			Math.round(result.contrast * 100),
			seen === 'hidden' ? say.itIsHidden : seen && say.ofItCanBeSeen(seen)
		)}
	</p>
{/if}
<button class="knob" type="button" onclick={() => plan.focusOn({ thingId: thing.id })}>
	{common.focusHere}
</button>

<script lang="ts">
	import { backgroundSheetText as say } from '$words/screens/plan/setup';
	import type { Background, PlaceKind } from '$core/format/shot';
	import { BACKGROUND_ID } from '$core/study/scene';
	import { BACKGROUND_OPTIONS, PLACE_OPTIONS } from '$words/options';
	import { thingSentences } from '$words/things';
	import Amount from '../../fields/Amount.svelte';
	import Choice from '../../fields/Choice.svelte';
	import Pick from '../../fields/Pick.svelte';
	import type { PlanView } from '../view/plan.svelte';

	/** What the background as a whole should become, without anything of it being placed. */
	let { plan }: { plan: PlanView } = $props();

	/** A wall with windows or leaves, a few steps behind them. */
	const USUAL: Background = { intent: 'dissolved', behindM: 5, detailMm: 50 };
	const shot = $derived(plan.shot);
	const background = $derived(shot.background);
	const options = [{ value: 'any', text: say.asItComes }, ...BACKGROUND_OPTIONS] as const;
	const now = $derived.by(() => {
		const result = plan.shown?.plan.things.filter(({ id }) => id === BACKGROUND_ID) ?? [];
		return plan.shown
			? Object.values(thingSentences({ ...plan.shown.plan, things: result }, shot)).flat()[0]
			: undefined;
	});

	function choose(intent: Background['intent'] | 'any') {
		plan.change({
			...shot,
			background: intent === 'any' ? undefined : { ...(background ?? USUAL), intent }
		});
	}
	function surround(kind: PlaceKind | 'plain') {
		const place = { ...shot.place, kind: kind === 'plain' ? undefined : kind };
		plan.change({ ...shot, place });
	}
	const set = (change: Partial<Background>, gesture: string) =>
		background && plan.change({ ...shot, background: { ...background, ...change } }, gesture);
	const newGesture = (kind: string) => plan.newGesture(kind);
</script>

<div class="stack">
	<Choice label={say.it} {options} value={background?.intent ?? 'any'} onchoose={choose} />
	{#if background}
		<div class="pairs">
			<Amount
				of="shot.background.behindM"
				label={say.howFarBehindThem}
				value={background.behindM}
				onchange={(behindM, gesture) => set({ behindM }, gesture)}
				{newGesture}
			/>
			<Amount
				of="shot.background.detailMm"
				label={say.itsDetailLeavesWindowsFaces}
				value={background.detailMm}
				onchange={(detailMm, gesture) => set({ detailMm }, gesture)}
				{newGesture}
			/>
		</div>
		{#if now}<p role="status">{now}</p>{/if}
	{/if}
	<Pick
		label={say.aroundThemThePictureShows}
		options={PLACE_OPTIONS}
		value={shot.place?.kind ?? 'plain'}
		onchoose={surround}
	/>
	<p>{say.onlyDrawnItChangesNoNumber}</p>
</div>

<script lang="ts">
	import { wishesText as say } from '$words/screens/plan/verdict';
	import { commonText as common } from '$words/screens/common';
	import Amount from '../../fields/Amount.svelte';
	import type { AboutCost } from '$core/advice/comparisons';
	import type { SharpnessStandard } from '$core/format/shot';
	import { aboutOf, ABOUTS, objectOf, withAbout, type About } from '$core/arrange/about';
	import Choice from '../../fields/Choice.svelte';
	import { nominalFNumber } from '$core/optics/fNumber';
	import { fStop } from '$words/numbers';
	import { aboutWords } from '$words/about';
	import SetupBar from '../setup/SetupBar.svelte';
	import type { PlanView } from '../view/plan.svelte';

	/** What the picture is about, and what it must be sharp for: before anything else can be chosen. */
	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	const object = $derived(objectOf(shot));
	/** What it would cost: "f/5.6"; a cross where it cannot be had. The last known keeps its place. */
	let costs = $state.raw<readonly AboutCost[]>([]);
	$effect(() => {
		if (plan.aboutCosts.answer) costs = plan.aboutCosts.answer;
	});
	function costOf(about: About): string {
		const result = costs.find((one) => one.about === about)?.result;
		if (!result || result.fNumber === null) return '';
		return ` ${fStop(nominalFNumber(result.fNumber))}${result.feasible ? '' : ' ✗'}`;
	}
	const abouts = $derived(
		ABOUTS.map((value) => ({ value, text: aboutWords(shot, value) + costOf(value) }))
	);
	const STANDARDS = [
		{ value: 'album', text: common.smallPrint },
		{ value: 'print', text: say.printOf },
		{ value: 'screen', text: common.fullScreen },
		{ value: 'pixel', text: common.everyPixel }
	] as const;

	const print = $derived(shot.sharpness.standard === 'print' ? shot.sharpness : null);

	function choose(standard: SharpnessStandard['standard']) {
		const sharpness: SharpnessStandard =
			standard === 'print' ? { standard, printWidthCm: 60, viewingDistanceCm: 50 } : { standard };
		plan.change({ ...shot, sharpness });
	}
	const set = (sharpness: SharpnessStandard, gesture: string) =>
		plan.change({ ...shot, sharpness }, gesture);
	const newGesture = (kind: string) => plan.newGesture(kind);
</script>

<div class="wishes">
	{#if object}
		<Choice
			label={common.about}
			options={abouts}
			value={aboutOf(shot)}
			onchoose={(about) => plan.change(withAbout(shot, about))}
		/>
	{:else}
		<span class="about"
			>{common.about}
			<strong>{shot.people.length > 1 ? say.thePeople : say.thePerson}</strong></span
		>
	{/if}
	<SetupBar {plan} />
	<span class="spring"></span>
	{#if print}
		<span class="print">
			<Amount
				of="shot.sharpness.printWidthCm"
				quiet
				suffix="wide"
				label={say.widthOfThePrint}
				value={print.printWidthCm}
				onchange={(printWidthCm, gesture) => set({ ...print, printWidthCm }, gesture)}
				{newGesture}
			/>
			<Amount
				of="shot.sharpness.viewingDistanceCm"
				quiet
				suffix="away"
				label={say.viewingDistance}
				value={print.viewingDistanceCm}
				onchange={(viewingDistanceCm, gesture) => set({ ...print, viewingDistanceCm }, gesture)}
				{newGesture}
			/>
		</span>
	{/if}
	<Choice
		label={common.sharpFor}
		options={STANDARDS}
		value={shot.sharpness.standard}
		onchoose={choose}
	/>
</div>

<style>
	.wishes {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.8rem;
	}
	.spring {
		flex: 1;
	}
	.about {
		color: var(--ink-2);
	}
	.print {
		display: flex;
		gap: 0.3rem;
		width: 15rem;
	}
	.about strong {
		color: var(--ink);
	}
</style>

<script lang="ts">
	import { lightLimitsText as say } from '$words/screens/plan/setup';
	import { commonText as common } from '$words/screens/common';
	import { comfortIsoOf } from '$core/light/exposure';
	import { nominalShutter } from '$core/light/dials';
	import type { Shot } from '$core/format/shot';
	import Amount from '../../fields/Amount.svelte';
	import Choice from '../../fields/Choice.svelte';
	import { ruleOf, ruleValue, SHUTTER_RULES, type RuleValue } from '../../shared/shutterRules';
	import type { PlanView } from '../view/plan.svelte';

	/** How slow the shutter may be, how high the ISO, and how much the stabiliser gives, for this shot. */
	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	const fixedS = $derived(shot.choices.shutterS);
	const newGesture = (kind: string) => plan.newGesture(kind);

	const choose = (choices: Shot['choices'], gesture?: string) =>
		plan.change({ ...shot, choices }, gesture);
	const setBody = (change: Partial<Shot['body']>, gesture: string) =>
		plan.change({ ...shot, body: { ...shot.body, ...change } }, gesture);

	/** Fixed where it stands, or by a rule again. */
	function chooseShutter(value: RuleValue | 'fixed') {
		const choices = { ...shot.choices };
		delete choices.shutterS;
		const shownS = plan.shown?.plan.exposure?.shutterS ?? 1 / 125;
		choose(
			value === 'fixed'
				? { ...choices, shutterS: Math.max(nominalShutter(shownS), shot.body.fastestShutterS) }
				: { ...choices, shutterRule: ruleOf(value) }
		);
	}
</script>

<Choice
	label={common.theShutter}
	options={[...SHUTTER_RULES, { value: 'fixed', text: common.locked }]}
	value={fixedS === undefined ? ruleValue(shot.choices.shutterRule) : 'fixed'}
	onchoose={chooseShutter}
/>
<div class="pairs">
	{#if fixedS !== undefined}
		<Amount
			shownAs="one-over"
			of="shot.choices.shutterS"
			label={common.n1Over}
			value={fixedS}
			low={shot.body.fastestShutterS}
			digits={1}
			onchange={(shutterS, gesture) => choose({ ...shot.choices, shutterS }, gesture)}
			{newGesture}
		/>
	{/if}
	<Amount
		of="shot.body.comfortIso"
		label={common.highestIsoYouLike}
		value={comfortIsoOf(shot.body)}
		low={shot.body.iso[0]}
		high={shot.body.iso[1]}
		digits={0}
		onchange={(comfortIso, gesture) => setBody({ comfortIso }, gesture)}
		{newGesture}
	/>
	<Amount
		of="shot.body.stabiliserStops"
		label={say.theBodysStabiliser}
		value={shot.body.stabiliserStops}
		step={0.5}
		onchange={(stabiliserStops, gesture) => setBody({ stabiliserStops }, gesture)}
		{newGesture}
	/>
</div>

<script lang="ts">
	import { myWayText as say } from '$words/screens/kit';
	import { commonText as common } from '$words/screens/common';
	import Choice from '../fields/Choice.svelte';
	import MyLimits from './MyLimits.svelte';
	import Amount from '../fields/Amount.svelte';
	import { ruleOf, ruleValue, SHUTTER_RULES } from '../shared/shutterRules';
	import { settings, type MyWay } from '../shared/settings.svelte';

	/** One's own school: what new shots begin with. */
	const mine = $derived(settings.myWay);
	const set = (change: Partial<MyWay>) => settings.set({ myWay: { ...mine, ...change } });
</script>

<div class="mine">
	<p>{say.newShotsBeginWithTheseExisting}</p>
	<Choice
		label={say.theFNumber}
		options={[
			{ value: 'odds', text: say.sharpInMostFrames },
			{ value: 'widest', text: say.theWidestThatHolds }
		]}
		value={mine.pickBy}
		onchoose={(pickBy) => set({ pickBy })}
	/>
	<Choice
		label={common.theShutter}
		options={SHUTTER_RULES}
		value={ruleValue(mine.shutterRule)}
		onchoose={(value) => set({ shutterRule: ruleOf(value) })}
	/>
	<Choice
		label={common.sharpFor}
		options={[
			{ value: 'album', text: common.smallPrint },
			{ value: 'screen', text: common.fullScreen },
			{ value: 'pixel', text: common.everyPixel }
		]}
		value={mine.sharpness}
		onchoose={(sharpness) => set({ sharpness })}
	/>
	<Choice
		label={say.aFaceOffCentre}
		options={[
			{ value: 'move-point', text: common.moveThePoint },
			{ value: 'reframe', text: say.lockAndReframe },
			{ value: 'manual', text: say.byHandMagnified }
		]}
		value={mine.technique}
		onchoose={(technique) => set({ technique })}
	/>
	<div class="numbers">
		<Amount
			of="shot.choices.safetyStops"
			label={say.inHandForOneOrTwo}
			value={mine.marginStops}
			step={1 / 3}
			onchange={(marginStops) => set({ marginStops })}
			newGesture={(kind) => kind}
		/>
	</div>
	<MyLimits />
</div>

<style>
	.mine {
		display: flex;
		flex-direction: column;
		gap: 0.8rem;
	}
	.numbers {
		max-width: 14rem;
	}
</style>

<script lang="ts">
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
	<p>New shots begin with these. Shots that are there stay as they are.</p>
	<Choice
		label="the f-number"
		options={[
			{ value: 'odds', text: 'sharp in most frames' },
			{ value: 'widest', text: 'the widest that holds' }
		]}
		value={mine.pickBy}
		onchoose={(pickBy) => set({ pickBy })}
	/>
	<Choice
		label="the shutter"
		options={SHUTTER_RULES}
		value={ruleValue(mine.shutterRule)}
		onchoose={(value) => set({ shutterRule: ruleOf(value) })}
	/>
	<Choice
		label="sharp for"
		options={[
			{ value: 'album', text: 'small print' },
			{ value: 'screen', text: 'full screen' },
			{ value: 'pixel', text: 'every pixel' }
		]}
		value={mine.sharpness}
		onchoose={(sharpness) => set({ sharpness })}
	/>
	<Choice
		label="a face off the middle"
		options={[
			{ value: 'move-point', text: 'move the point' },
			{ value: 'reframe', text: 'lock and reframe' },
			{ value: 'manual', text: 'by hand, magnified' }
		]}
		value={mine.technique}
		onchoose={(technique) => set({ technique })}
	/>
	<div class="numbers">
		<Amount
			of="shot.choices.safetyStops"
			label="in hand for one or two people"
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

<script lang="ts">
	import Choice from '../shared/Choice.svelte';
	import Amount from '../shared/Amount.svelte';
	import { settings, type MyWay } from '../shared/settings.svelte';

	/** One's own school: what new shots begin with. */
	const mine = $derived(settings.myWay);
	const set = (change: Partial<MyWay>) => settings.set({ myWay: { ...mine, ...change } });
</script>

<div class="mine">
	<p>New shots begin with these. Shots that are there stay as they are.</p>
	<Choice
		label="by hand no slower than"
		options={[
			{ value: '1', text: '1 over the focal length' },
			{ value: '2', text: '1 over twice that' }
		]}
		value={String(mine.shutterRule) as '1' | '2'}
		onchoose={(rule) => set({ shutterRule: rule === '2' ? 2 : 1 })}
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

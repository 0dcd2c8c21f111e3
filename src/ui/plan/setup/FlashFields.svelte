<script lang="ts">
	import type { Shot } from '$core/format/shot';
	import Amount from '../../fields/Amount.svelte';
	import Pick from '../../fields/Pick.svelte';

	/** What stands in the way of a flash, and a second one. */
	type Flash = Extract<NonNullable<Shot['light']>, { mode: 'flash' }>;
	interface Props {
		light: Flash;
		onchange: (light: Flash, gesture?: string) => void;
		newGesture: (kind: string) => string;
	}

	let { light, onchange, newGesture }: Props = $props();

	/** Usual losses, stops. Common practice, no source. */
	const WAYS = [
		{ value: '0', text: 'straight at them' },
		{ value: '1', text: 'through an umbrella, about 1 stop' },
		{ value: '1.5', text: 'softbox, about 1½ stops' },
		{ value: '2', text: 'bounced off a white ceiling, about 2 stops' },
		{ value: '0.667', text: 'warming gel, about ⅔ stop' },
		{ value: '2.167', text: 'softbox with a warming gel' }
	];
	const lossStops = $derived(light.lossStops ?? 0);
	const own = $derived(String(Number(lossStops.toFixed(3))));
	const ways = $derived(
		WAYS.some(({ value }) => value === own)
			? WAYS
			: [...WAYS, { value: own, text: `${Number(lossStops.toFixed(1))} stops` }]
	);
	const second = $derived(light.second);
	const setSecond = (change: Partial<NonNullable<Flash['second']>>, gesture: string) =>
		second && onchange({ ...light, second: { ...second, ...change } }, gesture);
	function chooseSecond(isThere: boolean) {
		const second = isThere ? { ratio: 2, distanceM: light.distanceM } : undefined;
		onchange({ ...light, second });
	}
</script>

<div class="pairs">
	<Pick
		label="its light comes (usual losses, common practice)"
		options={ways}
		value={own}
		onchoose={(value) => onchange({ ...light, lossStops: Number(value) })}
	/>
	<Amount
		of="shot.light.lossStops"
		label="it loses on its way"
		value={lossStops}
		step={1 / 3}
		digits={1}
		onchange={(stops, gesture) => onchange({ ...light, lossStops: stops }, gesture)}
		{newGesture}
	/>
</div>
<label class="second">
	<input
		type="checkbox"
		checked={second !== undefined}
		onchange={(event) => chooseSecond(event.currentTarget.checked)}
	/>
	a second flash, weaker
</label>
{#if second}
	<div class="pairs">
		<Amount
			of="shot.light.second.ratio"
			label="times weaker on them"
			value={second.ratio}
			digits={1}
			onchange={(ratio, gesture) => setSecond({ ratio }, gesture)}
			{newGesture}
		/>
		<Amount
			of="shot.light.second.distanceM"
			label="from it to the people"
			value={second.distanceM}
			onchange={(distanceM, gesture) => setSecond({ distanceM }, gesture)}
			{newGesture}
		/>
	</div>
{/if}

<style>
	.second {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		min-height: 1.75rem;
	}
</style>

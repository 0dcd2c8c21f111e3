<script lang="ts">
	import { rounded } from '$words/numbers';
	import { flashFieldsText as say } from '$words/screens/plan/setup';
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
		{ value: '0', text: say.straightAtThem },
		{ value: '1', text: say.throughAnUmbrellaAbout1Stop },
		{ value: '1.5', text: say.softboxAbout1Stops },
		{ value: '2', text: say.bouncedOffAWhiteCeilingAbout },
		{ value: '0.667', text: say.warmingGelAboutStop },
		{ value: '2.167', text: say.softboxWithAWarmingGel }
	];
	const lossStops = $derived(light.lossStops ?? 0);
	const own = $derived(rounded(lossStops, 3));
	const ways = $derived(
		WAYS.some(({ value }) => value === own)
			? WAYS
			: [...WAYS, { value: own, text: say.stops(rounded(lossStops, 1)) }]
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
		label={say.howItsLightReachesThemUsual}
		options={ways}
		value={own}
		onchoose={(value) => onchange({ ...light, lossStops: Number(value) })}
	/>
	<Amount
		of="shot.light.lossStops"
		label={say.lightLostOnTheWay}
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
	{say.aSecondFlashWeaker}
</label>
{#if second}
	<div class="pairs">
		<Amount
			of="shot.light.second.ratio"
			label={say.timesWeakerOnThem}
			value={second.ratio}
			digits={1}
			onchange={(ratio, gesture) => setSecond({ ratio }, gesture)}
			{newGesture}
		/>
		<Amount
			of="shot.light.second.distanceM"
			label={say.fromItToThePeople}
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

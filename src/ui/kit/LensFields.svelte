<script lang="ts">
	import { lensFieldsText as say } from '$words/screens/kit';
	import { commonText as common } from '$words/screens/common';
	import Amount from '../fields/Amount.svelte';
	import type { Lens } from '$core/format/shot';
	import Pick from '../fields/Pick.svelte';
	import NameField from './NameField.svelte';
	import { useKit } from './kit.svelte';

	/** Every number of a lens in plain words. */
	interface Props {
		lens: Lens;
		/** Name of the body it is built into. */
		onlyOn: string | null;
		onchange: (change: { lens: Lens; onlyOn: string | null }) => void;
	}

	let { lens, onlyOn, onchange }: Props = $props();

	const kit = useKit();
	const newGesture = (kind: string) => kind;
	const set = (change: Partial<Lens>) => onchange({ lens: { ...lens, ...change }, onlyOn });
	const ANY = '';
	const bodies = $derived([
		{ value: ANY, text: say.anyBody },
		...[
			...new Set([...kit.contents.bodies.map(({ body }) => body.name), ...(onlyOn ? [onlyOn] : [])])
		].map((name) => ({ value: name, text: name }))
	]);
	const usual = [
		{ value: '', text: say.anySensor },
		{ value: '43.3', text: say.fullFrameAndSmaller },
		{ value: '28.4', text: say.n15xCropAndSmaller },
		{ value: '21.7', text: say.fourThirdsAndSmaller }
	];
	const ownCircle = $derived(String(lens.imageCircleMm ?? ''));
	const circles = $derived(
		usual.some(({ value }) => value === ownCircle)
			? usual
			: [...usual, { value: ownCircle, text: say.aCircleOfMm(ownCircle) }]
	);
	const widestEver = $derived(Math.max(...lens.widestFNumber));

	/** Two blades make no opening. */
	function setBlades(count: number) {
		const blades = Math.round(count);
		if (blades === 0 || blades >= 3) set({ blades });
	}
</script>

<NameField name={lens.name} onchange={(name) => set({ name })} />
<div class="fields">
	<Amount
		of="shot.lens.focalMm.0"
		label={say.shortestFocalLength}
		value={lens.focalMm[0]}
		high={lens.focalMm[1]}
		digits={1}
		onchange={(short) => set({ focalMm: [short, lens.focalMm[1]] })}
		{newGesture}
	/>
	<Amount
		of="shot.lens.focalMm.1"
		label={say.longestTheSameForAPrime}
		value={lens.focalMm[1]}
		low={lens.focalMm[0]}
		digits={1}
		onchange={(long) => set({ focalMm: [lens.focalMm[0], long] })}
		{newGesture}
	/>
	<Amount
		of="shot.lens.widestFNumber.0"
		label={say.widestFAtTheShortEnd}
		value={lens.widestFNumber[0]}
		high={lens.smallestFNumber}
		step={0.1}
		digits={1}
		onchange={(widest) => set({ widestFNumber: [widest, lens.widestFNumber[1]] })}
		{newGesture}
	/>
	<Amount
		of="shot.lens.widestFNumber.1"
		label={say.widestFAtTheLongEnd}
		value={lens.widestFNumber[1]}
		high={lens.smallestFNumber}
		step={0.1}
		digits={1}
		onchange={(widest) => set({ widestFNumber: [lens.widestFNumber[0], widest] })}
		{newGesture}
	/>
	<Amount
		of="shot.lens.smallestFNumber"
		label={say.smallestApertureF}
		value={lens.smallestFNumber}
		low={widestEver}
		digits={1}
		onchange={(smallestFNumber) => set({ smallestFNumber })}
		{newGesture}
	/>
	<Amount
		of="shot.lens.closestFocusM"
		label={say.closestFocus}
		value={lens.closestFocusM}
		onchange={(closestFocusM) => set({ closestFocusM })}
		{newGesture}
	/>
	<Amount
		of="shot.lens.stabiliserStops"
		label={common.stabiliser}
		value={lens.stabiliserStops}
		step={0.5}
		digits={1}
		onchange={(stabiliserStops) => set({ stabiliserStops })}
		{newGesture}
	/>
	<Amount
		of="shot.lens.fieldBend"
		label={say.fieldCurvature0Flat1Curved}
		value={lens.fieldBend}
		step={0.05}
		onchange={(fieldBend) => set({ fieldBend })}
		{newGesture}
	/>
	<Amount
		of="shot.lens.blades"
		label={common.apertureBlades0IfRound}
		value={lens.blades}
		onchange={setBlades}
		{newGesture}
	/>
	<Pick
		label={say.covers}
		options={circles}
		value={ownCircle}
		onchoose={(circle) => set({ imageCircleMm: circle === '' ? undefined : Number(circle) })}
	/>
	<Pick
		label={say.fitsOn}
		options={bodies}
		value={onlyOn ?? ANY}
		onchoose={(next) => onchange({ lens, onlyOn: next === ANY ? null : next })}
	/>
</div>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: 0.5rem 0.8rem;
		align-items: end;
		padding: 0.4rem 0 0.7rem;
	}
</style>

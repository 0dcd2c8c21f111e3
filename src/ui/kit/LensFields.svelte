<script lang="ts">
	import type { Lens } from '$core/format/shot';
	import Length from '../shared/Length.svelte';
	import NumberField from '../shared/NumberField.svelte';
	import Pick from '../shared/Pick.svelte';
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
		{ value: ANY, text: 'any body' },
		...[
			...new Set([...kit.contents.bodies.map(({ body }) => body.name), ...(onlyOn ? [onlyOn] : [])])
		].map((name) => ({ value: name, text: name }))
	]);
	const widestEver = $derived(Math.max(...lens.widestFNumber));

	/** Two blades make no opening. */
	function setBlades(count: number) {
		const blades = Math.round(count);
		if (blades === 0 || blades >= 3) set({ blades });
	}
</script>

<NameField name={lens.name} onchange={(name) => set({ name })} />
<div class="fields">
	<NumberField
		label="shortest focal length"
		unit="mm"
		value={lens.focalMm[0]}
		low={4}
		high={lens.focalMm[1]}
		digits={1}
		onchange={(short) => set({ focalMm: [short, lens.focalMm[1]] })}
		{newGesture}
	/>
	<NumberField
		label="longest, the same for a prime"
		unit="mm"
		value={lens.focalMm[1]}
		low={lens.focalMm[0]}
		high={800}
		digits={1}
		onchange={(long) => set({ focalMm: [lens.focalMm[0], long] })}
		{newGesture}
	/>
	<NumberField
		label="widest f/ at the short end"
		value={lens.widestFNumber[0]}
		low={0.7}
		high={Math.min(32, lens.smallestFNumber)}
		step={0.1}
		digits={1}
		onchange={(widest) => set({ widestFNumber: [widest, lens.widestFNumber[1]] })}
		{newGesture}
	/>
	<NumberField
		label="widest f/ at the long end"
		value={lens.widestFNumber[1]}
		low={0.7}
		high={Math.min(32, lens.smallestFNumber)}
		step={0.1}
		digits={1}
		onchange={(widest) => set({ widestFNumber: [lens.widestFNumber[0], widest] })}
		{newGesture}
	/>
	<NumberField
		label="smallest opening f/"
		value={lens.smallestFNumber}
		low={Math.max(4, widestEver)}
		high={64}
		digits={1}
		onchange={(smallestFNumber) => set({ smallestFNumber })}
		{newGesture}
	/>
	<Length
		label="closest focus"
		metres={lens.closestFocusM}
		low={0.05}
		high={10}
		onchange={(closestFocusM) => set({ closestFocusM })}
		{newGesture}
	/>
	<NumberField
		label="stabiliser"
		unit="stops"
		value={lens.stabiliserStops}
		low={0}
		high={8}
		step={0.5}
		digits={1}
		onchange={(stabiliserStops) => set({ stabiliserStops })}
		{newGesture}
	/>
	<NumberField
		label="surface of focus: 0 flat, 1 a shell around the camera"
		value={lens.fieldBend}
		low={-1}
		high={1}
		step={0.05}
		onchange={(fieldBend) => set({ fieldBend })}
		{newGesture}
	/>
	<NumberField
		label="aperture blades, 0 if round"
		value={lens.blades}
		low={0}
		high={20}
		digits={0}
		onchange={setBlades}
		{newGesture}
	/>
	<Pick
		label="goes on"
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

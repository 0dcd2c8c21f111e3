<script lang="ts">
	import type { Body, Lens } from '$core/format/shot';
	import { BODIES, LENSES } from '$data/kit';
	import Choice from '../../shared/Choice.svelte';
	import Length from '../../shared/Length.svelte';
	import NumberField from '../../shared/NumberField.svelte';
	import Pick from '../../shared/Pick.svelte';
	import { changeCamera } from '../edits';
	import type { PlanView } from '../plan.svelte';
	import { ORIENTATION_OPTIONS, SUPPORT_OPTIONS } from './options';

	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	const newGesture = (kind: string) => plan.newGesture(kind);
	type Camera = typeof shot.camera;
	const set = (change: Partial<Camera>, gesture?: string) =>
		plan.change(changeCamera(plan.shot, change), gesture);

	/** The kit to choose from, and what this shot has, which may be from elsewhere. */
	function listed<T extends Body | Lens>(kit: Readonly<Record<string, T>>, own: T): T[] {
		const all = Object.values(kit);
		return all.some(({ name }) => name === own.name) ? all : [own, ...all];
	}
	const bodies = $derived(listed<Body>(BODIES, shot.body));
	const lenses = $derived(listed<Lens>(LENSES, shot.lens));
	const named = (kit: readonly { name: string }[]) =>
		kit.map(({ name }) => ({ value: name, text: name }));

	function chooseLens(name: string) {
		const lens = lenses.find((one) => one.name === name) ?? shot.lens;
		const [short, long] = lens.focalMm;
		const focalMm = Math.min(long, Math.max(short, shot.camera.focalMm));
		plan.change({ ...changeCamera(shot, { focalMm }), lens });
	}

	/** Two blades make no opening: a whole number from three on, or none. */
	function setBlades(count: number, gesture: string) {
		const blades = Math.round(count);
		if (blades === 0 || blades >= 3)
			plan.change({ ...shot, lens: { ...shot.lens, blades } }, gesture);
	}

	function chooseBody(name: string) {
		plan.change({ ...shot, body: bodies.find((one) => one.name === name) ?? shot.body });
	}
</script>

<div class="grid grid-cols-2 gap-2">
	<Pick label="lens" options={named(lenses)} value={shot.lens.name} onchoose={chooseLens} />
	<Pick label="body" options={named(bodies)} value={shot.body.name} onchoose={chooseBody} />
	{#if shot.lens.focalMm[0] < shot.lens.focalMm[1]}
		<NumberField
			label="focal length"
			unit="mm"
			value={shot.camera.focalMm}
			low={shot.lens.focalMm[0]}
			high={shot.lens.focalMm[1]}
			digits={1}
			onchange={(focalMm, gesture) => set({ focalMm }, gesture)}
			{newGesture}
		/>
	{/if}
	<Length
		label="height"
		metres={shot.camera.position.y}
		low={0}
		high={100}
		onchange={(y, gesture) => set({ position: { ...shot.camera.position, y } }, gesture)}
		{newGesture}
	/>
	<NumberField
		label="turned right"
		unit="°"
		value={shot.camera.panDeg}
		low={-180}
		high={180}
		digits={1}
		onchange={(panDeg, gesture) => set({ panDeg }, gesture)}
		{newGesture}
	/>
	<NumberField
		label="tilted up"
		unit="°"
		value={shot.camera.tiltDeg}
		low={-85}
		high={85}
		digits={1}
		onchange={(tiltDeg, gesture) => set({ tiltDeg }, gesture)}
		{newGesture}
	/>
	<NumberField
		label="aperture blades, 0 if round"
		value={shot.lens.blades}
		low={0}
		high={20}
		digits={0}
		onchange={setBlades}
		{newGesture}
	/>
	<Pick
		label="support"
		options={SUPPORT_OPTIONS}
		value={shot.camera.support}
		onchoose={(support) => set({ support })}
	/>
</div>
<Choice
	label="held"
	options={ORIENTATION_OPTIONS}
	value={shot.camera.orientation}
	onchoose={(orientation) => set({ orientation })}
/>

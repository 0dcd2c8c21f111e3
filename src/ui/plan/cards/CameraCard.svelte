<script lang="ts">
	import { cameraCardText as say } from '$words/screens/plan/cards';
	import { commonText as common } from '$words/screens/common';
	import { indexByName } from '../../shared/byName';
	import Amount from '../../fields/Amount.svelte';
	import type { Body, Lens } from '$core/format/shot';
	import Choice from '../../fields/Choice.svelte';
	import Pick from '../../fields/Pick.svelte';
	import LightLimits from '../setup/LightLimits.svelte';
	import { changeCamera, withFocal } from '../view/edits';
	import GearFields from './GearFields.svelte';
	import type { PlanView } from '../view/plan.svelte';
	import { ORIENTATION_OPTIONS, SUPPORT_OPTIONS } from '$words/options';

	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	const newGesture = (kind: string) => plan.newGesture(kind);
	type Camera = typeof shot.camera;
	const set = (change: Partial<Camera>, gesture?: string) =>
		plan.change(changeCamera(plan.shot, change), gesture);

	const kitBodies = $derived(plan.kit.contents.bodies.map(({ body }) => body));

	/** The kit's own of the same name, where it has changed since it was chosen. */
	function newer<T extends Body | Lens>(all: readonly T[], own: T): T | null {
		const known = all[Number(indexByName(all, own) || -1)];
		return known && JSON.stringify(known) !== JSON.stringify(own) ? known : null;
	}
	const newerBody = $derived(newer<Body>(kitBodies, shot.body));
	const newerLens = $derived(newer<Lens>(plan.lenses, shot.lens));
	/** What this shot uses that is not in the kit, as it came with a file. */
	const isBodyForeign = $derived(!kitBodies.some(({ name }) => name === shot.body.name));
	const isLensForeign = $derived(!plan.lenses.some(({ name }) => name === shot.lens.name));
	function addToKit() {
		const { bodies, lenses } = plan.kit.contents;
		const next = (list: readonly { position: number }[]) =>
			Math.max(0, ...list.map(({ position }) => position)) + 1;
		const id = () => crypto.randomUUID();
		if (isBodyForeign) plan.kit.put({ id: id(), position: next(bodies), body: shot.body });
		if (isLensForeign) {
			plan.kit.put({ id: id(), position: next(lenses), onlyOn: null, lens: shot.lens });
		}
	}
	function bringUpToDate() {
		const body = newerBody ?? shot.body;
		const lens = newerLens ?? shot.lens;
		plan.change({ ...withFocal(shot, lens), body, lens });
	}
	/** Two blades make no opening: a whole number from three on, or none. */
	function setBlades(count: number, gesture: string) {
		const blades = Math.round(count);
		if (blades === 0 || blades >= 3)
			plan.change({ ...shot, lens: { ...shot.lens, blades } }, gesture);
	}
</script>

<div class="fields">
	<GearFields {plan} />
	<Amount
		of="shot.camera.position.y"
		label={common.height}
		value={shot.camera.position.y}
		low={0}
		onchange={(y, gesture) => set({ position: { ...shot.camera.position, y } }, gesture)}
		{newGesture}
	/>
	<Pick
		label={say.support}
		options={SUPPORT_OPTIONS}
		value={shot.camera.support}
		onchoose={(support) => set({ support })}
	/>
</div>
<Choice
	label={say.held}
	options={ORIENTATION_OPTIONS}
	value={shot.camera.orientation}
	onchoose={(orientation) => set({ orientation })}
/>
{#if shot.light}<LightLimits {plan} />{/if}
<div class="fields">
	<Amount
		of="shot.camera.panDeg"
		label={say.turnedRight}
		value={shot.camera.panDeg}
		digits={1}
		onchange={(panDeg, gesture) => set({ panDeg }, gesture)}
		{newGesture}
	/>
	<Amount
		of="shot.camera.tiltDeg"
		label={say.tiltedUp}
		value={shot.camera.tiltDeg}
		digits={1}
		onchange={(tiltDeg, gesture) => set({ tiltDeg }, gesture)}
		{newGesture}
	/>
	<Amount
		of="shot.lens.blades"
		label={common.apertureBlades0IfRound}
		value={shot.lens.blades}
		onchange={setBlades}
		{newGesture}
	/>
</div>
{#if isBodyForeign || isLensForeign}
	<button class="knob" type="button" onclick={addToKit}>
		{say.addThisToTheKit(isBodyForeign ? (isLensForeign ? say.bodyAndLens : 'body') : 'lens')}
	</button>
{/if}
{#if newerBody || newerLens}
	<p class="text-[var(--ink-2)]">
		{say.theInYourKitHasDifferent(newerLens ? 'lens' : 'body')}
		<button class="knob" type="button" onclick={bringUpToDate}>{say.bringItUpToDate}</button>
	</p>
{/if}

<script lang="ts">
	import { commonText as common } from '$words/screens/common';
	import type { Body, Lens } from '$core/format/shot';
	import Amount from '../../fields/Amount.svelte';
	import { byName, indexByName } from '../../shared/byName';
	import Pick from '../../fields/Pick.svelte';
	import { settings } from '../../shared/settings.svelte';
	import { changeCamera, withFocal } from '../view/edits';
	import type { PlanView } from '../view/plan.svelte';

	/** Lens, body and focal length, out of the kit; what was used last is what new shots begin with. */
	let { plan }: { plan: PlanView } = $props();

	const shot = $derived(plan.shot);
	/** The kit to choose from, and what this shot has, which may be from elsewhere. */
	function listed<T extends Body | Lens>(all: readonly T[], own: T): readonly T[] {
		return all.some(({ name }) => name === own.name) ? all : [own, ...all];
	}
	const kitBodies = $derived(plan.kit.contents.bodies.map(({ body }) => body));
	const bodies = $derived(listed<Body>(kitBodies, shot.body));
	const lenses = $derived(listed<Lens>(plan.lenses, shot.lens));

	function use(body: Body, lens: Lens) {
		plan.change({ ...withFocal(shot, lens), body, lens });
		settings.set({ gear: { body, lens } });
	}
	const chooseLens = (place: string) => use(shot.body, lenses[Number(place)] ?? shot.lens);
	/** A body with a lens of its own brings it along. */
	function chooseBody(place: string) {
		const body = bodies[Number(place)] ?? shot.body;
		const fitting = plan.kit.lensesFor(body);
		const isFitting = fitting.some((one) => one.name === shot.lens.name);
		use(body, isFitting ? shot.lens : (fitting[0] ?? shot.lens));
	}
</script>

<Pick
	label={common.lens}
	options={byName(lenses)}
	value={indexByName(lenses, shot.lens)}
	onchoose={chooseLens}
/>
<Pick
	label={common.body}
	options={byName(bodies)}
	value={indexByName(bodies, shot.body)}
	onchoose={chooseBody}
/>
{#if shot.lens.focalMm[0] < shot.lens.focalMm[1]}
	<Amount
		of="shot.camera.focalMm"
		label={common.focalLength}
		value={shot.camera.focalMm}
		low={shot.lens.focalMm[0]}
		high={shot.lens.focalMm[1]}
		digits={1}
		onchange={(focalMm, gesture) => plan.change(changeCamera(shot, { focalMm }), gesture)}
		newGesture={(kind) => plan.newGesture(kind)}
	/>
{/if}

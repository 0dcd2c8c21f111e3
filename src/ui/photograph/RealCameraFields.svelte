<script lang="ts">
	import { realCameraFieldsText as say } from '$words/screens/photograph';
	import { commonText as common } from '$words/screens/common';
	import type { RealCamera } from '$core/photograph/stage';
	import { useKit } from '../kit/kit.svelte';
	import { byName, indexByName } from '../shared/byName';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';
	import Pick from '../fields/Pick.svelte';

	/** The camera that will really be used, and where it stands. */
	interface Props {
		camera: RealCamera;
		onchange: (camera: RealCamera) => void;
	}

	let { camera, onchange }: Props = $props();

	const kit = useKit();
	const bodies = $derived(kit.contents.bodies.map(({ body }) => body));
	const lenses = $derived(kit.lensesFor(camera.body));
	const STANDS = [
		{ value: 'place', text: say.fromTheSamePlace },
		{ value: 'alike', text: say.framedAlike }
	] as const;

	const within = (focalMm: number, [short, long]: readonly [number, number]) =>
		Math.min(long, Math.max(short, focalMm));

	function chooseBody(place: string) {
		const body = bodies[Number(place)] ?? camera.body;
		const fitting = kit.lensesFor(body);
		const lens = fitting.find(({ name }) => name === camera.lens.name) ?? fitting[0] ?? camera.lens;
		onchange({ ...camera, body, lens, focalMm: within(camera.focalMm, lens.focalMm) });
	}
	function chooseLens(place: string) {
		const lens = lenses[Number(place)] ?? camera.lens;
		onchange({ ...camera, lens, focalMm: within(camera.focalMm, lens.focalMm) });
	}
	const newGesture = () => '';
</script>

<div class="fields">
	<Pick
		label={common.body}
		options={byName(bodies)}
		value={indexByName(bodies, camera.body)}
		onchoose={chooseBody}
	/>
	<Pick
		label={common.lens}
		options={byName(lenses)}
		value={indexByName(lenses, camera.lens)}
		onchoose={chooseLens}
	/>
	{#if camera.lens.focalMm[0] < camera.lens.focalMm[1]}
		<NumberField
			label={common.focalLength}
			unit="mm"
			value={camera.focalMm}
			low={camera.lens.focalMm[0]}
			high={camera.lens.focalMm[1]}
			digits={0}
			onchange={(focalMm) => onchange({ ...camera, focalMm })}
			{newGesture}
		/>
	{/if}
</div>
<Choice
	label={say.theCameraStands}
	quiet
	options={STANDS}
	value={camera.isFramedAlike ? 'alike' : 'place'}
	onchoose={(stand) => onchange({ ...camera, isFramedAlike: stand === 'alike' })}
/>

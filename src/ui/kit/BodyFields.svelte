<script lang="ts">
	import { bodyFieldsText as say } from '$words/screens/kit';
	import { commonText as common } from '$words/screens/common';
	import Amount from '../fields/Amount.svelte';
	import type { Body } from '$core/format/shot';
	import { comfortIsoOf } from '$core/light/exposure';
	import { FOCUS_GRIDS } from '$data/kit';
	import Pick from '../fields/Pick.svelte';
	import NameField from './NameField.svelte';

	/** Every number of a body in plain words. */
	let { body, onchange }: { body: Body; onchange: (body: Body) => void } = $props();

	const newGesture = (kind: string) => kind;
	const comfortIso = $derived(comfortIsoOf(body));
	const set = (change: Partial<Body>) => onchange({ ...body, ...change });
	const sensor = (change: Partial<Body['sensor']>) =>
		set({ sensor: { ...body.sensor, ...change } });
	const grid = (change: Partial<Body['focusGrid']>) =>
		set({ focusGrid: { ...body.focusGrid, ...change } });

	const GRIDS = [
		{ value: 'sparse', text: say.sparseInTheMiddleOfThe },
		{ value: 'coarse', text: say.coarseOverNearlyAllOfIt },
		{ value: 'fine', text: say.fineOverNearlyAllOfIt },
		{ value: 'touch', text: say.anywhere },
		{ value: 'own', text: say.asNumberedBelow }
	] as const;
	const layout = $derived(
		GRIDS.find(
			({ value }) =>
				value !== 'own' && JSON.stringify(FOCUS_GRIDS[value]) === JSON.stringify(body.focusGrid)
		)?.value ?? 'own'
	);
</script>

<NameField name={body.name} onchange={(name) => set({ name })} />
<div class="fields">
	<Amount
		of="shot.body.sensor.widthMm"
		label={say.sensorLongSide}
		value={body.sensor.widthMm}
		low={body.sensor.heightMm}
		step={0.1}
		onchange={(widthMm) => sensor({ widthMm })}
		{newGesture}
	/>
	<Amount
		of="shot.body.sensor.heightMm"
		label={say.shortSide}
		value={body.sensor.heightMm}
		high={body.sensor.widthMm}
		step={0.1}
		onchange={(heightMm) => sensor({ heightMm })}
		{newGesture}
	/>
	<Amount
		of="shot.body.sensor.pixelsAcross"
		label={say.pixelsAlongTheLongSide}
		value={body.sensor.pixelsAcross}
		onchange={(pixelsAcross) => sensor({ pixelsAcross })}
		{newGesture}
	/>
	<Amount
		of="shot.body.sensor.pixelsDown"
		label={say.alongTheShortSide}
		value={body.sensor.pixelsDown}
		onchange={(pixelsDown) => sensor({ pixelsDown })}
		{newGesture}
	/>
	<Amount
		of="shot.body.iso.0"
		label={say.lowestIso}
		value={body.iso[0]}
		high={comfortIso}
		digits={0}
		onchange={(lowest) => set({ iso: [lowest, body.iso[1]] })}
		{newGesture}
	/>
	<Amount
		of="shot.body.iso.1"
		label={common.highestIso}
		value={body.iso[1]}
		low={body.iso[0]}
		digits={0}
		onchange={(highest) =>
			set({ iso: [body.iso[0], highest], comfortIso: Math.min(comfortIso, highest) })}
		{newGesture}
	/>
	<Amount
		of="shot.body.comfortIso"
		label={common.highestIsoYouLike}
		value={comfortIso}
		low={body.iso[0]}
		high={body.iso[1]}
		digits={0}
		onchange={(liked) => set({ comfortIso: liked })}
		{newGesture}
	/>
	<Amount
		of="shot.body.stabiliserStops"
		label={common.stabiliser}
		value={body.stabiliserStops}
		step={0.5}
		onchange={(stabiliserStops) => set({ stabiliserStops })}
		{newGesture}
	/>
	<Amount
		shownAs="one-over"
		of="shot.body.syncSpeedS"
		label={say.fastestWithFlash1Over}
		value={body.syncSpeedS}
		digits={0}
		onchange={(syncSpeedS) => set({ syncSpeedS })}
		{newGesture}
	/>
	<Amount
		shownAs="one-over"
		of="shot.body.fastestShutterS"
		label={say.fastestShutter1Over}
		value={body.fastestShutterS}
		digits={0}
		onchange={(fastestShutterS) => set({ fastestShutterS })}
		{newGesture}
	/>
	<Pick
		label={say.focusPoints}
		options={GRIDS}
		value={layout}
		onchoose={(next) => next !== 'own' && set({ focusGrid: FOCUS_GRIDS[next] })}
	/>
	<Pick
		label={say.mostSensitive}
		options={[
			{ value: 'all', text: say.allOfThem },
			{ value: 'centre', text: say.theMiddleOne }
		]}
		value={body.focusGrid.sensitive}
		onchoose={(sensitive) => grid({ sensitive })}
	/>
	<Amount
		of="shot.body.focusGrid.columns"
		label={say.columnsOfPoints}
		value={body.focusGrid.columns}
		onchange={(columns) => grid({ columns })}
		{newGesture}
	/>
	<Amount
		of="shot.body.focusGrid.rows"
		label={say.rowsOfPoints}
		value={body.focusGrid.rows}
		onchange={(rows) => grid({ rows })}
		{newGesture}
	/>
	<Amount
		shownAs="percent"
		of="shot.body.focusGrid.spanX"
		label={say.shareOfTheWidthWithPoints}
		value={body.focusGrid.spanX}
		digits={1}
		onchange={(spanX) => grid({ spanX })}
		{newGesture}
	/>
	<Amount
		shownAs="percent"
		of="shot.body.focusGrid.spanY"
		label={say.shareOfTheHeightWithPoints}
		value={body.focusGrid.spanY}
		digits={1}
		onchange={(spanY) => grid({ spanY })}
		{newGesture}
	/>
	<Amount
		shownAs="percent"
		of="shot.body.focusGrid.boxX"
		label={say.widthOfOnePointsBox}
		value={body.focusGrid.boxX}
		step={0.1}
		digits={1}
		onchange={(boxX) => grid({ boxX })}
		{newGesture}
	/>
	<Amount
		shownAs="percent"
		of="shot.body.focusGrid.boxY"
		label={say.heightOfOnePointsBox}
		value={body.focusGrid.boxY}
		step={0.1}
		digits={1}
		onchange={(boxY) => grid({ boxY })}
		{newGesture}
	/>
</div>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: 0.5rem 0.8rem;
		padding: 0.4rem 0 0.7rem;
	}
</style>
